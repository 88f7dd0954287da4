import { plugNameIn } from '../model/lookup/ownPlugs.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { plugsOf } from '../model/lookup/reads.ts';
import type { RemedyValue } from '../model/types/remedyValue.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    plugAdapter: { pair: string; from?: string; to?: string };
  }
}

/** An adapter from one plug to another. */
export const plugAdapter = remedy({
  do: 'plugAdapter',
  id: 'adapter',
  fields: {
    pair: { holds: 'word' },
    from: { holds: 'word', aside: true },
    to: { holds: 'word', aside: true },
  },
  title: (value, plan) => `Adapter${between(value, plan)}`,
  minutes: 60,
  get: (value, plan) => ({ what: `adapter${between(value, plan)}`, count: 1 }),
  undoable: true,
});

function between({ from, to }: RemedyValue<'plugAdapter'>, plan: Plan): string {
  if (from === undefined || to === undefined) return '';
  const name = (id: string) => plugNameIn(plugsOf(plan), id);
  return ` ${name(from)} to ${name(to)}`;
}
