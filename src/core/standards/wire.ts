import { range, type Range } from '../units/range.ts';
import type { Source } from './source.ts';

/** What wire and contacts carry besides their ohms (units/wire.ts), in amps. */

/** One wire in open air, 60 K warmer than the room: chassis wiring. */
export const wireAlone: Record<number, number> = {
  6: 101,
  7: 89,
  8: 73,
  9: 64,
  10: 55,
  11: 47,
  12: 41,
  13: 35,
  14: 32,
  15: 28,
  16: 22,
  17: 19,
  18: 16,
  19: 14,
  20: 11,
  21: 9,
  22: 7,
  23: 4.7,
  24: 3.5,
  25: 2.7,
  26: 2.2,
  27: 1.7,
  28: 1.4,
  29: 1.2,
  30: 0.86,
};
const THICKEST = 6;
const THINNEST = 30;
export const wireSource: Source = {
  title: 'Handbook of Electronic Tables and Formulas for American Wire Gauge',
  clause: 'chassis wiring',
  memory: true,
};

/** Share of it left to each wire when so many loaded ones lie in one bundle. */
export const bundles: readonly { most: number; share: number }[] = [
  { most: 3, share: 1 },
  { most: 6, share: 0.8 },
  { most: 9, share: 0.7 },
  { most: 20, share: 0.5 },
  { most: 30, share: 0.45 },
  { most: 40, share: 0.4 },
  { most: 200, share: 0.35 },
];
export const bundleSource: Source = {
  title: 'National Electrical Code',
  clause: 'table of adjustment for more than three loaded conductors',
  memory: true,
};

/** Resistance of one mated contact, new and aged, ohm (makers' tables, from memory). */
export function contactOhm(pitchMm: number): { fresh: number; aged: number } {
  if (pitchMm >= 4) return { fresh: 0.01, aged: 0.02 };
  if (pitchMm >= 2.9) return { fresh: 0.005, aged: 0.01 };
  return { fresh: 0.03, aged: 0.045 };
}

/** The largest fuse before a wire of this gauge, A. */
const behindFuse: Record<number, number> = { 18: 7, 16: 10, 14: 15, 12: 20, 10: 30 };
export const fuseSource: Source = {
  title:
    'National Electrical Code 240.4(D); UL 248-14 and IEC 60127 for how long a fuse carries more',
  clause: 'small conductors; 1.35 times for up to an hour',
  memory: true,
};
/** Times its rating a fuse may carry up to an hour (UL 248-14). */
export const FUSE_CARRIES = 1.35;
/** A fuse carries for ever only what a quarter less than its rating is (common practice of the same standard). */
export const FUSE_LOAD = 1.25;
/** Of the open-air figure, what a fused wire in a bundle or in PVC is left where the code names no fuse. */
const FUSED_SHARE = 0.44;

/** The largest fuse that surely saves a wire of this gauge, and the largest that might: bundled, and alone in open air. */
export function fuseFor(awg: number): Range {
  const alone = wireSpan(awg, 1);
  const sure = behindFuse[awg] ?? alone.lo * FUSED_SHARE;
  return { lo: sure, hi: Math.max(sure, alone.hi / FUSE_CARRIES) };
}

/** Amps of one wire of any gauge: between none and the thinnest wire's where there is no figure for so thin a one. */
export function wireSpan(awg: number, loaded: number): Range {
  const known = wireAlone[awg];
  if (known !== undefined) return range(wireA(awg, loaded));
  const gauge = Math.min(THINNEST, Math.max(THICKEST, Math.round(awg)));
  const next = wireA(gauge, loaded);
  if (awg > THINNEST) return range(0, next);
  /* Between two gauges of the table, or thicker than all of it. */
  return awg < THICKEST
    ? range(next, next * 10)
    : range(wireA(Math.ceil(awg), loaded), wireA(Math.floor(awg), loaded));
}

/** Amps of one wire of this gauge among `loaded` loaded wires. Throws RangeError for a gauge without a figure. */
export function wireA(awg: number, loaded: number): number {
  const alone = wireAlone[awg];
  if (alone === undefined) throw new RangeError(`no figure for AWG ${awg}`);
  return alone * (bundles.find((each) => loaded <= each.most)?.share ?? 0.35);
}
