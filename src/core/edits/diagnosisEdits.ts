import { create } from 'mutative';
import type { HeatRun, Diagnosis, Job, Shop, Tried } from '../model/types/types.ts';
import type { Edit } from './edits.ts';
import { giveTag, type TagEdit } from '../shop/items.ts';

const job =
  (id: string, change: (job: Job) => void): Edit =>
  (shop) =>
    create(shop, (draft) => {
      const found = draft.jobs.find((each) => each.id === id);
      if (found) change(found);
    });

const hunt = (jobId: string, huntId: string, change: (hunt: Diagnosis) => void): Edit =>
  job(jobId, (found) => {
    const own = found.diagnoses.find((each) => each.id === huntId);
    if (own) change(own);
  });

/** The next free name of its sort in a job: `h1`, `r2`. */
function nextId(letter: string, list: readonly { id: string }[]): string {
  const most = Math.max(0, ...list.map((each) => Number(each.id.slice(letter.length)) || 0));
  return `${letter}${most + 1}`;
}

/** A new search for a fault under the job's next free name. */
export const addDiagnosis = (jobId: string, added: Omit<Diagnosis, 'id'>): TagEdit =>
  giveTag(
    (shop) => nextId('h', listOf(shop, jobId, 'diagnoses')),
    (id) =>
      job(jobId, (found) => {
        found.diagnoses.push({ ...added, id });
      }),
  );

const listOf = (shop: Shop, jobId: string, list: 'diagnoses' | 'runs') =>
  shop.jobs.find((each) => each.id === jobId)?.[list] ?? [];

/** Keeps how a test came out; the same test again replaces what it said before. */
export const addTried = (jobId: string, huntId: string, tried: Tried): Edit =>
  hunt(jobId, huntId, (own) => {
    own.tried = [...own.tried.filter((each) => each.testId !== tried.testId), tried];
  });

export const dropTried = (jobId: string, huntId: string, testId: string): Edit =>
  hunt(jobId, huntId, (own) => {
    own.tried = own.tried.filter((each) => each.testId !== testId);
  });

export const closeDiagnosis = (
  jobId: string,
  huntId: string,
  end: Pick<Diagnosis, 'verdict' | 'causeId' | 'note'>,
): Edit =>
  hunt(jobId, huntId, (own) => {
    Object.assign(own, end);
  });

/** A new logged run under the job's next free name. */
export const addRun = (jobId: string, run: Omit<HeatRun, 'id'>): TagEdit =>
  giveTag(
    (shop) => nextId('r', listOf(shop, jobId, 'runs')),
    (id) =>
      job(jobId, (found) => {
        found.runs.push({ ...run, id });
      }),
  );

export const editRun = (jobId: string, runId: string, fields: Partial<HeatRun>): Edit =>
  job(jobId, (found) => {
    const own = found.runs.find((each) => each.id === runId);
    if (own) Object.assign(own, fields);
  });

export const dropRun = (jobId: string, runId: string): Edit =>
  job(jobId, (found) => {
    found.runs = found.runs.filter((each) => each.id !== runId);
  });
