import { indexOf } from '../model/lookup/lookup.ts';
import type { Plan } from '../model/lookup/plan.ts';
import type { Step } from '../model/types/step.ts';
import type { Job, Shop } from '../model/types/types.ts';

/** Minutes of hands as this shop takes them: what timers said of the same step, on machines of the same case first. */

/** Fewer timings teach nothing. */
const ENOUGH = 3;

/** The same step of another job: what is only its own number falls away. */
const sameStep = (id: string): string => id.replace(/^(finish|own):[^:]+/, '$1');

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
      if (minutes === undefined || stepId.startsWith('own:')) continue;
      note(timings.all, sameStep(stepId), minutes);
      if (model !== undefined) note(timings.byModel, `${model} ${sameStep(stepId)}`, minutes);
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
    const own = byModel.get(`${model} ${sameStep(step.id)}`) ?? [];
    const timed = own.length >= ENOUGH ? own : (all.get(sameStep(step.id)) ?? []);
    return timed.length < ENOUGH
      ? step
      : { ...step, minutes: Math.max(1, median(timed)), timed: timed.length };
  });
}
