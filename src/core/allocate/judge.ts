import type { Finding, Remedy } from '../findings/finding.ts';
import { mayFail } from '../findings/terms.ts';
import { clashesBetween } from '../fit/clashes.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { CONDITION, listOf, numberOf, standingOf, textOf } from '../model/lookup/lookup.ts';
import type { Keys } from '../model/lookup/noted.ts';
import { property, type ListKey, type NumberKey, type TextKey } from '../model/properties/index.ts';
import { withReadings, type Readings } from '../model/lookup/reads.ts';
import { withChange } from '../model/types/stages.ts';
import type { Job, Part, SeatId, Shop } from '../model/types/types.ts';
import type { RemedyValue } from '../model/types/remedyValue.ts';
import { checks } from '../plan/checks.ts';
import { planOf } from '../plan/planOf.ts';
import { judged } from '../plan/run.ts';
import { isAgainst } from '../plan/runs.ts';
import { remedyId, sameRemedy } from '../remedies/index.ts';
import { pricedIn, isPriced } from '../donors/index.ts';
import type { Opened } from './slots.ts';
import type { Pool } from './stock.ts';
import { goals, ordered, type Goal } from './wishes.ts';

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

/** A sum by itself: all findings of one check, or of a check over two seats alone. */
interface Unit {
  run: (plan: Plan) => Finding[];
}

interface Told {
  finding: Finding;
  unit: Unit;
  readings: Readings;
}

const NOTHING: Costs = { minutes: 0, minor: 0, unpriced: 0, spoils: 0 };
/** Sets of remedies looked through for one plan. */
const MOST_SETS = 40;
/** Remedies that settle one sum only together. */
const MOST_TOGETHER = 2;
/** Plans looked at to widen a cut. */
const MOST_TRIED = 300;

/** Judges plans of jobs, each once. */
export class Judge {
  #open: Opened;
  #pool: Pool;
  #order: readonly Goal[];
  #known = new Map<string, Verdict>();
  #facts: (Map<string, string> | undefined)[] = [];
  /** Plans that went through all checks. */
  judged = 0;

  constructor(open: Opened, pool: Pool, order: readonly Goal[] = goals) {
    this.#open = open;
    this.#pool = pool;
    this.#order = ordered(order);
  }

  verdict(job: number, picks: readonly Put[]): Verdict {
    const key = `${job} ${picks.join()}`;
    let verdict = this.#known.get(key);
    if (!verdict) this.#known.set(key, (verdict = this.#judge(job, picks)));
    return verdict;
  }

  /** The job with these picks as its plan. */
  jobWith(j: number, picks: readonly Put[], taken: readonly Taken[] = []): Job {
    const { job, kept, slots } = this.#open.jobs[j]!;
    const used = new Map<number, number>();
    let changes = [...kept];
    for (const [i, pick] of picks.entries()) {
      const slot = slots[i]!;
      if (pick === STAYS) {
        if (slot.mustGo && slot.found)
          changes = withChange(changes, { seat: slot.seat, partId: null, stage: slot.stage });
        continue;
      }
      const n = used.get(pick) ?? 0;
      used.set(pick, n + 1);
      const { parts } = this.#pool.stock[pick]!;
      const part = parts[Math.min(n, parts.length - 1)]!;
      changes = withChange(changes, { seat: slot.seat, partId: part.id, stage: slot.stage });
    }
    const applied = [
      ...job.applied,
      ...taken
        .map(({ value }) => value)
        .filter((value) => !job.applied.some((each) => sameRemedy(each, value))),
    ];
    return { ...job, changes, applied };
  }

  #plan(j: number, picks: readonly Put[], taken: readonly Taken[] = []): Plan {
    return planOf(this.#open.shop, this.jobWith(j, picks, taken));
  }

  #judge(j: number, picks: readonly Put[]): Verdict {
    this.judged += 1;
    const plan = this.#plan(j, picks);
    const told = tell(plan);
    const findings = told.map(({ finding }) => finding);
    const asks = once(told.filter(({ finding }) => misses(finding))).map((each) =>
      later(each.finding, () => this.#cut(j, picks, each, misses)),
    );
    const open = once(told.filter(({ finding }) => mayFail(finding))).map((each) => {
      const same = (finding: Finding) => finding.id === each.finding.id && mayFail(finding);
      return later(each.finding, () => this.#cut(j, picks, each, same));
    });
    const against = told
      .filter(({ finding }) => isAgainst(finding))
      .map((each) => ({ ...each, ways: this.#cures(plan, each.unit, each.finding) }));
    const fatal = against.filter(({ ways }) => ways.length === 0);
    const base = {
      cuts: [],
      needs: [],
      extra: undefined,
      over: undefined,
      asks,
      open,
      findings,
      unsure: false,
    };
    if (fatal.length > 0) {
      const refuses = (finding: Finding, at: Plan, unit: Unit) =>
        isAgainst(finding) && this.#cures(at, unit, finding).length === 0;
      return { ...base, cuts: fatal.map((each) => this.#cut(j, picks, each, refuses)) };
    }
    if (against.length === 0)
      return { ...base, extra: { ...NOTHING, asks: asks.length, taken: [] } };
    const needs = against.map(({ ways, ...each }) => {
      const ids = new Set(ways.map(({ id }) => id));
      const same = (finding: Finding, at: Plan, unit: Unit) =>
        finding.id === each.finding.id &&
        isAgainst(finding) &&
        this.#cures(at, unit, finding).every(({ id }) => ids.has(id));
      return later(each.finding, () => ({ ...this.#cut(j, picks, each, same), ways }));
    });
    const least = this.#leastFor(against.map(({ ways }) => ways));
    const { found, whole } = this.#settle(j, picks, least);
    if (found) {
      const over = minus(found, least);
      return {
        ...base,
        needs,
        extra: { ...costsOf(found), asks: asks.length, taken: found.taken },
        over: Object.values(over).some((each) => each !== 0) ? over : undefined,
      };
    }
    const all = this.#open.jobs[j]!.slots.map(({ at }) => at);
    const cut = { job: j, sets: this.#setsOf(j, picks, all), finding: against[0]!.finding };
    return { ...base, needs, cuts: [cut], unsure: !whole };
  }

  #way(remedy: Remedy): Way {
    const nothing = remedy.money?.minor === 0 || (!remedy.get && !remedy.money);
    const price = nothing ? { lo: 0, hi: 0 } : pricedIn(this.#open.shop, remedy.money);
    return {
      id: remedyId(remedy.value as RemedyValue),
      taken: [{ value: remedy.value as RemedyValue, title: remedy.title, get: remedy.get }],
      minutes: remedy.minutes,
      minor: isPriced(price) ? price.hi : 0,
      unpriced: Number(!isPriced(price)),
      spoils: Number(remedy.spoils !== undefined) + Number(!remedy.undoable),
    };
  }

  /**
   * What settles a sum: each remedy of its own that does so alone, or else the cheapest few together. None: nothing
   * that is offered for it helps.
   */
  #cures(plan: Plan, unit: Unit, finding: Finding): Way[] {
    const after = (applied: readonly Taken[]) => {
      const at = { ...plan, applied: [...plan.applied, ...applied.map(({ value }) => value)] };
      return unit
        .run(at)
        .map((raw) => judged(at, raw))
        .find(({ id }) => id === finding.id);
    };
    const offered = waysOf(finding).map((remedy) => ({ way: this.#way(remedy), left: remedy }));
    const tried = offered.map(({ way }) => ({ way, left: after(way.taken) }));
    const alone = tried.filter(({ left }) => !left || !isAgainst(left)).map(({ way }) => way);
    if (alone.length > 0) return alone;
    let open = tried.map(({ way, left }) => ({ bundle: together(EMPTY, way), left }));
    for (let n = 0; n < MOST_TOGETHER && open.length > 0; n += 1) {
      const cured: Bundle[] = [];
      const next: typeof open = [];
      for (const { bundle, left } of open.slice(0, MOST_SETS)) {
        for (const remedy of left ? waysOf(left) : []) {
          const way = this.#way(remedy);
          if (bundle.ids.includes(way.id)) continue;
          const wider = together(bundle, way);
          const rest = after(wider.taken);
          if (rest && isAgainst(rest)) next.push({ bundle: wider, left: rest });
          else cured.push(wider);
        }
      }
      if (cured.length > 0)
        return cured.map((each) => ({
          ...costsOf(each),
          id: each.ids.toSorted().join(' '),
          taken: each.taken,
        }));
      open = next;
    }
    return [];
  }

  /** The cheapest set with one way for each need. */
  #leastFor(needs: readonly (readonly Way[])[]): Bundle {
    let best: Bundle | undefined;
    const order = this.#order;
    const add = (so: Bundle, rest: readonly (readonly Way[])[]): void => {
      if (best && dearer(order, so, best) >= 0) return;
      const [next, ...after] = rest;
      if (!next) {
        best = so;
        return;
      }
      if (next.some(({ id }) => so.ids.includes(id))) return add(so, after);
      for (const way of next) add(together(so, way), after);
    };
    add(EMPTY, needs);
    return best ?? EMPTY;
  }

  /** The cheapest remedies after which nothing stands against the plan. */
  #settle(
    j: number,
    picks: readonly Put[],
    least: Bundle,
  ): { found: Bundle | undefined; whole: boolean } {
    const seen = new Set<string>();
    const against = (bundle: Bundle) =>
      tell(this.#plan(j, picks, bundle.taken))
        .map(({ finding }) => finding)
        .filter(isAgainst);
    /* Nothing cheaper can do, so where this does it is the answer. */
    if (against(least).length === 0) return { found: least, whole: true };
    const open: Bundle[] = [EMPTY];
    for (let n = 0; n < MOST_SETS; n += 1) {
      open.sort((a, b) => dearer(this.#order, a, b));
      const next = open.shift();
      if (!next) return { found: undefined, whole: true };
      const [worst] = against(next);
      if (!worst) return { found: next, whole: true };
      for (const remedy of waysOf(worst)) {
        const way = this.#way(remedy);
        if (next.ids.includes(way.id)) continue;
        const bundle = together(next, way);
        const key = bundle.ids.toSorted().join();
        if (seen.has(key)) continue;
        seen.add(key);
        open.push(bundle);
      }
    }
    return { found: undefined, whole: open.length === 0 };
  }

  /** The slots of a job a sum hangs on: by what it read, and by the seats it was found together in. */
  #scope(j: number, { finding, readings }: Told): number[] {
    const { slots } = this.#open.jobs[j]!;
    const { kinds, goes, whole } = readings;
    if (whole.has('seats') || whole.has('job')) return slots.map(({ at }) => at);
    const seats = new Set<SeatId>(finding.seats);
    return slots
      .filter(
        (slot) =>
          kinds.has(slot.kind) ||
          seats.has(slot.seat) ||
          goes.has(slot.kind) ||
          (whole.has('goes') && (slot.found !== undefined || slot.mustGo)),
      )
      .map(({ at }) => at);
  }

  #setsOf(j: number, picks: readonly Put[], scope: readonly number[]): Cut['sets'] {
    return this.#open.jobs[j]!.slots.flatMap(({ at }, i) =>
      scope.includes(at) ? [{ slot: at, picks: [picks[i] as Put] }] : [],
    );
  }

  /**
   * What a failing sum forbids, as wide as it can be said: first every other pick of its largest slot with which the
   * sum says no, then of its next largest those with which all of these do.
   */
  #cut(j: number, picks: readonly Put[], told: Told, says: Says): Cut {
    const { slots } = this.#open.jobs[j]!;
    const scope = this.#scope(j, told);
    const sets = this.#setsOf(j, picks, scope);
    const within = new Set(scope);
    const seats = new Set(told.finding.seats);
    const named = (slot: number) => Number(seats.has(this.#open.slots[slot]!.seat));
    const size = (slot: number) => this.#options(slot).length;
    const [first, ...others] = [...sets].sort(
      (a, b) => named(b.slot) - named(a.slot) || size(b.slot) - size(a.slot),
    );
    let left = MOST_TRIED;
    /* What the sum asked for in every plan tried: whatever is alike in that gets the same answer. */
    const tries: { at: readonly Put[]; keys: Keys }[] = [{ at: picks, keys: told.readings.keys }];
    const fails = (at: readonly Put[]): boolean => {
      left -= 1;
      const plan = this.#plan(j, at);
      const { value, readings } = withReadings(plan, told.unit.run);
      tries.push({ at, keys: readings.keys });
      return value.some((raw) => {
        const finding = judged(plan, raw);
        return (
          says(finding, plan, told.unit) &&
          this.#scope(j, { finding, unit: told.unit, readings }).every((slot) => within.has(slot))
        );
      });
    };
    const alike = (slot: number, at: number, tried: Put, other: Put): boolean =>
      tries.every((each) => each.at[at] !== tried || this.#alike(slot, tried, other, each.keys));
    const widened: { at: number; picks: Put[] }[] = [];
    /* What the sum is about first, then what matters least to it. */
    for (const set of first ? [first, ...others.reverse()] : []) {
      const at = slots.findIndex((each) => each.at === set.slot);
      const base = this.#combined(picks, widened);
      const own: Put[] = [];
      const rest = new Set(this.#options(set.slot));
      for (let pick: Put | undefined = set.picks[0]; pick !== undefined; [pick] = rest) {
        const here = pick;
        const mine = here === picks[at];
        if (!mine && left < base.length) break;
        const failing = mine || base.every((each) => fails(each.with(at, here)));
        const same = [...rest].filter((each) => alike(set.slot, at, here, each));
        for (const each of [here, ...same]) rest.delete(each);
        if (!failing) continue;
        own.push(here);
        for (const each of same) if (!set.picks.includes(each)) set.picks.push(each);
      }
      widened.push({ at, picks: own });
      if (left <= 0) break;
    }
    /* Later plans may have asked for more: who is alike no longer is left out again. */
    for (const { at, picks: tried } of widened) {
      const set = sets.find(({ slot }) => slot === slots[at]?.at);
      if (set)
        set.picks = set.picks.filter((pick) =>
          tried.some((each) => each === pick || alike(set.slot, at, each, pick)),
        );
    }
    return { job: j, sets, finding: told.finding };
  }

  /** Picks with every combination of what was widened so far. */
  #combined(
    picks: readonly Put[],
    widened: readonly { at: number; picks: readonly Put[] }[],
  ): Put[][] {
    return widened.reduce<Put[][]>(
      (all, { at, picks: own }) => all.flatMap((each) => own.map((pick) => each.with(at, pick))),
      [[...picks]],
    );
  }

  #options(slot: number): Put[] {
    return [STAYS, ...(this.#pool.options[slot] ?? [])];
  }

  /** Whether two picks of a slot are the same in all of these facts. */
  #alike(slot: number, a: Put, b: Put, keys: Keys): boolean {
    if (a === b) return true;
    if (a === STAYS || b === STAYS) return false;
    const { kind } = this.#open.slots[slot]!;
    return [...(keys.get(kind) ?? [])].every((key) => this.#fact(a, key) === this.#fact(b, key));
  }

  /** A fact of a stock in whatever way it may be asked for. */
  #fact(pick: Put, key: string): string {
    const own = (this.#facts[pick] ??= new Map<string, string>());
    let fact = own.get(key);
    if (fact === undefined) {
      const { shop } = this.#open;
      const [part] = this.#pool.stock[pick]!.parts as [Part];
      fact =
        key === CONDITION
          ? standingOf(shop, part).condition
          : JSON.stringify(valueOf(shop, part, key));
      own.set(key, fact);
    }
    return fact;
  }
}

/** A fact as checks are given it; whose word it is makes no difference, whether it is a word at all does. */
function valueOf(shop: Shop, part: Part, key: string) {
  const measure = property(part.kind, key)?.measure ?? 'text';
  const told =
    measure === 'list'
      ? listOf(shop, part, key as ListKey)
      : measure === 'text'
        ? textOf(shop, part, key as TextKey)
        : numberOf(shop, part, key as NumberKey);
  return told && { ...told, source: undefined, level: told.level === 'class' };
}

/** Whether a finding of some plan says the same as the one a cut is made of. */
type Says = (finding: Finding, plan: Plan, unit: Unit) => boolean;

const misses = (finding: Finding): boolean =>
  finding.about?.of === 'requirement' && finding.mark === 'mend';

/** Remedies that are work or things to get: other parts are for the plan itself to choose. */
const waysOf = (finding: Finding): Remedy[] =>
  finding.remedies.filter(({ value }) => value.do !== 'put');

/** A sum that two checks give counts once. */
const once = (told: readonly Told[]): Told[] => [
  ...new Map(told.map((each) => [each.finding.id, each])).values(),
];

function later<T extends Cut>(finding: Finding, make: () => T): Later<T> {
  let made: T | undefined;
  return { finding, cut: () => (made ??= make()) };
}

/** Remedies taken together, and what they cost. */
interface Bundle extends Costs {
  ids: string[];
  taken: Taken[];
}

const EMPTY: Bundle = { ...NOTHING, ids: [], taken: [] };

const together = (bundle: Bundle, way: Way): Bundle => ({
  minutes: bundle.minutes + way.minutes,
  minor: bundle.minor + way.minor,
  unpriced: bundle.unpriced + way.unpriced,
  spoils: bundle.spoils + way.spoils,
  ids: [...bundle.ids, way.id],
  taken: [...bundle.taken, ...way.taken],
});

const costsOf = ({ minutes, minor, unpriced, spoils }: Costs): Costs => ({
  minutes,
  minor,
  unpriced,
  spoils,
});

const minus = (a: Costs, b: Costs): Costs => ({
  minutes: a.minutes - b.minutes,
  minor: a.minor - b.minor,
  unpriced: a.unpriced - b.unpriced,
  spoils: a.spoils - b.spoils,
});

/** Which of two sets of remedies is dearer, by what the plan is wanted for. */
function dearer(order: readonly Goal[], a: Costs, b: Costs): number {
  for (const goal of order) {
    const by =
      goal === 'money'
        ? a.unpriced - b.unpriced || a.minor - b.minor
        : goal === 'minutes'
          ? a.minutes - b.minutes
          : goal === 'spoils'
            ? a.spoils - b.spoils
            : 0;
    if (by !== 0) return by;
  }
  return 0;
}

/** A check that fails on the data says neither yes nor no: as on the tape, where it stands as a Watch. */
function orNone(work: () => Finding[]): Finding[] {
  try {
    return work();
  } catch {
    return [];
  }
}

/** All findings of a plan, each with the sum behind it and what that read. */
function tell(plan: Plan): Told[] {
  return checks.flatMap((check) => {
    const { value, readings } = withReadings(plan, (at) => orNone(() => check(at)));
    return value.map((raw): Told => {
      const finding = judged(plan, raw);
      const { about } = raw;
      if (about?.of !== 'space' || !(isAgainst(finding) || mayFail(finding)))
        return { finding, unit: { run: check }, readings };
      const [a, b] = about.between;
      const run = (at: Plan) => clashesBetween(at, a, b);
      const alone = withReadings(plan, run);
      return alone.value.some(({ id, mark }) => id === raw.id && mark === raw.mark)
        ? { finding, unit: { run }, readings: alone.readings }
        : { finding, unit: { run: check }, readings };
    });
  });
}
