import type { SeatId } from '../model/types/types.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    tilt: { seats: readonly SeatId[] };
  }
}

/** A part tilted in where no straight way leads. */
export const tilt = remedy({
  do: 'tilt',
  id: 'tilt',
  fields: { seats: { holds: 'seats' } },
  title: () => 'Tilt it in: tried, goes',
  step: () => 'Tilt it in as tried',
  minutes: 3,
  undoable: true,
});
