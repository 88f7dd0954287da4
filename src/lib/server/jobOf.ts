import { json } from '@sveltejs/kit';
import { checkShop, ShopFileError } from '$core/model/read.ts';
import type { Job, Shop } from '$core/model/types.ts';

/** A document and the one job of it that is asked for, or the answer that refuses it: 400 with the path, 404. */
export function jobOf(value: unknown, wanted: string | null): { shop: Shop; job: Job } | Response {
  let shop: Shop;
  try {
    shop = checkShop(value);
  } catch (error) {
    if (!(error instanceof ShopFileError)) throw error;
    return json({ message: error.message, path: error.path ?? null }, { status: 400 });
  }
  const job = wanted === null ? shop.jobs[0] : shop.jobs.find((each) => each.id === wanted);
  if (!job) {
    const message =
      wanted === null
        ? 'There is no job in this document.'
        : `There is no job ${wanted} in this document.`;
    return json({ message, path: 'jobs' }, { status: 404 });
  }
  return { shop, job };
}
