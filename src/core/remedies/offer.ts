import type { Mark, Remedy, Term } from '../findings/finding.ts';
import { markOf } from '../findings/gap.ts';
import { isApplied, type Plan } from '../model/lookup/plan.ts';
import type { RemedyValue } from '../model/types/remedyValue.ts';
import { add, scale, type Range } from '../units/range.ts';
import { kindOf, minutesOf, moneyOf, titleOf, toGet } from './index.ts';

/** A remedy as a finding offers it, with the mark it leaves. */
export function offer(plan: Plan, value: RemedyValue, mark: Mark, rest?: Range): Remedy {
  const { undoable, givesUp, spoils } = kindOf(value);
  const get = toGet(value, plan);
  return {
    value,
    title: titleOf(value, plan),
    mark,
    minutes: minutesOf(value),
    money: moneyOf(value, plan),
    undoable,
    ...(rest && { margin: rest }),
    ...(givesUp !== undefined && { givesUp }),
    ...(spoils !== undefined && { spoils }),
    ...(get && { get }),
  };
}

/** A remedy that adds its line to the sum, with what it leaves; none where it adds nothing to this one. */
export function offerIn(plan: Plan, value: RemedyValue, rest: Range, margin: number): Remedy[] {
  const term = termOfRemedy(plan, value);
  if (!term || typeof term.value === 'string') return [];
  const left = add(rest, scale(term.value, term.sign));
  const mark = markOf(left, margin);
  const given = kindOf(value).givesUp !== undefined;
  return [{ ...offer(plan, value, mark === 'clear' && given ? 'watch' : mark, left), term }];
}

export const termOfRemedy = (plan: Plan, value: RemedyValue): Term | undefined =>
  kindOf(value).term?.(plan, value);

/** The lines of those remedies that the plan applies. */
export const appliedTerms = (plan: Plan, values: readonly RemedyValue[]): Term[] =>
  values.flatMap((value) => (isApplied(plan, value) ? (termOfRemedy(plan, value) ?? []) : []));
