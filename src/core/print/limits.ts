import type { Printed } from '../model/types/printTypes.ts';
import { driveHoles, supplyFaces } from '../standards/patterns.ts';
import { HEAD_DEEP, headAcross, screwHole } from './screwHoles.ts';

/** What is known of a thing to print without making its solid: sizes, thinnest places, why it cannot be drawn. All mm. */

/** Thickness of feet and shelves, of a post, of a lip, mm. */
export const FOOT = 4;
export const POST = 6;
export const LIP = 2;
/** Wall of a lip that goes into an opening. */
export const LIP_WALL = 1.6;

/** Across a riser stand's or tower's post. */
export const postAcross = (hole: number): number => Math.max(8, hole + 4.8);

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

/** How large it is as it lies, mm: what its bodies reach to. */
export function sizesOf(print: Printed): Sizes {
  switch (print.do) {
    case 'card support':
      return { x: Math.max(print.foot, print.reach), y: print.width, z: print.height + LIP };
    case 'riser stand': {
      const { apart, width, height } = print;
      const half = Math.max(width, postAcross(screwHole(print))) / 2;
      return { x: width / 2 + apart + half, y: width / 2 + half, z: height };
    }
    case 'drive bracket':
      return { x: print.width, y: print.depth, z: print.thick };
    case 'fan bracket':
      return { x: Number(print.fan), y: Number(print.fan), z: Math.max(print.flange, print.thick) };
    case 'printed PSU plate':
      return { x: supplyFaces.ATX.width, y: supplyFaces.ATX.height, z: print.thick };
    case 'foot': {
      const across = Math.max(print.top, print.bottom);
      return { x: across, y: across, z: print.height };
    }
    case 'standoff tower':
      return { x: 2 * print.across, y: 2 * print.across, z: print.height };
    case 'port frame':
      return {
        x: print.width + 2 * print.rim,
        y: print.height + 2 * print.rim,
        z: LIP + print.lip,
      };
    case 'cable comb': {
      const slot = print.lead + print.gap;
      const tooth = toothOf(slot);
      return { x: print.leads * (slot + tooth) + tooth, y: print.thick, z: combHigh(slot) };
    }
    case 'lid vent':
      return { x: print.width, y: print.height, z: print.thick };
    case 'saddle':
      return { x: print.width, y: print.depth, z: saddleHigh(print) };
  }
}

interface Thin {
  what: string;
  mm: number;
  /** It stands round a screw. */
  screw?: true;
}

/** The thinnest of what it is made of, mm, and where: a plate, a bar, what stands round a screw. */
export function thinnestOf(print: Printed): Thin[] {
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

const around = (outside: number, hole: number): Thin => ({
  what: 'what stands round the screw',
  mm: (outside - hole) / 2,
  screw: true,
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
