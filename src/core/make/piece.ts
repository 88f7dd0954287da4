import type { Make, SheetMaterial } from '../model/types/makeTypes.ts';

/** A rectangle with rounded corners, mm; x to the right, y up. */
export interface Ring {
  name: string;
  x0: number;
  x1: number;
  y0: number;
  y1: number;
  /** Radius of its corners; half the side makes a circle. */
  r: number;
}

/** A round hole, mm, its diameter and what for. */
export interface Hole {
  name: string;
  x: number;
  y: number;
  mm: number;
  /** Across the head of its screw, which must lie flat. */
  headMm?: number;
}

/** A line across the piece about which it is bent, at x; up is toward the eye. */
export interface BendLine {
  x: number;
  from: number;
  to: number;
  degrees: number;
  up: boolean;
}

/** A piece of sheet as it is cut: flat, true size. */
export interface Piece {
  of: Make;
  name: string;
  material: SheetMaterial;
  thick: number;
  /** The piece's own edge; undefined: it is cut into a wall that stands. */
  outline?: Ring;
  openings: Ring[];
  holes: Hole[];
  bends: BendLine[];
  /** What is there already, or is only to be seen: drawn thin, never cut. */
  guides: Ring[];
  /** How much longer or shorter the flat may turn out, by the K of the sheet, mm. */
  openMm: number;
}

export const ring = (
  name: string,
  x0: number,
  y0: number,
  width: number,
  height: number,
  r = 0,
): Ring => ({
  name,
  x0,
  y0,
  x1: x0 + width,
  y1: y0 + height,
  r: Math.max(0, Math.min(r, width / 2, height / 2)),
});

/** The least distance between two openings round their corners, mm; below nothing they overlap by so much. */
export function between(a: Ring, b: Ring): number {
  const dx = Math.max(a.x0 - b.x1, b.x0 - a.x1);
  const dy = Math.max(a.y0 - b.y1, b.y0 - a.y1);
  const r = a.r + b.r;
  return dx + r > 0 && dy + r > 0 ? Math.hypot(dx + r, dy + r) - r : Math.max(dx, dy);
}

/** The least distance between the rims of two holes, mm. */
export const betweenHoles = (a: Hole, b: Hole): number =>
  Math.hypot(a.x - b.x, a.y - b.y) - (a.mm + b.mm) / 2;

/** How far a place lies outside a ring, mm; below nothing inside it. */
function outside({ x0, x1, y0, y1, r }: Ring, x: number, y: number): number {
  const dx = Math.max(x0 - x, x - x1) + r;
  const dy = Math.max(y0 - y, y - y1) + r;
  return (dx > 0 && dy > 0 ? Math.hypot(dx, dy) : Math.max(dx, dy)) - r;
}

/** The least distance from a hole's rim to an opening, from outside it, mm; below nothing it cuts into it. */
export const holeToRing = ({ x, y, mm }: Hole, other: Ring): number =>
  outside(other, x, y) - mm / 2;

/** The least distance from a hole's rim to the edge of the piece it lies in, mm; below nothing it breaks out. */
export const holeToEdge = ({ x, y, mm }: Hole, edge: Ring): number => -outside(edge, x, y) - mm / 2;

/** The least distance from an opening to the edge of the piece it lies in, mm: that of its four corners' arcs. */
export const ringToEdge = ({ x0, x1, y0, y1, r }: Ring, edge: Ring): number =>
  Math.min(
    ...[x0 + r, x1 - r].flatMap((x) => [y0 + r, y1 - r].map((y) => -outside(edge, x, y) - r)),
  );

/** Everything of a piece, mm; undefined where there is nothing. */
export function boundsOf(piece: Piece): Ring | undefined {
  const rings = [
    ...(piece.outline ? [piece.outline] : []),
    ...piece.openings,
    ...piece.guides,
    ...piece.holes.map(({ name, x, y, mm }) => ring(name, x - mm / 2, y - mm / 2, mm, mm)),
  ];
  if (rings.length === 0) return undefined;
  const x0 = Math.min(...rings.map((each) => each.x0));
  const y0 = Math.min(...rings.map((each) => each.y0));
  const x1 = Math.max(...rings.map((each) => each.x1));
  const y1 = Math.max(...rings.map((each) => each.y1));
  return ring(piece.name, x0, y0, x1 - x0, y1 - y0);
}
