import type { Printed } from '../model/types/printTypes.ts';
import { job, type Edit } from './edits.ts';

/** A thing to print, new or in place of the one of its id. */
export const setPrint = (jobId: string, print: Printed): Edit =>
  job(jobId, (found) => {
    const list = (found.printed ??= []);
    const at = list.findIndex(({ id }) => id === print.id);
    if (at < 0) list.push(print);
    else list[at] = print;
  });

/** It is not printed after all. */
export const dropPrint = (jobId: string, id: string): Edit =>
  job(jobId, (found) => {
    found.printed = found.printed?.filter((each) => each.id !== id);
  });
