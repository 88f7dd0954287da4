import type { Finding } from '../findings/finding.ts';
import { CONDITION, listOf, numberOf, standingOf, textOf } from '../model/lookup/lookup.ts';
import type { Keys } from '../model/lookup/noted.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { withReadings } from '../model/lookup/reads.ts';
import { property, type ListKey, type NumberKey, type TextKey } from '../model/properties/index.ts';
import type { Part, SeatId, Shop } from '../model/types/types.ts';
import { judged } from '../plan/run.ts';
import type { Opened } from './slots.ts';
import type { Pool } from './stock.ts';
import type { Told, Unit } from './told.ts';
import { STAYS, type Cut, type Put } from './verdict.ts';

/** Plans looked at to widen a cut. */
const MOST_TRIED = 300;

/** Whether a finding of some plan says the same as the one a cut is made of. */
export type Says = (finding: Finding, plan: Plan, unit: Unit) => boolean;

/** Says what a failing sum forbids beyond the plan it failed in. */
export class Cutter {
  #open: Opened;
  #pool: Pool;
  #planOf: (job: number, picks: readonly Put[]) => Plan;
  #facts: (Map<string, string> | undefined)[] = [];

  constructor(open: Opened, pool: Pool, planOf: (job: number, picks: readonly Put[]) => Plan) {
    this.#open = open;
    this.#pool = pool;
    this.#planOf = planOf;
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

  /** The picks of these slots, a set each. */
  setsOf(j: number, picks: readonly Put[], scope: readonly number[]): Cut['sets'] {
    return this.#open.jobs[j]!.slots.flatMap(({ at }, i) =>
      scope.includes(at) ? [{ slot: at, picks: [picks[i] as Put] }] : [],
    );
  }

  /**
   * What a failing sum forbids, as wide as it can be said: first every other pick of its largest slot with which the
   * sum says no, then of its next largest those with which all of these do.
   */
  cut(j: number, picks: readonly Put[], told: Told, says: Says): Cut {
    const { slots } = this.#open.jobs[j]!;
    const scope = this.#scope(j, told);
    const sets = this.setsOf(j, picks, scope);
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
      const plan = this.#planOf(j, at);
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
