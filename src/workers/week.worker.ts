import * as Comlink from 'comlink';
import type { Shop } from '$core/model/types/types.ts';
import { planWeek, type WeekPlan, type Wished } from '$core/schedule/plan.ts';
import { waysOut, type WayOut } from '$core/schedule/ways.ts';

/** The week beside the page: it may take seconds, and says how far it is. */

const LONGEST_MS = 8000;

const worker = {
  plan(shop: Shop, wished: Wished, orders: number): WeekPlan {
    const until = performance.now() + LONGEST_MS;
    return planWeek(shop, wished, {
      orders,
      stop: () => performance.now() > until,
    });
  },
  ways: (shop: Shop, wished: Wished, jobId: string): WayOut[] => waysOut(shop, wished, jobId),
};
export type WeekWorker = typeof worker;

Comlink.expose(worker);
