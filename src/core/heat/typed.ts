import { celsiusOf, type Degrees } from '../units/degrees.ts';
import type { ColumnKind } from './cells.ts';
import { LogError, type Log } from './log.ts';

/** Pairs as they are typed, minutes or `mm:ss` and degrees of the shop's unit or the one said: `0 31, 2 55, 5:30 63.5`. Throws LogError with the pair. */
export function typedPairs(text: string, degrees: Degrees = 'C'): Log {
  const pairs = text.split(/[\n;]|,(?=\s)/).flatMap((each, i) => {
    const clean = each.trim();
    if (clean === '') return [];
    const match = /^(\d+:\d{2}|\d+(?:[.,]\d+)?)\s+(-?\d+(?:[.,]\d+)?)\s*(?:°\s*)?([CF]?)$/i.exec(
      clean,
    );
    if (!match)
      throw new LogError(
        `Pair ${i + 1}, “${clean.slice(0, 30)}”: minutes and degrees, as 5 63.`,
        i + 1,
      );
    const [, time = '', figure = '', unit = ''] = match;
    const said = unit === '' ? degrees : unit.toUpperCase() === 'F' ? 'F' : 'C';
    const [minutes = '', seconds = '0'] = time.split(':');
    const s = Number(minutes.replace(',', '.')) * 60 + Number(seconds);
    return [{ s, v: celsiusOf(Number(figure.replace(',', '.')), said) }];
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
