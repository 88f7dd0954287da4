import type { Resource } from '../model/types/finishTypes.ts';
import type { Open } from './calendar.ts';

/**
 * A week as it is worked out. A task is hands without a break inside opening hours, then time to leave it alone;
 * what comes after it waits for both.
 *
 *   |#### hands ####|/////// leave ///////|
 *   start           + hands               + leave: what follows may start
 */
export interface Task {
  id: string;
  jobId: string;
  title: string;
  /** Steps of the work order it is made of. */
  steps: string[];
  tools: string[];
  hands: number;
  leave: number;
  /** How many people, and which (places in the list of people); undefined: anybody. */
  people: 1 | 2;
  who?: number | undefined;
  /** Somebody is in the shop until it may be left: no night in it. */
  attended: boolean;
  release: number;
  after: readonly number[];
  /**
   * Between these minutes it may not start: the recoat window is past and the paint not hard enough to go on, or
   * the day bears no spraying.
   */
  shut?: readonly (readonly [number, number])[] | undefined;
  /** At the latest so many minutes after the hands of that task, or not before `again`. */
  within?: { of: number; minutes: number; again: number } | undefined;
  /** Stands on the drying rack from when its place is free of it until it may be handled. */
  rests?: boolean | undefined;
  /** A place taken by one piece of work from its first task to `holds` minutes after the hands of its last. */
  place?:
    { name: Resource; group: string; holds: number; first?: string; last?: string } | undefined;
  /** Started, or frozen: it is where it is. */
  fixed?: number | undefined;
  /** Where the kept plan has it. */
  before?: number | undefined;
}

export interface Due {
  jobId: string;
  due?: number | undefined;
  weight: number;
}

export interface Problem {
  tasks: readonly Task[];
  jobs: readonly Due[];
  people: number;
  open: readonly Open[];
  /** Places that are taken by work begun before. */
  held?: readonly { name: Resource; group: string }[] | undefined;
  /** How many of each sort of place there are; 1 where nothing is said. */
  counts?: Readonly<Partial<Record<Resource, number>>> | undefined;
  /** Pieces the drying rack holds; undefined: nobody counted, any number. */
  rack?: number | undefined;
  /** Minutes of hands to clean a paint place for another colour, and what was sprayed last. */
  cleaning?: number | undefined;
  colour?: string | undefined;
}

export interface Schedule {
  starts: number[];
  /** People at each task. */
  who: number[][];
  /** Minutes the same people clean its place before it begins. */
  cleaned: number[];
  cost: Cost;
}

/**
 * What is made least, in this order: minutes late times weight, tasks moved against the kept plan, changes of
 * colour, the end.
 */
export interface Cost {
  late: number;
  moved: number;
  colours: number;
  end: number;
  /** Sum of all starts: of two alike the one that begins things earlier. */
  sum: number;
}

export function cheaper(a: Cost, b: Cost): boolean {
  if (a.late !== b.late) return a.late < b.late;
  if (a.moved !== b.moved) return a.moved < b.moved;
  if (a.colours !== b.colours) return a.colours < b.colours;
  if (a.end !== b.end) return a.end < b.end;
  return a.sum < b.sum;
}
