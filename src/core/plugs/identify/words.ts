import type { PlugReading } from '../../model/types/shapes.ts';
import type { Reading } from './evidence.ts';
import type { Grid } from './hypotheses.ts';

/** What is known of one plug: its pins in rows, and readings of them. */
export interface PlugNotes {
  grid: Grid | undefined;
  readings: Reading[];
}

/** The notes of a plug as they are kept with its part. */
export function notesOf(kept: readonly PlugReading[]): PlugNotes {
  const notes: PlugNotes = { grid: undefined, readings: [] };
  for (const each of kept)
    if (each.kind === 'grid') notes.grid = { rows: each.rows, ways: each.rows * each.columns };
    else notes.readings.push(each);
  return notes;
}

export const keptNotes = ({ grid, readings }: PlugNotes): PlugReading[] => [
  ...(grid ? [{ kind: 'grid' as const, rows: grid.rows, columns: grid.ways / grid.rows }] : []),
  ...readings,
];

/** The notes with one more reading; one of its kind on the same pin is replaced. */
export function noted(notes: PlugNotes, reading: Reading): PlugNotes {
  const kept = notes.readings.filter(
    (each) => each.kind !== reading.kind || each.pin !== reading.pin || !sameOther(each, reading),
  );
  return { ...notes, readings: [...kept, reading] };
}

/** Of two readings between pins, is the far pin the same? Others have none. */
const sameOther = (a: Reading, b: Reading) =>
  a.kind !== 'common' || b.kind !== 'common' || a.with === b.with;
