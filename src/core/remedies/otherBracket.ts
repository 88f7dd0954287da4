import { partAt } from '../model/lookup/plan.ts';
import type { SeatId } from '../model/types/types.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    otherBracket: { seat: SeatId };
  }
}

/** A card's bracket of the other height. */
export const otherBracket = remedy({
  do: 'otherBracket',
  id: 'bracket',
  fields: { seat: { holds: 'seat' } },
  title: () => 'Fit the other bracket',
  minutes: 10,
  get: ({ seat }, plan) => {
    const card = partAt(plan, seat);
    return { what: `bracket for ${card?.part.name ?? 'the card'}`, count: 1 };
  },
  made: (thing) => thing.do === 'slot bracket',
  undoable: true,
});
