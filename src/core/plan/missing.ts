import type { Finding } from '../findings/finding.ts';
import { partOfKind, type Plan } from '../model/lookup/plan.ts';
import { kindName } from '../model/types/seats.ts';
import type { Kind } from '../model/types/types.ts';
import { commonPractice } from '../standards/source.ts';

const missingId = (kind: Kind): string => `missing-${kind}`;
/** Is it a finding of `missing`? */
export const isMissing = (id: string): boolean => vital.some(([kind]) => id === missingId(kind));

/** What a machine does not start without, and what becomes of it. */
const vital: readonly (readonly [Kind, string])[] = [
  ['supply', 'Nothing feeds it.'],
  ['board', 'There is nothing to put the rest on.'],
  ['processor', 'It does nothing without one.'],
  ['cooler', 'A CPU must not be started without its cooler: it is too hot within seconds.'],
  ['memory', 'It beeps and does nothing.'],
];

/**
 * What the plan lacks to be a machine: said once most of it is there, for before that a plan is only begun.
 * Of a machine that was taken in only what the plan takes out is missed: no tool lists a cooler.
 */
export function missing(plan: Plan): Finding[] {
  const gone = (kind: Kind) => !plan.machine || plan.goes.some((each) => each.kind === kind);
  const lacks = vital.filter(([kind]) => !partOfKind(plan, kind) && gone(kind));
  if (lacks.length === 0 || lacks.length > 2) return [];
  return lacks.map(([kind, say]) => ({
    id: missingId(kind),
    station: 'take-in',
    mark: 'stop',
    title: `${kindName(kind)} of the plan`,
    seats: [],
    unit: '',
    terms: [],
    marginLabel: 'missing',
    say: `No ${kindName(kind)} in the plan. ${say}`,
    source: commonPractice,
    remedies: [],
    undoMinutes: 30,
  }));
}
