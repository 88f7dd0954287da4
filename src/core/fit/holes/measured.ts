import { distance, type Point } from './placement.ts';

/** Why measured holes cannot be used, in words, with the holes it is about (counted from 1). */
export class HolesError extends Error {
  readonly holes: number[];
  constructor(message: string, holes: number[] = []) {
    super(message);
    this.holes = holes;
  }
}

const MOST_HOLES = 24;
const MOST_MM = 1000;

/** Refuses what no board has. `accuracyMm` is the caliper's standard error on each figure. */
export function checkHoles(points: readonly Point[], accuracyMm: number): void {
  if (!(accuracyMm > 0 && accuracyMm <= 5)) throw new HolesError('An accuracy between 0 and 5 mm.');
  points.forEach((point, i) => {
    if (!Number.isFinite(point.x) || !Number.isFinite(point.y)) {
      throw new HolesError(`Hole ${i + 1} has no place yet.`, [i + 1]);
    }
    if (Math.abs(point.x) > MOST_MM || Math.abs(point.y) > MOST_MM) {
      throw new HolesError(`Hole ${i + 1} is more than a metre away.`, [i + 1]);
    }
  });
  if (points.length > MOST_HOLES) throw new HolesError(`More than ${MOST_HOLES} holes.`);
  for (let i = 0; i < points.length; i += 1) {
    for (let k = i + 1; k < points.length; k += 1) {
      const [a, b] = [points[i], points[k]];
      if (a && b && distance(a, b) < 2) {
        throw new HolesError(`Holes ${i + 1} and ${k + 1} are the same place.`, [i + 1, k + 1]);
      }
    }
  }
  if (points.length < 3) throw new HolesError('Three holes at least; four are better.');
  if (onOneLine(points, accuracyMm)) {
    throw new HolesError('All holes lie on one line: measure one beside it.');
  }
}

function onOneLine(points: readonly Point[], accuracyMm: number): boolean {
  const [a, b] = farthest(points);
  const length = distance(a, b);
  return points.every((point) => {
    const off = Math.abs((b.x - a.x) * (point.y - a.y) - (b.y - a.y) * (point.x - a.x)) / length;
    return off < Math.max(2, 4 * accuracyMm);
  });
}

function farthest(points: readonly Point[]): [Point, Point] {
  let best: [Point, Point] = [points[0] as Point, points[1] as Point];
  for (const a of points) {
    for (const b of points) if (distance(a, b) > distance(...best)) best = [a, b];
  }
  return best;
}

/** A distance between two holes as a caliper gives it: over the inside edges, the outside edges, or both. */
export interface EdgePair {
  a: number;
  b: number;
  insideMm?: number | undefined;
  outsideMm?: number | undefined;
  /** Known hole diameter, where only one of the two was taken. */
  diameterMm?: number | undefined;
}

/** Centre distance: the mean of inside and outside; with one of them, a diameter further or nearer. */
export function centreDistance(pair: EdgePair): number {
  const { insideMm, outsideMm, diameterMm = 3.96 } = pair;
  if (insideMm !== undefined && outsideMm !== undefined) {
    if (outsideMm <= insideMm) {
      throw new HolesError(
        `Between holes ${pair.a} and ${pair.b} the outside is not more than the inside.`,
        [pair.a, pair.b],
      );
    }
    return (insideMm + outsideMm) / 2;
  }
  if (insideMm !== undefined) return insideMm + diameterMm;
  if (outsideMm !== undefined) return outsideMm - diameterMm;
  throw new HolesError(`Nothing measured between holes ${pair.a} and ${pair.b}.`, [pair.a, pair.b]);
}

/**
 * Places of holes 1 to `count` from distances: 1 at the origin, 2 on the x axis, 3 above it,
 * each further one by its distances to 1 and 2, its side by the distance to 3. The whole may be
 * mirrored: registration takes either. Throws HolesError for a distance that is missing, or
 * three that contradict each other (which, and by how much).
 */
export function fromDistances(count: number, pairs: readonly EdgePair[]): Point[] {
  const between = (a: number, b: number): number => {
    const pair = pairs.find(
      (each) => (each.a === a && each.b === b) || (each.a === b && each.b === a),
    );
    if (!pair) throw new HolesError(`Measure between holes ${a} and ${b}.`, [a, b]);
    return centreDistance(pair);
  };
  const base = between(1, 2);
  const points: Point[] = [
    { x: 0, y: 0 },
    { x: base, y: 0 },
  ];
  for (let hole = 3; hole <= count; hole += 1) {
    const [d1, d2] = [between(1, hole), between(2, hole)];
    const excess = Math.max(base - d1 - d2, d1 - base - d2, d2 - base - d1);
    if (excess > 1) {
      throw new HolesError(
        `Holes 1, 2 and ${hole} contradict each other by ${excess.toFixed(1)} mm: measure them again.`,
        [1, 2, hole],
      );
    }
    const x = (d1 ** 2 - d2 ** 2 + base ** 2) / (2 * base);
    const y = Math.sqrt(Math.max(0, d1 ** 2 - x ** 2));
    const third = points[2];
    if (!third || y < 2) points.push({ x, y });
    else {
      const wanted = between(3, hole);
      const [up, down] = [
        { x, y },
        { x, y: -y },
      ].map((point) => Math.abs(distance(point, third) - wanted)) as [number, number];
      const off = Math.min(up, down);
      if (off > 3) {
        throw new HolesError(
          `The distance between holes 3 and ${hole} is off by ${off.toFixed(1)} mm against the others.`,
          [3, hole],
        );
      }
      points.push({ x, y: up <= down ? y : -y });
    }
  }
  return points;
}
