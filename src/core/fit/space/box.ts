import { restOf } from '../../findings/gap.ts';
import type { Term } from '../../findings/finding.ts';
import type { Kind, SeatId } from '../../model/types/types.ts';
import type { Range } from '../../units/range.ts';
import { offset, offsetTerms, type Coord } from './coord.ts';

/**
 * The frame of a case, mm. Seen with the lid off, and cut across, seen from the front:
 *
 *        x ──▶ from inside the rear wall             w: from the closed lid inward
 *     ┌───────────────────────────┐                 tray              lid
 *   y │ supply ▸      │           │                  │▌board           │
 *   │ │ ▌ports ┌──────┐ ││memory  │                  │▌ ┌──────────┐   │
 *   ▼ │ ▌      │cooler│ ││        │                  │▌ │  cooler  │◀─▶│ w of its top
 *     │ card ════════════▶│ cage  │                  │▌ └──────────┘   │
 *     └───────────────────────────┘                  │                 │
 *   rear          front                              ◀────── w ────────┤ 0
 *
 * y runs from the wall at the ports' end along the rear wall. Parts go in through the lid:
 * toward greater w. A case that lies flat has the same frame, lid up.
 */
export const axes = ['x', 'y', 'w'] as const;
export type Axis = (typeof axes)[number];

/**
 * body: matter. base: a cooler's foot. bend: room a plug and its leads need. furniture: what
 * belongs to another part. guess: a place nobody named, drawn but never judged.
 */
export type BoxWhat = 'body' | 'base' | 'bend' | 'furniture' | 'guess';

export interface Box {
  id: string;
  seat: SeatId;
  kind: Kind;
  what: BoxWhat;
  /** In words: `cooler`, `memory 2`, `card plug`. */
  name: string;
  x: readonly [Coord, Coord];
  y: readonly [Coord, Coord];
  w: readonly [Coord, Coord];
}

export interface Separation {
  axis: Axis;
  /** The air between the two along that axis, as a sum. */
  terms: Term[];
  rest: Range;
}

/**
 * The air between two boxes along the axis that keeps them apart best: surely apart when its
 * least is not below nothing, surely in each other's way when even its most is.
 */
export function separation(a: Box, b: Box): Separation {
  const side = bestSide(a, b).side;
  const axis = axes[side >> 1] as Axis;
  const [near, far] = side & 1 ? [b, a] : [a, b];
  const terms = offsetTerms(near[axis][1], far[axis][0]);
  return { axis, terms, rest: restOf(terms) };
}

/** The air between two boxes, without the sum it is made of. */
export const airBetween = (a: Box, b: Box): Range => bestSide(a, b).rest;

function bestSide(a: Box, b: Box): { side: number; rest: Range } {
  const first = widest(a, b);
  let best = { side: first, rest: along(a, b, first) };
  for (let side = 0; side < 6; side += 1) {
    if (side === first) continue;
    const rough = roughly(a, b, side);
    /* The sum is never wider than the bounds: what cannot be better is not made. */
    if (rough < best.rest.lo || (rough < 0 && rough <= best.rest.hi)) continue;
    const rest = along(a, b, side);
    if (better(rest, best.rest)) best = { side, rest };
  }
  return best;
}

/** The most air on a side by the bounds alone; sides 0 to 5: x, y, w, each with a first or b first. */
function roughly(a: Box, b: Box, side: number): number {
  const axis = axes[side >> 1] as Axis;
  return side & 1 ? a[axis][0].hi - b[axis][1].lo : b[axis][0].hi - a[axis][1].lo;
}

function widest(a: Box, b: Box): number {
  let best = 0;
  for (let side = 1; side < 6; side += 1)
    if (roughly(a, b, side) > roughly(a, b, best)) best = side;
  return best;
}

function along(a: Box, b: Box, side: number): Range {
  const axis = axes[side >> 1] as Axis;
  return side & 1 ? offset(b[axis][1], a[axis][0]) : offset(a[axis][1], b[axis][0]);
}

function better(a: Range, b: Range): boolean {
  if (a.lo >= 0 || b.lo >= 0) return a.lo > b.lo;
  return a.hi > b.hi || (a.hi === b.hi && a.lo > b.lo);
}

/** Far enough apart along some axis by the bounds alone, mm: no sum needs to be made. */
export function farApart(a: Box, b: Box, mm: number): boolean {
  return beside(a.x, b.x, mm) || beside(a.y, b.y, mm) || beside(a.w, b.w, mm);
}

const beside = (a: Box[Axis], b: Box[Axis], mm: number) =>
  b[0].lo - a[1].hi >= mm || a[0].lo - b[1].hi >= mm;
