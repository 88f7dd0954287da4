import type { At } from './plane.ts';

/** What is measured on a picture, and figures from one to another. */

export interface MeasuredHole extends At {
  is: 'hole';
  mm: number;
  /** Where its middle lies with 95 %, and its diameter, mm. */
  within: number;
  mmWithin: number;
  /** In how many pictures it was found. */
  shots: number;
}
export interface MeasuredEdge extends At {
  is: 'edge';
  dx: number;
  dy: number;
  back: number;
  on: number;
  within: number;
}
export interface MeasuredRectangle {
  is: 'rectangle';
  corners: At[];
  width: number;
  height: number;
  turned: number;
  /** Its sides with 95 %, mm. */
  within: number;
}
export type Measured = MeasuredHole | MeasuredEdge | MeasuredRectangle;

/** From one to another, mm: middles of holes, a point to an edge; undefined where there is no such figure. */
export function between(one: Measured, two: Measured): { mm: number; within: number } | undefined {
  const within = Math.hypot(one.within, two.within);
  if (one.is === 'hole' && two.is === 'hole')
    return { mm: Math.hypot(one.x - two.x, one.y - two.y), within };
  const [edge, other] = one.is === 'edge' ? [one, two] : two.is === 'edge' ? [two, one] : [];
  if (!edge || !other || other.is === 'rectangle') return undefined;
  const across = (p: At) => Math.abs((p.x - edge.x) * edge.dy - (p.y - edge.y) * edge.dx);
  if (other.is === 'hole') return { mm: across(other), within };
  const turned = Math.abs(edge.dx * other.dy - edge.dy * other.dx);
  return turned > 0.05 ? undefined : { mm: (across(other) + acrossOf(other, edge)) / 2, within };
}

const acrossOf = (edge: MeasuredEdge, p: At): number =>
  Math.abs((p.x - edge.x) * edge.dy - (p.y - edge.y) * edge.dx);
