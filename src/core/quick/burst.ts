/**
 * Tells a scanner or a caliper, which types like a machine, from hands: keys that follow each
 * other within a gap no hand keeps up, closed by Enter.
 */

/** Keys closer than this belong together, ms. Scanners type within 30 (common practice, no source); hands seldom under 100. */
export const GAP_MS = 90;

export interface Burst {
  text: string;
  /** Time of the last key, ms. */
  at: number;
}

/** The burst with one key more; a key after a pause begins a new one. */
export function withKey(before: Burst | undefined, key: string, at: number): Burst {
  const joins = before !== undefined && at - before.at >= 0 && at - before.at <= GAP_MS;
  return { text: joins ? before.text + key : key, at };
}

/** Does Enter at this time close a scan? One key and Enter at once is one too: a caliper that reads 5. */
export const isScan = (burst: Burst | undefined, at: number): boolean =>
  burst !== undefined && burst.text.trim() !== '' && at - burst.at >= 0 && at - burst.at <= GAP_MS;
