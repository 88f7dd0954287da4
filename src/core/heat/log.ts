/**
 * Sensor logs as tables of figures. Columns are found by their names and units; the technician
 * confirms which are meant. A figure that is none is undefined there, never nought.
 */

export type ColumnKind =
  'time' | 'temperature' | 'clock' | 'fan' | 'watts' | 'load' | 'volts' | 'other';

export interface LogColumn {
  name: string;
  /** As the header has it: °C, MHz, RPM, W, %; empty where it says none. */
  unit: string;
  kind: ColumnKind;
  values: Float64Array;
  /** Cells that were no figure. */
  gaps: number;
}

export interface Log {
  /** Seconds from the first row, rising. */
  seconds: Float64Array;
  columns: LogColumn[];
  /** Where rows were left out and why, in the words of the file: line from 1. */
  faults: { line: number; message: string }[];
  rows: number;
}

export class LogError extends Error {
  readonly line: number | undefined;
  constructor(message: string, line?: number) {
    super(message);
    this.line = line;
  }
}

const MOST_FAULTS = 20;

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

/** What a column holds, from its header: `CPU Package [°C]`, `Fan1 (RPM)`, `Time`. */
export function headerOf(cell: string): { name: string; unit: string; kind: ColumnKind } {
  const text = cell.trim().replace(/^"|"$/g, '');
  const bracket = /^(.*?)\s*[[(]\s*([^\])]{1,8})\s*[\])]\s*$/.exec(text);
  const [name, unit] = bracket ? [bracket[1] ?? text, (bracket[2] ?? '').trim()] : [text, ''];
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
  return /^[-+]?\d*,?\d+([eE][-+]?\d+)?$/.test(text) ? Number(text.replace(',', '.')) : NaN;
}

const DAY = 86_400;

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

/**
 * Takes rows of cells one after the other, the header first, and gives the log. Rows before the
 * header (a program's own words) are passed over; repeated headers and summary rows are named and left out.
 */
export class LogReader {
  #header: ReturnType<typeof headerOf>[] | undefined;
  #times: number[] = [];
  #cells: number[][] = [];
  #gaps: number[] = [];
  #faults: Log['faults'] = [];
  #dropped = 0;
  #line = 0;
  #comma: boolean;
  #clocks: number[] = [];
  #last = -Infinity;
  #first: string[] | undefined;
  #laps = 0;

  /** `comma`: figures have a decimal comma. */
  constructor(comma: boolean) {
    this.#comma = comma;
  }

  push(cells: readonly string[]): void {
    this.#line += 1;
    if (cells.length < 2 && (cells[0] ?? '').trim() === '') return;
    if (!this.#header) this.#open(cells);
    else this.#row(cells);
  }

  #open(cells: readonly string[]): void {
    const figures = cells.filter((cell) => !Number.isNaN(figureOf(cell, this.#comma))).length;
    const worded = cells.filter((cell) => /\p{L}/u.test(cell)).length;
    if (cells.length < 2) return;
    if (figures >= 1 && worded === 0) {
      /* No header at all: the first column is the time, the others are to be named. */
      this.#header = cells.map((_, i) =>
        i === 0
          ? { name: 'time', unit: 's', kind: 'time' as const }
          : {
              name: `column ${i + 1}`,
              unit: '',
              kind: i === 1 ? ('temperature' as const) : ('other' as const),
            },
      );
      this.#begin();
      this.#row(cells);
      return;
    }
    if (worded < 1) return;
    this.#header = cells.map(headerOf);
    this.#begin();
  }

  #begin(): void {
    const header = this.#header ?? [];
    this.#clocks = header.flatMap((column, i) => (column.kind === 'time' ? [i] : [])).slice(0, 2);
    this.#cells = header.map(() => []);
    this.#gaps = header.map(() => 0);
  }

  #row(cells: readonly string[]): void {
    const header = this.#header ?? [];
    if (cells.length < Math.min(2, header.length)) return this.#fault('a row with one cell');
    this.#first ??= [...cells];
    const time = this.#timeOf(cells);
    if (!Number.isFinite(time))
      return this.#fault(`no time in “${(cells[this.#clocks[0] ?? 0] ?? '').slice(0, 24)}”`);
    let at = time + this.#laps * DAY;
    /* A clock without its day passes midnight. */
    if (at < this.#last && this.#last - at > DAY / 2 && !this.#dated()) {
      this.#laps += 1;
      at += DAY;
    }
    if (at < this.#last) return this.#fault('time runs backwards');
    this.#last = at;
    this.#times.push(at);
    for (let i = 0; i < header.length; i += 1) {
      if (this.#clocks.includes(i)) continue;
      const value = figureOf(cells[i] ?? '', this.#comma);
      if (Number.isNaN(value) || !Number.isFinite(value)) {
        this.#gaps[i] = (this.#gaps[i] ?? 0) + 1;
        this.#cells[i]?.push(NaN);
      } else this.#cells[i]?.push(value);
    }
  }

  /** Date and clock in two columns are one time. */
  #timeOf(cells: readonly string[]): number {
    const [a, b] = this.#clocks;
    if (a === undefined) return this.#times.length;
    const first = (cells[a] ?? '').trim();
    if (b === undefined) return scaled(secondsOf(first, this.#comma), this.#header?.[a]);
    const second = (cells[b] ?? '').trim();
    const isDate = /^\d{1,4}[-./]\d{1,2}[-./]\d{1,4}$/.test(first);
    return isDate
      ? secondsOf(`${first} ${second}`, this.#comma)
      : scaled(secondsOf(first, this.#comma), this.#header?.[a]);
  }

  #dated(): boolean {
    return this.#clocks.some((i) => /\d{1,4}[-./]\d{1,2}[-./]\d{1,4}/.test(this.#first?.[i] ?? ''));
  }

  #fault(message: string): void {
    this.#dropped += 1;
    if (this.#faults.length < MOST_FAULTS) this.#faults.push({ line: this.#line, message });
  }

  /** The log so far. Throws LogError where there is nothing to read. */
  finish(): Log {
    const header = this.#header;
    if (!header) throw new LogError('There is no header and no row of figures in this file.');
    if (this.#times.length === 0)
      throw new LogError(
        this.#faults[0]
          ? `No row could be read: ${this.#faults[0].message}.`
          : 'There is a header and nothing under it.',
        this.#faults[0]?.line,
      );
    const start = this.#times[0] ?? 0;
    const columns = header.flatMap((column, i): LogColumn[] => {
      if (this.#clocks.includes(i)) return [];
      const values = Float64Array.from(this.#cells[i] ?? []);
      return this.#gaps[i] === values.length
        ? []
        : [{ ...column, values, gaps: this.#gaps[i] ?? 0 }];
    });
    if (columns.length === 0) throw new LogError('No column has figures.');
    if (this.#dropped > this.#faults.length)
      this.#faults.push({
        line: this.#line,
        message: `and ${this.#dropped - this.#faults.length} rows more`,
      });
    return {
      seconds: Float64Array.from(this.#times, (each) => each - start),
      columns,
      faults: this.#faults,
      rows: this.#times.length,
    };
  }
}

/** A time column in ms or min is brought to seconds. */
function scaled(value: number, column: { name: string; unit: string } | undefined): number {
  const words = `${column?.unit ?? ''} ${column?.name ?? ''}`;
  if (/\bms\b|millis/i.test(words)) return value / 1000;
  return /\bmin(utes?)?\b/i.test(words) ? value * 60 : value;
}

/** A log from rows that were parted already. */
export function logOf(rows: Iterable<readonly string[]>, comma = false): Log {
  const reader = new LogReader(comma);
  for (const row of rows) reader.push(row);
  return reader.finish();
}

/** Pairs as they are typed, minutes or `mm:ss` and degrees: `0 31, 2 55, 5:30 63.5`. Throws LogError with the pair. */
export function typedPairs(text: string): Log {
  const pairs = text.split(/[\n;]|,(?=\s)/).flatMap((each, i) => {
    const clean = each.trim();
    if (clean === '') return [];
    const match = /^(\d+:\d{2}|\d+(?:[.,]\d+)?)\s+(-?\d+(?:[.,]\d+)?)\s*(?:°?\s*C)?$/i.exec(clean);
    if (!match)
      throw new LogError(
        `Pair ${i + 1}, “${clean.slice(0, 30)}”: minutes and degrees, as 5 63.`,
        i + 1,
      );
    const [, time = '', degrees = ''] = match;
    const [minutes = '', seconds = '0'] = time.split(':');
    const s = Number(minutes.replace(',', '.')) * 60 + Number(seconds);
    return [{ s, v: Number(degrees.replace(',', '.')) }];
  });
  if (pairs.length === 0) throw new LogError('No pairs yet: minutes and degrees, as 0 31, 5 63.');
  for (const [i, pair] of pairs.entries())
    if (i > 0 && pair.s <= (pairs[i - 1]?.s ?? 0))
      throw new LogError(`Pair ${i + 1}: time runs backwards.`, i + 1);
  const start = pairs[0]?.s ?? 0;
  return {
    seconds: Float64Array.from(pairs, ({ s }) => s - start),
    columns: [
      {
        name: 'typed',
        unit: '°C',
        kind: 'temperature',
        values: Float64Array.from(pairs, ({ v }) => v),
        gaps: 0,
      },
    ],
    faults: [],
    rows: pairs.length,
  };
}

const sensorKinds: readonly [RegExp, ColumnKind, string][] = [
  [/^temp\d+_input$/, 'temperature', '°C'],
  [/^fan\d+_input$/, 'fan', 'RPM'],
  [/^power\d+_(input|average)$/, 'watts', 'W'],
  [/^in\d+_input$/, 'volts', 'V'],
];

/** One or several answers of `sensors -j` after another, so many seconds apart. Throws LogError. */
export function sensorsJson(answers: readonly unknown[], everyS: number): Log {
  const rows = answers.map((answer, i) => {
    if (typeof answer !== 'object' || answer === null || Array.isArray(answer))
      throw new LogError(`Answer ${i + 1} is no object of chips.`, i + 1);
    const row = new Map<string, { value: number; kind: ColumnKind; unit: string }>();
    for (const [chip, features] of Object.entries(answer))
      for (const [feature, values] of Object.entries((features ?? {}) as Record<string, unknown>)) {
        if (typeof values !== 'object' || values === null) continue;
        for (const [key, value] of Object.entries(values)) {
          const kind = sensorKinds.find(([pattern]) => pattern.test(key));
          if (kind && typeof value === 'number' && Number.isFinite(value))
            row.set(`${chip} ${feature}`, { value, kind: kind[1], unit: kind[2] });
        }
      }
    return row;
  });
  const names = [...new Set(rows.flatMap((row) => [...row.keys()]))];
  if (names.length === 0) throw new LogError('No temperature, fan or power in these answers.');
  return {
    seconds: Float64Array.from(rows, (_, i) => i * everyS),
    columns: names.map((name) => {
      const one = rows.find((row) => row.has(name))?.get(name);
      return {
        name,
        unit: one?.unit ?? '',
        kind: one?.kind ?? 'other',
        values: Float64Array.from(rows, (row) => row.get(name)?.value ?? NaN),
        gaps: rows.filter((row) => !row.has(name)).length,
      };
    }),
    faults: [],
    rows: rows.length,
  };
}

/** Degrees no sensor of a running machine shows (common practice, no source). */
export const SENSE_C = { least: -30, most: 130 };

/** A course of the log thinned to at most so many points, each the mean of its stretch; gaps and figures without sense left out. */
export function thinned(
  seconds: Float64Array,
  values: Float64Array,
  most: number,
  sense: { least: number; most: number } = { least: -Infinity, most: Infinity },
): { s: number[]; v: number[]; senseless: number } {
  const s: number[] = [];
  const v: number[] = [];
  let senseless = 0;
  const last = seconds.at(-1) ?? 0;
  const width = Math.max(last / most, 1e-9);
  let [bin, sumS, sumV, n] = [0, 0, 0, 0];
  const close = () => {
    if (n === 0) return;
    s.push(Math.round((sumS / n) * 100) / 100);
    v.push(Math.round((sumV / n) * 1000) / 1000);
    [sumS, sumV, n] = [0, 0, 0];
  };
  for (let i = 0; i < seconds.length; i += 1) {
    const value = values[i] ?? NaN;
    if (Number.isNaN(value)) continue;
    if (value < sense.least || value > sense.most) {
      senseless += 1;
      continue;
    }
    const own = Math.min(most - 1, Math.floor((seconds[i] ?? 0) / width));
    if (own !== bin) {
      close();
      bin = own;
    }
    sumS += seconds[i] ?? 0;
    sumV += value;
    n += 1;
  }
  close();
  return { s, v, senseless };
}
