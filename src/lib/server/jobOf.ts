import { json } from '@sveltejs/kit';
import { checkShop, ShopFileError } from '$core/model/read.ts';
import type { Job, Shop } from '$core/model/types.ts';

/** The document of a request, or the answer that refuses it: 400 with the path of the fault. */
export function shopOf(value: unknown): Shop | Response {
  try {
    return checkShop(value);
  } catch (error) {
    if (!(error instanceof ShopFileError)) throw error;
    return json({ message: error.message, path: error.path ?? null }, { status: 400 });
  }
}

/** The answer for a job that is not in the document. */
export const noJob = (wanted: string | null): Response =>
  json(
    {
      message: `There is no job${wanted === null ? '' : ` ${wanted}`} in this document.`,
      path: 'jobs',
    },
    { status: 404 },
  );

/** A document and the job of it that is asked for, else its first; or the answer that refuses it. */
export function jobOf(value: unknown, wanted: string | null): { shop: Shop; job: Job } | Response {
  const shop = shopOf(value);
  if (shop instanceof Response) return shop;
  const job = wanted === null ? shop.jobs[0] : shop.jobs.find((each) => each.id === wanted);
  return job ? { shop, job } : noJob(wanted);
}
