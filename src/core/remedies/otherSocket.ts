import { numberAt, partOfKind, partsOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { seatName } from '../model/types/seats.ts';
import type { SeatId } from '../model/types/types.ts';
import { sunkDrives } from './cutSink.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    otherSocket: { seat: SeatId };
  }
}

/** Has the board, as far as somebody said, a socket more than there are drives for them? */
export function hasOtherSocket(plan: Plan): boolean {
  const board = partOfKind(plan, 'board');
  const sockets = board && numberAt(plan, board, 'm2');
  const used = partsOfKind(plan, 'drive').filter(
    (drive) => textAt(plan, drive, 'form')?.text === 'M.2',
  );
  return (sockets?.lo ?? 0) > used.length;
}

/** An M.2 drive in another socket of the board, away from what lies over it. */
export const otherSocket = remedy({
  do: 'otherSocket',
  id: 'other-m2',
  fields: { seat: { holds: 'seat' } },
  title: ({ seat }) => `${seatName(seat)} in another M.2 socket`,
  step: ({ seat }) => `Put ${seatName(seat)} in another M.2 socket`,
  minutes: 5,
  undoable: true,
  options: (plan) =>
    hasOtherSocket(plan) ? sunkDrives(plan).map(({ seat }) => [{ do: 'otherSocket', seat }]) : [],
  moves: ({ seat }) => seat,
});
