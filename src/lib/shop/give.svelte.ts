import { proxy, wrap, type Remote } from 'comlink';
import type { Progress } from '$core/fit/search/solve.ts';
import type { Shop } from '$core/model/types.ts';
import type { GiveAnswer } from '$core/plan/give/give.ts';
import type { TradeOff } from '$core/plan/give/tradeOff.ts';
import type { Weights } from '$core/plan/give/cost.ts';
import type { GiveWorker } from '../../workers/give.worker.ts';

/** Ways to make it fit in one job, searched in a worker; a new search overtakes the one under way. */
export class GiveSearch {
  answer = $state.raw<GiveAnswer | undefined>(undefined);
  progress = $state.raw<Progress | undefined>(undefined);
  /** Searching now. */
  busy = $state(false);
  cancelled = $state(false);
  fault = $state<string | undefined>(undefined);
  #worker: Worker | undefined;
  #remote: Remote<GiveWorker> | undefined;
  #run = 0;

  async search(shop: Shop, jobId: string, weights: Weights): Promise<void> {
    this.#run += 1;
    const run = this.#run;
    this.busy = true;
    this.cancelled = false;
    this.fault = undefined;
    try {
      const answer = await this.#api().search(
        shop,
        jobId,
        { weights },
        proxy((step: Progress) => {
          if (run === this.#run) this.progress = step;
        }),
      );
      if (run !== this.#run) return;
      this.answer = answer;
    } catch (error) {
      if (run === this.#run) this.fault = (error as Error).message;
    }
    if (run === this.#run) {
      this.busy = false;
      this.progress = undefined;
    }
  }

  tradeOff(shop: Shop, jobId: string, a: string, b: string): Promise<TradeOff | undefined> {
    return this.#api().tradeOff(shop, jobId, a, b);
  }

  cancel(): void {
    this.#run += 1;
    this.busy = false;
    this.cancelled = true;
    this.progress = undefined;
    void this.#remote?.cancel();
  }

  close(): void {
    this.#run += 1;
    this.#worker?.terminate();
    this.#worker = undefined;
    this.#remote = undefined;
  }

  #api(): Remote<GiveWorker> {
    if (!this.#remote) {
      this.#worker = new Worker(new URL('../../workers/give.worker.ts', import.meta.url), {
        type: 'module',
      });
      this.#remote = wrap<GiveWorker>(this.#worker);
    }
    return this.#remote;
  }
}
