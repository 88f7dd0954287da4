import type { Collection } from './collections.ts';

/**
 * Which bench wrote what, beside the shop: what two copies of one shop that were edited apart are merged by.
 * Clocks are never asked. A shop without versions is one that was never edited apart.
 */

/** A write: `bench.n`, where n is one more than any number its writer had seen. `0`: from before versions were kept. */
export type Dot = string;

/** Of every bench the last write that is known here, with all before it. */
export type Seen = Record<string, number>;

/** Place of a value in a record: `price`, `facts.length`, `seats[card1]`, `additions#kq.7/0`. */
export type Slot = string;

/** A value written without knowing of the one that stands; left out where the value was taken away. */
export interface Sibling {
  dot: Dot;
  value?: unknown;
}

/** A record was taken out at one bench; `seen`: what that bench knew then. */
export interface Deletion {
  dot: Dot;
  seen: Seen;
}

export interface RecordVersion {
  /** The write that made it. */
  made: Dot;
  /** Last write of each slot written since. */
  wrote?: Record<Slot, Dot> | undefined;
  /** Births of the items of lists, in their order, where items came or went since. */
  births?: Record<string, string[]> | undefined;
  /** Values of one slot written apart, beside the one that stands: somebody has to choose. */
  apart?: Record<Slot, Sibling[]> | undefined;
  /** Taken out at another bench while it was edited here, or needed here. */
  deleted?: Deletion[] | undefined;
  /** The tag it was given first, where another record has that tag now. */
  tag?: string | undefined;
  /** Records that bore its tag before and were gone when it was given again. */
  after?: string[] | undefined;
  /** What was known at the hand-over of a job and at every edit since. */
  handed?: Seen | undefined;
  /** Records somebody said it is not, though they look the same. */
  isNot?: string[] | undefined;
}

/** A record that was taken out: kept, for another bench may have edited it meanwhile. */
export interface Gone {
  in: Collection;
  record: { id: string };
  version: RecordVersion;
}

export interface Versions {
  /** Names the shop all copies stem from. */
  line: string;
  seen: Seen;
  /** `parts/A01`, and `head` for name and settings; records that never changed since the beginning have none. */
  records: Record<string, RecordVersion>;
  gone: Gone[];
}
