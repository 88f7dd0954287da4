/**
 * A value known between two bounds, in whatever unit its name carries.
 * `lo <= hi` always; an exact value has `lo === hi`. Sums of ranges are interval
 * arithmetic: the result holds every value the parts could take.
 */
export interface Range {
  lo: number;
  hi: number;
}

/** A range from its bounds, in either order. Throws RangeError when a bound is not finite. */
export function range(a: number, b: number = a): Range {
  if (!Number.isFinite(a) || !Number.isFinite(b)) throw new RangeError(`invalid range: ${a}..${b}`);
  return a <= b ? { lo: a, hi: b } : { lo: b, hi: a };
}

export const zero: Range = { lo: 0, hi: 0 };

export function add(a: Range, b: Range): Range {
  return { lo: a.lo + b.lo, hi: a.hi + b.hi };
}

export function subtract(a: Range, b: Range): Range {
  return { lo: a.lo - b.hi, hi: a.hi - b.lo };
}

/** Times a number; a negative factor turns the bounds round. */
export function scale(a: Range, factor: number): Range {
  return factor < 0
    ? { lo: a.hi * factor, hi: a.lo * factor }
    : { lo: a.lo * factor, hi: a.hi * factor };
}

export function total(ranges: readonly Range[]): Range {
  return ranges.reduce(add, zero);
}

/** The middle, in the unit of the range. */
export function mid({ lo, hi }: Range): number {
  return (lo + hi) / 2;
}

export function isExact(a: Range): boolean {
  return a.hi - a.lo < 1e-9;
}

export function width(a: Range): number {
  return a.hi - a.lo;
}

/** The part of `a` that lies below `limit`, as a share of its width (0 to 1), all values alike likely. */
export function shareBelow(a: Range, limit: number): number {
  if (isExact(a)) return a.lo < limit ? 1 : 0;
  return Math.min(1, Math.max(0, (limit - a.lo) / (a.hi - a.lo)));
}

/** The values both ranges allow, or undefined when they contradict each other. */
export function intersection(a: Range, b: Range): Range | undefined {
  const lo = Math.max(a.lo, b.lo);
  const hi = Math.min(a.hi, b.hi);
  return lo <= hi ? { lo, hi } : undefined;
}
