import { plain } from '../findings/terms.ts';
import type { SeatId } from '../model/types/types.ts';
import { RIBBON_ANGLED_MM, RIBBON_STRAIGHT_MM } from '../standards/room.ts';
import { range } from '../units/range.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    angledRibbon: { seat: SeatId };
  }
}

/** A ribbon whose socket end goes off at an angle. */
export const angledRibbon = remedy({
  do: 'angledRibbon',
  id: 'angled-ribbon',
  fields: { seat: { holds: 'seat' } },
  title: () => 'Ribbon with an angled socket end',
  minutes: 10,
  get: () => ({ what: 'ribbon riser with an angled socket end', count: 1 }),
  undoable: true,
  term: () =>
    plain(
      'angled end',
      range(
        RIBBON_STRAIGHT_MM.lo - RIBBON_ANGLED_MM.lo,
        RIBBON_STRAIGHT_MM.hi - RIBBON_ANGLED_MM.hi,
      ),
      1,
    ),
});
