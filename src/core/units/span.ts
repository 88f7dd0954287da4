import { parseNumber } from './length.ts';

/** Durations as people type them at a bench. */

/** Minutes of a unit; undefined where it is none. */
export function minutesOfUnit(unit: string): number | undefined {
  if (/^(?:m|min|mins|minutes?)$/i.test(unit)) return 1;
  if (/^(?:h|hr|hrs|hours?)$/i.test(unit)) return 60;
  if (/^(?:d|days?)$/i.test(unit)) return 1440;
  if (/^(?:w|weeks?)$/i.test(unit)) return 10_080;
  return undefined;
}

/** Whole minutes of `90`, `1:30`, `1.5 h`, `2 days`; undefined where it is none or over `most`. */
export function minutesIn(text: string, most = 60_000): number | undefined {
  const [, hours, rest] = /^(\d{1,4}):(\d\d)$/.exec(text.trim()) ?? [];
  const [, figure = '', unit = ''] = /^([\d.,]{1,12}) ?([a-z]{0,8})$/i.exec(text.trim()) ?? [];
  const value =
    hours === undefined
      ? (parseNumber(figure) ?? NaN) * (unit === '' ? 1 : (minutesOfUnit(unit) ?? NaN))
      : Number(hours) * 60 + Number(rest);
  const found = Math.round(value);
  return found >= 0 && found <= most ? found : undefined;
}
