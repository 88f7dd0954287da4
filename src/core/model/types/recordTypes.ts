import type { Mark } from './names.ts';
import type { Range } from '../../units/range.ts';
import type { Clearing, Reading } from './readings.ts';

/** The swap sheet as plain data: worked out while the job is open, frozen at hand-over and never again. */

/** Whose machine it is; leaves with the job's file only where that is wished. */
export interface Customer {
  name?: string | undefined;
  contact?: string | undefined;
}

/** Added to the record after it was frozen: dated, never an edit of it. */
export interface Addition {
  at: string;
  text: string;
  who?: string | undefined;
}

/** A way that was tried and given up, with the reason. */
export interface Dropped {
  at: string;
  what: string;
  why: string;
  partId?: string | undefined;
}

export interface SheetLine {
  seat: string;
  name: string;
  tag: string;
  mark: 'stays' | 'goes' | 'comes';
  condition: string;
}

/** An open finding in the words it had. */
export interface SheetFinding {
  id: string;
  mark: Mark;
  title: string;
  /** Of `margin`; empty for counts and words. */
  unit: string;
  margin?: Range | undefined;
  say: string;
  /** The shop's own affair: not on the customer's sheet. */
  shopsOwn?: true | undefined;
}

/** A drive that came in with the machine and has no clearing on record. */
export interface SheetDrive {
  id: string;
  name: string;
}

export interface SheetStep {
  title: string;
  at: string;
  note?: string | undefined;
  failed: boolean;
  /** What had to be seen before going on: a test. */
  gate?: string | undefined;
}

export interface SheetCosts {
  /** In the shop's own currency, whole minor units. */
  currency: string;
  total: number;
  lines: { label: string; minor?: number | undefined }[];
  unpriced: string[];
}

/** Everything that goes on the swap sheet, in its order on paper. */
export interface Sheet {
  title: string;
  becomes: string;
  machine?: string | undefined;
  origin?: string | undefined;
  found: SheetLine[];
  built: SheetLine[];
  open: SheetFinding[];
  remedies: string[];
  readings: Reading[];
  /** Searches for faults, what was damaged, what the logged runs came to: a line each. */
  diagnoses: string[];
  damages: string[];
  heat: string[];
  clearings: (Clearing & { name: string })[];
  uncleared: SheetDrive[];
  /** Parts that are owed back or owed to us, a line each. */
  loans: string[];
  done: SheetStep[];
  /** Steps not done. */
  left: string[];
  costs: SheetCosts;
  /** Kept since version 9: whose it is, what runs on it, what it is guaranteed for, what to watch. */
  customer?: Customer | undefined;
  system?: string | undefined;
  warranty?: string | undefined;
  watch?: string | undefined;
  serials?: { name: string; serial: string }[] | undefined;
  /** Ways given up, service lines of the parts it goes out with, and what cannot be undone: a line each. */
  dropped?: string[] | undefined;
  service?: string[] | undefined;
  /** What to watch, what was tried and dropped. */
  note?: string | undefined;
}

/** Why a machine went out with something open. */
export interface Incomplete {
  /** What was open, a line each, as it was listed. */
  open: string[];
  /** What follows. */
  follows: string;
  who?: string | undefined;
  /** ISO day. */
  by?: string | undefined;
}

/** The job as it was handed over. */
export interface JobRecord {
  at: string;
  shop: string;
  sheet: Sheet;
  incomplete?: Incomplete | undefined;
}
