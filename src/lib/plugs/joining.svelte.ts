import type { JoinSpec, Recipe } from '$core/plugs/adapter/index.ts';
import { Background } from '$lib/shop/background.svelte.ts';
import type { JoinWorker } from '../../workers/join.worker.ts';

/** An adapter worked out in a worker; a later question overtakes an earlier one. */
export class Joining {
  recipe = $state.raw<Recipe | undefined>(undefined);
  #refused = $state<string | undefined>(undefined);
  #worker = new Background<JoinWorker>(
    () => new Worker(new URL('../../workers/join.worker.ts', import.meta.url), { type: 'module' }),
  );

  /** Why there is no wiring, in words. */
  get fault(): string | undefined {
    return this.#worker.fault ?? this.#refused;
  }

  async ask(spec: JoinSpec): Promise<void> {
    const answer = await this.#worker.ask(async (api): Promise<Recipe | { fault: string }> =>
      api.join(spec),
    );
    if (!answer) return;
    this.#refused = 'fault' in answer ? answer.fault : undefined;
    if (!('fault' in answer)) this.recipe = answer;
  }

  close = (): void => this.#worker.close();
}
