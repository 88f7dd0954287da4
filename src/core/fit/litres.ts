import { numberAt, type Placed, type Plan } from '../model/lookup/plan.ts';
import type { Range } from '../units/range.ts';

/** Under about this hot air leaves by itself if cooler and card draw straight through the panel (common practice, no source). */
export const PASSIVE_LITRES = 15;

/** Litres of a case by its outside, without feet; undefined while a side is not known. */
export function litresOf(plan: Plan, shell: Placed): Range | undefined {
  const sides = (['outerWidth', 'outerHeight', 'outerDepth'] as const).map((key) =>
    numberAt(plan, shell, key),
  );
  const product = (bound: 'lo' | 'hi') =>
    sides.reduce((volume, side) => volume * (side?.[bound] ?? NaN), 1) / 1e6;
  if (sides.some((side) => side === undefined)) return undefined;
  return { lo: product('lo'), hi: product('hi') };
}

/** The class of a case by its litres (common practice, no source). */
export function litreClass(litres: number): string {
  if (litres < 5) return 'micro';
  if (litres < PASSIVE_LITRES) return 'small';
  if (litres < 25) return 'middling';
  return 'large';
}
