import type { Mark } from '../findings/finding.ts';
import { formatHours } from '../units/duration.ts';
import type { JobOutlook, WeekPlan } from './plan.ts';

/** How a job stands to its day in the plan of the week: one sum for bench, work order and week. */
export interface OutlookWords {
  mark: Mark;
  say: string;
}

/** Less than a day to spare is thin (common practice, no source). */
const THIN_MIN = 1440;

export function outlookWords(outlook: JobOutlook, now: number): OutlookWords | undefined {
  const { due, spare } = outlook;
  if (due === undefined || spare === undefined) return undefined;
  if (due <= now) return { mark: 'stop', say: `${hours(now - due)} past its deadline` };
  if (spare < 0) return { mark: 'stop', say: `${hours(-spare)} short of its deadline` };
  return { mark: spare < THIN_MIN ? 'watch' : 'clear', say: `${hours(spare)} to spare` };
}

/** The words of a job in a plan, also of one that no week holds. */
export function wordsOf(plan: WeekPlan, jobId: string): OutlookWords | undefined {
  const outlook = plan.jobs.find((each) => each.jobId === jobId);
  if (outlook) return outlookWords(outlook, plan.week.now);
  const none = plan.week.unplanned.find((each) => each.jobId === jobId);
  return none && { mark: 'watch', say: none.why };
}

export const hours = (minutes: number): string =>
  minutes < 2880 ? `${formatHours(minutes)} h` : `${Math.floor(minutes / 1440)} days`;
