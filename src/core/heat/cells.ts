export type ColumnKind =
  'time' | 'temperature' | 'clock' | 'fan' | 'watts' | 'load' | 'volts' | 'other';

/** Which sign parts the cells: the one that stands most often, and alike often, in the first lines. */
export function delimiterOf(head: readonly string[]): string {
  const lines = head.filter((line) => line.trim() !== '').slice(0, 12);
  let best = { sign: ',', score: 0 };
  for (const sign of ['\t', ';', ',', '|']) {
    const counts = lines.map((line) => line.split(sign).length - 1);
    const usual = counts.filter((count) => count === counts.at(-1) && count > 0).length;
    const score = usual * (counts.at(-1) ?? 0);
    /* A decimal comma gives commas in number; a semicolon or tab beside them parts the cells. */
    if (score > best.score * (sign === ',' ? 1.5 : 1)) best = { sign, score };
  }
  return best.sign;
}

const units: readonly [RegExp, ColumnKind][] = [
  [/°\s*[CF]|\bdeg\s*[CF]\b|\b[CF]\b|℃|℉/, 'temperature'],
  [/\bM?Hz\b|\bGHz\b/i, 'clock'],
  [/\brpm\b|\bturns?\b|\bU\/min\b/i, 'fan'],
  [/\bm?W\b/, 'watts'],
  [/\bm?V\b/, 'volts'],
  [/%/, 'load'],
];
const names: readonly [RegExp, ColumnKind][] = [
  [/^(date|time|timestamp|uhrzeit|zeit|datum|heure|elapsed|seconds|sec|s|ms|t)\b/i, 'time'],
  [/temp|tctl|tdie|package id|thermal/i, 'temperature'],
  [/clock|freq|takt/i, 'clock'],
  [/\bfan\b|l(ü|ue)fter/i, 'fan'],
  [/power|watt|leistung/i, 'watts'],
  [/load|usage|util|auslastung/i, 'load'],
  [/volt|vcore|spannung/i, 'volts'],
];

/** Name and unit of `CPU Package [°C]`; undefined without a unit in brackets at the end. */
function bracketed(text: string): [string, string] | undefined {
  if (!/[\])]$/.test(text)) return undefined;
  const open = Math.max(text.lastIndexOf('['), text.lastIndexOf('('));
  const unit = text.slice(open + 1, -1).trim();
  if (open < 0 || unit === '' || unit.length > 8 || /[\])]/.test(unit)) return undefined;
  return [text.slice(0, open).trim(), unit];
}

/** Name and unit of `CPU Temp °F`, its unit standing last without brackets. */
function trailing(text: string): [string, string] | undefined {
  const match = /^(.*\S)\s+(°\s?[CF]|℃|℉|[MG]Hz|rpm|m?W|m?V|%)$/i.exec(text);
  return match ? [match[1] ?? '', match[2] ?? ''] : undefined;
}

/** What a column holds, from its header: `CPU Package [°C]`, `Fan1 (RPM)`, `Time`. */
export function headerOf(cell: string): { name: string; unit: string; kind: ColumnKind } {
  const text = cell.trim().replace(/^"|"$/g, '');
  const bracket = bracketed(text) ?? trailing(text);
  const [name, unit] = bracket ?? [text, ''];
  const byName = names.find(([pattern]) => pattern.test(name))?.[1];
  const byUnit = unit === '' ? undefined : units.find(([pattern]) => pattern.test(unit))?.[1];
  const own = byUnit ?? (bracket ? undefined : units.find(([pattern]) => pattern.test(text))?.[1]);
  return {
    name: name.trim() || text,
    unit,
    kind: byUnit ?? (byName === 'time' ? 'time' : (own ?? byName ?? 'other')),
  };
}

/** A figure with point or comma; a thousands mark is not guessed. NaN where it is none. */
export function figureOf(cell: string, comma: boolean): number {
  const plain = Number(cell);
  /* An empty cell counts as nought in this language, not here. */
  if (plain === 0 && cell.trim() === '') return NaN;
  if (!comma || !Number.isNaN(plain)) return plain;
  const text = cell.trim();
  return /^[-+]?(?:\d+(?:,\d+)?|,\d+)(?:[eE][-+]?\d+)?$/.test(text)
    ? Number(text.replace(',', '.'))
    : NaN;
}

/** Seconds of a day. */
export const DAY = 86_400;

/** Seconds of a clock (`14:03:22.5`), an ISO time, `25.11.2026 14:03:22` or a bare figure; NaN where it is none. */
export function secondsOf(cell: string, comma: boolean): number {
  const bare = figureOf(cell, comma);
  if (!Number.isNaN(bare)) return bare;
  const text = cell.trim().replace(/^"|"$/g, '');
  const iso = /^(\d{4})-(\d{2})-(\d{2})(?:[T ](\d{1,2}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?)?/.exec(
    text,
  );
  if (iso) {
    const [, y, m, d, h = '0', min = '0', s = '0'] = iso;
    return dayOf(Number(y), Number(m), Number(d)) * DAY + clock(h, min, s);
  }
  const local =
    /^(\d{1,2})[./](\d{1,2})[./](\d{2,4})[ ,T]+(\d{1,2}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?/.exec(
      text,
    );
  if (local) {
    const [, d, m, y, h = '0', min = '0', s = '0'] = local;
    const year = Number(y) < 100 ? 2000 + Number(y) : Number(y);
    return dayOf(year, Number(m), Number(d)) * DAY + clock(h, min, s);
  }
  const time = /^(\d{1,3}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?\s*(am|pm)?$/i.exec(text);
  if (time) {
    const [, a, b, c, half] = time;
    if (c === undefined) return clock('0', a ?? '0', b ?? '0');
    const hour = half ? (Number(a) % 12) + (/pm/i.test(half) ? 12 : 0) : Number(a);
    return clock(String(hour), b ?? '0', c);
  }
  return NaN;
}

const clock = (h: string, min: string, s: string) =>
  Number(h) * 3600 + Number(min) * 60 + Number(s.replace(',', '.'));

/** Days of the civil calendar since 1970-01-01. */
function dayOf(year: number, month: number, day: number): number {
  return Math.floor(Date.UTC(year, month - 1, day) / (DAY * 1000));
}
