import type { Range } from '$core/units/range.ts';
import { MM_PER_INCH, trim } from '$core/units/length.ts';

/** A range as the eye reads it: true minus, an en dash between bounds ("to" where one is negative), inches where wished. */
export function show(value: Range, unit: string, lengths: 'mm' | 'in' = 'mm'): string {
  const inches = unit === 'mm' && lengths === 'in';
  const digits = inches ? 2 : unit === 'A' ? 1 : unit === 'W' || unit === '' ? 0 : 1;
  const factor = inches ? 1 / MM_PER_INCH : 1;
  const one = (n: number) => {
    const text = trim(n * factor, digits);
    return text.replace('-', '−');
  };
  const [lo, hi] = [one(value.lo), one(value.hi)];
  if (lo === hi) return lo;
  return value.lo < 0 ? `${lo} to ${hi}` : `${lo}–${hi}`;
}

export const unitWord = (unit: string, lengths: 'mm' | 'in'): string =>
  unit === 'mm' ? lengths : unit;
