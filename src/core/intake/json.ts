/** Values out of JSON that other programs printed: nothing is taken for what it ought to be. */

export type Row = Record<string, unknown>;

/** How deep lists within lists are followed; no machine is that deep. */
export const MOST_DEPTH = 60;

/** The objects of a list, or the one object itself; anything else is none. */
export function rowsIn(value: unknown): Row[] {
  if (Array.isArray(value)) return value.filter(isRow);
  return isRow(value) ? [value] : [];
}

export const isRow = (value: unknown): value is Row =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Text, or a number as text; undefined for anything else. */
export const textIn = (value: unknown): string | undefined =>
  typeof value === 'string' ? value : typeof value === 'number' ? String(value) : undefined;

/** A finite number, also one printed as text. */
export function numberIn(value: unknown): number | undefined {
  const number = typeof value === 'string' && value.trim() !== '' ? Number(value) : value;
  return typeof number === 'number' && Number.isFinite(number) ? number : undefined;
}

/** Rows with the rows inside them, `key` holding the inner ones, no deeper than is sensible. */
export function flatRows(list: readonly Row[], key: string, depth = 0): Row[] {
  if (depth > MOST_DEPTH) return [];
  return list.flatMap((row) => [row, ...flatRows(rowsIn(row[key]), key, depth + 1)]);
}
