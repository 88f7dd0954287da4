import { restOf } from '../../findings/gap.ts';
import type { Term } from '../../findings/finding.ts';
import type { Kind, SeatId } from '../../model/types.ts';
import type { Range } from '../../units/range.ts';
import { way, type Coord } from './coord.ts';

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
  let best: Separation | undefined;
  for (const axis of axes) {
    for (const [near, far] of [
      [a, b],
      [b, a],
    ] as const) {
      const from = near[axis][1];
      const to = far[axis][0];
      const rough = { lo: to.lo - from.hi, hi: to.hi - from.lo };
      if (best && rough.hi < best.rest.lo) continue;
      const terms = way(from, to);
      const rest = restOf(terms);
      if (!best || better(rest, best.rest)) best = { axis, terms, rest };
    }
  }
  return best as Separation;
}

function better(a: Range, b: Range): boolean {
  if (a.lo >= 0 || b.lo >= 0) return a.lo > b.lo;
  return a.hi > b.hi || (a.hi === b.hi && a.lo > b.lo);
}

/** Far enough apart along some axis by the bounds alone, mm: no sum needs to be made. */
export function farApart(a: Box, b: Box, mm: number): boolean {
  return axes.some(
    (axis) => b[axis][0].lo - a[axis][1].hi >= mm || a[axis][0].lo - b[axis][1].hi >= mm,
  );
}
