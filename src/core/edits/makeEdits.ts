import type { Make } from '../model/types/makeTypes.ts';
import { job, type Edit } from './edits.ts';

/** A thing to make, new or in place of the one of its id. */
export const setMake = (jobId: string, make: Make): Edit =>
  job(jobId, (found) => {
    const list = (found.makes ??= []);
    const at = list.findIndex(({ id }) => id === make.id);
    if (at < 0) list.push(make);
    else list[at] = make;
  });

/** It is not made after all; what was chosen for it goes too. */
export const dropMake = (jobId: string, id: string): Edit =>
  job(jobId, (found) => {
    found.makes = found.makes?.filter((each) => each.id !== id);
    found.applied = found.applied.filter((each) => each.do !== 'oneOpening' || each.make !== id);
  });

/** The first id that is free: a letter for the list, a number. */
export function nextMakeId(list: readonly { id: string }[], letter = 'm'): string {
  const taken = new Set(list.map(({ id }) => id));
  for (let i = 1; ; i += 1) if (!taken.has(`${letter}${i}`)) return `${letter}${i}`;
}
