import type { Job, Shop } from '../types/types.ts';

const kept = new WeakMap<readonly Job[], Map<string, string[]>>();

/** Which open jobs have planned a part, by its tag; worked out once per list of jobs. */
export function wantedBy({ jobs }: Pick<Shop, 'jobs'>): ReadonlyMap<string, string[]> {
  let wanted = kept.get(jobs);
  if (!wanted) {
    wanted = new Map();
    for (const job of jobs) {
      if (job.handedOver) continue;
      for (const partId of new Set(job.changes.map((change) => change.partId))) {
        if (partId === null) continue;
        const list = wanted.get(partId);
        if (list) list.push(job.id);
        else wanted.set(partId, [job.id]);
      }
    }
    kept.set(jobs, wanted);
  }
  return wanted;
}
