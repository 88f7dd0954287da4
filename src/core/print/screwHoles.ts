import { headMm, passHole } from '../make/screws.ts';
import type { MakeScrew } from '../model/types/makeTypes.ts';
import type { ScrewHold } from '../model/types/printTypes.ts';
import { table } from '../units/table.ts';

/** Holes a screw cuts its own thread into, and those a brass insert is pressed into, mm (common practice, no source). */
const selfCut = table<number>({ M2: 1.7, 'M2.5': 2.1, M3: 2.6, M4: 3.5, '6-32': 2.9, '4-40': 2.3 });
const insert = table<number>({ M2: 3.2, 'M2.5': 3.6, M3: 4, M4: 5.6, '6-32': 4.8, '4-40': 4 });

/** A screw's hole in a print, mm across, with what it comes out narrower. */
export function screwHole({
  screw,
  hold,
  gap,
}: {
  screw: MakeScrew;
  hold: ScrewHold;
  gap: number;
}): number {
  const bare =
    hold === 'through' ? passHole(screw) : ((hold === 'insert' ? insert : selfCut)[screw] ?? 0);
  return bare + gap;
}

/** What must stand round such a hole, mm: a thread that is cut and an insert burst what is thinner (common practice, no source). */
export const aroundHole = (hold: ScrewHold): number =>
  hold === 'through' ? 1.2 : hold === 'self-cut' ? 1.6 : 2;

export const headAcross = (screw: MakeScrew): number => headMm(screw);
/** How deep a head is let in, mm (common practice, no source). */
export const HEAD_DEEP = 3;
/** How deep a screw goes into a post, mm. */
export const SCREW_DEEP = 12;
