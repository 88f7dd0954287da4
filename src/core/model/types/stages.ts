import type { Change, Job } from './types.ts';

/** Stages a plan may have: now, later, last, and what comes after. */
export const MOST_STAGES = 5;

export const stageOf = (change: Change): number => change.stage ?? 1;

/** Changes in the order they are made: by stage, within one as they were said. */
export function inStages(changes: readonly Change[]): Change[] {
  return changes.toSorted((a, b) => stageOf(a) - stageOf(b));
}

/** The stages of a job, the first always among them. */
export function stagesOf(job: Job): number[] {
  return [...new Set([1, ...job.changes.map(stageOf)])].sort((a, b) => a - b);
}

export const stageName = (stage: number): string => (stage === 1 ? 'now' : `stage ${stage}`);

/** Changes with one more: it takes the place of the seat's change of that stage, or of its last one. */
export function withChange(changes: readonly Change[], change: Change): Change[] {
  const own = changes.filter((each) => each.seat === change.seat);
  const stage = change.stage ?? Math.max(1, ...own.map(stageOf));
  return [
    ...changes.filter((each) => each.seat !== change.seat || stageOf(each) !== stage),
    { seat: change.seat, partId: change.partId, ...(stage > 1 ? { stage } : {}) },
  ];
}
