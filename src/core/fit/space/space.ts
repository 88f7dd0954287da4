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

/** Boxes of one kind of part; where a seat is wanted, of that one at least. */
type Boxes = (plan: Plan, at: Places, wanted?: SeatId) => Box[];

/** Who makes the boxes of which kind. */
const makers: readonly (readonly [Kind, Boxes])[] = [
  ['board', boardBoxes],
  ['cooler', coolerBoxes],
  ['memory', memoryBoxes],
  ['drive', sinkBoxes],
  ['card', cardBoxes],
  ['supply', supplyBoxes],
  ['drive', driveBoxes],
  ['fan', fanBoxes],
  ['cooler', radiatorBoxes],
  ['case', cageBox],
];

/** Everything in the plan's case as boxes in the case's frame; undefined without a case. */
export const spaceOf = keptByReads((plan: Plan): Space | undefined => {
  const at = placesOf(plan);
  return at && { at, boxes: makers.flatMap(([, boxes]) => boxes(plan, at)) };
});

/** The boxes of a few seats alone. */
export const boxesOf = (plan: Plan, seats: readonly SeatId[]): Box[] =>
  seats.flatMap((seat) => boxesIn(plan, seat));

function boxesIn(plan: Plan, seat: SeatId): Box[] {
  const at = placesOf(plan);
  const of = kindOfSeat(seat);
  if (!at) return [];
  return makers
    .flatMap(([kind, boxes]) => (kind === of ? boxes(plan, at, seat) : []))
    .filter((box) => box.seat === seat);
}
