import type { Piece } from './piece.ts';

/** Minutes of hands: a hole marked, punched, drilled and deburred; a bend; mm of edge cut and filed in a minute (common practice, no source). */
const HOLE_MIN = 3;
const BEND_MIN = 6;
const EDGE_MM_A_MIN = 20;
const OPENING_MIN = 6;

/** What a piece takes, min, rounded up to five. */
export function minutesOf({ outline, openings, holes, bends }: Piece): number {
  const round = ({ x0, x1, y0, y1 }: { x0: number; x1: number; y0: number; y1: number }) =>
    2 * (x1 - x0 + (y1 - y0));
  const cut = [...openings, ...(outline ? [outline] : [])].reduce(
    (sum, each) => sum + round(each) / EDGE_MM_A_MIN,
    0,
  );
  const all =
    cut + openings.length * OPENING_MIN + holes.length * HOLE_MIN + bends.length * BEND_MIN;
  return Math.max(5, Math.ceil(all / 5) * 5);
}
