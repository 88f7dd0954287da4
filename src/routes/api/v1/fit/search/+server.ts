import { json } from '@sveltejs/kit';
import { give } from '$core/plan/give/give.ts';
import { jobOf } from '$lib/server/jobOf.ts';
import { readBody } from '$lib/server/body.ts';
import type { RequestHandler } from './$types';

/** Branches the server looks at before it says that the search is too large to prove. */
const NODE_LIMIT = 300_000;

/**
 * What must give in one job of a document (`?job=`, else its first): the cheapest sets of changes
 * with which everything goes in. 400 with the path of the fault, 404 without the job, 413 over
 * 5 MB. `proven` false: the search was cut off, and nothing unseen costs less than `bound`.
 */
export const POST: RequestHandler = async ({ request, url }) => {
  const body = await readBody(request);
  if (body instanceof Response) return body;
  const found = jobOf(body.value, url.searchParams.get('job'));
  if (found instanceof Response) return found;
  return json(give(found.shop, found.job, { nodeLimit: NODE_LIMIT }));
};
