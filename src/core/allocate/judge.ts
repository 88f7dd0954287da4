import type { Finding } from '../findings/finding.ts';
import { mayFail } from '../findings/terms.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { withChange } from '../model/types/stages.ts';
import type { Job } from '../model/types/types.ts';
import { planOf } from '../plan/planOf.ts';
import { isAgainst } from '../plan/runs.ts';
import { sameRemedy } from '../remedies/index.ts';
import { costsOf, leastFor, minus, NOTHING } from './bundles.ts';
import { cures, settled } from './cures.ts';
import { Cutter } from './cutter.ts';
import type { Opened } from './slots.ts';
import type { Pool } from './stock.ts';
import { once, tell, type Unit } from './told.ts';
import { STAYS, type Cut, type Later, type Put, type Taken, type Verdict } from './verdict.ts';
import { goals, ordered, type Goal } from './wishes.ts';

/** Judges plans of jobs, each once. */
export class Judge {
  #open: Opened;
  #pool: Pool;
  #order: readonly Goal[];
  #known = new Map<string, Verdict>();
  #cutter: Cutter;
  /** Plans that went through all checks. */
  judged = 0;

  constructor(open: Opened, pool: Pool, order: readonly Goal[] = goals) {
    this.#open = open;
    this.#pool = pool;
    this.#order = ordered(order);
    this.#cutter = new Cutter(open, pool, (job, picks) => this.#plan(job, picks));
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
      later(each.finding, () => this.#cutter.cut(j, picks, each, misses)),
    );
    const open = once(told.filter(({ finding }) => mayFail(finding))).map((each) => {
      const same = (finding: Finding) => finding.id === each.finding.id && mayFail(finding);
      return later(each.finding, () => this.#cutter.cut(j, picks, each, same));
    });
    const against = told
      .filter(({ finding }) => isAgainst(finding))
      .map((each) => ({ ...each, ways: cures(plan, each.unit, each.finding) }));
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
        isAgainst(finding) && cures(at, unit, finding).length === 0;
      return { ...base, cuts: fatal.map((each) => this.#cutter.cut(j, picks, each, refuses)) };
    }
    if (against.length === 0)
      return { ...base, extra: { ...NOTHING, asks: asks.length, taken: [] } };
    const needs = against.map(({ ways, ...each }) => {
      const ids = new Set(ways.map(({ id }) => id));
      const same = (finding: Finding, at: Plan, unit: Unit) =>
        finding.id === each.finding.id &&
        isAgainst(finding) &&
        cures(at, unit, finding).every(({ id }) => ids.has(id));
      return later(each.finding, () => ({ ...this.#cutter.cut(j, picks, each, same), ways }));
    });
    const least = leastFor(
      against.map(({ ways }) => ways),
      this.#order,
    );
    const { found, whole } = settled((taken) => this.#plan(j, picks, taken), least, this.#order);
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
    const cut = { job: j, sets: this.#cutter.setsOf(j, picks, all), finding: against[0]!.finding };
    return { ...base, needs, cuts: [cut], unsure: !whole };
  }
}

const misses = (finding: Finding): boolean =>
  finding.about?.of === 'requirement' && finding.mark === 'mend';

function later<T extends Cut>(finding: Finding, make: () => T): Later<T> {
  let made: T | undefined;
  return { finding, cut: () => (made ??= make()) };
}
