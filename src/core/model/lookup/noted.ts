import type { Kind } from '../types/types.ts';

/** Which facts of which kinds of part were asked for. */
export type Keys = Map<Kind, Set<string>>;

let noted: Keys | undefined;

/** Writes down that a fact was asked for, where somebody listens. */
export function note(kind: Kind, key: string): void {
  if (!noted) return;
  const keys = noted.get(kind);
  if (keys) keys.add(key);
  else noted.set(kind, new Set([key]));
}

/** Whether somebody listens: only then is it worth writing down. */
export const isNoting = (): boolean => noted !== undefined;

/** Work with what it asks for written into `keys`; whoever listens around it hears it too. */
export function noting<T>(keys: Keys, work: () => T): T {
  const before = noted;
  noted = keys;
  try {
    return work();
  } finally {
    noted = before;
    noteAll(keys);
  }
}

/** What was asked for when an answer was worked out that is given again. */
export function noteAll(keys: Keys): void {
  if (!noted) return;
  for (const [kind, own] of keys) for (const key of own) note(kind, key);
}
