import { plain } from '../findings/terms.ts';
import { partsOfKind } from '../model/lookup/plan.ts';
import type { SeatId } from '../model/types/types.ts';
import { ANGLED_BEND_MM, CARD_PLUG_BEND_MM } from '../standards/room.ts';
import { range, subtract } from '../units/range.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    angledPlug: { seat: SeatId };
  }
}

/** An angled plug in a card's power socket: less bend toward the lid or the front. */
export const angledPlug = remedy({
  do: 'angledPlug',
  id: 'angled-lead',
  fields: { seat: { holds: 'seat' } },
  title: () => 'Angled card plug',
  minutes: 5,
  get: () => ({ what: 'angled card plug', count: 1 }),
  undoable: true,
  givesUp: 'one more contact in the path: only for what the adapter carries',
  term: () => plain('angled plug', subtract(range(CARD_PLUG_BEND_MM), ANGLED_BEND_MM), 1),
  options: (plan) => partsOfKind(plan, 'card').map(({ seat }) => [{ do: 'angledPlug', seat }]),
});
