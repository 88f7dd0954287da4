import type { Progress } from '$core/resolve/solve.ts';
import type { Shop } from '$core/model/types/types.ts';
import type { Resolutions } from '$core/resolve/resolutions.ts';
import type { TradeOff } from '$core/resolve/tradeOff.ts';
import type { Weights } from '$core/resolve/cost.ts';
import { Background } from '$lib/shop/background.svelte.ts';
import type { ResolveWorker } from '../../workers/resolve.worker.ts';

/** Ways to make it fit in one job, searched in a worker; a new search overtakes the one under way. */
export class ResolutionSearch {
  answer = $state.raw<Resolutions | undefined>(undefined);
  progress = $state.raw<Progress | undefined>(undefined);
  cancelled = $state(false);
  #worker = new Background<ResolveWorker>(
    () =>
      new Worker(new URL('../../workers/resolve.worker.ts', import.meta.url), { type: 'module' }),
  );

  /** Searching now. */
  get busy(): boolean {
    return this.#worker.busy;
  }

  get fault(): string | undefined {
    return this.#worker.fault;
  }

  async search(shop: Shop, jobId: string, weights: Weights): Promise<void> {
    this.cancelled = false;
    this.progress = undefined;
    this.answer =
      (await this.#worker.ask((api, telling) =>
        api.search(
          shop,
          jobId,
          { weights },
          telling((step: Progress) => (this.progress = step)),
        ),
      )) ?? this.answer;
  }

  async tradeOff(shop: Shop, jobId: string, a: string, b: string): Promise<TradeOff | undefined> {
    return (await this.#worker.api()).tradeOff(shop, jobId, a, b);
  }

  cancel(): void {
    this.#worker.stop();
    this.cancelled = true;
    void this.#worker.api().then((api) => api.cancel());
  }

  close = (): void => this.#worker.close();
}
