import { mid } from '$core/units/range.ts';
import type { Finding, Mark } from '$core/findings/finding.ts';
import { figure } from '$core/findings/gap.ts';
import { separation, type Box, type Separation } from '$core/fit/space/box.ts';
import { mayCollide } from '$core/fit/clashes.ts';
import { boxesOf } from '$core/fit/space/space.ts';
import type { Plan } from '$core/model/lookup/plan.ts';
import { lengthsIn } from '$core/units/length.ts';

/** The air between two parts where it lies: from edge to edge along one side, mm in the section's frame. */
export interface Gap {
  axis: 'x' | 'y' | 'w';
  from: number;
  to: number;
  /** Where the line is drawn, along the other side. */
  at: number;
  figure: string;
  mark: Mark;
}

/** Where the gap of a sum between two parts lies; undefined for sums of another sort. */
export function gapPlace(plan: Plan, finding: Finding | undefined, thick: number): Gap | undefined {
  if (finding?.about?.of !== 'space' || !finding.margin) return undefined;
  const pair = nearest(boxesOf(plan, finding.about.between), finding);
  if (!pair) return undefined;
  const { first, second, apart } = pair;
  const { axis } = apart;
  const inOrder = mid(first[axis][0]) <= mid(second[axis][0]);
  const [near, far] = inOrder ? [first, second] : [second, first];
  const [from, to] = [mid(near[axis][1]), mid(far[axis][0])];
  const other = axis === 'y' ? 'x' : 'y';
  const at =
    (Math.max(mid(first[other][0]), mid(second[other][0])) +
      Math.min(mid(first[other][1]), mid(second[other][1]))) /
    2;
  const apartBy = lengthsIn(`${figure(finding.margin, 0)} mm`, plan.shop.settings.unit);
  const common = { axis, at, figure: apartBy, mark: finding.mark };
  return axis === 'w' ? { ...common, from: thick - to, to: thick - from } : { ...common, from, to };
}

/** The pair of boxes the sum was made of: the one with that rest. */
function nearest(
  boxes: readonly Box[],
  finding: Finding,
): { first: Box; second: Box; apart: Separation } | undefined {
  for (const first of boxes) {
    for (const second of boxes) {
      if (first.id >= second.id || !mayCollide(first, second)) continue;
      const apart = separation(first, second);
      if (apart.rest.lo === finding.margin?.lo && apart.rest.hi === finding.margin.hi)
        return { first, second, apart };
    }
  }
  return undefined;
}
