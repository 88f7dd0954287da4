import { wrap, type Remote } from 'comlink';
import type { JoinSpec, Recipe } from '$core/plugs/join/index.ts';
import type { JoinWorker } from '../../workers/join.worker.ts';

/** An adapter worked out in a worker; a later question overtakes an earlier one. */
export class Joining {
  recipe = $state.raw<Recipe | undefined>(undefined);
  fault = $state<string | undefined>(undefined);
  busy = $state(false);
  #worker: Worker | undefined;
  #remote: Remote<JoinWorker> | undefined;
  #run = 0;

  async ask(spec: JoinSpec): Promise<void> {
    this.#run += 1;
    const run = this.#run;
    this.busy = true;
    let answer: Recipe | { fault: string };
    try {
      answer = await this.#api().join(spec);
    } catch (error) {
      answer = { fault: (error as Error).message };
    }
    if (run !== this.#run) return;
    this.busy = false;
    if ('fault' in answer) {
      this.fault = answer.fault;
    } else {
      this.fault = undefined;
      this.recipe = answer;
    }
  }

  close(): void {
    this.#run += 1;
    this.#worker?.terminate();
    this.#worker = undefined;
    this.#remote = undefined;
  }

  #api(): Remote<JoinWorker> {
    if (!this.#remote) {
      this.#worker = new Worker(new URL('../../workers/join.worker.ts', import.meta.url), {
        type: 'module',
      });
      this.#remote = wrap<JoinWorker>(this.#worker);
    }
    return this.#remote;
  }
}
