import { registerOn } from '../fit/holes/register.ts';
import { standardOpening } from '../fit/pickPort.ts';
import type { Area, Place } from '../model/types/shapes.ts';
import { holes as standardPlaces } from '../standards/boards.ts';
import { ioOpening } from '../standards/ports.ts';
import { driveHoles, fourHoles, supplyFaces } from '../standards/patterns.ts';
import { fanHoles } from '../standards/room.ts';
import type { At } from './plane.ts';
import type { MeasuredHole, MeasuredRectangle } from './survey.ts';

/** What is measured in a picture, as the rest of the bench takes it. */

const near = (mm: number) => Math.round(mm * 100) / 100;

/** Holes as places from their upper left, for "whose board is it" and for a template. */
export function placesOf(holes: readonly MeasuredHole[]): Place[] {
  const x0 = Math.min(...holes.map(({ x }) => x));
  const y0 = Math.min(...holes.map(({ y }) => y));
  return holes.map(({ x, y }) => ({ x: near(x - x0), y: near(y - y0) }));
}

const everyPlace = {
  name: 'every standard place',
  holes: Object.entries(standardPlaces).map(([name, at]) => ({ name, ...at })),
};

/**
 * Standoffs of a tray by the letters of their standard places, and how many lie at none. Half a turn leaves the letters of
 * a rectangle as they are, so which way the tray lies need not be said.
 */
export function standoffsOf(
  stands: readonly MeasuredHole[],
): { letters: string[]; elsewhere: number } | { lacks: string } {
  const found =
    stands.length < 3
      ? undefined
      : registerOn(everyPlace, {
          points: stands,
          accuracyMm: Math.max(0.1, ...stands.map(({ within }) => within / 2)),
        });
  if (!found)
    return {
      lacks:
        'Fewer than three of them lie as standard places do: a maker’s own tray, or more of them must be measured.',
    };
  return {
    letters: found.pairs.map(({ hole }) => hole).sort(),
    elsewhere: found.extra.length,
  };
}

/** The port opening is known by its size to within this, mm. */
const LIKE_IO_MM = 2.5;

/** A place as it is looked at, the picture turned clockwise by so many quarters. */
export function turnedBy({ x, y }: At, quarters: number): At {
  switch (quarters & 3) {
    case 1:
      return { x: -y, y: x };
    case 2:
      return { x: -x, y: -y };
    case 3:
      return { x: y, y: -x };
    default:
      return { x, y };
  }
}

/**
 * Openings of a rear wall in the board's own figures: across from the board's edge, up from its surface, seen from
 * inside. The standard port opening among them says where the board is; without it none has a place. It must be seen
 * lying flat with the board below it: `quarters`: how far the picture is turned for that, clockwise.
 */
export function openingsOf(
  rectangles: readonly MeasuredRectangle[],
  outside: boolean,
  quarters = 0,
): { openings: Area[] } | { lacks: string } {
  const io = rectangles.find(
    ({ width, height }) =>
      Math.abs(Math.max(width, height) - ioOpening.widthMm) < LIKE_IO_MM &&
      Math.abs(Math.min(width, height) - ioOpening.heightMm) < LIKE_IO_MM,
  );
  if (!io)
    return {
      lacks: `None of them is the port opening (${ioOpening.widthMm} × ${ioOpening.heightMm} mm): tap it too, the others are counted from it.`,
    };
  const standard = standardOpening();
  if (io.width >= io.height === (quarters % 2 === 1))
    return {
      lacks:
        'Turn the picture until the port opening lies flat with the board below it: which way is up decides.',
    };
  const turn = (io.turned * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const own = (at: At) => {
    const { x, y } = turnedBy(at, quarters);
    return { across: (x * c + y * s) * (outside ? -1 : 1), up: x * s - y * c };
  };
  const box = (corners: readonly At[]) => {
    const all = corners.map(own);
    return {
      x0: Math.min(...all.map(({ across }) => across)),
      x1: Math.max(...all.map(({ across }) => across)),
      y0: Math.min(...all.map(({ up }) => up)),
      y1: Math.max(...all.map(({ up }) => up)),
    };
  };
  const zero = box(io.corners);
  /* Its lower rim lies below the board: its upper one is where both agree. */
  const [dx, dy] = [standard.x0 - zero.x0, standard.y1 - zero.y1];
  let count = 0;
  return {
    openings: rectangles.map((each) => {
      const at = box(each.corners);
      return {
        name: each === io ? standard.name : `opening ${(count += 1) + 1}`,
        x0: near(at.x0 + dx),
        x1: near(at.x1 + dx),
        y0: near(at.y0 + dy),
        y1: near(at.y1 + dy),
      };
    }),
  };
}

/** Squares and faces of holes people meet: fans, PSUs, drives. */
const known: readonly { name: string; points: readonly (readonly [number, number])[] }[] = [
  ...Object.entries(fanHoles).map(([mm, square]) => ({
    name: `fan ${mm}`,
    points: fourHoles(square),
  })),
  { name: 'ATX PSU', points: supplyFaces.ATX.points },
  { name: 'SFX PSU', points: supplyFaces.SFX.points },
  { name: '3.5 in drive', points: fourHoles(...driveHoles['3.5']) },
  { name: '2.5 in drive', points: fourHoles(...driveHoles['2.5']) },
];

/** All distances of a set of points, the shortest first. */
const distances = (points: readonly At[]): number[] =>
  points
    .flatMap((a, i) => points.slice(i + 1).map((b) => Math.hypot(a.x - b.x, a.y - b.y)))
    .sort((a, b) => a - b);

/** Whose four holes they are, and by how much the worst distance is off, mm; undefined where they are nobody's. */
export function likePattern(
  holes: readonly MeasuredHole[],
): { name: string; offMm: number } | undefined {
  if (holes.length !== 4) return undefined;
  const own = distances(holes);
  const worst = known
    .map(({ name, points }) => {
      const theirs = distances(points.map(([x, y]) => ({ x, y })));
      return { name, offMm: Math.max(...own.map((d, i) => Math.abs(d - (theirs[i] ?? 0)))) };
    })
    .sort((a, b) => a.offMm - b.offMm)[0];
  const slack = 0.8 + 2 * Math.max(...holes.map(({ within }) => within));
  return worst && worst.offMm <= slack ? worst : undefined;
}

/** Pitches of contacts (makers' drawings of the usual families, from memory), mm. */
export const pitches = [
  { mm: 1.25, of: 'panel and small fan plugs' },
  { mm: 2, of: 'small board headers' },
  { mm: 2.54, of: 'board headers, fans, front panel' },
  { mm: 3, of: '16-way graphics plug' },
  { mm: 3.96, of: 'old two-part board plug' },
  { mm: 4.2, of: 'main, processor and graphics plugs' },
  { mm: 5.08, of: 'old four-way drive plug' },
] as const;

/** The pitch of so many contacts from the first to the last, and the families it may be. Throws RangeError for fewer than two. */
export function pitchOf(
  mm: number,
  within: number,
  contacts: number,
): { mm: number; within: number; like: (typeof pitches)[number][] } {
  if (!Number.isInteger(contacts) || contacts < 2)
    throw new RangeError('count the contacts of the row: two at least');
  const [one, off] = [mm / (contacts - 1), within / (contacts - 1)];
  return {
    mm: one,
    within: off,
    like: pitches.filter((each) => Math.abs(each.mm - one) <= Math.max(0.06, off + 0.02)),
  };
}
