import { create } from 'mutative';
import type { HeatRun, Hunt, Job, Mishap, Trial, Tried } from '../model/types.ts';
import type { Edit } from './edits.ts';

const job =
  (id: string, change: (job: Job) => void): Edit =>
  (shop) =>
    create(shop, (draft) => {
      const found = draft.jobs.find((each) => each.id === id);
      if (found) change(found);
    });

const hunt = (jobId: string, huntId: string, change: (hunt: Hunt) => void): Edit =>
  job(jobId, (found) => {
    const own = found.hunts.find((each) => each.id === huntId);
    if (own) change(own);
  });

/** The next free name of its sort in a job: `h1`, `r2`. */
export function nextId(letter: string, list: readonly { id: string }[]): string {
  const most = Math.max(0, ...list.map((each) => Number(each.id.slice(letter.length)) || 0));
  return `${letter}${most + 1}`;
}

export const addHunt = (jobId: string, added: Hunt): Edit =>
  job(jobId, (found) => {
    if (!found.hunts.some((each) => each.id === added.id)) found.hunts.push(added);
  });

/** Keeps how a test came out; the same test again replaces what it said before. */
export const addTried = (jobId: string, huntId: string, tried: Tried): Edit =>
  hunt(jobId, huntId, (own) => {
    own.tried = [...own.tried.filter((each) => each.testId !== tried.testId), tried];
  });

export const dropTried = (jobId: string, huntId: string, testId: string): Edit =>
  hunt(jobId, huntId, (own) => {
    own.tried = own.tried.filter((each) => each.testId !== testId);
  });

export const closeHunt = (
  jobId: string,
  huntId: string,
  end: Pick<Hunt, 'verdict' | 'causeId' | 'note'>,
): Edit =>
  hunt(jobId, huntId, (own) => {
    Object.assign(own, end);
  });

export const addMishap = (jobId: string, mishap: Mishap): Edit =>
  job(jobId, (found) => {
    found.mishaps.push(mishap);
  });

export const editMishap = (jobId: string, index: number, fields: Partial<Mishap>): Edit =>
  job(jobId, (found) => {
    const own = found.mishaps[index];
    if (own) Object.assign(own, fields);
  });

export const addRun = (jobId: string, run: HeatRun): Edit =>
  job(jobId, (found) => {
    found.runs = [...found.runs.filter((each) => each.id !== run.id), run];
  });

export const editRun = (jobId: string, runId: string, fields: Partial<HeatRun>): Edit =>
  job(jobId, (found) => {
    const own = found.runs.find((each) => each.id === runId);
    if (own) Object.assign(own, fields);
  });

export const dropRun = (jobId: string, runId: string): Edit =>
  job(jobId, (found) => {
    found.runs = found.runs.filter((each) => each.id !== runId);
  });

export const addTrial = (jobId: string, trial: Trial): Edit =>
  job(jobId, (found) => {
    found.trials.push(trial);
  });

export const dropTrial = (jobId: string, index: number): Edit =>
  job(jobId, (found) => {
    found.trials.splice(index, 1);
  });
