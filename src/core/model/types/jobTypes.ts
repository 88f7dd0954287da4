import type { Money } from '../../units/money.ts';
import type { RemedyValue } from './remedyValue.ts';
import type { Addition, Customer, Dropped, JobRecord } from './recordTypes.ts';
import type { Finish, OwnStep } from './finishTypes.ts';
import type { Printed } from './printTypes.ts';
import type { Make } from './makeTypes.ts';
import type { SeatId } from './names.ts';
import type { Clearing, Reading } from './readings.ts';

/** A job: what changes, and everything noted on the way. */

/** Another part for a seat; `partId` null leaves the seat empty. */
export interface Change {
  seat: SeatId;
  partId: string | null;
  /** When: 1 is now (and when nothing is said), 2 later, and so on. One change a seat and stage. */
  stage?: number | undefined;
}

/** Something the job asked for that a remedy may give up. */
export interface Requirement {
  what: 'screens' | 'drives' | 'memoryGb';
  count: number;
}

export interface Tick {
  stepId: string;
  /** ISO time of the stamp. */
  at: string;
  note?: string | undefined;
  /** A gate may fail. */
  failed?: boolean | undefined;
  /** Minutes of hands it took, by the timer. */
  minutes?: number | undefined;
}

/** A step that runs: somebody started it. */
export interface Started {
  stepId: string;
  at: string;
}

/** When the plan of the week that was kept puts a step. */
export interface Planned {
  stepId: string;
  start: string;
}

/** Hands are not needed before `until`; without a date the wait has no end yet. */
export interface Wait {
  why: string;
  until?: string | undefined;
}

/** One course of a logged run: what was logged, and its points, thinned. */
export interface Course {
  what: 'temperature' | 'clock' | 'fan' | 'watts' | 'room';
  name: string;
  /** Seconds from the first row, and figures in °C, MHz, turns a minute or W. */
  s: number[];
  v: number[];
}

/** A logged run of a machine, hung on its job. */
export interface HeatRun {
  id: string;
  name: string;
  at: string;
  load: Reading['load'];
  /** °C of the room; undefined where nobody looked. */
  roomC?: number | undefined;
  panel: 'on' | 'off';
  /** How the fans were set, in words. */
  fans?: string | undefined;
  /** What was different from the machine as found while it ran, in words of one's own. */
  changed: string[];
  courses: Course[];
}

/** A test of a search for a fault and how it came out. */
export interface Tried {
  testId: string;
  result: string;
  minutes: number;
  at: string;
  who?: string | undefined;
  /** The part of the shelf it was done with. */
  with?: string | undefined;
}

export const diagnosisVerdicts = ['found', 'works, cause never found', 'given up'] as const;

/** A search for a fault, from its sign to its verdict. */
export interface Diagnosis {
  id: string;
  symptom: string;
  at: string;
  /** What was changed last before it showed. */
  after: string[];
  tried: Tried[];
  verdict?: (typeof diagnosisVerdicts)[number] | undefined;
  /** The cause, where it was found. */
  causeId?: string | undefined;
  note?: string | undefined;
}

/** Something damaged while working, and what became of it. */
export interface Damage {
  at: string;
  what: string;
  partId?: string | undefined;
  mended: boolean;
  retested: boolean;
}

/** A step of an undervolt or of a raised clock, and whether it held. */
export interface Trial {
  at: string;
  what: 'undervolt' | 'base clock' | 'watt limit';
  /** mV below, percent of nominal, or W. */
  value: number;
  stable: boolean;
  note?: string | undefined;
}

/** A trained link as it was read: how it ran and what both ends can, GT/s and lanes. */
export interface LinkReading {
  at: string;
  when: Reading['when'];
  underLoad: boolean;
  slot: string;
  name: string;
  gts: number;
  lanes: number;
  couldGts: number;
  couldLanes: number;
}

export interface Want {
  what: string;
  count: number;
  price?: Money | undefined;
  bought?: boolean | undefined;
  /** The remedy that put it on the list. */
  remedy?: RemedyValue | undefined;
  /** The piece of finishing it is for. */
  finish?: string | undefined;
}

/** A quick sum kept with the job, as it was typed. */
export interface KeptSum {
  text: string;
  at: string;
  /** Unit of the lengths typed bare in it. */
  unit: 'mm' | 'in';
}

export interface Schools {
  /** Start the board on the bench first, or build straight in. */
  start: 'bench' | 'straight';
  /** Supply first hides cables; last leaves room. */
  supply: 'first' | 'last';
}

export interface Job {
  id: string;
  /** Tags it bore in other shops before it was renumbered here: their labels still find it. */
  was?: string[] | undefined;
  name: string;
  becomes: string;
  requirements: Requirement[];
  machineId?: string | undefined;
  budget?: Money | undefined;
  /** ISO time it is promised for. */
  deadline?: string | undefined;
  changes: Change[];
  /** Remedies that are applied. */
  applied: RemedyValue[];
  schools: Schools;
  /** Surfaces and other work that makes people wait. */
  finishes: Finish[];
  /** What is cut, drilled and bent of sheet for it; older files have none. */
  makes?: Make[] | undefined;
  /** What is printed for it; older files have none. */
  printed?: Printed[] | undefined;
  /** Steps of one's own. */
  own: OwnStep[];
  ticks: Tick[];
  started: Started[];
  planned: Planned[];
  /** How much its lateness weighs against other jobs'; 1 where nobody said. */
  weight?: number | undefined;
  waits: Wait[];
  readings: Reading[];
  clearings: Clearing[];
  wants: Want[];
  sums: KeptSum[];
  runs: HeatRun[];
  diagnoses: Diagnosis[];
  damages: Damage[];
  trials: Trial[];
  links: LinkReading[];
  dropped: Dropped[];
  note?: string | undefined;
  customer?: Customer | undefined;
  /** Operating system and what was set up, as it goes out. */
  system?: string | undefined;
  warranty?: string | undefined;
  /** What its user should watch, in words for them. */
  watch?: string | undefined;
  /** ISO time of hand-over. */
  handedOver?: string | undefined;
  /** What was handed over, frozen; jobs handed over before version 6 have none. */
  record?: JobRecord | undefined;
  additions: Addition[];
}

export * from './readings.ts';
