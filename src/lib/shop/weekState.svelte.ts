import { SvelteMap } from 'svelte/reactivity';
import type { Shop } from '$core/model/types/types.ts';
import type { WayOut } from '$core/schedule/ways.ts';
import { Background } from './background.svelte.ts';
import { clockOf } from '$lib/ui/dates.ts';
import type { WeekAhead, WeekWorker } from '../../workers/week.worker.ts';

/** Orders looked at before anything is shown, and where that proved nothing. */
const QUICK = 400;
const LONG = 20_000;

/** The plan of the week, worked out beside the page and looked at from bench, work order and week alike. */
class WeekState {
  plan = $state.raw<WeekAhead | undefined>(undefined);
  /** Share of a long search that is done; undefined: none is under way. */
  share = $state<number | undefined>(undefined);
  /** What the kept plan has today is not begun earlier or elsewhere. */
  frozen = $state(false);
  /** Tasks dragged later, until they are put back. */
  notBefore = new SvelteMap<string, number>();
  /** Ways out for late jobs, as far as they were asked for. */
  ways = new SvelteMap<string, readonly WayOut[]>();
  #background = new Background<WeekWorker>(
    () => new Worker(new URL('../../workers/week.worker.ts', import.meta.url), { type: 'module' }),
  );
  #key: unknown[] = [];
  #whole = false;

  get busy(): boolean {
    return this.#background.busy;
  }
  get fault(): string | undefined {
    return this.#background.fault;
  }

  /**
   * Works it out anew where the shop, the wishes or the ten minutes changed. `whole`: searches on where the first look
   * proved nothing, and for what would make a late job; bench and work order do without.
   */
  follow(shop: Shop, now: string, whole = false): void {
    const wishes = Object.fromEntries(this.notBefore);
    const { jobs, parts, machines, models, settings } = shop;
    const half = now.slice(0, 15);
    const key = [
      jobs,
      parts,
      machines,
      models,
      settings,
      half,
      this.frozen,
      JSON.stringify(wishes),
    ];
    const same = key.every((each, i) => each === this.#key[i]);
    if (same && (this.#whole || !whole)) return;
    this.#key = key;
    this.#whole = whole;
    const midnight = new Date(now);
    midnight.setHours(24, 0, 0, 0);
    const asked = {
      ...clockOf(now),
      notBefore: wishes,
      ...(this.frozen && { frozenUntil: midnight.toISOString() }),
    };
    void this.#background
      .ask((worker) => worker.plan(shop, asked, QUICK))
      .then(async (plan) => {
        if (!plan) return;
        this.plan = plan;
        this.ways.clear();
        if (!whole) return;
        if (plan.found && !plan.found.proven && this.#key === key) {
          const better = await this.#background.ask((worker, telling) =>
            worker.plan(
              shop,
              asked,
              LONG,
              telling((share) => (this.share = share)),
            ),
          );
          this.share = undefined;
          if (better) this.plan = better;
        }
        for (const { jobId, spare } of this.plan.jobs) {
          if (spare === undefined || spare >= 0 || this.#key !== key) continue;
          const ways = await (await this.#background.api()).ways(shop, asked, jobId);
          if (this.#key === key) this.ways.set(jobId, ways);
        }
      });
  }

  /** Stops a long search; what it had found first stands. */
  cancel(): void {
    this.#background.close();
    this.share = undefined;
  }
}

export const weekState = new WeekState();
