import { expose } from 'comlink';
import type { Shop } from '$core/model/types/types.ts';
import {
  bySettled,
  byWorth,
  judging,
  listed,
  servicesIn,
  type Listed,
  type Service,
} from '$core/resolve/candidatesFor.ts';
import { leftovers, type Leftover } from '$core/resolve/leftovers.ts';
import { inTurns } from './turns.ts';

/** Works through a list, telling how many are done. */
function* through<T, R>(list: readonly T[], work: (each: T) => R[]): Generator<number, R[]> {
  const all: R[] = [];
  for (const [i, each] of list.entries()) {
    all.push(...work(each));
    yield i + 1;
  }
  return all;
}

/** Parts judged for seats off the page's thread. */
const api = {
  /** What the rest could become, nearest to complete first. */
  leftovers: (shop: Shop): Leftover[] => leftovers(shop),
  /** The parts of these tags for a seat, best first. */
  async candidates(
    shop: Shop,
    jobId: string,
    seat: string,
    stage: number | undefined,
    partIds: readonly string[],
    progress: (done: number) => void,
  ): Promise<Listed[] | undefined> {
    const job = shop.jobs.find((each) => each.id === jobId);
    if (!job) return [];
    const wanted = new Set(partIds);
    const judge = judging(shop, job, seat, stage);
    const parts = shop.parts.filter((part) => wanted.has(part.id));
    const found = await inTurns(
      through(parts, (part) => [judge(part)]),
      progress,
    );
    return found?.sort(byWorth).map(listed);
  },
  /** Where a part could serve, in every open job. */
  async services(
    shop: Shop,
    partId: string,
    progress: (done: number) => void,
  ): Promise<Service[] | undefined> {
    const part = shop.parts.find((each) => each.id === partId);
    if (!part) return [];
    const found = await inTurns(
      through(shop.jobs, (job) => servicesIn(shop, job, part)),
      progress,
    );
    return found?.sort(bySettled);
  },
};

export type DonorsWorker = typeof api;
expose(api);
