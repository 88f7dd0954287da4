import type { Finding } from '../findings/finding.ts';
import type { RemedyValue } from '../model/types/remedyValue.ts';

/** What a plan of a job is found to be: what forbids it, what it asks for, what it costs beyond its parts. */

/** What is put into the slots of one job, slot by slot: a stock, or nothing new. */
export type Put = number;
export const STAYS: Put = -1;

/** A remedy that is taken along, and what it asks for. */
export interface Taken {
  value: RemedyValue;
  title: string;
  get?: { what: string; count: number } | undefined;
}

export interface Costs {
  minutes: number;
  /** Priced things of remedies, minor units at the most. */
  minor: number;
  unpriced: number;
  spoils: number;
}

/** What a plan of one job costs beyond its parts. */
export interface Extra extends Costs {
  /** Things the job asks for and does not get. */
  asks: number;
  taken: Taken[];
}

/** Why some picks do not go together: whoever puts one of each cannot run (or falls short of what is asked). */
export interface Cut {
  job: number;
  /** One set of picks for each slot it is about; all plans with one of each are refused. */
  sets: { slot: number; picks: Put[] }[];
  finding: Finding;
}

/** What some picks ask for besides: one of these remedies. */
export interface Need extends Cut {
  ways: Way[];
}

/** A remedy with its costs, by the word that tells it from others. */
export interface Way extends Costs {
  id: string;
  taken: Taken[];
}

/** A cut that is made as wide as it can be when somebody wants it. */
export interface Later<T extends Cut> {
  finding: Finding;
  cut: () => T;
}

export interface Verdict {
  /** What cannot be mended. */
  cuts: Cut[];
  /** What has to be mended, each with its ways. */
  needs: Later<Need>[];
  /** What it costs beyond its parts; undefined where it does not run. */
  extra: Extra | undefined;
  /** What that is more than one way for each need comes to: remedies that stir up other sums. */
  over: Costs | undefined;
  /** What the job asks for and misses, each with the slots it hangs on. */
  asks: Later<Cut>[];
  /** Sums of fit that may come out either way. */
  open: Later<Cut>[];
  findings: Finding[];
  /** Not every remedy could be looked through: what is refused here is not proven. */
  unsure: boolean;
}
