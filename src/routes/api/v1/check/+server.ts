import { json } from '@sveltejs/kit';
import { planOf } from '$core/plan/planOf.ts';
import { runChecks } from '$core/plan/run.ts';
import { noJob, shopOf } from '$lib/server/jobOf.ts';
import { readBody } from '$lib/server/body.ts';
import type { RequestHandler } from './$types';

/**
 * The findings of every job of a document, or of the one named by `?job=`: the same as on the tape.
 * 400 with the path of the fault, 404 for a job that is not in it, 413 over 5 MB. Nothing is kept.
 */
export const POST: RequestHandler = async ({ request, url }) => {
  const body = await readBody(request);
  if (body instanceof Response) return body;
  const shop = shopOf(body.value);
  if (shop instanceof Response) return shop;
  const wanted = url.searchParams.get('job');
  const jobs = shop.jobs.filter((job) => wanted === null || job.id === wanted);
  if (wanted !== null && jobs.length === 0) return noJob(wanted);
  return json({
    jobs: jobs.map((job) => ({ id: job.id, findings: runChecks(planOf(shop, job)) })),
  });
};
