import type { Course } from '$core/model/types/types.ts';
import { Background } from '$lib/shop/background.svelte.ts';
import type { HeatWorker, LogShown } from '../../workers/heat.worker.ts';

/** A sensor log read in a worker; a later file overtakes an earlier one. */
export class Logs {
  shown = $state.raw<LogShown | undefined>(undefined);
  /** Share read, while it reads. */
  share = $state<number | undefined>(undefined);
  #refused = $state<string | undefined>(undefined);
  #worker = new Background<HeatWorker>(
    () => new Worker(new URL('../../workers/heat.worker.ts', import.meta.url), { type: 'module' }),
  );

  /** Why the log cannot be read, in words. */
  get fault(): string | undefined {
    return this.#worker.fault ?? this.#refused;
  }

  async read(file: File): Promise<void> {
    this.close();
    this.share = 0;
    const answer = await this.#worker.ask(
      async (api, telling): Promise<LogShown | { fault: string }> =>
        api.read(
          file,
          telling((share: number) => (this.share = share)),
        ),
    );
    if (answer && 'fault' in answer) this.#refused = answer.fault;
    else if (answer) this.shown = answer;
    if (!this.#worker.busy) this.share = undefined;
  }

  async course(
    at: number,
    what: Course['what'],
    fromS: number,
    toS: number,
  ): Promise<{ course: Course; senseless: number } | undefined> {
    return (await this.#worker.api()).course(at, what, fromS, toS);
  }

  close = (): void => {
    this.#worker.close();
    [this.shown, this.share, this.#refused] = [undefined, undefined, undefined];
  };
}
