import { expose } from 'comlink';
import type { Progress } from '$core/fit/search/solve.ts';
import type { Job, Shop } from '$core/model/types.ts';
import { planOf } from '$core/plan/planOf.ts';
import { tradeOff, type TradeOff } from '$core/plan/give/tradeOff.ts';
import { giving, type GiveAnswer, type GiveOptions } from '$core/plan/give/give.ts';

/** The search for ways to make it fit, off the page's thread: told to stop, it stops at its next breath. */
let current = 0;

const breath = () => new Promise((done) => setTimeout(done, 0));

const api = {
  /** Undefined when a later search or a cancel overtook it. */
  async search(
    shop: Shop,
    jobId: string,
    options: GiveOptions,
    progress: (step: Progress) => void,
  ): Promise<GiveAnswer | undefined> {
    current += 1;
    const mine = current;
    const job: Job | undefined = shop.jobs.find((each) => each.id === jobId);
    if (!job) return undefined;
    const search = giving(shop, job, options);
    let step = search.next();
    while (!step.done) {
      progress(step.value);
      await breath();
      if (mine !== current) return undefined;
      step = search.next();
    }
    return mine === current ? step.value : undefined;
  },
  tradeOff(shop: Shop, jobId: string, a: string, b: string): TradeOff | undefined {
    const job = shop.jobs.find((each) => each.id === jobId);
    return job && tradeOff(shop, job, planOf(shop, job), a, b);
  },
  cancel(): void {
    current += 1;
  },
};

export type GiveWorker = typeof api;
expose(api);
