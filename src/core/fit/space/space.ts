import type { Plan } from '../../model/lookup/plan.ts';
import { keptByReads } from '../../model/lookup/reads.ts';
import type { SeatId } from '../../model/types/types.ts';
import type { Box } from './box.ts';
import { cageBox, driveBoxes, fanBoxes, radiatorBoxes, supplyBoxes } from './inCase.ts';
import { boardBoxes, cardBoxes, coolerBoxes, memoryBoxes, sinkBoxes } from './onBoard.ts';
import { placesOf, type Places } from './places.ts';

export interface Space {
  at: Places;
  boxes: Box[];
}

/** Who makes the boxes of which seats. */
const makers: readonly { seats: RegExp; boxes: (plan: Plan, at: Places) => Box[] }[] = [
  { seats: /^board$/, boxes: boardBoxes },
  { seats: /^cooler$/, boxes: coolerBoxes },
  { seats: /^memory/, boxes: memoryBoxes },
  { seats: /^drive/, boxes: sinkBoxes },
  { seats: /^card/, boxes: cardBoxes },
  { seats: /^supply$/, boxes: supplyBoxes },
  { seats: /^drive/, boxes: driveBoxes },
  { seats: /^fan/, boxes: fanBoxes },
  { seats: /^cooler$/, boxes: radiatorBoxes },
  { seats: /^case$/, boxes: cageBox },
];

/** Everything in the plan's case as boxes in the case's frame; undefined without a case. */
export const spaceOf = keptByReads((plan: Plan): Space | undefined => {
  const at = placesOf(plan);
  return at && { at, boxes: makers.flatMap((maker) => maker.boxes(plan, at)) };
});

/** The boxes of a few seats alone. */
export function boxesOf(plan: Plan, seats: readonly SeatId[]): Box[] {
  const at = placesOf(plan);
  if (!at) return [];
  const all = makers.flatMap((maker) =>
    seats.some((seat) => maker.seats.test(seat)) ? maker.boxes(plan, at) : [],
  );
  return all.filter((box) => seats.includes(box.seat));
}
