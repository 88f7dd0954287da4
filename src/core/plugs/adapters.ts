import type { Mark } from '../findings/finding.ts';
import { partsOfKind, listAt, textAt, type Placed, type Plan } from '../model/lookup/plan.ts';

/** An adapter of the plan that joins these two, and how far it may be trusted. */
export interface Adapter {
  placed: Placed;
  mark: Mark;
  rest: string;
  say: string;
}

/** The adapter among the small parts of the plan that takes this plug and gives that one. */
export function adapterFor(plan: Plan, from: string, to: string): Adapter | undefined {
  const placed = partsOfKind(plan, 'small').find(
    (each) =>
      listAt(plan, each, 'joinsFrom')?.items.includes(from) &&
      listAt(plan, each, 'joinsTo')?.items.includes(to),
  );
  if (!placed) return undefined;
  const proved = textAt(plan, placed, 'proved')?.text;
  if (proved === 'live')
    return {
      placed,
      mark: 'clear',
      rest: 'adapter, proved',
      say: `${placed.part.name} joins them; proved under load.`,
    };
  if (proved === 'buzzed out')
    return {
      placed,
      mark: 'watch',
      rest: 'adapter, not live yet',
      say: `${placed.part.name} is buzzed out. Take its live sheet, first power through a current limit.`,
    };
  return {
    placed,
    mark: 'mend',
    rest: 'adapter, not proved',
    say: `${placed.part.name} has not been buzzed out: take its continuity sheet before anything is plugged in.`,
  };
}
