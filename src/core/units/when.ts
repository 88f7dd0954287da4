import { minutesOfUnit } from './span.ts';

/** Times as people say them at a bench: `24 h`, `2 days`, `fri 10:00`, `tomorrow`, `3 dec`, `2026-12-03`. */

export interface Clock {
  /** ISO time. */
  now: string;
  /** Minutes the bench's time is ahead of UTC. */
  ahead: number;
}

export interface When {
  /** ISO time; of a day without an hour its midnight at the bench. */
  at: string;
  /** No hour was said. */
  dayOnly: boolean;
}

const MINUTE = 60_000;
const weekdays = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'];
const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const LONGEST_MIN = 366 * 1440;

/** The day of a bench, counted from 1970, and back to its midnight. */
const dayOf = ({ now, ahead }: Clock): number =>
  Math.floor((Date.parse(now) + ahead * MINUTE) / (1440 * MINUTE));
const atOf = (day: number, minutes: number, { ahead }: Clock): string =>
  new Date((day * 1440 + minutes - ahead) * MINUTE).toISOString();

/** Minutes after midnight of `10:30`, `10am`, `at 10`; undefined where it is no hour. */
function hourOf(text: string): number | undefined {
  const match = /^(?:at )?(\d{1,2})(?:[:.](\d{2}))? ?(am|pm|h|o'?clock)?$/.exec(text);
  if (!match) return undefined;
  const [, h = '', m = '0', half] = match;
  let hour = Number(h);
  if (match[2] === undefined && half === undefined && !text.startsWith('at ')) return undefined;
  if ((half === 'am' || half === 'pm') && (hour < 1 || hour > 12)) return undefined;
  if (half === 'pm' && hour < 12) hour += 12;
  if (half === 'am' && hour === 12) hour = 0;
  return hour > 23 || Number(m) > 59 ? undefined : hour * 60 + Number(m);
}

/** A day by its name, from the bench's today on; the day of the week that is today is the one in a week. */
function dayNamed(text: string, clock: Clock): number | undefined {
  const today = dayOf(clock);
  if (text === 'today' || text === 'tonight') return today;
  if (text === 'tomorrow') return today + 1;
  const weekday = weekdays.findIndex((name) => text.length >= 3 && nameOf(name).startsWith(text));
  /* 1970-01-01 was a Thursday. */
  if (weekday >= 0) return today + ((weekday - ((today + 4) % 7) + 6) % 7) + 1;
  const iso = /^(\d{4})-(\d{2})-(\d{2})$/.exec(text);
  if (iso) return dayIn(Number(iso[1]), Number(iso[2]) - 1, Number(iso[3]));
  const [, before, month = '', after] =
    /^(?:(\d{1,2})\.? ?)?([a-z]{3,9})\.?(?: (\d{1,2}))?$/.exec(text) ?? [];
  const at = months.findIndex((name) => month.startsWith(name));
  const day = Number(before ?? after);
  if (at < 0 || !Number.isInteger(day)) return undefined;
  const year = new Date(today * 1440 * MINUTE).getUTCFullYear();
  const found = dayIn(year, at, day);
  return found !== undefined && found < today ? dayIn(year + 1, at, day) : found;
}

const fullNames: Readonly<Record<string, string>> = {
  sun: 'sunday',
  mon: 'monday',
  tue: 'tuesday',
  wed: 'wednesday',
  thu: 'thursday',
  fri: 'friday',
  sat: 'saturday',
};
const nameOf = (short: string): string => fullNames[short] ?? short;

function dayIn(year: number, month: number, day: number): number | undefined {
  const ms = Date.UTC(year, month, day);
  const date = new Date(ms);
  return date.getUTCMonth() === month && date.getUTCDate() === day && year > 1970 && year < 2200
    ? ms / (1440 * MINUTE)
    : undefined;
}

/** A text that is a time and nothing else. Undefined where it is none, or more than a year ahead. */
export function whenOf(typed: string, clock: Clock): When | undefined {
  const text = typed
    .trim()
    .toLowerCase()
    .replace(/\s+/g, ' ')
    .replace(/^(?:until|till|by|on|for|in|next) /, '');
  const span = /^(\d+(?:[.,]\d+)?) ?([a-z]+)$/.exec(text);
  const unit = span && minutesOfUnit(span[2] ?? '');
  if (span && unit !== null && unit !== undefined) {
    const minutes = Number((span[1] ?? '').replace(',', '.')) * unit;
    if (!(minutes > 0) || minutes > LONGEST_MIN) return undefined;
    return {
      at: new Date(Date.parse(clock.now) + minutes * MINUTE).toISOString(),
      dayOnly: false,
    };
  }
  const whole = dayNamed(text, clock);
  if (whole !== undefined) return { at: atOf(whole, 0, clock), dayOnly: true };
  const hour = hourOf(text);
  if (hour !== undefined) {
    /* An hour alone is the next one of its name. */
    const today = atOf(dayOf(clock), hour, clock);
    return {
      at: today > clock.now ? today : atOf(dayOf(clock) + 1, hour, clock),
      dayOnly: false,
    };
  }
  const words = text.split(' ');
  for (let cut = words.length - 1; cut > 0; cut -= 1) {
    const day = dayNamed(words.slice(0, cut).join(' '), clock);
    const at = hourOf(words.slice(cut).join(' '));
    if (day !== undefined && at !== undefined) return { at: atOf(day, at, clock), dayOnly: false };
  }
  return undefined;
}

/** A time at the beginning or the end of a line, and the words beside it: `24 h paint`, `paint 24 h`. */
export function whenIn(line: string, clock: Clock): { when: When; rest: string } | undefined {
  const words = line.trim().split(/\s+/);
  for (let count = words.length; count > 0; count -= 1) {
    const head = whenOf(words.slice(0, count).join(' '), clock);
    if (head) return { when: head, rest: words.slice(count).join(' ') };
    const tail = whenOf(words.slice(words.length - count).join(' '), clock);
    if (tail) return { when: tail, rest: words.slice(0, words.length - count).join(' ') };
  }
  return undefined;
}

/** A day's hour where none was said: when the bench begins, or ends. Minutes after its midnight. */
export const withHour = ({ at, dayOnly }: When, minutes: number): string =>
  dayOnly ? new Date(Date.parse(at) + minutes * MINUTE).toISOString() : at;

/** The day at the bench, `2026-12-03`. */
export const dayText = ({ at }: When, { ahead }: Clock): string =>
  new Date(Date.parse(at) + ahead * MINUTE).toISOString().slice(0, 10);
