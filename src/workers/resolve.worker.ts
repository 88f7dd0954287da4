import { expose } from 'comlink';
import type { Progress } from '$core/resolve/solve.ts';
import type { Shop } from '$core/model/types/types.ts';
import { planOf } from '$core/plan/planOf.ts';
import { tradeOff, type TradeOff } from '$core/resolve/tradeOff.ts';
import {
  searchResolutions,
  type Resolutions,
  type ResolveOptions,
} from '$core/resolve/resolutions.ts';
import { inTurns, overtake } from './turns.ts';

/** The search for ways to make it fit, off the page's thread. */
const api = {
  async search(
    shop: Shop,
    jobId: string,
    options: ResolveOptions,
    progress: (step: Progress) => void,
  ): Promise<Resolutions | undefined> {
    const job = shop.jobs.find((each) => each.id === jobId);
    return job && inTurns(searchResolutions(shop, job, options), progress);
  },
  tradeOff(shop: Shop, jobId: string, a: string, b: string): TradeOff | undefined {
    const job = shop.jobs.find((each) => each.id === jobId);
    return job && tradeOff(shop, job, planOf(shop, job), a, b);
  },
  cancel: overtake,
};

export type ResolveWorker = typeof api;
expose(api);
