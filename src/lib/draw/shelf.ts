import type { Standing } from '$core/shop/standing.ts';
import { isSameDay, isSameWeek } from 'date-fns';
import { dateText } from '../ui/dates.ts';

/** Where a machine stands along the shelf: when hands are next needed, in workshop words. */
export interface Place {
  label: string;
  /** Sorting value: now first, no date last. */
  order: string;
  due: boolean;
}

export function placeOf(standing: Standing, now: string): Place {
  const { hands } = standing;
  if (hands.when === 'now') return { label: 'now', order: '0', due: true };
  if (hands.when === 'at')
    return { label: timeLabel(hands.time, now), order: `1 ${hands.time}`, due: false };
  if (hands.when === 'no date') return { label: 'no date yet', order: '2', due: false };
  return { label: 'handed over', order: '3', due: false };
}

export function timeLabel(time: string, now: string): string {
  const [at, today] = [new Date(time), new Date(now)];
  if (isSameDay(at, today)) return dateText(time, 'time');
  if (isSameWeek(at, today, { weekStartsOn: 1 })) return dateText(time, 'weekday');
  return dateText(time, 'dayMonth');
}

/** What to do next on a tag: the next step, or what is waited for. */
export function nextWords(standing: Standing): string {
  const { hands, progress } = standing;
  if (hands.when === 'at' || hands.when === 'no date') return `Waits: ${hands.why}`;
  const next = progress.next;
  if (!next) return standing.job.machineId ? 'Nothing planned yet' : 'Take a machine in';
  return `${next.title}, ${next.minutes} min`;
}
