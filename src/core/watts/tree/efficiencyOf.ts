import { listAt, numberAt, textAt, type Placed, type Plan } from '../../model/lookup/plan.ts';
import { settingsOf } from '../../model/lookup/reads.ts';
import type { CurvePoint } from '../../model/types/shapes.ts';
import { efficiency, type EfficiencyClass, type Unclassed } from '../../standards/supplies.ts';
import { range, type Range, mid } from '../../units/range.ts';

/** What two meters of the bench leave open on a measured point (common practice, no source). */
const METERS = 0.015;
/** What is added for every share of the load beyond the points measured. */
const BEYOND = 0.15;

/** Points measured on a PSU or converter, by load. */
export const curveOf = (plan: Plan, placed: Placed): CurvePoint[] =>
  (listAt(plan, placed, 'curve')?.items ?? []).toSorted((a, b) => a.load - b.load);

/** Efficiency at a load from points measured: straight between them, wider beyond them. */
export function along(points: readonly CurvePoint[], load: number): Range {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) throw new RangeError('a curve without points');
  const percent = load * 100;
  const after = points.find((each) => each.load >= percent) ?? last;
  const before = [...points].reverse().find((each) => each.load <= percent) ?? first;
  const share = after.load > before.load ? (percent - before.load) / (after.load - before.load) : 0;
  const eta = (before.percent + (after.percent - before.percent) * share) / 100;
  const beyond = Math.max(0, first.load - percent, percent - last.load) / 100;
  const open = METERS + beyond * BEYOND;
  return range(Math.max(0.3, eta - open - beyond * BEYOND), Math.min(0.99, eta + open));
}

/** Efficiency of a supply or converter at a load as a share of its label: measured where it was, else by its class. */
export function efficiencyOf(plan: Plan, placed: Placed): (load: number) => Range {
  const points = curveOf(plan, placed);
  if (points.length > 0) return (load) => along(points, load);
  const name = textAt(plan, placed, 'class')?.text as EfficiencyClass | undefined;
  const percent = placed.kind === 'small' ? numberAt(plan, placed, 'efficiency') : undefined;
  if (percent)
    return () =>
      range(Math.max(0.3, percent.lo / 100), Math.min(0.99, Math.max(0.3, percent.hi / 100)));
  const mains = settingsOf(plan).mains ?? 230;
  const unclassed: Unclassed = {
    brick: textAt(plan, placed, 'feeds')?.text === 'brick',
    years: placed.kind === 'supply' ? numberAt(plan, placed, 'years') : undefined,
  };
  return (load) => efficiency(name, load, mains, unclassed);
}

/** Watts at the wall by the supply's class; the label unknown, by the whole range of supplies. */
export function wallOf(plan: Plan, supply: Placed, givenW: Range): Range {
  const label = numberAt(plan, supply, 'watts');
  const eta = efficiencyOf(plan, supply);
  const at = (watts: number, rating: number) => eta(rating > 0 ? Math.max(0, watts / rating) : 0.5);
  const rating = label ? mid(label) : givenW.hi * 2;
  return range(givenW.lo / at(givenW.lo, rating).hi, givenW.hi / at(givenW.hi, rating).lo);
}
