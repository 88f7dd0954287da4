import type { Job, Part, Shop } from '$core/model/types/types.ts';
import { pool, type Listed, type Service } from '$core/resolve/candidatesFor.ts';
import { cutFor } from '$core/shop/cut.ts';
import { Background } from '$lib/shop/background.svelte.ts';
import type { DonorsWorker } from '../../workers/donors.worker.ts';

/** A worker that has judged knows its way: the last one let go is kept so long for the next question, ms. */
const KEPT_MS = 120_000;
let kept: { worker: Background<DonorsWorker>; timer: ReturnType<typeof setTimeout> } | undefined;

function taken(): Background<DonorsWorker> {
  const worker = kept?.worker;
  clearTimeout(kept?.timer);
  kept = undefined;
  return (
    worker ??
    new Background<DonorsWorker>(
      () =>
        new Worker(new URL('../../workers/donors.worker.ts', import.meta.url), { type: 'module' }),
    )
  );
}

function letGo(worker: Background<DonorsWorker>): void {
  /* Nobody waits any more; what is still under way gives way to the next question. */
  worker.stop();
  if (!worker.opened) return;
  if (worker.fault !== undefined) return worker.close();
  kept?.worker.close();
  clearTimeout(kept?.timer);
  const timer = setTimeout(() => {
    worker.close();
    if (kept?.worker === worker) kept = undefined;
  }, KEPT_MS);
  kept = { worker, timer };
}

/** Parts judged in a worker; a new question overtakes the one under way. */
export class Judge {
  candidates = $state.raw<Listed[] | undefined>(undefined);
  services = $state.raw<Service[] | undefined>(undefined);
  /** How many are judged, of how many. */
  done = $state(0);
  of = $state(0);
  #worker = taken();

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

  close = (): void => letGo(this.#worker);

  #tell = (done: number): void => void (this.done = done);
}
