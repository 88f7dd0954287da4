import { range, scale, type Range } from '../units/range.ts';
import type { Tree } from './tree/index.ts';

/** Hours a day in each state; the rest of the day the machine is off. */
export interface Duty {
  idle: number;
  usual: number;
  full: number;
}

export class DutyError extends Error {}

/** Kilowatt-hours a year at the wall, or out of a battery. Throws DutyError for hours that do not fit a day. */
export function kWhAYear(trees: Record<keyof Duty, Tree>, duty: Duty): Range {
  const hours = Object.values(duty) as number[];
  if (hours.some((each) => !(each >= 0)) || hours.reduce((sum, each) => sum + each, 0) > 24)
    throw new DutyError('The hours of a day are 24 at most, none negative.');
  return (Object.keys(duty) as (keyof Duty)[]).reduce<Range>((sum, state) => {
    const watts = trees[state].wallW ?? trees[state].givenW;
    const year = scale(watts, (duty[state] * 365) / 1000);
    return range(sum.lo + year.lo, sum.hi + year.hi);
  }, range(0));
}
