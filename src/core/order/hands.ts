import type { Job } from '../model/types/types.ts';

/** When hands are next needed on a machine: now, at a time, or not known yet. */
export type Hands =
  | { when: 'now' }
  | { when: 'at'; time: string; why: string }
  | { when: 'no date'; why: string }
  | { when: 'done' };

/**
 * From what the job waits for (drying, running in, deliveries): the latest wait that has
 * not passed at `now` (ISO time). `due` are ISO dates of deliveries the plan needs, `undefined` for none given.
 */
export function handsNeeded(
  job: Job,
  due: readonly (string | undefined)[],
  blocked: boolean,
  now: string,
): Hands {
  if (job.handedOver) return { when: 'done' };
  const open = job.waits.filter((wait) => !wait.until || wait.until > now);
  const endless = open.find((wait) => !wait.until);
  if (endless) return { when: 'no date', why: endless.why };
  if (due.some((date) => date === undefined)) return { when: 'no date', why: 'a part to buy' };
  const times = [
    ...open.map((wait) => ({ time: wait.until as string, why: wait.why })),
    ...due.flatMap((date) => (date && date > now ? [{ time: date, why: 'delivery' }] : [])),
  ].sort((a, b) => (a.time < b.time ? 1 : -1));
  const last = times[0];
  if (last) return { when: 'at', ...last };
  return blocked && !job.machineId && job.changes.length === 0
    ? { when: 'no date', why: 'no machine yet' }
    : { when: 'now' };
}
