import { seatName } from '../model/types/seats.ts';
import type { SeatId } from '../model/types/types.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    limitWatts: { seat: SeatId; watts: number };
  }
}

/** A part held to fewer watts in the firmware. */
export const limitWatts = remedy({
  do: 'limitWatts',
  id: 'limit',
  fields: { seat: { holds: 'seat' }, watts: { holds: 'count' } },
  title: ({ seat, watts }) => `hold the ${seatName(seat)} to ${watts} W`,
  step: ({ seat, watts }) => `Hold ${seatName(seat)} to ${watts} W in the firmware`,
  minutes: 15,
  undoable: true,
  givesUp: 'speed under full load',
});
