import type { Remedy } from '../findings/finding.ts';
import type { Make } from '../model/types/makeTypes.ts';
import type { Printed } from '../model/types/printTypes.ts';
import type { RemedyValue } from '../model/types/remedyValue.ts';
import type { Job } from '../model/types/types.ts';
import { isMadeBy, sameRemedy } from '../remedies/index.ts';
import { job, type Edit } from './edits.ts';

/**
 * What is made for a job changed. A remedy that something made now does is taken, of those `offered`, and nothing is
 * got for it any more; one that nothing does any longer is given back.
 */
const making = (
  jobId: string,
  change: (found: Job) => void,
  offered: readonly Remedy[] = [],
): Edit =>
  job(jobId, (found) => {
    const things = () => [...(found.makes ?? []), ...(found.printed ?? [])];
    const before = things();
    change(found);
    const after = things();
    const ends = (value: RemedyValue) => isMadeBy(before, value) && !isMadeBy(after, value);
    const begins = (value: RemedyValue) => !isMadeBy(before, value) && isMadeBy(after, value);
    found.applied = found.applied.filter((value) => !ends(value));
    for (const { value } of offered)
      if (
        value.do !== 'put' &&
        begins(value) &&
        !found.applied.some((each) => sameRemedy(each, value))
      )
        found.applied.push(value);
    found.wants = found.wants.filter(({ remedy }) => !remedy || !begins(remedy));
  });

function put<T extends { id: string }>(list: T[], thing: T): void {
  const at = list.findIndex(({ id }) => id === thing.id);
  if (at < 0) list.push(thing);
  else list[at] = thing;
}

/** A thing to make of sheet, new or in place of the one of its id. */
export const setMake = (jobId: string, make: Make, offered?: readonly Remedy[]): Edit =>
  making(jobId, (found) => put((found.makes ??= []), make), offered);

/** A thing to print, new or in place of the one of its id. */
export const setPrint = (jobId: string, print: Printed, offered?: readonly Remedy[]): Edit =>
  making(jobId, (found) => put((found.printed ??= []), print), offered);

/** It is not made after all; what was chosen for it goes too. */
export const dropMake = (jobId: string, id: string): Edit =>
  making(jobId, (found) => {
    found.makes = found.makes?.filter((each) => each.id !== id);
    found.applied = found.applied.filter((each) => each.do !== 'oneOpening' || each.make !== id);
  });

/** It is not printed after all. */
export const dropPrint = (jobId: string, id: string): Edit =>
  making(jobId, (found) => {
    found.printed = found.printed?.filter((each) => each.id !== id);
  });

/** The first id that is free: a letter for the list, a number. */
export function nextMakeId(list: readonly { id: string }[], letter = 'm'): string {
  const taken = new Set(list.map(({ id }) => id));
  for (let i = 1; ; i += 1) if (!taken.has(`${letter}${i}`)) return `${letter}${i}`;
}
