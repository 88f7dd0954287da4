import type { Trained } from '../links/index.ts';
import type { LinkReading } from '../model/types/types.ts';
import { editJob, type Edit } from './edits.ts';

/** Keeps how the links of a machine ran, in place of what was kept of the same slots at the same time of it. */
export const keepLinks =
  (
    jobId: string,
    trained: readonly Trained[],
    how: Pick<LinkReading, 'at' | 'when' | 'underLoad'>,
  ): Edit =>
  (shop) => {
    const job = shop.jobs.find((each) => each.id === jobId);
    if (!job) return shop;
    const slots = new Set(trained.map((each) => each.slot));
    const rest = job.links.filter((each) => each.when !== how.when || !slots.has(each.slot));
    const fresh = trained.map((each): LinkReading => ({
      ...how,
      slot: each.slot,
      name: each.name.slice(0, 120),
      gts: each.runs.gts,
      lanes: each.runs.lanes,
      couldGts: Math.min(each.can.gts, each.port?.gts ?? Infinity),
      couldLanes: Math.min(each.can.lanes, each.port?.lanes ?? Infinity),
    }));
    return editJob(jobId, { links: [...rest, ...fresh] })(shop);
  };
