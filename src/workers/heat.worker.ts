import { expose } from 'comlink';
import { LogError, SENSE_C, thinned, type Log, type LogColumn } from '$core/heat/index.ts';
import { isFahrenheit, toCelsius } from '$core/units/degrees.ts';
import type { Course } from '$core/model/types/types.ts';
import { readLog } from './readLog.ts';

/** A column as the page shows it for confirming. */
export interface ColumnShown {
  at: number;
  name: string;
  unit: string;
  kind: LogColumn['kind'];
  least: number;
  most: number;
  gaps: number;
}
export interface LogShown {
  rows: number;
  lengthS: number;
  columns: ColumnShown[];
  faults: Log['faults'];
}

let log: Log | undefined;
const POINTS = 800;

/** Sensor logs off the page's thread: one is held at a time. */
const api = {
  async read(
    file: File,
    progress: (share: number) => void | Promise<void>,
  ): Promise<LogShown | { fault: string }> {
    try {
      log = undefined;
      log = await readLog(file, progress);
      return shown(log);
    } catch (error) {
      if (!(error instanceof LogError)) throw error;
      return { fault: error.line ? `Line ${error.line}: ${error.message}` : error.message };
    }
  },
  /** A column as a course, its figures in the unit of a course, between two seconds of the log. */
  course(
    at: number,
    what: Course['what'],
    fromS: number,
    toS: number,
  ): { course: Course; senseless: number } | undefined {
    const column = log?.columns[at];
    if (!log || !column) return undefined;
    const [first, last] = [
      log.seconds.findIndex((s) => s >= fromS),
      log.seconds.findLastIndex((s) => s <= toS),
    ];
    if (first < 0 || last < first) return undefined;
    const start = log.seconds[first] ?? 0;
    const seconds = log.seconds.slice(first, last + 1).map((s) => s - start);
    const factor = /GHz/i.test(column.unit) ? 1000 : /^mW$/.test(column.unit) ? 0.001 : 1;
    const scale = isFahrenheit(column.unit) ? toCelsius : (v: number) => v * factor;
    const values = column.values.slice(first, last + 1).map(scale);
    const heat = what === 'temperature' || what === 'room';
    const { s, v, senseless } = thinned(seconds, values, POINTS, heat ? SENSE_C : undefined);
    return { course: { what, name: column.name, s, v }, senseless };
  },
};

function shown({ rows, seconds, columns, faults }: Log): LogShown {
  return {
    rows,
    lengthS: seconds.at(-1) ?? 0,
    faults,
    columns: columns.map((column, at) => {
      let [least, most] = [Infinity, -Infinity];
      for (const value of column.values) {
        if (value < least) least = value;
        if (value > most) most = value;
      }
      const { name, unit, kind, gaps } = column;
      return { at, name, unit, kind, gaps, least, most };
    }),
  };
}

export type HeatWorker = typeof api;
expose(api);
