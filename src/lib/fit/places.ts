import type { Place } from '$core/model/types/shapes.ts';
import type { Point } from '$core/fit/holes/index.ts';

/** Hole `i` with one figure more or another; a hole without any is left out. */
export function withPlace(
  places: readonly Place[],
  i: number,
  axis: 'x' | 'y',
  value: number,
): Place[] {
  const rows = [...places];
  rows[Math.min(i, rows.length)] = { ...rows[i], [axis]: value };
  return rows.filter((row) => row.x !== undefined || row.y !== undefined);
}

/** The holes with both figures, with their numbers as shown. */
export function measuredPlaces(places: readonly Place[]): { points: Point[]; numbers: number[] } {
  const whole = places.flatMap(({ x, y }, i) =>
    x === undefined || y === undefined ? [] : [{ point: { x, y }, n: i + 1 }],
  );
  return { points: whole.map((each) => each.point), numbers: whole.map((each) => each.n) };
}
