import { proxy, wrap, type Remote } from 'comlink';
import type { Course } from '$core/model/types.ts';
import type { HeatWorker, LogShown } from '../../workers/heat.worker.ts';

/** A sensor log read in a worker; a later file overtakes an earlier one. */
export class Logs {
  shown = $state.raw<LogShown | undefined>(undefined);
  fault = $state<string | undefined>(undefined);
  /** Share read, while it reads. */
  share = $state<number | undefined>(undefined);
  #worker: Worker | undefined;
  #remote: Remote<HeatWorker> | undefined;
  #run = 0;

  async read(file: File): Promise<void> {
    this.close();
    const run = ++this.#run;
    this.share = 0;
    try {
      const answer = await this.#api().read(
        file,
        proxy((share: number) => {
          if (run === this.#run) this.share = share;
        }),
      );
      if (run !== this.#run) return;
      if ('fault' in answer) this.fault = answer.fault;
      else this.shown = answer;
    } catch (error) {
      if (run === this.#run) this.fault = (error as Error).message;
    }
    if (run === this.#run) this.share = undefined;
  }

  course(
    at: number,
    what: Course['what'],
    fromS: number,
    toS: number,
  ): Promise<{ course: Course; senseless: number } | undefined> {
    return this.#api().course(at, what, fromS, toS);
  }

  close(): void {
    this.#run += 1;
    this.#worker?.terminate();
    this.#worker = undefined;
    this.#remote = undefined;
    this.shown = undefined;
    this.fault = undefined;
    this.share = undefined;
  }

  #api(): Remote<HeatWorker> {
    if (!this.#remote) {
      this.#worker = new Worker(new URL('../../workers/heat.worker.ts', import.meta.url), {
        type: 'module',
      });
      this.#remote = wrap<HeatWorker>(this.#worker);
    }
    return this.#remote;
  }
}
