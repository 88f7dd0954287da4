import { registerOn } from '../fit/holes/register.ts';
import { standardOpening } from '../fit/pickPort.ts';
import type { Area, Place } from '../model/types/shapes.ts';
import { holes as standardPlaces } from '../standards/boards.ts';
import { ioOpening } from '../standards/ports.ts';
import { driveHoles, fourHoles, supplyFaces } from '../standards/patterns.ts';
import { fanHoles } from '../standards/room.ts';
import type { At } from './plane.ts';
import type { MeasuredHole, MeasuredRectangle } from './measured.ts';

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

/** An opening is known by its size to within this, mm. */
const LIKE_MM = 2.5;
/** One at the place of another, its middle to within this, mm, is the same. */
const SAME_PLACE_MM = 4;

interface Datum {
  seen: MeasuredRectangle;
  area: Area;
}

/** The opening the others are counted from: the standard port opening, else one whose place is known, by its size. */
function datumOf(
  rectangles: readonly MeasuredRectangle[],
  known: readonly Area[],
): Datum | undefined {
  const standard = standardOpening();
  /* Its lower rim lies below the board. */
  const io = { ...standard, y0: standard.y1 - ioOpening.heightMm };
  for (const area of [io, ...known]) {
    const sides = sorted(area.x1 - area.x0, area.y1 - area.y0);
    const like = rectangles.filter(({ width, height }) =>
      sorted(width, height).every((side, i) => Math.abs(side - (sides[i] ?? 0)) < LIKE_MM),
    );
    const [seen] = like;
    if (seen && like.length === 1) return { seen, area };
  }
  return undefined;
}
const sorted = (...sides: number[]) => sides.sort((p, q) => p - q);

/**
 * Openings of a rear wall in the board's own figures: across from the board's edge, up from its surface, seen from
 * inside. One of them says where the board is: the standard port opening, or one of those known. It must be seen lying
 * with the board below it: `quarters`: how far the picture is turned for that, clockwise. What was known and is not in
 * the picture stays.
 */
export function openingsOf(
  rectangles: readonly MeasuredRectangle[],
  outside: boolean,
  quarters = 0,
  known: readonly Area[] = [],
): { openings: Area[] } | { lacks: string } {
  const datum = datumOf(rectangles, known);
  if (!datum)
    return {
      lacks: `None of them is the port opening (${ioOpening.widthMm} × ${ioOpening.heightMm} mm) or one whose place is known: tap such a one too, the others are counted from it.`,
    };
  const turn = (datum.seen.turned * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const box = ({ corners }: MeasuredRectangle) => {
    const all = corners.map((at) => {
      const { x, y } = turnedBy(at, quarters);
      return { across: (x * c + y * s) * (outside ? -1 : 1), up: x * s - y * c };
    });
    return {
      x0: Math.min(...all.map(({ across }) => across)),
      x1: Math.max(...all.map(({ across }) => across)),
      y0: Math.min(...all.map(({ up }) => up)),
      y1: Math.max(...all.map(({ up }) => up)),
    };
  };
  const zero = box(datum.seen);
  const { area } = datum;
  if (Math.abs(zero.x1 - zero.x0 - (area.x1 - area.x0)) > LIKE_MM)
    return {
      lacks: `Turn the picture until the ${area.name} lies as it does in the machine, the board below it: which way is up decides.`,
    };
  const [dx, dy] = [
    (area.x0 + area.x1 - zero.x0 - zero.x1) / 2,
    (area.y0 + area.y1 - zero.y0 - zero.y1) / 2,
  ];
  const same = (one: Omit<Area, 'name'>, two: Omit<Area, 'name'>) =>
    Math.hypot(one.x0 + one.x1 - two.x0 - two.x1, one.y0 + one.y1 - two.y0 - two.y1) / 2 <
    SAME_PLACE_MM;
  const names = new Set(known.map(({ name }) => name));
  const named = (at: Omit<Area, 'name'>, each: MeasuredRectangle): string => {
    const before = known.find((one) => same(one, at))?.name;
    if (before !== undefined) return before;
    if (each === datum.seen) return area.name;
    let count = 2;
    while (names.has(`opening ${count}`)) count += 1;
    names.add(`opening ${count}`);
    return `opening ${count}`;
  };
  const openings = rectangles.map((each) => {
    const at = box(each);
    const moved = {
      x0: near(at.x0 + dx),
      x1: near(at.x1 + dx),
      y0: near(at.y0 + dy),
      y1: near(at.y1 + dy),
    };
    return { name: named(moved, each), ...moved };
  });
  return {
    openings: [...known.filter((one) => !openings.some((each) => same(one, each))), ...openings],
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
