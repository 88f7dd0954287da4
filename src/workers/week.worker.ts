import * as Comlink from 'comlink';
import type { Shop } from '$core/model/types/types.ts';
import { planWeek, type WeekPlan, type Wished } from '$core/schedule/plan.ts';
import { gapNow, type Gap } from '$core/schedule/gap.ts';
import { tripBefore, type Trip } from '$core/schedule/trip.ts';
import { waysOut, type WayOut } from '$core/schedule/ways.ts';

/** The week beside the page: it may take seconds, and says how far it is. */

/** The plan with what the bench asks of it now. */
export interface WeekAhead extends WeekPlan {
  gap: Gap | undefined;
  trip: Trip | undefined;
}

const LONGEST_MS = 8000;
const TELL_MS = 200;

const worker = {
  /** `progress` hears now and then which share of the orders was looked at. */
  plan(shop: Shop, wished: Wished, orders: number, progress?: (share: number) => void): WeekAhead {
    const until = performance.now() + LONGEST_MS;
    let told = performance.now();
    const plan = planWeek(shop, wished, {
      orders,
      stop: ({ tried }) => {
        const now = performance.now();
        if (progress && now - told > TELL_MS) {
          progress(tried / orders);
          told = now;
        }
        return now > until;
      },
    });
    return { ...plan, gap: gapNow(shop, plan), trip: tripBefore(shop, plan) };
  },
  ways: (shop: Shop, wished: Wished, jobId: string): WayOut[] => waysOut(shop, wished, jobId),
};
export type WeekWorker = typeof worker;

Comlink.expose(worker);
