import {
  namedKinds,
  readingKinds,
  type Reading,
  type ReadingKind,
} from '../model/types/readings.ts';
import { trim } from '../units/length.ts';

/** The latest reading before and after of one thing, and what may be said of the two. */
export interface ComparedReading {
  kind: ReadingKind;
  /** Of a score or a task: what was run and how it was set. */
  name: string | undefined;
  before: Reading | undefined;
  after: Reading | undefined;
  say: string;
  /** Where the latest stands against what such a part should stay under. */
  aim: { say: string; over: boolean } | undefined;
}

/**
 * Readings of the same thing side by side. Two are compared only at the same load, a score or a task only under the
 * same name and settings; `changes`: how many things were changed between.
 */
export function comparedReadings(readings: readonly Reading[], changes: number): ComparedReading[] {
  const keys = (Object.keys(readingKinds) as ReadingKind[]).flatMap((kind) => {
    const own = readings.filter((each) => each.kind === kind);
    const names = namedKinds.includes(kind) ? own.map((each) => each.name) : [undefined];
    return own.length === 0 ? [] : [...new Set(names)].map((name) => ({ kind, name }));
  });
  return keys.map(({ kind, name }) => {
    const of = (when: Reading['when']) =>
      readings
        .filter(
          (each) =>
            each.kind === kind &&
            each.when === when &&
            (!namedKinds.includes(kind) || each.name === name),
        )
        .at(-1);
    const [before, after] = [of('before'), of('after')];
    return {
      kind,
      name,
      before,
      after,
      say: sayOf(kind, before, after, changes),
      aim: aimOf(kind, after ?? before),
    };
  });
}

function sayOf(
  kind: ReadingKind,
  before: Reading | undefined,
  after: Reading | undefined,
  changes: number,
): string {
  if (!before || !after)
    return before
      ? 'The after reading comes when the lid is on.'
      : 'No before reading: there is nothing to compare with.';
  if (before.load !== after.load)
    return `Before was ${before.load}, after ${after.load}: not the same load, so the difference proves nothing.`;
  const { unit, better } = readingKinds[kind];
  const by = after.value - before.value;
  if (by === 0) return 'The same, at the same load.';
  const size = `${trim(Math.abs(by), 1)} ${unit === '°C' ? 'K' : unit}`.trim();
  const good = by < 0 === (better === 'less');
  const several =
    changes > 1
      ? ' Several things were changed between the two: the difference belongs to none of them alone.'
      : '';
  return `${size} ${by < 0 ? 'less' : 'more'}, at the same load: ${good ? 'better' : 'worse'}.${several}`;
}

function aimOf(kind: ReadingKind, latest: Reading | undefined): ComparedReading['aim'] {
  const own = readingKinds[kind];
  if (!latest || !('aimC' in own) || latest.load === 'idle') return undefined;
  const over = latest.value > own.aimC;
  return {
    over,
    say: over
      ? `${trim(latest.value - own.aimC, 1)} K over the ${own.aimC} °C it should stay under${kind === 'temperatureC' ? ', unless it is made to run at 95 to 100 °C' : ''}.`
      : `Under the ${own.aimC} °C it should stay under.`,
  };
}

/** What is wrong with a figure of a reading, in words; undefined where it may stand. */
export function readingFault(kind: ReadingKind, value: number, name: string): string | undefined {
  const { most, unit } = readingKinds[kind];
  if (!Number.isFinite(value)) return 'A number, please.';
  if (value < (unit === '°C' ? -40 : 0))
    return `${trim(value, 1)} ${unit} cannot be meant.`.replace('  ', ' ');
  /* A wall reading of 850 W is no mistake, nor is a score of any size. */
  if (kind !== 'score' && kind !== 'taskS' && value > most * (kind === 'wallW' ? 10 : 2))
    return `${trim(value, 1)} ${unit} cannot be meant.`;
  if (value > 100_000) return 'So much cannot be kept.';
  if (namedKinds.includes(kind) && name.trim() === '')
    return 'Say what was run and how it was set: a score without them compares with nothing.';
  return undefined;
}
