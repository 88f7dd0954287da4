import type { Workshop } from '../model/types/types.ts';

/** When hands may work. All times are minutes since 1970, UTC; `ahead` minutes the bench's clock is ahead of it. */

export interface Open {
  from: number;
  to: number;
}

/** One person, weekdays from 9 to 18, with every place there is but nothing running alone (common practice, no source). */
export const usualWorkshop: Workshop = {
  opens: 540,
  closes: 1080,
  off: [0, 6],
  closed: [],
  people: ['me'],
  places: ['printer', 'oven', 'paint place', 'bath', 'test screen'],
  overnight: false,
};

const DAY = 1440;

/**
 * Opening hours from `from` on, `days` of them. Throws RangeError for hours that never open: the caller says so at
 * their place.
 */
export function openHours(workshop: Workshop, from: number, ahead: number, days: number): Open[] {
  const { opens, closes, off, closed } = workshop;
  if (!(closes > opens) || new Set(off).size > 6)
    throw new RangeError('the shop never opens: look at its hours and days off');
  const shut = new Set(closed.map((day) => day.slice(0, 10)));
  const first = Math.floor((from + ahead) / DAY);
  return Array.from({ length: days }, (_, i) => first + i).flatMap((day) => {
    /* 1970-01-01 was a Thursday. */
    if (off.includes((day + 4) % 7)) return [];
    if (shut.has(new Date(day * DAY * 60_000).toISOString().slice(0, 10))) return [];
    const [start, end] = [day * DAY + opens - ahead, day * DAY + closes - ahead];
    return end <= from ? [] : [{ from: Math.max(start, from), to: end }];
  });
}

export const minuteOf = (iso: string): number => Math.floor(Date.parse(iso) / 60_000);
export const isoOf = (minute: number): string => new Date(minute * 60_000).toISOString();
