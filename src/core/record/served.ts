import { inId } from '../model/types/step.ts';
import { partOfKind } from '../model/lookup/plan.ts';
import type { Job, Service, Shop } from '../model/types/types.ts';
import { planOf } from '../plan/planOf.ts';
import { kindOf, titleOf } from '../remedies/index.ts';

/**
 * What a job did to its parts, as lines of their service records: a cooler that was fitted has fresh paste, what was
 * damaged and mended says so, metal that was cut stays cut, and a board that was given other firmware has it. By part.
 */
export function servedBy(shop: Shop, job: Job, at: string): Map<string, Service[]> {
  const plan = planOf(shop, job);
  const served = new Map<string, Service[]>();
  const add = (partId: string, line: Omit<Service, 'jobId'>) =>
    served.set(partId, [...(served.get(partId) ?? []), { ...line, jobId: job.id }]);
  for (const { kind, seat, part } of plan.seats) {
    const tick = job.ticks.find(({ stepId, failed }) => stepId === inId(seat) && !failed);
    if (kind === 'cooler' && tick) add(part.id, { at: tick.at, what: 'paste' });
  }
  for (const { partId, what, mended, at: when } of job.damages)
    if (partId !== undefined && mended) add(partId, { at: when, what: 'mended', note: what });
  const shell = partOfKind(plan, 'case')?.part;
  const board = partOfKind(plan, 'board')?.part;
  for (const value of job.applied) {
    const { undoable, cuts } = kindOf(value);
    const [what, on] = cuts ? (['cut', shell] as const) : (['other', board] as const);
    if (!undoable && on) add(on.id, { at, what, note: titleOf(value, plan), forGood: true });
  }
  return served;
}
