import type { MakeScrew } from '../model/types/makeTypes.ts';
import { threads } from '../standards/threads.ts';
import type { Source } from '../standards/source.ts';

/** Holes a screw passes, mm: ISO 273 fine; unified ones close fit, ASME B18.2.8 (from memory). */
const passes: Record<MakeScrew, number> = {
  M2: 2.2,
  'M2.5': 2.7,
  M3: 3.2,
  M4: 4.3,
  '6-32': 3.7,
  '4-40': 3,
};

/** Heads, mm across: pan heads, ISO 7045 and ASME B18.6.3 (from memory). */
const heads: Record<MakeScrew, number> = {
  M2: 4,
  'M2.5': 5,
  M3: 5.6,
  M4: 8,
  '6-32': 6.9,
  '4-40': 5.6,
};

export const screwSource: Source = {
  title: 'ISO 273, ISO 261, ASME B1.1',
  clause: 'clearance holes; tapping drill is diameter less pitch',
  memory: true,
};

export const passHole = (screw: MakeScrew): number => passes[screw];
export const headMm = (screw: MakeScrew): number => heads[screw];

/** Drill for a thread cut into the sheet: diameter less pitch, to the tenth. */
export function tapDrill(screw: MakeScrew): number {
  const thread = threads.find(({ name }) => name === screw);
  if (!thread) throw new RangeError(`no thread ${screw}`);
  return Math.round((thread.diameterMm - thread.pitchMm) * 10) / 10;
}

/** Turns a thread needs in the sheet before it holds (common practice, no source). */
export const LEAST_TURNS = 2;

export const turnsIn = (screw: MakeScrew, thick: number): number => {
  const pitch = threads.find(({ name }) => name === screw)?.pitchMm ?? 1;
  return thick / pitch;
};
