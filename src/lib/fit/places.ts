import type { Point } from '$core/fit/holes/index.ts';

/** Hole places as they are kept with the board: `12.3 45.6` a hole, mm; an unmeasured figure is `?`. */
export interface Place {
  x: number | undefined;
  y: number | undefined;
}

export function readPlaces(items: readonly string[] | undefined): Place[] {
  return (items ?? []).map((item) => {
    const [x, y] = item.split(' ').map((text) => (text === '?' ? undefined : Number(text)));
    return { x: finite(x), y: finite(y) };
  });
}

const finite = (value: number | undefined) =>
  value !== undefined && Number.isFinite(value) ? value : undefined;

export const writePlaces = (places: readonly Place[]): string[] =>
  places.map(({ x, y }) => `${x ?? '?'} ${y ?? '?'}`);

/** Hole `i` with one figure more or another; a hole without any is left out. */
export function withPlace(
  places: readonly Place[],
  i: number,
  axis: 'x' | 'y',
  value: number,
): Place[] {
  const rows = [...places];
  rows[Math.min(i, rows.length)] = { x: undefined, y: undefined, ...rows[i], [axis]: value };
  return rows.filter((row) => row.x !== undefined || row.y !== undefined);
}

/** The holes with both figures, with their numbers as shown. */
export function measuredPlaces(places: readonly Place[]): { points: Point[]; numbers: number[] } {
  const whole = places.flatMap(({ x, y }, i) =>
    x === undefined || y === undefined ? [] : [{ point: { x, y }, n: i + 1 }],
  );
  return { points: whole.map((each) => each.point), numbers: whole.map((each) => each.n) };
}
