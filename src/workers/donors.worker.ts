import { expose } from 'comlink';
import type { Shop } from '$core/model/types.ts';
import {
  bySettled,
  byWorth,
  judging,
  servicesIn,
  type Candidate,
  type Service,
} from '$core/plan/candidatesFor.ts';

/** Parts judged for seats off the page's thread: told to stop, it stops at its next breath. */
let current = 0;
const BREATH_MS = 40;
const breath = () => new Promise((done) => setTimeout(done, 0));

/** Works through a list, with a breath now and then; undefined when a later call overtook it. */
async function through<T, R>(
  list: readonly T[],
  work: (each: T) => R[],
  progress: (done: number) => void,
): Promise<R[] | undefined> {
  current += 1;
  const mine = current;
  const all: R[] = [];
  let last = performance.now();
  for (const [i, each] of list.entries()) {
    all.push(...work(each));
    if (performance.now() - last < BREATH_MS) continue;
    progress(i + 1);
    await breath();
    if (mine !== current) return undefined;
    last = performance.now();
  }
  return all;
}

const api = {
  /** The parts of these tags for a seat, best first. */
  async candidates(
    shop: Shop,
    jobId: string,
    seat: string,
    stage: number | undefined,
    partIds: readonly string[],
    progress: (done: number) => void,
  ): Promise<Candidate[] | undefined> {
    const job = shop.jobs.find((each) => each.id === jobId);
    if (!job) return [];
    const wanted = new Set(partIds);
    const judge = judging(shop, job, seat, stage);
    const found = await through(
      shop.parts.filter((part) => wanted.has(part.id)),
      (part) => [judge(part)],
      progress,
    );
    return found?.sort(byWorth);
  },
  /** Where a part could serve, in every open job. */
  async services(
    shop: Shop,
    partId: string,
    progress: (done: number) => void,
  ): Promise<Service[] | undefined> {
    const part = shop.parts.find((each) => each.id === partId);
    if (!part) return [];
    const found = await through(shop.jobs, (job) => servicesIn(shop, job, part), progress);
    return found?.sort(bySettled);
  },
  cancel(): void {
    current += 1;
  },
};

export type DonorsWorker = typeof api;
expose(api);
