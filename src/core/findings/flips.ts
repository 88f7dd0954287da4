import type { Finding, Mark } from './finding.ts';

/** What an edit overturned: the sum before, struck through on the tape, and its mark after. */
export interface Flip {
  id: string;
  before: Finding | undefined;
  from: Mark | undefined;
  to: Mark | undefined;
}

/** Findings whose mark changed, came or went between two runs. */
export function flips(before: readonly Finding[], after: readonly Finding[]): Flip[] {
  const was = new Map(before.map((finding) => [finding.id, finding]));
  const is = new Map(after.map((finding) => [finding.id, finding]));
  const ids = new Set([...was.keys(), ...is.keys()]);
  return [...ids].flatMap((id) => {
    const old = was.get(id);
    const now = is.get(id);
    return old?.mark === now?.mark ? [] : [{ id, before: old, from: old?.mark, to: now?.mark }];
  });
}
