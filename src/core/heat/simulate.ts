import { seededRandom as seeded, normalOf } from '../units/seededRandom.ts';

/**
 * A stand-in for a machine with a sensor logger: its true settled value nobody told, read with noise
 * that hangs together for a while, a room that drifts and a sensor that counts in steps. Same seed,
 * same run.
 */
export interface MadeRun {
  s: number[];
  v: number[];
  /** Room as it was read at every row. */
  room: number[];
  /** The truth. */
  endC: number;
  tauS: number;
}

export interface MadeOptions {
  seed: number;
  /** Length in time constants, how many seconds apart. */
  taus?: number;
  everyS?: number;
  /** The case and its air come after: a second part of the rise, and its time constant as so many of the first. */
  slow?: { share: number; times: number };
}

/** Random numbers and normal ones from one seed. */
export function seededNoise(seed: number): { random: () => number; normal: () => number } {
  const random = seeded(seed);
  return { random, normal: () => normalOf(random) };
}

/** A run from cold into load. Its end is that at the room it began with: the drift is the room's. */
export function madeRun({ seed, taus, everyS = 2, slow }: MadeOptions): MadeRun {
  const { random, normal } = seededNoise(seed);
  const tauS = 40 + 260 * random();
  const length = tauS * (slow?.times ?? 1) * (taus ?? 3 + 5 * random());
  const room0 = 17 + 8 * random();
  const drift = (2.5 * (random() - 0.5)) / 3600;
  const rise = 20 + 45 * random();
  const start = 3 + 8 * random();
  const step = random() < 0.5 ? 1 : 0.125;
  const sigma = 0.2 + 0.7 * random();
  const keep = Math.exp(-everyS / (2 + 6 * random()));
  const s: number[] = [];
  const v: number[] = [];
  const room: number[] = [];
  let noise = sigma * normal();
  for (let t = 0; t <= length; t += everyS) {
    noise = keep * noise + Math.sqrt(1 - keep * keep) * sigma * normal();
    const share = slow?.share ?? 0;
    const gone =
      (1 - share) * Math.exp(-t / tauS) + (slow ? share * Math.exp(-t / (tauS * slow.times)) : 0);
    const true_ = room0 + drift * t + rise - (rise - start) * gone;
    s.push(t);
    v.push(Math.round((true_ + noise) / step) * step);
    room.push(Math.round((room0 + drift * t + 0.05 * normal()) * 10) / 10);
  }
  return { s, v, room, endC: room0 + rise, tauS };
}
