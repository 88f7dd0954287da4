import { checkShop, ShopFileError } from '../core/document/read.ts';
import { kindOfSeat } from '../core/model/types/seats.ts';
import type { Job, Shop } from '../core/model/types/types.ts';
import { candidatesFor } from '../core/resolve/candidatesFor.ts';
import { searchResolutions } from '../core/resolve/resolutions.ts';
import { planOf } from '../core/plan/planOf.ts';
import { runChecks } from '../core/plan/run.ts';
import { published, publishedResolutions } from './published.ts';
import { ok, refused, type Answer, type Task } from './answer.ts';
import { searchSeconds } from './limits.ts';

/** Tasks over a whole document. */

/** Branches the search looks at before it says that it is too large to prove. */
const NODE_LIMIT = 300_000;

/** The document of a request, or the answer that refuses it: 400 with the path of the fault. */
function shopOf(value: unknown): Shop | Answer {
  try {
    return checkShop(value);
  } catch (error) {
    if (!(error instanceof ShopFileError)) throw error;
    return refused(400, error.message, error.path ?? null);
  }
}

const noJob = (wanted: string | undefined): Answer =>
  refused(
    404,
    `There is no job${wanted === undefined ? '' : ` ${wanted}`} in this document.`,
    'jobs',
  );

/** A document and the job of it that is asked for, else its first. */
function jobOf(value: unknown, wanted: string | undefined): { shop: Shop; job: Job } | Answer {
  const shop = shopOf(value);
  if ('status' in shop) return shop;
  const job = wanted === undefined ? shop.jobs[0] : shop.jobs.find((each) => each.id === wanted);
  return job ? { shop, job } : noJob(wanted);
}

/** The findings of every job, or of the one named by `job`: the same as on the tape. */
export const check: Task = (value, { job: wanted }) => {
  const shop = shopOf(value);
  if ('status' in shop) return shop;
  const jobs = shop.jobs.filter((job) => wanted === undefined || job.id === wanted);
  if (wanted !== undefined && jobs.length === 0) return noJob(wanted);
  return ok({
    jobs: jobs.map((job) => ({
      id: job.id,
      findings: runChecks(planOf(shop, job)).map(published),
    })),
  });
};

/**
 * The cheapest sets of changes with which everything goes in. `proven` false: cut off, nothing unseen
 * costs less than `bound`. 503 with what was found so far where its time is over.
 */
export const fitSearch: Task = (value, { job: wanted }) => {
  const found = jobOf(value, wanted);
  if ('status' in found) return found;
  const until = Date.now() + searchSeconds() * 1000;
  const search = searchResolutions(found.shop, found.job, { nodeLimit: NODE_LIMIT });
  for (;;) {
    const step = search.next();
    if (step.done) return ok(publishedResolutions(step.value));
    if (Date.now() < until) continue;
    return {
      status: 503,
      body: JSON.stringify({
        message: `Not proven in ${searchSeconds()} s.`,
        path: null,
        soFar: step.value,
      }),
    };
  }
};

/** Candidates for a seat, each run through all checks, best first, with what speaks against it. */
export const candidates: Task = (value, { job: wanted, seat = '' }) => {
  const found = jobOf(value, wanted);
  if ('status' in found) return found;
  if (!kindOfSeat(seat)) return refused(400, `There is no seat ${seat || 'given'}.`, 'seat');
  return ok(
    candidatesFor(found.shop, found.job, seat).map(({ part, mark, tight, against, from }) => ({
      id: part.id,
      name: part.name,
      price: part.price ?? null,
      from: from ?? null,
      mark,
      tight: tight
        ? { id: tight.id, title: tight.title, rest: tight.margin ?? null, unit: tight.unit }
        : null,
      against: against.map(({ id, mark: own, say }) => ({ id, mark: own, say })),
    })),
  );
};
