import { seededRandom, normalOf } from '../units/seededRandom.ts';

/**
 * A stand-in for a wall-plug power meter: a machine whose true watts nobody told, read with the
 * meter's error, its last digit and the machine's own wander. Same seed, same figures.
 */
export interface MeterReading {
  /** Seconds since the meter was plugged in. */
  s: number;
  watts: number;
  volts: number;
  factor: number;
}

export interface MeterOptions {
  /** Watts the machine is thought to draw at the wall in this state: the truth lies about them. */
  aboutW: number;
  seed: number;
  /** Watts it rises from when the state begins. */
  fromW?: number;
}

/** The wattmeter's share of error, of a plug-in meter of the trade (common practice, no source). */
const METER_SHARE = 0.02;
/** Seconds in which a machine settles after its state changed (common practice, no source). */
const SETTLE_S = 12;

/** Readings one a second, without end. Throws RangeError for watts that are none. */
export function* wallMeter({ aboutW, seed, fromW = 0 }: MeterOptions): Generator<MeterReading> {
  if (!(aboutW > 0 && aboutW < 4000)) throw new RangeError(`invalid watts: ${aboutW}`);
  const random = seededRandom(seed);
  const normal = () => normalOf(random);
  const truth = aboutW * (0.8 + 0.3 * random());
  const meter = 1 + METER_SHARE * (2 * random() - 1);
  const factor = 0.9 + 0.09 * random();
  for (let s = 0; ; s += 1) {
    const settled = truth + (fromW - truth) * Math.exp(-s / (SETTLE_S / 3));
    const shown = Math.max(0, settled * meter * (1 + 0.012 * normal()));
    yield {
      s,
      watts: Math.round(shown * 10) / 10,
      volts: Math.round((230 + 1.5 * normal()) * 10) / 10,
      factor: Math.round((factor + 0.004 * normal()) * 100) / 100,
    };
  }
}

/** The mean of the last readings once they no longer drift; undefined while they do. */
export function settledW(readings: readonly number[], last = 8): number | undefined {
  if (readings.length < 2 * last) return undefined;
  const mean = (list: readonly number[]) => list.reduce((sum, each) => sum + each, 0) / list.length;
  const [before, now] = [mean(readings.slice(-2 * last, -last)), mean(readings.slice(-last))];
  return Math.abs(now - before) <= Math.max(0.5, now * 0.012) ? now : undefined;
}
