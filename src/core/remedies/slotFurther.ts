import { plain } from '../findings/terms.ts';
import { numberAt, partOfKind, partsOfKind, type Plan } from '../model/lookup/plan.ts';
import { seatName } from '../model/types/seats.ts';
import type { SeatId } from '../model/types/types.ts';
import { range } from '../units/range.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    slotFurther: { seat: SeatId };
  }
}

/** From a slot to the second after it, mm (common practice, no source). */
const TWO_SLOTS_MM = 19;

/** Has the board, as far as it was said, a slot two further for every module? Toward the front, away from the CPU. */
export function hasSlotFurther(plan: Plan): boolean {
  const board = partOfKind(plan, 'board');
  const slots = board && numberAt(plan, board, 'memorySlots');
  return (slots?.hi ?? Infinity) >= partsOfKind(plan, 'memory').length + 2;
}

/** A memory module two slots further from the CPU: toward the front, into what lies there. */
export const slotFurther = remedy({
  do: 'slotFurther',
  id: 'slot-far',
  fields: { seat: { holds: 'seat' } },
  title: ({ seat }) => `Put ${seatName(seat)} two slots further`,
  step: ({ seat }) => `Put ${seatName(seat)} two slots further from the CPU`,
  minutes: 2,
  undoable: true,
  term: () => plain('two slots further', range(TWO_SLOTS_MM), 1),
  options: (plan) =>
    hasSlotFurther(plan)
      ? partsOfKind(plan, 'memory').map(({ seat }) => [{ do: 'slotFurther', seat }])
      : [],
  moves: ({ seat }) => seat,
});
