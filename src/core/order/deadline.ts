import type { Mark } from '../findings/finding.ts';
import type { Job } from '../model/types/types.ts';
import { formatHours } from '../units/duration.ts';
import type { Hands } from './hands.ts';

/** How a job stands to its deadline, by the clock alone: nights and other jobs are not counted. */
export interface ToDeadline {
  mark: Mark;
  /** Minutes left when all is done; below nothing: short. Undefined where a wait has no end. */
  spare: number | undefined;
  say: string;
}

/** Less than a day to spare is thin (common practice, no source). */
const THIN_MIN = 1440;

export function toDeadline(
  job: Pick<Job, 'deadline'>,
  minutesLeft: number,
  hands: Hands,
  now: string,
): ToDeadline | undefined {
  if (job.deadline === undefined || hands.when === 'done') return undefined;
  const minutes = (Date.parse(job.deadline) - Date.parse(now)) / 60_000;
  if (minutes < 0)
    return { mark: 'stop', spare: minutes, say: `${formatHours(-minutes)} h past its deadline` };
  if (hands.when === 'no date')
    return { mark: 'watch', spare: undefined, say: `nobody knows when ${hands.why} ends` };
  const waits = hands.when === 'at' ? Math.max(0, Date.parse(hands.time) - Date.parse(now)) : 0;
  const spare = Math.floor(minutes - waits / 60_000 - minutesLeft);
  if (spare < 0)
    return { mark: 'stop', spare, say: `${formatHours(-spare)} h short of its deadline` };
  return {
    mark: spare < THIN_MIN ? 'watch' : 'clear',
    spare,
    say: `${formatHours(spare)} h to spare, day and night`,
  };
}
