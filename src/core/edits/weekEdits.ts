import { create } from 'mutative';
import type { Job, Shop, Workshop } from '../model/types/types.ts';
import type { Edit } from '../model/types/edit.ts';

/** Keeps a plan of the week: when each job's work begins. Jobs it does not name keep none. */
export const keepPlan =
  (planned: ReadonlyMap<string, Job['planned']>): Edit =>
  (shop: Shop) =>
    create(shop, (draft) => {
      for (const job of draft.jobs) {
        const next = planned.get(job.id) ?? [];
        if (next.length > 0 || job.planned.length > 0) job.planned = next;
      }
    });

/** Hours, hands and places of the shop. */
export const editWorkshop =
  (before: Workshop, fields: Partial<Workshop>): Edit =>
  (shop: Shop) =>
    create(shop, (draft) => {
      draft.settings.workshop = { ...(draft.settings.workshop ?? before), ...fields };
    });
