import { worst, type Finding } from '../findings/finding.ts';
import type { Plan } from '../model/lookup/plan.ts';
import type { Job, Shop } from '../model/types/types.ts';
import { workOrderOf } from '../plan/workOrderOf.ts';
import { handsNeeded, progress, type Hands, type Progress } from '../order/index.ts';
import type { MoneySum } from '../units/money.ts';
import { jobAccount } from '../donors/accounts.ts';
import { planOf } from '../plan/planOf.ts';
import { checksOf, tightest } from '../plan/run.ts';

/** A job as it stands on the bench: its plan, sums, work list and when hands are next needed. */
export interface Standing {
  job: Job;
  plan: Plan;
  found: Finding[];
  tightest: Finding | undefined;
  progress: Progress;
  hands: Hands;
  spent: MoneySum;
}

const kept = new WeakMap<Shop, Map<string, { job: Job; now: string; standing: Standing }>>();

/** As `stand`, kept while the shop and the half minute live. */
export function standing(shop: Shop, job: Job, now: string): Standing {
  const own = kept.get(shop) ?? new Map<string, { job: Job; now: string; standing: Standing }>();
  kept.set(shop, own);
  const before = own.get(job.id);
  if (before?.job === job && before.now === now) return before.standing;
  const found = stand(shop, job, now);
  own.set(job.id, { job, now, standing: found });
  return found;
}

function stand(shop: Shop, job: Job, now: string): Standing {
  const plan = planOf(shop, job);
  const found = checksOf(shop, job);
  const steps = workOrderOf(plan, job.schools);
  const due = plan.seats.flatMap((placed) =>
    placed.state === 'comes' && placed.part.place === 'buy' ? [placed.part.due] : [],
  );
  return {
    job,
    plan,
    found,
    tightest: tightest(found),
    progress: progress(steps, job.ticks),
    hands: handsNeeded(job, due, worst(found) === 'stop', now),
    spent: costs(shop, job, plan),
  };
}

/** Money of a job: its machine, the parts that come, its wants and what the book says. Unpriced ones are named. */
export function costs(shop: Shop, job: Job, plan = planOf(shop, job)): MoneySum {
  const { costs: minor, currency, unpriced, noRate } = jobAccount(shop, job, plan);
  return { total: { minor, currency }, unpriced, foreign: noRate };
}
