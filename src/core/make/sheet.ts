import type { SheetMaterial } from '../model/types/makeTypes.ts';
import { commonPractice, type Source } from '../standards/source.ts';
import { range, type Range } from '../units/range.ts';

/** What sheet of a material stands: how it bends, and how little of it may be left standing. */
export interface SheetKind {
  /** Where the sheet keeps its length in a bend, as a share of its thickness from the inside; undefined: it does not bend. */
  k?: Range;
  /** Least inside radius, times the thickness. A range where temper decides. */
  leastRadius?: Range;
  /** Least left standing between two openings: times the thickness, and in mm at least. */
  web: { times: number; mm: number };
}

/**
 * Neutral axis: L = (0.55, 0.64, 0.71 T + 1.57 R) for a right angle, so K = 0.35, 0.41, 0.45: soft brass and
 * copper; soft steel and aluminium, half-hard; cold-rolled, spring and stainless.
 */
export const bendSource: Source = {
  title: "Machinery's Handbook, lengths of straight stock before bending",
  memory: true,
};
export const webSource: Source = commonPractice;

const kinds: Record<SheetMaterial, SheetKind> = {
  steel: { k: range(0.41, 0.45), leastRadius: range(0.5, 1), web: { times: 2, mm: 1.5 } },
  stainless: { k: range(0.45), leastRadius: range(1, 1.5), web: { times: 2, mm: 1.5 } },
  aluminium: { k: range(0.35, 0.45), leastRadius: range(0.5, 2), web: { times: 2, mm: 1.5 } },
  /* Brittle: it cracks from every sharp corner. */
  acrylic: { web: { times: 2, mm: 4 } },
  plywood: { web: { times: 2, mm: 6 } },
};

export const sheetKind = (material: SheetMaterial): SheetKind => kinds[material];

/** Least metal to leave between two openings, or to an edge, mm (common practice, no source). */
export const leastWebMm = (material: SheetMaterial, thick: number): number =>
  Math.max(kinds[material].web.times * thick, kinds[material].web.mm);
