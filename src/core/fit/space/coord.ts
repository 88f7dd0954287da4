import type { NumberKey } from '../../model/properties/index.ts';
import { restOf } from '../../findings/gap.ts';
import type { Term } from '../../findings/finding.ts';
import type { Placed, Plan } from '../../model/lookup/plan.ts';
import { numberAt } from '../../model/lookup/plan.ts';
import { scale, type Range } from '../../units/range.ts';

/**
 * A place along one axis, mm: a sum of measures. The way from one place to another is the
 * difference of the sums: what both rest on falls out, so two parts on the same unmeasured
 * board are judged by the distance between them alone. The sum that is left is the tape's.
 */
export interface Coord extends Range {
  terms: readonly Term[];
}

export type NumberTerm = Term & { value: Range };

export function coord(...terms: readonly NumberTerm[]): Coord {
  return { terms, ...restOf(terms) };
}

/** A place further along by these measures. */
export function beyond(from: Coord, ...terms: readonly NumberTerm[]): Coord {
  let { lo, hi } = from;
  for (const { value, sign } of terms) {
    lo += sign === 1 ? value.lo : sign === 0 ? 0 : -value.hi;
    hi += sign === 1 ? value.hi : sign === 0 ? 0 : -value.lo;
  }
  return { terms: [...from.terms, ...terms], lo, hi };
}

export const origin: Coord = coord();

/** The sum from one place to another, shared measures left out. */
export function offsetTerms(from: Coord, to: Coord): Term[] {
  const left: Term[] = [...to.terms];
  for (const term of from.terms) {
    const at = left.findIndex((other) => other.sign === term.sign && same(other, term));
    if (at >= 0) left.splice(at, 1);
    else left.push({ ...term, sign: term.sign === 1 ? -1 : 1 });
  }
  return left;
}

/** The bounds of that sum alone, added in the same order without making it. */
export function offset(from: Coord, to: Coord): Range {
  const [near, far] = [from.terms, to.terms];
  let [nearOut, farOut] = [0, 0];
  for (let i = 0; i < near.length; i += 1) {
    const term = near[i] as Term;
    const j = like(far, far.length, farOut, term, term.sign);
    if (j >= 0) {
      farOut |= 1 << j;
      nearOut |= 1 << i;
      continue;
    }
    const k = like(near, i, nearOut, term, -term.sign);
    if (k >= 0) nearOut |= (1 << k) | (1 << i);
  }
  let [lo, hi] = [0, 0];
  for (let j = 0; j < far.length; j += 1) {
    const { value, sign } = far[j] as Term;
    if (farOut & (1 << j) || typeof value === 'string' || sign === 0) continue;
    lo += sign === 1 ? value.lo : -value.hi;
    hi += sign === 1 ? value.hi : -value.lo;
  }
  for (let i = 0; i < near.length; i += 1) {
    const { value, sign } = near[i] as Term;
    if (nearOut & (1 << i) || typeof value === 'string' || sign === 0) continue;
    lo += sign === 1 ? -value.hi : value.lo;
    hi += sign === 1 ? -value.lo : value.hi;
  }
  return { lo, hi };
}

/** The first of so many terms that says the same with this sign and is not left out by its bit; -1 for none. */
function like(
  terms: readonly Term[],
  count: number,
  out: number,
  term: Term,
  sign: number,
): number {
  for (let i = 0; i < count; i += 1) {
    const other = terms[i] as Term;
    if (other.sign === sign && !(out & (1 << i)) && same(other, term)) return i;
  }
  return -1;
}

function same(a: Term, b: Term): boolean {
  if (a === b) return true;
  if (a.label !== b.label) return false;
  const [one, two] = [a.input, b.input];
  if (!one || !two) return one === two && sameValue(a.value, b.value);
  return one.partId === two.partId && one.key === two.key;
}

const sameValue = (a: Term['value'], b: Term['value']) =>
  typeof a === 'string' || typeof b === 'string' ? a === b : a.lo === b.lo && a.hi === b.hi;

/** A measure of a part as a term, times a factor (half a width); undefined when even its class is unknown. */
export function measure(
  plan: Plan,
  placed: Placed,
  key: NumberKey,
  label: string,
  sign: 1 | -1 = 1,
  factor = 1,
): NumberTerm | undefined {
  const told = numberAt(plan, placed, key);
  return (
    told && {
      label,
      value: scale({ lo: told.lo, hi: told.hi }, factor),
      sign,
      how: told.how,
      source: told.source,
      input: { partId: placed.part.id, key, seat: placed.seat },
    }
  );
}

/** A place that is usual, not measured: a range of common practice. */
export const usual = (label: string, value: Range, sign: 1 | -1 = 1): NumberTerm => ({
  label,
  value,
  sign,
});

export const flipped = (term: NumberTerm): NumberTerm => ({
  ...term,
  sign: term.sign === 1 ? -1 : 1,
});
