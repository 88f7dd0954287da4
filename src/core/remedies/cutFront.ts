import { plain } from '../findings/terms.ts';
import { partsOfKind } from '../model/lookup/plan.ts';
import type { SeatId } from '../model/types/types.ts';
import { range } from '../units/range.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    cutFront: { seat: SeatId };
  }
}

/** What can be cut from the wall in front without weakening it, mm (common practice, no source). */
const CUT_MM = 30;

/** An opening in the wall in front of a card. */
export const cutFront = remedy({
  do: 'cutFront',
  id: 'cut-front',
  fields: { seat: { holds: 'seat' } },
  title: () => `Cut ${CUT_MM} mm into the wall in front`,
  step: () => 'Cut the wall in front of the card',
  minutes: 55,
  undoable: false,
  cuts: true,
  spoils: 'an opening in the front',
  term: () => plain('cut', range(CUT_MM), 1),
  options: (plan) => partsOfKind(plan, 'card').map(({ seat }) => [{ do: 'cutFront', seat }]),
});
