import { expose } from 'comlink';
import type { Progress } from '$core/resolve/solve.ts';
import type { Shop } from '$core/model/types/types.ts';
import { planOf } from '$core/plan/planOf.ts';
import { tradeOff, type TradeOff } from '$core/resolve/tradeOff.ts';
import { giving, type GiveAnswer, type GiveOptions } from '$core/resolve/resolutions.ts';
import { inTurns, overtake } from './turns.ts';

/** The search for ways to make it fit, off the page's thread. */
const api = {
  async search(
    shop: Shop,
    jobId: string,
    options: GiveOptions,
    progress: (step: Progress) => void,
  ): Promise<GiveAnswer | undefined> {
    const job = shop.jobs.find((each) => each.id === jobId);
    return job && inTurns(giving(shop, job, options), progress);
  },
  tradeOff(shop: Shop, jobId: string, a: string, b: string): TradeOff | undefined {
    const job = shop.jobs.find((each) => each.id === jobId);
    return job && tradeOff(shop, job, planOf(shop, job), a, b);
  },
  cancel: overtake,
};

export type GiveWorker = typeof api;
expose(api);
