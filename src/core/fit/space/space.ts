import type { Plan } from '../../model/lookup/plan.ts';
import { keptByReads } from '../../model/lookup/reads.ts';
import { kindOfSeat } from '../../model/types/seats.ts';
import type { Kind, SeatId } from '../../model/types/types.ts';
import type { Box } from './box.ts';
import { cageBox, driveBoxes, fanBoxes, radiatorBoxes, supplyBoxes } from './inCase.ts';
import { boardBoxes, cardBoxes, coolerBoxes, memoryBoxes, sinkBoxes } from './onBoard.ts';
import { placesOf, type Places } from './places.ts';

export interface Space {
  at: Places;
  boxes: Box[];
}

/** Who makes the boxes of which kind. */
const makers: readonly { kind: Kind; boxes: (plan: Plan, at: Places) => Box[] }[] = [
  { kind: 'board', boxes: boardBoxes },
  { kind: 'cooler', boxes: coolerBoxes },
  { kind: 'memory', boxes: memoryBoxes },
  { kind: 'drive', boxes: sinkBoxes },
  { kind: 'card', boxes: cardBoxes },
  { kind: 'supply', boxes: supplyBoxes },
  { kind: 'drive', boxes: driveBoxes },
  { kind: 'fan', boxes: fanBoxes },
  { kind: 'cooler', boxes: radiatorBoxes },
  { kind: 'case', boxes: cageBox },
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
  const kinds = new Set(seats.map(kindOfSeat));
  const all = makers.flatMap((maker) => (kinds.has(maker.kind) ? maker.boxes(plan, at) : []));
  return all.filter((box) => seats.includes(box.seat));
}
