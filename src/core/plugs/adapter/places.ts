import {
  hasSense,
  seen,
  type Plug,
  type SenseContact,
  type View,
} from '../../standards/plugs/index.ts';
import type { End } from './types.ts';

/**
 * The adapter laid open on the bench, wire sides up, mm: what mates with the supply above, what
 * goes to the board below, converters between.
 *
 *   [giving end: header solder side, latch down]   pin 1 top right
 *        |    |    wires            [converters]
 *   [taking end: plug wire side, latch up]         pin 1 bottom right
 *
 * Both ends are tipped up towards the eye, so a straight lead shows no crossing.
 */
export const giveView: View = 'header solder side';
export const takeView: View = 'plug wire side';

export interface Spot {
  x: number;
  y: number;
  dx: number;
  dy: number;
}

export interface Laid {
  plugs: { side: 'give' | 'take'; plug: number; x: number; y: number; w: number; h: number }[];
  converters: { x: number; y: number; w: number; h: number }[];
  /** Side contacts of taking plugs that have them. */
  sense: { plug: number; pin: SenseContact; x: number; y: number }[];
  width: number;
  height: number;
  /** The middle of a pin or pad, and the way its wire leaves. */
  at: (end: End) => Spot;
}

const GAP = 8;
/** Room for the wires: a third more than the coarsest plug needs to be told apart. */
const betweenFor = (plugs: readonly Plug[]) =>
  Math.max(22, ...plugs.map((plug) => plug.pitchMm * 8.5));
/** Converters lie beside the wires, one under the other, their pads towards them. */
const CONVERTER = { w: 20, h: 11, gap: 3, away: 10 };

const SENSE: readonly SenseContact[] = ['S1', 'S2', 'S3', 'S4'];
/** Pitch of the side contacts, mm (from memory). */
const SENSE_PITCH = 2;

const across = (plug: Plug) => Math.ceil(plug.ways / plug.rows);
const EDGE = 3;
const widthOf = (plug: Plug) => across(plug) * plug.pitchMm + 2 * EDGE;
const heightOf = (plug: Plug) => plug.rows * plug.pitchMm + 2 * EDGE;

/** Where every plug, pin and converter lies; both rows in the middle of the sheet. */
export function layOut(gives: readonly Plug[], takes: readonly Plug[], converters: number): Laid {
  const rowWidth = (plugs: readonly Plug[]) =>
    plugs.reduce((sum, plug) => sum + widthOf(plug) + GAP, -GAP);
  const stack = converters * (CONVERTER.h + CONVERTER.gap);
  const between = Math.max(betweenFor([...gives, ...takes]), stack - CONVERTER.gap);
  const rows = Math.max(rowWidth(gives), rowWidth(takes), converters > 0 ? 0 : 50);
  const width = rows + (converters > 0 ? CONVERTER.away + CONVERTER.w : 0);
  const top = Math.max(0, ...gives.map(heightOf));
  const bottom = Math.max(0, ...takes.map(heightOf));
  const row = (plugs: readonly Plug[], side: 'give' | 'take') => {
    let x = (rows - rowWidth(plugs)) / 2;
    return plugs.map((plug, i) => {
      const box = {
        side,
        plug: i,
        x,
        y: side === 'give' ? top - heightOf(plug) : top + between,
        w: widthOf(plug),
        h: heightOf(plug),
      };
      x += box.w + GAP;
      return box;
    });
  };
  const boxes = [...row(gives, 'give'), ...row(takes, 'take')];
  const boards = Array.from({ length: converters }, (_, i) => ({
    x: rows + CONVERTER.away,
    y: top + (between - stack + CONVERTER.gap) / 2 + i * (CONVERTER.h + CONVERTER.gap),
    w: CONVERTER.w,
    h: CONVERTER.h,
  }));
  const senseAt = (box: Laid['plugs'][number], pin: SenseContact) => ({
    x: box.x + box.w / 2 + (SENSE.indexOf(pin) - (SENSE.length - 1) / 2) * SENSE_PITCH,
    y: box.y + 1.2,
  });
  return {
    plugs: boxes,
    converters: boards,
    sense: boxes.flatMap((box) => {
      const plug = box.side === 'take' ? takes[box.plug] : undefined;
      return plug && hasSense(plug)
        ? SENSE.map((pin) => ({ plug: box.plug, pin, ...senseAt(box, pin) }))
        : [];
    }),
    width,
    height: top + between + bottom,
    at: (end) => {
      if (end.side === 'converter') {
        const board = boards[end.plug] ?? { x: 0, y: 0, w: 0, h: 0 };
        const at = { in: 0.2, return: 0.5, out: 0.8 }[end.pin];
        return { x: board.x, y: board.y + board.h * at, dx: -1, dy: 0 };
      }
      const plug = (end.side === 'give' ? gives : takes)[end.plug];
      const side = end.side === 'sense' ? 'take' : end.side;
      const box = boxes.find((each) => each.side === side && each.plug === end.plug);
      if (!plug || !box) return { x: 0, y: 0, dx: 0, dy: 1 };
      /* The side contacts lie along the latch, between it and the row of pins. */
      if (end.side === 'sense') return { ...senseAt(box, end.pin), dx: 0, dy: -1 };
      const upright = seen(plug, end.pin, end.side === 'give' ? giveView : takeView);
      const place =
        end.side === 'give'
          ? upright
          : { row: plug.rows - 1 - upright.row, col: across(plug) - 1 - upright.col };
      return {
        x: box.x + EDGE + (place.col + 0.5) * plug.pitchMm,
        y: box.y + EDGE + (place.row + 0.5) * plug.pitchMm,
        dx: 0,
        dy: end.side === 'give' ? 1 : -1,
      };
    },
  };
}

export interface Segment {
  a: { x: number; y: number };
  b: { x: number; y: number };
}

/** Do two straight wires cross? Wires that share an end do not. */
export function crosses(p: Segment, q: Segment): boolean {
  const turn = (a: Segment['a'], b: Segment['a'], c: Segment['a']) =>
    (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
  const same = (a: Segment['a'], b: Segment['a']) => a.x === b.x && a.y === b.y;
  if (same(p.a, q.a) || same(p.b, q.b) || same(p.a, q.b) || same(p.b, q.a)) return false;
  return (
    turn(p.a, p.b, q.a) * turn(p.a, p.b, q.b) < 0 && turn(q.a, q.b, p.a) * turn(q.a, q.b, p.b) < 0
  );
}
