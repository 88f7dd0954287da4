import { driveHoles, supplyFaces } from '../standards/patterns.ts';
import type { Printed } from '../model/types/printTypes.ts';
import { fanHoles } from '../standards/room.ts';
import {
  combHigh,
  FOOT,
  LIP,
  LIP_WALL,
  POST,
  postAcross,
  saddleHigh,
  toothOf,
  VENT_RIM,
  ventSlots,
} from './limits.ts';
import { HEAD_DEEP, headAcross, SCREW_DEEP, screwHole } from './screwHoles.ts';

/** What a thing to print is made of: bodies put together, and what is taken out of them. All mm; z is up off the bed. */
export type Body =
  | { is: 'box'; x: number; y: number; z: number; w: number; d: number; h: number }
  | { is: 'cone'; x: number; y: number; z: number; h: number; below: number; above: number }
  /* Lies along y. */
  | { is: 'roll'; x: number; y: number; z: number; long: number; across: number };

export interface Shape {
  add: Body[];
  take: Body[];
}

const box = (x: number, y: number, z: number, w: number, d: number, h: number): Body => ({
  is: 'box',
  x,
  y,
  z,
  w,
  d,
  h,
});
const post = (x: number, y: number, z: number, h: number, across: number): Body => ({
  is: 'cone',
  x,
  y,
  z,
  h,
  below: across,
  above: across,
});
/** What is cut through sticks out so far on both sides, so that no skin stays. */
const OUT = 1;
const through = (x: number, y: number, z: number, h: number, across: number): Body =>
  post(x, y, z - OUT, h + 2 * OUT, across);

/** Own screws of a plate stand so far from its edges. */
const inset = (across: number) => across / 2 + 2.5;

/** The bodies of a thing to print, as it lies on the bed. */
export function shapeOf(print: Printed): Shape {
  switch (print.do) {
    case 'card support': {
      const { height, width, reach, foot } = print;
      return {
        add: [
          box(0, 0, 0, foot, width, FOOT),
          box(0, 0, 0, POST, width, height),
          box(0, 0, height - FOOT, reach, width, FOOT),
          box(reach - LIP, 0, height - FOOT, LIP, width, FOOT + LIP),
        ],
        take: [],
      };
    }
    case 'riser stand': {
      const { height, apart, width } = print;
      const hole = screwHole(print);
      const deep = print.hold === 'through' ? height + OUT : Math.min(height, SCREW_DEEP);
      const long = apart + width;
      return {
        add: [
          box(0, 0, 0, long, width, Math.min(FOOT, height)),
          post(width / 2, width / 2, 0, height, postAcross(hole)),
          post(width / 2 + apart, width / 2, 0, height, postAcross(hole)),
        ],
        take: [0, apart].map((x) =>
          post(width / 2 + x, width / 2, height - deep, deep + OUT, hole),
        ),
      };
    }
    case 'drive bracket': {
      const { form, width, depth, thick } = print;
      const [a, b] = driveHoles[form];
      const drive = screwHole({
        screw: form === '2.5' ? 'M3' : '6-32',
        hold: 'through',
        gap: print.gap,
      });
      const own = screwHole(print);
      const edge = inset(own);
      const holes = (
        across: number,
        xs: readonly [number, number],
        ys: readonly [number, number],
      ) => xs.flatMap((x) => ys.map((y) => through(x, y, 0, thick, across)));
      return {
        add: [box(0, 0, 0, width, depth, thick)],
        take: [
          ...holes(drive, [(width - a) / 2, (width + a) / 2], [(depth - b) / 2, (depth + b) / 2]),
          ...holes(own, [edge, width - edge], [edge, depth - edge]),
        ],
      };
    }
    case 'fan bracket': {
      const size = Number(print.fan);
      const { flange, thick } = print;
      const between = fanHoles[size] ?? 0;
      const [near, far] = [(size - between) / 2, (size + between) / 2];
      const fan = 4.3 + print.gap;
      const own = screwHole(print);
      return {
        add: [box(0, 0, 0, size, size, thick), box(0, 0, 0, size, thick, flange)],
        take: [
          through(size / 2, size / 2, 0, thick, size - 4 - 2 * thick),
          ...[near, far].flatMap((x) =>
            [near, far].map((y) => through(x, Math.max(y, thick + fan / 2), 0, thick, fan)),
          ),
          ...[near, far].map((x): Body => ({
            is: 'roll',
            x,
            y: -OUT,
            z: (flange + thick) / 2,
            long: thick + 2 * OUT,
            across: own,
          })),
        ],
      };
    }
    case 'printed PSU plate': {
      const { thick } = print;
      const [bay, small] = [supplyFaces.ATX, supplyFaces.SFX];
      const hole = screwHole(print);
      const [dx, dy] = [(bay.width - small.width) / 2, (bay.height - small.height) / 2];
      const RIM = 12;
      return {
        add: [box(0, 0, 0, bay.width, bay.height, thick)],
        take: [
          box(
            dx + RIM,
            dy + RIM,
            -OUT,
            small.width - 2 * RIM,
            small.height - 2 * RIM,
            thick + 2 * OUT,
          ),
          ...bay.points.map(([x, y]) => through(x, y, 0, thick, hole)),
          ...small.points.map(([x, y]) => through(x + dx, y + dy, 0, thick, hole)),
        ],
      };
    }
    case 'foot': {
      const { height, top, bottom } = print;
      const r = Math.max(top, bottom) / 2;
      return {
        add: [{ is: 'cone', x: r, y: r, z: 0, h: height, below: bottom, above: top }],
        take: [
          through(r, r, 0, height, screwHole(print)),
          post(r, r, -OUT, HEAD_DEEP + OUT, headAcross(print.screw) + print.gap),
        ],
      };
    }
    case 'standoff tower': {
      const { height, across } = print;
      const r = across;
      const hole = screwHole(print);
      const deep = print.hold === 'through' ? height + OUT : Math.min(height, SCREW_DEEP);
      return {
        add: [post(r, r, 0, Math.min(2, height), 2 * across), post(r, r, 0, height, across)],
        take: [post(r, r, height - deep, deep + OUT, hole)],
      };
    }
    case 'port frame': {
      const { width, height, rim, lip, gap } = print;
      const [w, h] = [width - 2 * gap, height - 2 * gap];
      const at = rim + gap;
      return {
        add: [
          box(0, 0, 0, width + 2 * rim, height + 2 * rim, LIP),
          box(at, at, 0, w, h, LIP + lip),
        ],
        take: [
          box(
            at + LIP_WALL,
            at + LIP_WALL,
            -OUT,
            w - 2 * LIP_WALL,
            h - 2 * LIP_WALL,
            LIP + lip + 2 * OUT,
          ),
        ],
      };
    }
    case 'cable comb': {
      const { leads, lead, thick, gap } = print;
      const slot = lead + gap;
      const tooth = toothOf(slot);
      const high = combHigh(slot);
      return {
        add: [box(0, 0, 0, leads * (slot + tooth) + tooth, thick, high)],
        take: Array.from({ length: leads }, (_, i) => {
          const x = tooth + i * (slot + tooth);
          return [
            box(x, -OUT, tooth + slot / 2, slot, thick + 2 * OUT, high),
            {
              is: 'roll',
              x: x + slot / 2,
              y: -OUT,
              z: tooth + slot / 2,
              long: thick + 2 * OUT,
              across: slot,
            } satisfies Body,
          ];
        }).flat(),
      };
    }
    case 'lid vent': {
      const { width, height, thick, slot } = print;
      return {
        add: [box(0, 0, 0, width, height, thick)],
        take: ventSlots(print).map((x) =>
          box(x, VENT_RIM, -OUT, slot, height - 2 * VENT_RIM, thick + 2 * OUT),
        ),
      };
    }
    case 'saddle': {
      const { radius, width, depth, thin } = print;
      const high = saddleHigh(print);
      return {
        add: [box(0, 0, 0, width, depth, high)],
        take: [
          {
            is: 'roll',
            x: width / 2,
            y: -OUT,
            z: thin + radius,
            long: depth + 2 * OUT,
            across: 2 * radius,
          },
          through(width / 2, depth / 2, 0, high, screwHole(print)),
        ],
      };
    }
  }
}
