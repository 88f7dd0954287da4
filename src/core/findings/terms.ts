import type { ResolvedNumber, ResolvedText } from '../model/lookup/lookup.ts';
import type { FactKey, NumberKey } from '../model/properties/index.ts';
import type { Placed } from '../model/lookup/plan.ts';
import { isExact, type Range } from '../units/range.ts';
import type { Finding, Term } from './finding.ts';

/** A line of a sum that rests on one number of one part. */
export function termOf(
  placed: Placed,
  key: NumberKey,
  label: string,
  sign: 1 | -1,
  told: ResolvedNumber,
): Term & { value: Range } {
  return {
    label,
    value: { lo: told.lo, hi: told.hi },
    sign,
    how: told.how,
    source: told.source,
    input: { partId: placed.part.id, key, seat: placed.seat },
  };
}

/** A word of a part as one side of a match. */
export function wordOf(
  placed: Placed,
  key: FactKey,
  label: string,
  told: ResolvedText | undefined,
) {
  return {
    label,
    value: told?.text,
    how: told?.how,
    source: told?.source,
    input: { partId: placed.part.id, key, seat: placed.seat },
  };
}

/** A plain line with no fact behind it. */
export function plain<V extends Range | string>(
  label: string,
  value: V,
  sign: 1 | -1 | 0,
): Term & { value: V } {
  return { label, value, sign };
}

/** Open because nobody measured it: a class's range that still has width, or a word nobody said. */
export const isOpen = (term: Term): boolean =>
  typeof term.value === 'string'
    ? term.value === '?'
    : term.how === 'class' && !isExact(term.value);

/** A sum of fit that may come out either way: its open range reaches below nothing, and no remedy to get stands in it. */
export const mayFail = ({ station, mark, terms, margin }: Finding): boolean =>
  station === 'fit' &&
  mark === 'watch' &&
  !terms.some((term) => term.value === 'taken') &&
  (margin?.lo ?? -1) < 0;
