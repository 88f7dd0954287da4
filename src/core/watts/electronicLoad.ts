import { seededRandom, normalOf } from '../units/seededRandom.ts';

/**
 * A stand-in for an electronic load: a supply whose true volts, resistance and limit nobody told is
 * asked for a little more current every step until its volts leave the tolerance or it shuts off.
 * Same seed, same figures.
 */
export interface LoadStep {
  s: number;
  amps: number;
  volts: number;
  /** It shut off at this step: no volts. */
  off: boolean;
}

export interface LoadOptions {
  /** Volts and amps on the label. */
  volts: number;
  amps: number;
  seed: number;
  /** Amps added each step; a fortieth of the label's unless said. */
  step?: number;
}

/** Errors of a bench load of the trade: its volts in volts, its amps as a share (common practice, no source). */
const VOLTS_ERROR = 0.006;
const AMPS_ERROR = 0.002;

/** Steps from nothing upward, without end; ends with the step at which it shuts off. Throws RangeError for a label that is none. */
export function* electronicLoad({ volts, amps, seed, step }: LoadOptions): Generator<LoadStep> {
  if (!(volts > 0 && volts <= 60)) throw new RangeError(`invalid volts: ${volts}`);
  if (!(amps > 0 && amps <= 250)) throw new RangeError(`invalid amps: ${amps}`);
  const random = seededRandom(seed);
  const normal = () => normalOf(random);
  const open = volts * (0.99 + 0.03 * random());
  const ohm = (volts / amps) * (0.005 + 0.02 * random());
  const limit = amps * (0.95 + 0.25 * random());
  const each = step ?? amps / 40;
  for (let s = 0; ; s += 1) {
    const asked = s * each;
    const real = asked * (1 + AMPS_ERROR * normal());
    const off = real > limit;
    const shown = off ? 0 : open - real * ohm + VOLTS_ERROR * normal();
    yield {
      s,
      amps: Math.round(asked * 1000) / 1000,
      volts: Math.round(shown * 1000) / 1000,
      off,
    };
    if (off) return;
  }
}

/** What a supply gives, from the steps of a load. */
export interface LoadResult {
  /** Volts with nothing on it, and ohms inside, with one deviation each. */
  openV: number;
  ohm: number;
  ohmDev: number;
  /** Most amps it held within the tolerance, and those at which it did not; undefined: never got there. */
  holdsA: number;
  failsA: number | undefined;
  why: 'shut off' | 'out of tolerance' | undefined;
}

/**
 * A straight line of volts over amps by least squares (the closed form of every handbook of
 * statistics); `tolerance` as a share of the nominal volts. Undefined before five steps.
 */
export function loadResult(
  steps: readonly LoadStep[],
  nominalV: number,
  tolerance = 0.05,
): LoadResult | undefined {
  const on = steps.filter((each) => !each.off);
  if (on.length < 5) return undefined;
  const within = on.filter((each) => Math.abs(each.volts - nominalV) <= nominalV * tolerance);
  const beyond = steps.find(
    (each) => each.off || Math.abs(each.volts - nominalV) > nominalV * tolerance,
  );
  const n = on.length;
  const mean = (of: (each: LoadStep) => number) => on.reduce((sum, each) => sum + of(each), 0) / n;
  const [x, y] = [mean((each) => each.amps), mean((each) => each.volts)];
  const sxx = on.reduce((sum, each) => sum + (each.amps - x) ** 2, 0);
  if (!(sxx > 0)) return undefined;
  const slope = on.reduce((sum, each) => sum + (each.amps - x) * (each.volts - y), 0) / sxx;
  const openV = y - slope * x;
  const left = on.reduce((sum, each) => sum + (each.volts - openV - slope * each.amps) ** 2, 0);
  return {
    openV,
    ohm: Math.max(0, -slope),
    ohmDev: Math.sqrt(left / (n - 2) / sxx),
    holdsA: Math.max(
      0,
      ...within.filter((each) => !beyond || each.amps < beyond.amps).map((each) => each.amps),
    ),
    failsA: beyond?.amps,
    why: beyond ? (beyond.off ? 'shut off' : 'out of tolerance') : undefined,
  };
}
