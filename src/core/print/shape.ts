import { supplyFaces } from '../make/patterns.ts';
import type { Printed } from '../model/types/printTypes.ts';
import { fanHoles } from '../standards/room.ts';
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

/** Thickness of feet and shelves, of a post, of a lip, mm. */
export const FOOT = 4;
export const POST = 6;
export const LIP = 2;
/** Wall of a lip that goes into an opening. */
export const LIP_WALL = 1.6;
/** Own screws of a plate stand so far from its edges. */
const inset = (across: number) => across / 2 + 2.5;

/** Undersides of drives: hole to hole across and along (SFF-8201, SFF-8301, from memory). */
export const driveHoles = { '2.5': [61.72, 76.6], '3.5': [95.25, 44.45] } as const;

/** Across a riser stand's or tower's post. */
export const postAcross = (hole: number): number => Math.max(8, hole + 4.8);

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

/** Between two leads of a comb, and how high it is. */
export const toothOf = (slot: number): number => Math.max(2, slot * 0.4);
export const combHigh = (slot: number): number => toothOf(slot) + slot * 1.6;

/** Left round the slots of a vent, mm. */
export const VENT_RIM = 5;
/** Where the slots of a vent begin, as many as find room. */
export function ventSlots({
  width,
  slot,
  bar,
}: {
  width: number;
  slot: number;
  bar: number;
}): number[] {
  const room = width - 2 * VENT_RIM;
  const count = Math.max(0, Math.floor((room + bar) / (slot + bar)));
  const from = (width - (count * (slot + bar) - bar)) / 2;
  return Array.from({ length: count }, (_, i) => from + i * (slot + bar));
}

/** A saddle is as high as the round thing stands out of it at its edges. */
export const saddleHigh = ({
  radius,
  width,
  thin,
}: {
  radius: number;
  width: number;
  thin: number;
}): number => {
  const half = Math.min(width / 2, radius);
  return thin + radius - Math.sqrt(radius * radius - half * half);
};

export interface Sizes {
  x: number;
  y: number;
  z: number;
}

/** How large it is as it lies, mm. */
export function sizesOf(print: Printed): Sizes {
  const ends = shapeOf(print).add.map((each) => {
    if (each.is === 'box') return [each.x + each.w, each.y + each.d, each.z + each.h] as const;
    if (each.is === 'roll')
      return [each.x + each.across / 2, each.y + each.long, each.z + each.across / 2] as const;
    const r = Math.max(each.below, each.above) / 2;
    return [each.x + r, each.y + r, each.z + each.h] as const;
  });
  const most = (i: 0 | 1 | 2) => Math.max(...ends.map((end) => end[i]));
  return { x: most(0), y: most(1), z: most(2) };
}

/** The thinnest of what it is made of, mm, and where: a plate, a bar, what stands round a screw. */
export function thinnestOf(print: Printed): { what: string; mm: number }[] {
  switch (print.do) {
    case 'card support':
      return [{ what: 'lip', mm: LIP }];
    case 'riser stand':
      return [around(postAcross(screwHole(print)), screwHole(print))];
    case 'standoff tower':
      return [around(print.across, screwHole(print))];
    case 'foot':
      return [
        around(print.top, screwHole(print)),
        around(print.bottom, headAcross(print.screw) + print.gap),
      ];
    case 'port frame':
      return [{ what: 'lip', mm: LIP_WALL }];
    case 'cable comb':
      return [{ what: 'tooth', mm: toothOf(print.lead + print.gap) }];
    case 'lid vent':
      return [
        { what: 'bar', mm: print.bar },
        { what: 'plate', mm: print.thick },
      ];
    case 'saddle':
      return [{ what: 'its middle', mm: print.thin }];
    case 'drive bracket':
    case 'fan bracket':
    case 'printed PSU plate':
      return [{ what: 'plate', mm: print.thick }];
  }
}

const around = (outside: number, hole: number) => ({
  what: 'what stands round the screw',
  mm: (outside - hole) / 2,
});

/** Why it cannot be drawn as told; undefined where it can. */
export function shapeFault(print: Printed): string | undefined {
  switch (print.do) {
    case 'card support':
      if (print.height < 2 * FOOT + 1)
        return 'So low its shelf lies on its foot: higher, or a plain block.';
      return print.reach <= POST + LIP
        ? 'It reaches no further than its post: a longer reach.'
        : undefined;
    case 'drive bracket': {
      const [a, b] = driveHoles[print.form];
      const need = (between: number) => Math.ceil(between + 4 * aroundOwn(print));
      if (print.width < need(a)) return `Narrower than the drive’s holes: ${need(a)} mm at least.`;
      return print.depth < need(b)
        ? `Shorter than the drive’s holes: ${need(b)} mm at least.`
        : undefined;
    }
    case 'fan bracket':
      return print.flange <= print.thick + screwHole(print) + 2
        ? 'The flange has no room for its screws: make it wider.'
        : undefined;
    case 'foot':
      return print.height <= HEAD_DEEP + 1 ? 'So low the screw’s head goes through it.' : undefined;
    case 'riser stand':
      return print.apart <= postAcross(screwHole(print))
        ? 'Its posts run into each other: further apart.'
        : undefined;
    case 'lid vent':
      return ventSlots(print).length === 0
        ? 'No slot finds room between its rims: a wider plate.'
        : undefined;
    case 'saddle':
      return print.width > 2 * print.radius
        ? 'Wider than what is round: the saddle would reach past it.'
        : undefined;
    case 'port frame':
      return print.height - 2 * print.gap <= 2 * LIP_WALL + 1
        ? 'The opening is no wider than the lip.'
        : undefined;
    default:
      return undefined;
  }
}

const aroundOwn = (print: Parameters<typeof screwHole>[0]): number => screwHole(print) / 2 + 2.5;
