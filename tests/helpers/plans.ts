import { loadSolver } from '../../src/core/allocate/highs.ts';
import { planShop } from '../../src/core/allocate/answer.ts';
import { searchOf, type Asked, type PlanAnswer } from '../../src/core/allocate/planned.ts';
import { openJobs } from '../../src/core/allocate/jobs.ts';
import { finished, type Limits, type Search, type Solver } from '../../src/core/allocate/search.ts';
import { usualWishes } from '../../src/core/allocate/wishes.ts';
import { planOf } from '../../src/core/plan/planOf.ts';
import { runChecks } from '../../src/core/plan/run.ts';
import { runsOf } from '../../src/core/plan/runs.ts';
import { candidatesFor } from '../../src/core/resolve/candidatesFor.ts';
import { billOf } from '../../src/core/donors/index.ts';
import type { Shop } from '../../src/core/model/types/types.ts';

let loaded: Promise<Solver> | undefined;
export const solver = (): Promise<Solver> => (loaded ??= loadSolver());

/** No clock: a search goes to its end. */
export const unhurried: Limits = { left: () => 1e6 };

const all = (shop: Shop, asked: Partial<Asked>): Asked => ({
  jobIds: openJobs(shop),
  wishes: usualWishes,
  others: 0,
  reasons: false,
  ...asked,
});

export async function planned(shop: Shop, asked: Partial<Asked> = {}): Promise<PlanAnswer> {
  return finished(planShop(shop, all(shop, asked), await solver(), unhurried));
}

export async function searching(shop: Shop, asked: Partial<Asked> = {}): Promise<Search> {
  const { jobIds, wishes } = all(shop, asked);
  return searchOf(shop, jobIds, wishes, await solver());
}

/** Jobs that run as they are planned, by their whole checks: nothing of the program is asked. */
export const running = (shop: Shop): string[] =>
  shop.jobs.flatMap((job) => {
    const plan = planOf(shop, job);
    return runsOf(plan, runChecks(plan)).runs ? [job.id] : [];
  });

/** One job after the other, each seat the first candidate of the house's own list that brings nothing bad. */
export function greedy(shop: Shop, seat: string): { shop: Shop; cost: number; without: string[] } {
  let now: Shop = { ...shop, jobs: shop.jobs.map((job) => ({ ...job, changes: [] })) };
  const without: string[] = [];
  for (const { id } of shop.jobs) {
    const job = now.jobs.find((each) => each.id === id)!;
    const [best] = candidatesFor(now, job, seat).filter(
      ({ mark, against }) => mark !== 'stop' && mark !== 'mend' && against.length === 0,
    );
    if (!best) {
      without.push(id);
      continue;
    }
    const changes = [{ seat, partId: best.part.id }];
    now = { ...now, jobs: now.jobs.map((each) => (each.id === id ? { ...each, changes } : each)) };
  }
  return { shop: now, cost: billOf(now, now.jobs).sum.hi, without };
}
