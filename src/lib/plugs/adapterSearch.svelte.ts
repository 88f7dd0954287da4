import type { AdapterSpec, Recipe } from '$core/plugs/adapter/index.ts';
import { Background } from '$lib/shop/background.svelte.ts';
import type { AdapterWorker } from '../../workers/adapter.worker.ts';

/** An adapter worked out in a worker; a later question overtakes an earlier one. */
export class AdapterSearch {
  recipe = $state.raw<Recipe | undefined>(undefined);
  #refused = $state<string | undefined>(undefined);
  #worker = new Background<AdapterWorker>(
    () =>
      new Worker(new URL('../../workers/adapter.worker.ts', import.meta.url), { type: 'module' }),
  );

  /** Why there is no wiring, in words. */
  get fault(): string | undefined {
    return this.#worker.fault ?? this.#refused;
  }

  async ask(spec: AdapterSpec): Promise<void> {
    const answer = await this.#worker.ask(async (api): Promise<Recipe | { fault: string }> =>
      api.join(spec),
    );
    if (!answer) return;
    this.#refused = 'fault' in answer ? answer.fault : undefined;
    if (!('fault' in answer)) this.recipe = answer;
  }

  close = (): void => this.#worker.close();
}
