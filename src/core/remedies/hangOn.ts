import { partAt } from '../model/lookup/plan.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { seatName } from '../model/types/seats.ts';
import type { SeatId } from '../model/types/types.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    hangOn: { seat: SeatId; lead: string };
  }
}

/** A part on another lead of the supply. */
export const hangOn = remedy({
  do: 'hangOn',
  id: 'feed',
  fields: { seat: { holds: 'seat' }, lead: { holds: 'word' } },
  title: ({ seat, lead }, plan) => `${seatName(seat)} onto ${leadName(plan, lead)}`,
  step: ({ seat, lead }, plan) => `Hang ${seatName(seat)} on the ${leadName(plan, lead)}`,
  minutes: 5,
  undoable: true,
});

/** A lead by the words of the supply's, or the hub or splitter that sits in a seat. */
const leadName = (plan: Plan, lead: string): string =>
  partAt(plan, lead)?.part.name ??
  (lead === 'main' ? 'main lead' : lead.replace(/(\d+)$/, ' $1').replace(/ {2,}/, ' '));
