import { ReadingError } from './identify.ts';
import type { Reading } from './evidence.ts';
import type { Grid } from './hypotheses.ts';

/** Readings of one plug as lines of text, as they are kept with a part: `grid 2x10`, `colour 3 black`, `standby 9 5.02`. */
export interface PlugNotes {
  grid: Grid | undefined;
  readings: Reading[];
}

/** Throws ReadingError with the line that cannot be read. */
export function readNotes(lines: readonly string[]): PlugNotes {
  const notes: PlugNotes = { grid: undefined, readings: [] };
  for (const line of lines) {
    const [kind, first = '', rest, beeps] = line.split(' ');
    const grid = /^(\d+)x(\d+)$/.exec(first);
    const pin = Number(first);
    if (kind === 'grid' && grid)
      notes.grid = { rows: Number(grid[1]), ways: Number(grid[1]) * Number(grid[2]) };
    else if (kind === 'colour' && rest) notes.readings.push({ kind, pin, colour: rest });
    else if (kind === 'chassis' && (rest === 'yes' || rest === 'no'))
      notes.readings.push({ kind, pin, beeps: rest === 'yes' });
    else if (kind === 'gauge' && Number.isFinite(Number(rest)) && rest !== undefined)
      notes.readings.push({ kind, pin, awg: Number(rest) });
    else if (kind === 'empty' && rest === undefined) notes.readings.push({ kind, pin });
    else if (kind === 'ohms' && rest !== undefined && Number.isFinite(Number(rest)))
      notes.readings.push({ kind, pin, ohms: Number(rest) });
    else if (kind === 'common' && rest && (beeps === 'yes' || beeps === 'no'))
      notes.readings.push({ kind, pin, with: Number(rest), beeps: beeps === 'yes' });
    else if (
      (kind === 'standby' || kind === 'running') &&
      Number.isFinite(Number(rest)) &&
      rest !== undefined
    )
      notes.readings.push({ kind, pin, volts: Number(rest) });
    else throw new ReadingError(`“${line}” is no reading.`);
  }
  return notes;
}

export function writeNotes({ grid, readings }: PlugNotes): string[] {
  return [...(grid ? [`grid ${grid.rows}x${grid.ways / grid.rows}`] : []), ...readings.map(line)];
}

function line(reading: Reading): string {
  switch (reading.kind) {
    case 'colour':
      return `colour ${reading.pin} ${reading.colour}`;
    case 'gauge':
      return `gauge ${reading.pin} ${reading.awg}`;
    case 'empty':
      return `empty ${reading.pin}`;
    case 'chassis':
      return `chassis ${reading.pin} ${reading.beeps ? 'yes' : 'no'}`;
    case 'common':
      return `common ${reading.pin} ${reading.with} ${reading.beeps ? 'yes' : 'no'}`;
    case 'ohms':
      return `ohms ${reading.pin} ${reading.ohms}`;
    default:
      return `${reading.kind} ${reading.pin} ${reading.volts}`;
  }
}

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
