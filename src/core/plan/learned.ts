import { indexOf } from '../model/lookup/lookup.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { sameStep, type Step } from '../model/types/step.ts';
import type { Job, Shop } from '../model/types/types.ts';

/** Minutes of hands as this shop takes them: what timers said of the same step, on machines of the same case first. */

/** Fewer timings teach nothing. */
const ENOUGH = 3;

interface Timings {
  /** Minutes by step. */
  all: Map<string, number[]>;
  /** Minutes by model of the case and step. */
  byModel: Map<string, number[]>;
}

const kept = new WeakMap<readonly Job[], Timings>();

function timingsOf(shop: Shop): Timings {
  const before = kept.get(shop.jobs);
  if (before) return before;
  const timings: Timings = { all: new Map(), byModel: new Map() };
  const note = (map: Map<string, number[]>, key: string, minutes: number) =>
    map.set(key, [...(map.get(key) ?? []), minutes]);
  for (const job of shop.jobs) {
    const model = caseModel(shop, job.machineId);
    for (const { stepId, minutes } of job.ticks) {
      const same = sameStep(stepId);
      if (minutes === undefined || same === undefined) continue;
      note(timings.all, same, minutes);
      if (model !== undefined) note(timings.byModel, `${model} ${same}`, minutes);
    }
  }
  kept.set(shop.jobs, timings);
  return timings;
}

function caseModel(shop: Shop, machineId: string | undefined): string | undefined {
  const { machines, parts } = indexOf(shop);
  const seat = machines.get(machineId ?? '')?.seats.find((each) => each.seat === 'case');
  return seat && parts.get(seat.partId)?.modelId;
}

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** Steps with the minutes this shop takes, where timers have said it often enough. */
export function withLearned(plan: Plan, steps: readonly Step[]): Step[] {
  const { all, byModel } = timingsOf(plan.shop);
  if (all.size === 0) return [...steps];
  const model = caseModel(plan.shop, plan.machine?.id);
  return steps.map((step) => {
    const same = sameStep(step.id);
    if (same === undefined) return step;
    const own = byModel.get(`${model} ${same}`) ?? [];
    const timed = own.length >= ENOUGH ? own : (all.get(same) ?? []);
    return timed.length < ENOUGH
      ? step
      : { ...step, minutes: Math.max(1, median(timed)), timed: timed.length };
  });
}
