import {
  partsOfKind,
  isApplied,
  listAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../../model/lookup/plan.ts';
import { angledPlug } from '../../remedies/angledPlug.ts';
import { FLAT_SINK_MM } from '../../remedies/cutSink.ts';
import { isLowered } from '../../remedies/flatSink.ts';
import { otherSocket } from '../../remedies/otherSocket.ts';
import { slotFurther } from '../../remedies/slotFurther.ts';
import { drives } from '../../standards/room.ts';
import { SLOT_PITCH_MM } from '../../standards/boards.ts';
import { ANGLED_BEND_MM, CARD_PLUG_BEND_MM } from '../../standards/room.ts';
import { range, type Range } from '../../units/range.ts';
import type { Box, BoxWhat } from './box.ts';
import { standOf } from '../../model/lookup/stands.ts';
import {
  beyond,
  coord,
  flipped,
  origin,
  measure,
  usual,
  type Coord,
  type NumberTerm,
} from './coord.ts';
import type { Places } from './places.ts';
import type { SeatId } from '../../model/types/names.ts';

/** Centre to centre of memory slots (common practice, no source). */
const MEMORY_PITCH_MM = 9.5;
const MODULE_MM = 7;

type Sides = Pick<Box, 'x' | 'y' | 'w'>;

export function box(placed: Placed, what: BoxWhat, name: string, sides: Sides): Box {
  const id = what === 'body' ? placed.seat : `${placed.seat}:${what}`;
  return { id, seat: placed.seat, kind: placed.kind, what, name, ...sides };
}

/** From a place: back by the first measures, on by the second. */
const span = (from: Coord, back: NumberTerm[], on: NumberTerm[]): [Coord, Coord] => [
  beyond(from, ...back.map(flipped)),
  beyond(from, ...on),
];

/** The board with its block of ports. */
export function boardBoxes(plan: Plan, at: Places): Box[] {
  const board = partOfKind(plan, 'board');
  if (!board || !at.surfaceW) return [];
  const width = measure(plan, board, 'width', 'board width');
  const depth = measure(plan, board, 'depth', 'board to the front');
  const surface = at.surfaceW;
  const boxes: Box[] = [
    box(board, 'furniture', 'ports', {
      x: [at.boardX, at.shieldX],
      y: span(at.boardY, [], [usual('block of ports', range(155, 165))]),
      w: span(surface, [usual('ports over the board', range(24, 36))], []),
    }),
  ];
  if (width && depth) {
    boxes.push(
      box(board, 'body', 'board', {
        x: span(at.boardX, [], [depth]),
        y: span(at.boardY, [], [width]),
        w: span(surface, [], [usual('board', range(1.6))]),
      }),
      /* Headers and side-facing ports at the front edge: their plugs reach over it. */
      box(board, 'bend', 'plugs at the edge of the board', {
        x: span(
          beyond(at.boardX, depth),
          [usual('headers', range(25))],
          [usual('side-facing plugs', range(0, 12))],
        ),
        y: span(at.boardY, [], [width]),
        w: span(surface, [usual('plugs and headers', range(15, 35))], []),
      }),
    );
  }
  return boxes;
}

export function coolerBoxes(plan: Plan, at: Places): Box[] {
  const { socketW } = at;
  const cooler = partOfKind(plan, 'cooler');
  const height = cooler && measure(plan, cooler, 'height', 'cooler');
  const width = cooler && measure(plan, cooler, 'width', 'half the cooler', 1, 0.5);
  const breadth =
    cooler && measure(plan, cooler, 'breadth', 'half the cooler, toward the card', 1, 0.5);
  const under = cooler && measure(plan, cooler, 'under', 'free under its fins');
  if (!socketW || !cooler || !height || !width || !breadth || !under) return [];
  const half = usual('foot', range(22));
  return [
    box(cooler, 'body', 'cooler', {
      x: span(at.socketX, [width], [width]),
      y: span(at.socketY, [breadth], [breadth]),
      w: [beyond(socketW, flipped(height)), beyond(socketW, flipped(under))],
    }),
    box(cooler, 'base', 'cooler foot', {
      x: span(at.socketX, [half], [half]),
      y: span(at.socketY, [half], [half]),
      w: [beyond(socketW, flipped(under)), socketW],
    }),
  ];
}

export function memoryBoxes(plan: Plan, at: Places, wanted?: SeatId): Box[] {
  const surface = at.surfaceW;
  if (!surface || !partOfKind(plan, 'board')) return [];
  return partsOfKind(plan, 'memory').flatMap((module, i) => {
    if (wanted && wanted !== module.seat) return [];
    const height = measure(plan, module, 'height', module.part.name);
    if (!height || textAt(plan, module, 'memoryForm')?.text === 'SO-DIMM') return [];
    const farther = isApplied(plan, slotFurther({ seat: module.seat })) ? 2 : 0;
    const slot = beyond(
      at.memoryX,
      ...(i + farther > 0
        ? [
            usual(
              farther ? 'farther slot' : `slot ${i + 1}`,
              range((i + farther) * MEMORY_PITCH_MM),
            ),
          ]
        : []),
    );
    const seat = usual('slot', range(2, 5));
    return box(module, 'body', `RAM ${i + 1}`, {
      x: span(slot, [], [usual('module', range(MODULE_MM))]),
      y: span(
        at.boardY,
        [usual('port end to the RAM', range(-12, -5))],
        [usual('RAM', range(138, 152))],
      ),
      w: span(surface, [seat, height], []),
    });
  });
}

/** A drive in the board's socket, between processor and slot, with its heat sink: as it is, cut down, or a flat one. */
export const SINK = 'storage heat sink';

export function sinkBoxes(plan: Plan, at: Places, wanted?: SeatId): Box[] {
  const surface = at.surfaceW;
  if (!surface || !partOfKind(plan, 'board')) return [];
  return partsOfKind(plan, 'drive').flatMap((drive) => {
    if (wanted && wanted !== drive.seat) return [];
    const sink = measure(plan, drive, 'sink', 'heat sink');
    /* A thin sink lies lower than everything that passes over it. */
    if (textAt(plan, drive, 'form')?.text !== 'M.2' || !sink || sink.value.hi <= FLAT_SINK_MM)
      return [];
    if (isLowered(plan, drive.seat)) return [];
    /* In another socket it lies elsewhere: drawn here, judged nowhere. */
    const elsewhere = isApplied(plan, otherSocket({ seat: drive.seat }));
    return box(drive, elsewhere ? 'guess' : 'body', SINK, {
      x: span(
        at.boardX,
        [usual('rear edge to the socket', range(-80, -50))],
        [usual('socket and drive', range(135, 175))],
      ),
      y: span(
        at.slotY,
        [usual('slot to the drive', range(26, 34))],
        [usual('slot to the drive', range(-8, -4))],
      ),
      w: span(surface, [usual('socket', range(3, 5)), sink], []),
    });
  });
}

/** Cards in their slots, one beneath the other, with the room their plugs need. */
export function cardBoxes(plan: Plan, at: Places): Box[] {
  const slotW = at.slotW;
  if (!slotW) return [];
  let slot = at.slotY;
  return partsOfKind(plan, 'card').flatMap((placed) => {
    const length = measure(plan, placed, 'length', 'card from the bracket');
    const height = measure(plan, placed, 'height', 'card over the slot');
    const slots = measure(plan, placed, 'slotsWide', 'slots of the card', 1, SLOT_PITCH_MM);
    if (!length || !height || !slots) return [];
    const name =
      partsOfKind(plan, 'card').length > 1 ? placed.seat.replace('card', 'card ') : 'card';
    const back = usual('back of the card', range(3, 5));
    const y: [Coord, Coord] = [
      beyond(slot, flipped(back)),
      beyond(slot, slots, usual('slot', range(3), -1)),
    ];
    /* A card's length counts from the inside of its bracket: that is the rear wall. */
    const end = coord(length);
    const top = beyond(slotW, flipped(height));
    slot = beyond(slot, slots);
    /* On a riser or a ribbon it lies or stands elsewhere: drawn in its slot, judged nowhere. */
    if (standOf(plan, placed).way !== 'slot')
      return [box(placed, 'guess', name, { x: [origin, end], y, w: [top, slotW] })];
    const boxes = [box(placed, 'body', name, { x: [origin, end], y, w: [top, slotW] })];
    const bend = cardBend(plan, placed);
    if (bend) {
      boxes.push(
        bend.at === 'end'
          ? box(placed, 'bend', `${name} plug`, {
              x: [end, beyond(end, bend.term)],
              y,
              w: [top, beyond(top, usual('plug', range(35)))],
            })
          : box(placed, 'bend', `${name} plug`, {
              x: [beyond(end, usual('plug', range(80), -1)), end],
              y,
              w: [beyond(top, flipped(bend.term)), top],
            }),
      );
    }
    return boxes;
  });
}

/** The room a card's plug and its bend take: nothing without plugs, less with an angled lead. */
export function cardBend(
  plan: Plan,
  placed: Placed,
): { at: 'top' | 'end' | undefined; term: NumberTerm } | undefined {
  if ((listAt(plan, placed, 'plugs')?.items.length ?? 0) === 0) return undefined;
  const at = textAt(plan, placed, 'plugAt')?.text as 'top' | 'end' | undefined;
  const angled = isApplied(plan, angledPlug({ seat: placed.seat }));
  const most: Range = angled ? ANGLED_BEND_MM : range(CARD_PLUG_BEND_MM);
  const value = at === undefined ? range(0, most.hi) : most;
  return {
    at,
    term: {
      label: angled ? 'angled plug' : 'plug and bend',
      value,
      sign: 1,
      ...(at === undefined
        ? { how: 'class', input: { partId: placed.part.id, key: 'plugAt', seat: placed.seat } }
        : {}),
    },
  };
}

export const driveSize = (form: '3.5' | '2.5') => drives[form];
