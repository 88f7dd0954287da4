import { indexOf } from './lookup.ts';
import type { Job, Kind, Model, Part, Shop } from '../types/types.ts';
import type { Placed, Plan } from '../types/plan.ts';
import { isNoting, noteAll, noting, type Keys } from './noted.ts';
import { samePrices, thingPrices, type ThingPrices } from './thingPrices.ts';
import { isLike, type RemedyName, type RemedyValue } from '../types/remedyValue.ts';

/**
 * Work on a plan is kept by what it read of it: a check that never looked at the memory need not run again
 * for another module. Plans are values, so the same readings give the same answer, by the same way.
 */
type Whole =
  | 'seats'
  | 'goes'
  | 'job'
  | 'requirements'
  | 'readings'
  | 'makes'
  | 'printed'
  | 'machine'
  | 'applied'
  | 'shop'
  | 'settings'
  | 'plugs'
  | 'prices';

interface Reads {
  kinds: Set<Kind>;
  /** Kinds of which it was asked what leaves. */
  goes: Set<Kind>;
  whole: Set<Whole>;
  /** Remedies that were asked for, by name. */
  applied: Set<RemedyName>;
}

interface Log {
  plan: Plan;
  reads: Reads;
  /** Its remedies are its own: what is read of them is no reading of the plan behind it. */
  ownApplied: boolean;
}
const logOf = (plan: Plan): Log | undefined => (plan instanceof Logged ? plan.log : undefined);

/** The seats of a plan, of which the reader looks at one kind only. */
export function seatsFor(plan: Plan, kind: Kind): Placed[] {
  const log = logOf(plan);
  if (!log) return plan.seats;
  log.reads.kinds.add(kind);
  return log.plan.seats;
}

/** The remedies a plan applies, of which the reader looks at one sort only. */
export function appliedFor(plan: Plan, name: RemedyName): readonly RemedyValue[] {
  const log = logOf(plan);
  if (!log) return plan.applied;
  if (!log.ownApplied) log.reads.applied.add(name);
  return log.plan.applied;
}

/** The shop behind a plan, for the facts of parts that were read of the plan itself: nothing is written down. */
export const behind = (plan: Plan): Shop => logOf(plan)?.plan.shop ?? plan.shop;

function wholly<T>(plan: Plan, name: 'settings' | 'plugs' | 'prices', of: (shop: Shop) => T): T {
  const log = logOf(plan);
  log?.reads.whole.add(name);
  return of(log?.plan.shop ?? plan.shop);
}

/** The settings of the shop, and nothing else of it. */
export const settingsOf = (plan: Plan): Shop['settings'] =>
  wholly(plan, 'settings', ({ settings }) => settings);

/** The shop's own plugs, and nothing else of it. */
export const plugsOf = (plan: Plan): Pick<Shop, 'plugs'> =>
  wholly(plan, 'plugs', ({ plugs }) => ({ plugs }));

/** What things to get cost the shop, and nothing else of it. */
export const pricesOf = (plan: Plan): ThingPrices => wholly(plan, 'prices', thingPrices);

/** One list of the job, and nothing else of it; empty where there is no job. */
export function listOfJob<K extends JobLists>(plan: Plan, name: K): NonNullable<Job[K]> {
  const log = logOf(plan);
  log?.reads.whole.add(name);
  return (log?.plan ?? plan).job?.[name] ?? NONE;
}

const NONE: never[] = [];
/** Lists of a job that checks read one by one. */
const jobLists = ['requirements', 'readings', 'makes', 'printed'] as const;
type JobLists = (typeof jobLists)[number];

/** What of one kind leaves the machine. */
export function goesOfKind(plan: Plan, kind: Kind): Plan['goes'] {
  const log = logOf(plan);
  log?.reads.goes.add(kind);
  return (log?.plan ?? plan).goes.filter((each) => each.kind === kind);
}

/**
 * A plan that writes down what is read of it; which remedies it applies is not, where they are its own. Never spread
 * it: `withApplied` makes the plan with other remedies.
 */
class Logged implements Plan {
  constructor(readonly log: Log) {}
  get shop() {
    return this.whole('shop').shop;
  }
  get seats() {
    return this.whole('seats').seats;
  }
  get goes() {
    return this.whole('goes').goes;
  }
  get job() {
    return this.whole('job').job;
  }
  get machine() {
    return this.whole('machine').machine;
  }
  get applied() {
    return this.log.ownApplied ? this.log.plan.applied : this.whole('applied').applied;
  }
  private whole(name: Whole): Plan {
    this.log.reads.whole.add(name);
    return this.log.plan;
  }
}

const logging = (plan: Plan, reads: Reads, ownApplied = false): Plan =>
  new Logged({ plan, reads, ownApplied });

/** What a piece of work read of a plan: kinds of seats, or wider things by name. */
export interface Readings {
  kinds: ReadonlySet<Kind>;
  /** Kinds of which it was asked what leaves. */
  goes: ReadonlySet<Kind>;
  whole: ReadonlySet<string>;
  /** Facts that were asked for. */
  keys: Keys;
}

/** Work over a plan, with what it read of it: any plan that is alike there gets the same answer. */
export function withReadings<T>(
  plan: Plan,
  work: (plan: Plan) => T,
): { value: T; readings: Readings } {
  const reads: Reads = { kinds: new Set(), goes: new Set(), whole: new Set(), applied: new Set() };
  const keys: Keys = new Map();
  const value = noting(keys, () => work(logging(plan, reads)));
  return { value, readings: { ...reads, keys } };
}

/** The plan with other remedies applied, without reading more of it than its readers do. */
export function withApplied(plan: Plan, applied: readonly RemedyValue[]): Plan {
  const log = logOf(plan);
  return log ? logging({ ...log.plan, applied }, log.reads, true) : { ...plan, applied };
}

/** What was worked out over the plans of a shop, by the work and the job. */
type Memo = Map<unknown, Map<string, Kept<unknown>[]>>;

/** It goes with the shop: whoever lets go of a shop lets go of all that was worked out over it. */
const memos = new WeakMap<Shop, Memo>();

function memoOf(shop: Shop): Memo {
  let memo = memos.get(shop);
  if (!memo) memos.set(shop, (memo = new Map()));
  return memo;
}

/** What was worked out over one shop is at hand for the next one: for a page, whose shops are one after another. */
export function carryMemo(from: Shop, to: Shop): void {
  if (from !== to) memos.set(to, memoOf(from));
}

interface Kept<T> {
  plan: Plan;
  reads: Reads;
  /** Written down only while somebody listened. */
  keys?: Keys | undefined;
  value: T;
}

/** Answers kept of one work for one job: enough for the stages of its plan beside it as it was, and a few tries. */
const MOST_KEPT = 8;
/** Jobs whose answers are kept. */
const MOST_JOBS = 400;

/**
 * The same function of a plan, its latest answers kept and given again to any plan that looks alike wherever
 * it was read, of the same shop or of one it was carried to. `work` must hang on the plan alone, and its answer must
 * not be changed.
 */
export const keptByReads = <T>(work: (plan: Plan) => T): ((plan: Plan) => T) => keptBy(work, false);

/**
 * The same for work whose answer names parts and holds none: given again too where a part differs only in facts
 * nobody asked for.
 */
export const keptByFacts = <T>(work: (plan: Plan) => T): ((plan: Plan) => T) => keptBy(work, true);

function keptBy<T>(work: (plan: Plan) => T, byFacts: boolean): (plan: Plan) => T {
  return (given) => {
    const outer = logOf(given);
    const plan = outer?.plan ?? given;
    const key = plan.job?.id ?? '';
    const memo = memoOf(plan.shop);
    const byJob = (memo.get(work) ?? new Map<string, Kept<unknown>[]>()) as Map<string, Kept<T>[]>;
    memo.set(work, byJob);
    const list = byJob.get(key) ?? [];
    const heard = byFacts || isNoting();
    const at = list.findIndex((each) => (!heard || each.keys) && looksAlike(each, plan, byFacts));
    let found = list[at];
    if (!found) {
      const reads: Reads = {
        kinds: new Set(),
        goes: new Set(),
        whole: new Set(),
        applied: new Set(),
      };
      const keys: Keys | undefined = heard ? new Map() : undefined;
      const run = () => work(logging(plan, reads));
      found = { plan, reads, keys, value: keys ? noting(keys, run) : run() };
      list.unshift(found);
      list.length = Math.min(list.length, MOST_KEPT);
      byJob.delete(key);
      byJob.set(key, list);
      if (byJob.size > MOST_JOBS) byJob.delete(byJob.keys().next().value ?? '');
    } else {
      if (found.keys) noteAll(found.keys);
      /* Alike where it was read: the next plan is measured against this one, and the older shop may go. */
      found.plan = plan;
      if (at > 0) {
        list.splice(at, 1);
        list.unshift(found);
      }
    }
    if (outer) {
      for (const kind of found.reads.kinds) outer.reads.kinds.add(kind);
      for (const kind of found.reads.goes) outer.reads.goes.add(kind);
      for (const name of found.reads.whole)
        if (name !== 'applied' || !outer.ownApplied) outer.reads.whole.add(name);
      if (!outer.ownApplied) for (const name of found.reads.applied) outer.reads.applied.add(name);
    }
    return found.value;
  };
}

function looksAlike<T>({ plan, reads, keys }: Kept<T>, other: Plan, byFacts: boolean): boolean {
  if (plan === other) return true;
  const { whole, kinds, goes, applied } = reads;
  const [a, b] = [plan.shop, other.shop];
  if (a !== b) {
    if (whole.has('shop')) return false;
    if (whole.has('settings') && a.settings !== b.settings) return false;
    if (whole.has('plugs') && a.plugs !== b.plugs) return false;
    if (whole.has('prices') && !samePrices(thingPrices(a), thingPrices(b))) return false;
  }
  if (whole.has('job') && plan.job !== other.job) return false;
  for (const list of jobLists)
    if (whole.has(list) && plan.job?.[list] !== other.job?.[list]) return false;
  if (whole.has('machine') && plan.machine !== other.machine) return false;
  if (whole.has('applied') && !sameApplied(plan.applied, other.applied)) return false;
  else if (applied.size > 0 && !sameApplied(plan.applied, other.applied, applied)) return false;
  const same = samePart(a, b, byFacts ? keys : undefined);
  if (whole.has('goes') && !sameSeats(plan.goes, other.goes, same)) return false;
  if (goes.size > 0 && !sameSeats(plan.goes, other.goes, same, goes)) return false;
  if (whole.has('seats')) return sameSeats(plan.seats, other.seats, same);
  return kinds.size === 0 || sameSeats(plan.seats, other.seats, same, kinds);
}

type SamePart = (one: Part, two: Part) => boolean;

/** Whether a part and its model, through which facts are read, are the same in both shops; with `keys`, alike in what was asked of it. */
function samePart(a: Shop, b: Shop, keys: Keys | undefined): SamePart {
  const alike = <T extends Part | Model>(one: T | undefined, two: T | undefined, kind: Kind) =>
    one === two ||
    (keys !== undefined && !!one && !!two && sameBut(one, two, keys.get(kind) ?? NOTHING));
  if (a === b || a.models === b.models) return (one, two) => alike(one, two, one.kind);
  const [before, after] = [indexOf(a).models, indexOf(b).models];
  return (one, two) =>
    alike(one, two, one.kind) &&
    (one.modelId === undefined || alike(before.get(one.modelId), after.get(one.modelId), one.kind));
}

const NOTHING: ReadonlySet<string> = new Set();

/** The same in everything but facts nobody asked for. */
function sameBut<T extends Part | Model>(one: T, two: T, asked: ReadonlySet<string>): boolean {
  const names = Object.keys(one) as (keyof T)[];
  if (names.length !== Object.keys(two).length) return false;
  for (const name of names) if (name !== 'facts' && one[name] !== two[name]) return false;
  for (const key of asked) if (one.facts[key] !== two.facts[key]) return false;
  return true;
}

/** The same remedies, of some names or of all, in any order: each is its own value, told apart by what it says. */
function sameApplied(
  a: readonly RemedyValue[],
  b: readonly RemedyValue[],
  names?: ReadonlySet<RemedyName>,
): boolean {
  if (a === b) return true;
  const looked = (one: RemedyValue) => !names || names.has(one.do);
  let left = 0;
  for (const one of a) {
    if (!looked(one)) continue;
    if (!b.some((two) => one === two || (one.do === two.do && isLike(two, one)))) return false;
    left += 1;
  }
  for (const two of b) if (looked(two)) left -= 1;
  return left === 0;
}

/** Alike seat by seat, in their order; with kinds, seats of other kinds are passed over. */
function sameSeats(
  a: readonly (Plan['goes'][number] & { state?: Placed['state'] })[],
  b: readonly (Plan['goes'][number] & { state?: Placed['state'] })[],
  same: SamePart,
  kinds?: ReadonlySet<Kind>,
): boolean {
  let j = 0;
  for (const one of a) {
    if (kinds && !kinds.has(one.kind)) continue;
    while (kinds && j < b.length && !kinds.has(b[j]?.kind as Kind)) j += 1;
    const two = b[j];
    j += 1;
    if (!two || one.seat !== two.seat || one.state !== two.state || !same(one.part, two.part))
      return false;
  }
  while (kinds && j < b.length && !kinds.has(b[j]?.kind as Kind)) j += 1;
  return j >= b.length;
}
