import type { Dot, Seen } from '../model/types/versionTypes.ts';

/** Writes and what is known of them. */

export const BEGINNING: Dot = '0';

export const numberOf = (dot: Dot): number => Number(dot.slice(dot.lastIndexOf('.') + 1)) || 0;
export const benchOf = (dot: Dot): string => dot.slice(0, Math.max(0, dot.lastIndexOf('.')));

export const knows = (seen: Seen, dot: Dot): boolean =>
  dot === BEGINNING || (seen[benchOf(dot)] ?? 0) >= numberOf(dot);

/** Earlier numbers first, then by bench: an order all benches agree on, and no write comes before one it knew. */
export function byDot(a: Dot, b: Dot): number {
  const [benchA, benchB] = [benchOf(a), benchOf(b)];
  return numberOf(a) - numberOf(b) || (benchA < benchB ? -1 : benchA > benchB ? 1 : 0);
}

export function joinSeen(a: Seen, b: Seen): Seen {
  const joined: Seen = { ...a };
  for (const [bench, n] of Object.entries(b)) joined[bench] = Math.max(joined[bench] ?? 0, n);
  return joined;
}

/** The number of the next write of anybody who knows this. */
export const nextNumber = (seen: Seen): number => Math.max(0, ...Object.values(seen)) + 1;
