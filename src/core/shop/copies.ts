/** Copies the browser keeps by itself: one a day for a week, one a week for a month, one a month for a quarter. */

const DAY_MS = 86_400_000;
const DAYS = 7;
const WEEKS = 4;
const MONTHS = 3;

/**
 * Which of some copies stay: the newest of each of the last seven days that have one, of the last four weeks, of the
 * last three months. ISO times; a copy from the future (a clock was wrong) counts as of today.
 */
export function copiesToKeep(times: readonly string[], now: string): string[] {
  const at = (iso: string) => Math.min(Date.parse(iso), Date.parse(now));
  const newest = [...times]
    .filter((each) => Number.isFinite(Date.parse(each)))
    .sort((a, b) => at(b) - at(a) || (a < b ? 1 : -1));
  const stays = new Set<string>();
  const keep = (most: number, spanOf: (ms: number) => number) => {
    const spans = new Set<number>();
    for (const each of newest) {
      const span = spanOf(at(each));
      if (spans.has(span) || spans.size === most) continue;
      spans.add(span);
      stays.add(each);
    }
  };
  keep(DAYS, (ms) => Math.floor(ms / DAY_MS));
  keep(WEEKS, (ms) => Math.floor(ms / (7 * DAY_MS)));
  keep(MONTHS, (ms) => new Date(ms).getUTCFullYear() * 12 + new Date(ms).getUTCMonth());
  return newest.filter((each) => stays.has(each));
}

const HOUR_MS = 3_600_000;
/** Whether a copy is due: there is none of the last hour. It takes the place of the one before of its day. */
export const copyDue = (times: readonly string[], now: string): boolean =>
  times.every((each) => Math.abs(Date.parse(now) - Date.parse(each)) >= HOUR_MS);

/** Whole days since the first edit that is in this browser alone; undefined: there is none. */
export function daysUnkept(
  { exported, edited }: { exported?: string | undefined; edited?: string | undefined },
  now: string,
): number | undefined {
  if (edited === undefined || (exported !== undefined && exported >= edited)) return undefined;
  return Math.max(0, Math.floor((Date.parse(now) - Date.parse(edited)) / DAY_MS));
}
export const REMIND_DAYS = 7;
