import { partsOfKind } from '../model/lookup/plan.ts';
import { seatName } from '../model/types/seats.ts';
import type { SeatId } from '../model/types/types.ts';
import { remedy } from './kind.ts';
import { otherPlaces } from './mounts.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    moveDrive: { seat: SeatId; to: string };
  }
}

/** A drive on another mount of the case. */
export const moveDrive = remedy({
  do: 'moveDrive',
  id: 'drive-to',
  fields: { seat: { holds: 'seat' }, to: { holds: 'word' } },
  title: ({ seat, to }) => `${seatName(seat)} to the ${to} mount`,
  step: ({ seat, to }) => `Hang ${seatName(seat)} on the ${to} mount`,
  minutes: 12,
  undoable: true,
  options: (plan) =>
    partsOfKind(plan, 'drive').map((drive) =>
      otherPlaces(plan, drive).map((to) => ({ do: 'moveDrive', seat: drive.seat, to })),
    ),
  moves: ({ seat }) => seat,
});
