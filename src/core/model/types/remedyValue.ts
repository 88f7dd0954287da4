import type { SeatId } from './names.ts';

/**
 * What each remedy needs to be told, by its name: every file of core/remedies adds its own line here,
 * and `RemedyValue` follows.
 */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- filled by core/remedies
export interface RemedyFields {}

export type RemedyName = keyof RemedyFields;

/** A remedy as plain data, as a plan applies it and a job keeps it: `{ do: 'moveDrive', seat, to }`. */
export type RemedyValue<K extends RemedyName = RemedyName> = {
  [N in K]: { do: N } & RemedyFields[N];
}[K];

/** Whether a remedy is the one meant: all that the pattern names is the same. */
export function isLike<K extends RemedyName>(value: RemedyValue, pattern: RemedyValue<K>): boolean {
  if (value.do !== pattern.do) return false;
  const own = value as Record<string, Field>;
  for (const [key, wanted] of Object.entries(pattern as Record<string, Field>)) {
    if (wanted === undefined || own[key] === wanted) continue;
    if (String(own[key]) !== String(wanted)) return false;
  }
  return true;
}

/** What a remedy may be told: a seat, the tag of a part, a word, a figure, several words. */
type Field = SeatId | number | readonly string[] | null | undefined;
