import type { Job, Part, Shop } from '$core/model/types/types.ts';
import { pool, type Candidate, type Service } from '$core/resolve/candidatesFor.ts';
import { cutFor } from '$core/shop/cut.ts';
import { Background } from '$lib/shop/background.svelte.ts';
import type { DonorsWorker } from '../../workers/donors.worker.ts';

/** Parts judged in a worker; a new question overtakes the one under way. */
export class Judge {
  candidates = $state.raw<Candidate[] | undefined>(undefined);
  services = $state.raw<Service[] | undefined>(undefined);
  /** How many are judged, of how many. */
  done = $state(0);
  of = $state(0);
  #worker = new Background<DonorsWorker>(
    () =>
      new Worker(new URL('../../workers/donors.worker.ts', import.meta.url), { type: 'module' }),
  );

  get fault(): string | undefined {
    return this.#worker.fault;
  }

  /** Every part that could go into a seat. */
  async askSeat(shop: Shop, job: Job, seat: string, stage?: number): Promise<void> {
    const parts = pool(shop, job, seat);
    [this.done, this.of] = [0, parts.length];
    const ids = parts.map(({ id }) => id);
    const found = await this.#worker.ask((api, telling) =>
      api.candidates(cutFor(shop, parts, job), job.id, seat, stage, ids, telling(this.#tell)),
    );
    if (found) [this.candidates, this.done] = [found, parts.length];
  }

  /** Every seat a part could serve in. */
  async askPart(shop: Shop, part: Part): Promise<void> {
    this.services = undefined;
    [this.done, this.of] = [0, shop.jobs.length];
    const found = await this.#worker.ask((api, telling) =>
      api.services(cutFor(shop, [part]), part.id, telling(this.#tell)),
    );
    if (found) [this.services, this.done] = [found, this.of];
  }

  close = (): void => this.#worker.close();

  #tell = (done: number): void => void (this.done = done);
}
