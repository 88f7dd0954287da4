/**
 * Days and times in the order of whoever reads them: month first, or day first, as the browser is set. Months are
 * written in letters, so that 3/4 is never asked about.
 */
const styles = {
  /** `09:04`. */
  time: { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' },
  /** `Fri 09:04`. */
  weekTime: { weekday: 'short', hour: '2-digit', minute: '2-digit', hourCycle: 'h23' },
  /** `Friday`. */
  weekday: { weekday: 'long' },
  /** `27 November`. */
  dayMonth: { day: 'numeric', month: 'long' },
  /** `Fri 27`. */
  dayShort: { weekday: 'short', day: 'numeric' },
  /** `Friday 27 November`. */
  dayLong: { weekday: 'long', day: 'numeric', month: 'long' },
  /** `27 Nov 2026`. */
  day: { day: 'numeric', month: 'short', year: 'numeric' },
  /** `27 Nov 09:04`. */
  dayTime: {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  },
  /** `27 Nov 2026 09:04`. */
  full: {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  },
} satisfies Record<string, Intl.DateTimeFormatOptions>;

/** The order is the reader's, the words are those of the page: English. */
const locale = (): string => {
  const own = typeof navigator === 'undefined' ? 'en-GB' : navigator.language;
  return own.startsWith('en') ? own : 'en-GB';
};

/** Formatters are dear to make: one for each language and style, of which there are a handful. */
const made = new Map<string, Intl.DateTimeFormat>();
function formatter(language: string, style: keyof typeof styles): Intl.DateTimeFormat {
  const key = `${language} ${style}`;
  const own = made.get(key) ?? new Intl.DateTimeFormat(language, styles[style]);
  made.set(key, own);
  return own;
}

/** An ISO time as it is read here; a text that is no time stays as it is. */
export function dateText(iso: string, style: keyof typeof styles): string {
  const time = new Date(iso);
  if (Number.isNaN(time.getTime())) return iso;
  return formatter(locale(), style).format(time);
}

/** `Fri 27`. */
export function weekdayText(iso: string): string {
  const time = new Date(iso);
  const weekday = new Intl.DateTimeFormat(locale(), { weekday: 'short' }).format(time);
  return `${weekday} ${time.getDate()}`;
}

/** The bench's clock: its time, and how far it is ahead of UTC here and then. */
export const clockOf = (now: string): { now: string; ahead: number } => ({
  now,
  ahead: -new Date(now).getTimezoneOffset(),
});

/** A time in minutes since 1970. */
export const minuteText = (minute: number, style: keyof typeof styles): string =>
  dateText(new Date(minute * 60_000).toISOString(), style);
