import type { NumberKey } from '../../model/properties/index.ts';
import { numberAt, partOfKind, textAt, type Placed, type Plan } from '../../model/lookup/plan.ts';
import { keptByReads } from '../../model/lookup/reads.ts';
import { supplyPlaceOf } from '../../remedies/supplyOutside.ts';
import { supplyFormat } from '../../standards/room.ts';
import { topOverBoardMm } from '../../standards/sockets.ts';
import { range, type Range } from '../../units/range.ts';
import { beyond, coord, flipped, measure, usual, type Coord, type NumberTerm } from './coord.ts';

/**
 * The places everything else is measured from: where the board, its socket and its first slot
 * lie, and how deep the board's surface is under the lid. Ranges without a measure behind them
 * are common practice, no source.
 */
export interface Places {
  shell: Placed;
  supplyAt: string | undefined;
  boardX: Coord;
  boardY: Coord;
  shieldX: Coord;
  socketX: Coord;
  socketY: Coord;
  memoryX: Coord;
  slotY: Coord;
  /** Undefined while neither the cooler height clearance nor its class is known. */
  socketW?: Coord | undefined;
  surfaceW?: Coord | undefined;
  slotW?: Coord | undefined;
  /** The front inside, if the depth is known. */
  frontX?: Coord | undefined;
  bottomY?: Coord | undefined;
  trayW?: Coord | undefined;
  /** Where the room for a card ends, and where it ends without the cage. */
  cardEndX?: Coord | undefined;
  cageEndX?: Coord | undefined;
}

const NOTHING = range(0);

export const placesOf = keptByReads((plan: Plan): Places | undefined => {
  const shell = partOfKind(plan, 'case');
  return shell && makePlaces(plan, shell);
});

function makePlaces(plan: Plan, shell: Placed): Places {
  const board = partOfKind(plan, 'board');
  const supplyAt = supplyPlaceOf(plan);
  const boardX = coord(usual('board off the rear wall', range(0, 2)));
  const boardY = boardTop(plan, supplyAt);
  const shieldX = beyond(boardX, usual('block of ports', range(16, 32)));
  const of = (key: NumberKey, label: string, sign: 1 | -1 = 1) =>
    (board && measure(plan, board, key, label, sign)) ?? usual(label, NOTHING, sign);
  const socketX = beyond(shieldX, of('toShield', 'ports to the CPU'));
  const slotY = beyond(
    boardY,
    usual('port end to the first slot', range(160, 167)),
    ...slotsOn(plan, board),
  );
  const room = measure(plan, shell, 'coolerRoom', 'cooler height clearance');
  const socketW = room && coord(room);
  const slotRoom = measure(plan, shell, 'cardHeightRoom', 'card height clearance');
  const cardRoom = measure(plan, shell, 'cardRoom', 'room from the bracket');
  const gain = measure(plan, shell, 'cageGain', 'cage out');
  const cardEndX = cardRoom && coord(cardRoom);
  return {
    shell,
    supplyAt,
    boardX,
    boardY,
    shieldX,
    socketX,
    socketY: beyond(slotY, of('toSlot', 'CPU to the slot', -1)),
    memoryX: beyond(socketX, of('toMemory', 'CPU to RAM')),
    slotY,
    socketW,
    surfaceW: socketW && beyond(socketW, usual('CPU over the board', processorTopMm(plan))),
    slotW: slotRoom && coord(slotRoom),
    frontX: inner(plan, shell, 'innerDepth', 'depth inside'),
    bottomY: inner(plan, shell, 'innerHeight', 'height inside'),
    trayW: inner(plan, shell, 'innerWidth', 'width inside'),
    cardEndX,
    cageEndX: cardEndX && gain ? beyond(cardEndX, gain) : cardEndX,
  };
}

/** How far the CPU's top lies over the board, by what is said of the socket. */
function processorTopMm(plan: Plan): Range {
  const [board, processor] = [partOfKind(plan, 'board'), partOfKind(plan, 'processor')];
  const socket =
    (board && textAt(plan, board, 'socket')) ?? (processor && textAt(plan, processor, 'socket'));
  return topOverBoardMm(socket?.text);
}

/** Pitch of card openings, mm (ATX specification). */
const PITCH_MM = 20.32;

/** From the first opening on to the one of the long slot: on a Mini-ITX board none, else none or one where nobody looked. */
function slotsOn(plan: Plan, board: Placed | undefined): NumberTerm[] {
  const said = board && measure(plan, board, 'slotOpening', 'opening of the long slot');
  if (said)
    return [
      { ...said, value: range((said.value.lo - 1) * PITCH_MM, (said.value.hi - 1) * PITCH_MM) },
    ];
  const only = board && textAt(plan, board, 'format')?.text === 'Mini-ITX';
  return only ? [] : [usual('on to the opening of the long slot', range(0, PITCH_MM))];
}

/** The board begins at the wall, or beneath the supply that sits above it. */
function boardTop(plan: Plan, supplyAt: string | undefined): Coord {
  const supply = partOfKind(plan, 'supply');
  if (!supply || supplyAt !== 'above the board')
    return coord(usual('wall to the board', range(2, 8)));
  const format = supplyFormat(textAt(plan, supply, 'format')?.text);
  const height = format ? range(format.heightMm) : range(63, 86);
  return coord(
    usual('wall to the PSU', range(1, 6)),
    usual('height of the PSU', height),
    usual('air under it', range(2, 12)),
  );
}

/** The outside of each inside. */
const outerOf = {
  innerWidth: 'outerWidth',
  innerHeight: 'outerHeight',
  innerDepth: 'outerDepth',
} as const;

/** A measured inside, or what is left of the outside: sheet and folds 2 to 10 mm, a front panel up to 55. */
function inner(
  plan: Plan,
  shell: Placed,
  key: keyof typeof outerOf,
  label: string,
): Coord | undefined {
  const told = measure(plan, shell, key, label);
  if (told) return coord(told);
  const outerKey = outerOf[key];
  if (!numberAt(plan, shell, outerKey)) return undefined;
  const outer = measure(plan, shell, outerKey, label.replace('inside', 'outside'));
  const walls = key === 'innerDepth' ? range(5, 55) : range(2, 10);
  return outer && coord(outer, flipped(usual('walls', walls)));
}
