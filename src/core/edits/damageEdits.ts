import { create } from 'mutative';
import type { Edit } from '../model/types/edit.ts';
import type { Damage, Job, Shop } from '../model/types/types.ts';

/** Something damaged while working on a job: noted there, and the piece it happened to is damaged from then on. */
export const noteDamage = (jobId: string, damage: Damage): Edit =>
  inJob(jobId, (job, shop) => {
    job.damages.push(damage);
    stand(shop, damage);
  });

/** What became of it: mended, tested again. The piece stands as its last word says. */
export const settleDamage = (
  jobId: string,
  at: string,
  fields: Partial<Pick<Damage, 'mended' | 'retested'>>,
): Edit =>
  inJob(jobId, (job, shop) => {
    const damage = job.damages.find((each) => each.at === at);
    if (!damage) return;
    Object.assign(damage, fields);
    stand(shop, damage);
  });

function stand(shop: Shop, { partId, mended }: Damage): void {
  const part = shop.parts.find((each) => each.id === partId);
  if (part) part.condition = mended ? 'mended' : 'damaged';
}

const inJob =
  (id: string, change: (job: Job, shop: Shop) => void): Edit =>
  (shop) =>
    create(shop, (draft) => {
      const job = draft.jobs.find((each) => each.id === id);
      if (job) change(job, draft);
    });
