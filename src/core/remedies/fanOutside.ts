import { plain } from '../findings/terms.ts';
import { partsOfKind } from '../model/lookup/plan.ts';
import { seatName } from '../model/types/seats.ts';
import type { SeatId } from '../model/types/types.ts';
import { range } from '../units/range.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    fanOutside: { seat: SeatId };
  }
}

/** How thick a usual fan is, mm (common practice, no source). */
const FAN_MM = 25;

/** A fan of the front screwed on from outside. */
export const fanOutside = remedy({
  do: 'fanOutside',
  id: 'fan-outside',
  fields: { seat: { holds: 'seat' } },
  title: ({ seat }) => `${seatName(seat)} to the outside of the front`,
  step: ({ seat }) => `Screw ${seatName(seat)} to the outside of the front`,
  minutes: 20,
  undoable: true,
  spoils: 'a fan to be seen',
  term: () => plain('fan outside', range(FAN_MM), 1),
  options: (plan) => partsOfKind(plan, 'fan').map(({ seat }) => [{ do: 'fanOutside', seat }]),
  moves: ({ seat }) => seat,
});
