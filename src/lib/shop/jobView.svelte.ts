import { type Finding, type StationId } from '$core/findings/finding.ts';
import type { Plan } from '$core/model/lookup/plan.ts';
import type { Job, Shop } from '$core/model/types/types.ts';
import type { Step } from '$core/order/index.ts';
import { workOrderOf } from '$core/plan/workOrderOf.ts';
import { flips, type Flip } from '$core/findings/flips.ts';
import { planOf } from '$core/plan/planOf.ts';
import { questions, type Question } from '$core/plan/questions.ts';
import { checksOf, countByStation, type Counts } from '$core/plan/run.ts';
import { shopStore } from './shopStore.svelte.ts';

/** One job as the stations look at it: everything derived from the shop, worked out once per edit. */
export class JobView {
  #id: () => string | undefined;
  job = $derived.by((): Job | undefined =>
    shopStore.shop.jobs.find((job) => job.id === this.#id()),
  );
  plan = $derived.by((): Plan | undefined => this.job && planOf(shopStore.shop, this.job));
  found = $derived.by((): Finding[] => (this.job ? checksOf(shopStore.shop, this.job) : []));
  steps = $derived.by((): Step[] =>
    this.plan && this.job ? workOrderOf(this.plan, this.job.schools) : [],
  );
  questions = $derived.by((): Question[] => questions(shopStore.shop, this.found));
  counts = $derived.by((): Partial<Record<StationId, Counts>> => countByStation(this.found));
  flips = $derived.by((): Map<string, Flip> => {
    const before = shopStore.before && jobIn(shopStore.before, this.#id());
    const list =
      before && shopStore.before ? flips(checksOf(shopStore.before, before), this.found) : [];
    return new Map(list.map((flip) => [flip.id, flip]));
  });

  constructor(id: () => string | undefined) {
    this.#id = id;
  }
}

const jobIn = (shop: Shop, id: string | undefined) => shop.jobs.find((job) => job.id === id);
