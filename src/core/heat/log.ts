import { type ColumnKind, DAY, figureOf, headerOf, secondsOf } from './cells.ts';

/**
 * Sensor logs as tables of figures. Columns are found by their names and units; the technician
 * confirms which are meant. A figure that is none is undefined there, never nought.
 */

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

/** From here on a time since 1970 can only be in milliseconds: 1973 as those, the year 5138 as seconds. */
const UNIX_MS = 1e11;

/** A time column in ms or min is brought to seconds. */
function scaled(value: number, column: { name: string; unit: string } | undefined): number {
  const words = `${column?.unit ?? ''} ${column?.name ?? ''}`;
  if (/\bms\b|millis/i.test(words)) return value / 1000;
  /* Seconds since 1970 would be a date thousands of years away: they are thousandths. */
  if (value > UNIX_MS) return value / 1000;
  return /\bmin(utes?)?\b/i.test(words) ? value * 60 : value;
}

/** A log from rows that were parted already. */
export function logOf(rows: Iterable<readonly string[]>, comma = false): Log {
  const reader = new LogReader(comma);
  for (const row of rows) reader.push(row);
  return reader.finish();
}
