import type { Source } from './source.ts';

/** What wire and contacts carry besides their ohms (units/wire.ts), in amps. */

/** One wire in open air, 60 K warmer than the room: chassis wiring. */
export const wireAlone: Record<number, number> = {
  6: 101,
  8: 73,
  10: 55,
  12: 41,
  14: 32,
  16: 22,
  18: 16,
  20: 11,
  22: 7,
  24: 3.5,
};
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

/** Amps of one wire of this gauge among `loaded` loaded wires. Throws RangeError for a gauge without a figure. */
export function wireA(awg: number, loaded: number): number {
  const alone = wireAlone[awg];
  if (alone === undefined) throw new RangeError(`no figure for AWG ${awg}`);
  return alone * (bundles.find((each) => loaded <= each.most)?.share ?? 0.35);
}
