import { proxy, wrap, type Remote } from 'comlink';
import type { Job, Part, Shop } from '$core/model/types.ts';
import { pool, type Candidate, type Service } from '$core/plan/candidatesFor.ts';
import { cutFor } from '$core/plan/cut.ts';
import type { DonorsWorker } from '../../workers/donors.worker.ts';

/** Parts judged in a worker; a new question overtakes the one under way. */
export class Judge {
  candidates = $state.raw<Candidate[] | undefined>(undefined);
  services = $state.raw<Service[] | undefined>(undefined);
  /** How many are judged, of how many. */
  done = $state(0);
  of = $state(0);
  fault = $state<string | undefined>(undefined);
  #worker: Worker | undefined;
  #remote: Remote<DonorsWorker> | undefined;
  #run = 0;

  /** Every part that could go into a seat. */
  async askSeat(shop: Shop, job: Job, seat: string, stage?: number): Promise<void> {
    const parts = pool(shop, job, seat);
    await this.#ask(parts.length, async (remote, progress) => {
      const ids = parts.map(({ id }) => id);
      const cut = cutFor(shop, parts, job);
      const found = await remote.candidates(cut, job.id, seat, stage, ids, progress);
      return () => (this.candidates = found ?? this.candidates);
    });
  }

  /** Every seat a part could serve in. */
  async askPart(shop: Shop, part: Part): Promise<void> {
    this.services = undefined;
    await this.#ask(shop.jobs.length, async (remote, progress) => {
      const found = await remote.services(cutFor(shop, [part]), part.id, progress);
      return () => (this.services = found ?? this.services);
    });
  }

  close(): void {
    this.#run += 1;
    this.#worker?.terminate();
    this.#worker = undefined;
    this.#remote = undefined;
  }

  async #ask(
    of: number,
    work: (remote: Remote<DonorsWorker>, progress: (done: number) => void) => Promise<() => void>,
  ): Promise<void> {
    this.#run += 1;
    const run = this.#run;
    [this.done, this.of, this.fault] = [0, of, undefined];
    try {
      const show = await work(
        this.#api(),
        proxy((done: number) => {
          if (run === this.#run) this.done = done;
        }),
      );
      if (run === this.#run) show();
    } catch (error) {
      if (run === this.#run) this.fault = (error as Error).message;
    }
    if (run === this.#run) this.done = of;
  }

  #api(): Remote<DonorsWorker> {
    if (!this.#remote) {
      this.#worker = new Worker(new URL('../../workers/donors.worker.ts', import.meta.url), {
        type: 'module',
      });
      this.#remote = wrap<DonorsWorker>(this.#worker);
    }
    return this.#remote;
  }
}
