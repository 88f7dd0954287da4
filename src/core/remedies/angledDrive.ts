import { plain } from '../findings/terms.ts';
import { partsOfKind } from '../model/lookup/plan.ts';
import { seatName } from '../model/types/seats.ts';
import type { SeatId } from '../model/types/types.ts';
import { DRIVE_ANGLED_MM, DRIVE_BEND_MM } from '../standards/room.ts';
import { range } from '../units/range.ts';
import { remedy } from './kind.ts';
import { mountsOf } from './mounts.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    angledDrive: { seat: SeatId };
  }
}

/** Leads of a drive whose plugs go off at an angle. */
export const angledDrive = remedy({
  do: 'angledDrive',
  id: 'angled-drive',
  fields: { seat: { holds: 'seat' } },
  title: ({ seat }) => `Angled leads for ${seatName(seat)}`,
  minutes: 5,
  get: () => ({ what: 'angled SATA leads, power and data', count: 1 }),
  undoable: true,
  term: () =>
    plain(
      'angled plugs',
      range(DRIVE_BEND_MM.lo - DRIVE_ANGLED_MM.lo, DRIVE_BEND_MM.hi - DRIVE_ANGLED_MM.hi),
      1,
    ),
  options: (plan) =>
    mountsOf(plan)?.some(({ deep }) => deep !== undefined)
      ? partsOfKind(plan, 'drive').map(({ seat }) => [{ do: 'angledDrive', seat }])
      : [],
});
