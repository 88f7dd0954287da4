import { Judge } from './judge.ts';
import { STAYS, type Cut, type Extra, type Put, type Verdict } from './verdict.ts';
import { dims, dimsOf, type Counts, type Dim } from './dims.ts';
import { MINUTES_TO_MEASURE, Model, type Picks } from './model.ts';
import type { Opened } from './slots.ts';
import type { Pool } from './stock.ts';
import { ordered, type Wishes } from './wishes.ts';

/** What a solver of mixed-integer programs says of one in the LP format; `bound`: nothing is smaller. */
export interface Solved {
  status: 'optimal' | 'infeasible' | 'stopped';
  objective: number;
  bound: number;
  /** The variables that are not 0, in the best that was found; undefined where nothing was. */
  values: ReadonlyMap<string, number> | undefined;
}
export type Solver = (lp: string, seconds: number) => Solved;

/** A plan every job of which went through every check. */
export interface Found {
  picks: Picks;
  counts: Counts;
  /** Remedies by job. */
  extras: (Extra | undefined)[];
}

/** How far a search is: the line under way, what it came to and what nothing can beat. */
export interface Progress {
  dim: Dim;
  best: number;
  bound: number;
  rounds: number;
  judged: number;
  found: Found;
}

export interface Outcome {
  found: Found | undefined;
  proven: boolean;
  /** Where it was cut off: the line under way, what the plan has there and what nothing can beat. */
  gap?: { dim: Dim; has: number; bound: number } | undefined;
  rounds: number;
}

export interface Limits {
  /** Milliseconds from now, by whatever clock: the core has none. */
  left: () => number;
}

const MEASURING = { minutes: MINUTES_TO_MEASURE };

const NONE: Counts = Object.fromEntries(dims.map((dim) => [dim, 0])) as Counts;

/** A whole shop under search: what was learned in one search serves the next. */
export class Search {
  readonly open: Opened;
  readonly pool: Pool;
  readonly model: Model;
  readonly judge: Judge;
  readonly order: readonly Dim[];
  /** Why picks were refused, by what was learned: the reasons of what cannot run. */
  readonly learned: Cut[] = [];
  /** All that was learned, to teach it to another program over the same seats and pieces. */
  #lessons: ((model: Model) => boolean)[] = [];
  /** Something was refused without looking through every remedy. */
  unsure = false;
  #solve: Solver;

  constructor(
    open: Opened,
    pool: Pool,
    wishes: Wishes,
    solve: Solver,
    more?: ReadonlyMap<number, number>,
    judge = new Judge(open, pool, wishes.order),
  ) {
    this.open = open;
    this.pool = pool;
    this.model = new Model(open, pool, wishes, more);
    this.judge = judge;
    this.order = dimsOf(ordered(wishes.order));
    this.#solve = solve;
  }

  /** First what counts most, each line made small before the next: solve, judge the plan, cut off what fails, again. */
  *best(
    limits: Limits,
    forced: Parameters<Model['lp']>[2] = [],
    start?: Found,
  ): Generator<Progress, Outcome> {
    const held: { dim: Dim; most: number }[] = [];
    let best =
      start ?? (forced.length > 0 ? undefined : this.measured(this.open.jobs.map(() => undefined)));
    let rounds = 0;
    let left = [...this.order];
    while (left.length > 0) {
      const [first] = left as [Dim];
      for (;;) {
        rounds += 1;
        const group = this.model.group(left);
        const seconds = limits.left() / 1000;
        const solved =
          seconds > 0.01
            ? this.#solve(this.model.lp(group, held, forced), seconds)
            : { status: 'stopped' as const, objective: NaN, bound: -Infinity, values: undefined };
        /* Past the first line there is a plan that holds: a solver that finds none has lost its way. */
        if (solved.status === 'infeasible')
          return held.length > 0
            ? { found: best, proven: false, rounds }
            : { found: undefined, proven: !this.unsure, rounds };
        const picks = solved.values && this.model.picksOf(solved.values);
        const fresh = picks ? this.learn(picks, group.at(-1)!.dim) : false;
        const here = picks && this.repaired(picks);
        const whole = here?.picks.every(
          (own, j) => (own === undefined) === (picks?.[j] === undefined),
        );
        if (here && (whole || forced.length === 0) && !(best && this.better(best, here)))
          best = here;
        const bound = boundOf(solved.bound, group[0]!.weight);
        if (solved.status === 'stopped')
          return {
            found: best,
            proven: false,
            gap: best && { dim: first, has: best.counts[first], bound },
            rounds,
          };
        if (best)
          yield {
            dim: first,
            best: best.counts[first],
            bound,
            rounds,
            judged: this.judge.judged,
            found: best,
          };
        if (fresh) continue;
        for (const { dim } of group) held.push({ dim, most: here!.counts[dim] });
        left = left.slice(group.length);
        break;
      }
    }
    return { found: best, proven: !this.unsure, rounds };
  }

  /** The same shop with more pieces of some stock, or asked anew: what was learned is known there. */
  again(wishes: Wishes, more?: ReadonlyMap<number, number>): Search {
    const other = new Search(this.open, this.pool, wishes, this.#solve, more, this.judge);
    for (const lesson of this.#lessons) {
      other.#lessons.push(lesson);
      lesson(other.model);
    }
    other.learned.push(...this.learned);
    other.unsure = this.unsure;
    return other;
  }

  solve(lp: string, seconds: number): Solved {
    return this.#solve(lp, seconds);
  }

  #teach(lesson: (model: Model) => boolean): boolean {
    if (!lesson(this.model)) return false;
    this.#lessons.push(lesson);
    return true;
  }

  /** Judges every job of a plan and keeps what speaks against it in the lines so far; true where something new was learned. */
  learn(picks: Picks, upTo: Dim): boolean {
    let fresh = false;
    const counts = (dim: Dim) => this.order.indexOf(dim) <= this.order.indexOf(upTo);
    const mended = (['unpriced', 'money', 'minutes', 'spoils'] as const).some(counts);
    for (const [j, own] of picks.entries()) {
      if (!own) continue;
      const verdict = this.judge.verdict(j, own);
      if (verdict.unsure) this.unsure = true;
      for (const cut of verdict.cuts) {
        if (!this.#teach((model) => model.addCut(cut))) continue;
        this.learned.push(cut);
        fresh = true;
      }
      if (mended)
        for (const { cut } of verdict.needs)
          if (this.#teach((model) => model.addNeed(cut()))) fresh = true;
      if (!verdict.extra) continue;
      if (counts('asks'))
        for (const { finding, cut } of verdict.asks)
          if (this.#teach((model) => model.addCosts(cut(), { asks: 1 }, finding.id))) fresh = true;
      if (counts('minutes'))
        for (const { finding, cut } of verdict.open)
          if (this.#teach((model) => model.addCosts(cut(), MEASURING, finding.id))) fresh = true;
      if (!mended || !verdict.over) continue;
      const { minutes, minor, unpriced, spoils } = verdict.over;
      const sets = this.open.jobs[j]!.slots.map(({ at }, i) => ({
        slot: at,
        picks: [own[i] as Put],
      }));
      const costs = { minutes, money: minor * 2, unpriced, spoils };
      if (this.#teach((model) => model.addCosts({ job: j, sets }, costs))) fresh = true;
    }
    return fresh;
  }

  /** A plan with what it comes to, remedies and all; jobs that do not run get nothing. */
  repaired(picks: Picks): Found | undefined {
    const running = picks.map((own, j) =>
      own && this.judge.verdict(j, own).extra ? own : undefined,
    );
    return this.measured(running);
  }

  measured(picks: Picks): Found | undefined {
    if (!this.model.holds(picks)) return undefined;
    const verdicts = picks.map((own, j): Verdict | undefined => own && this.judge.verdict(j, own));
    if (verdicts.some((verdict) => verdict && !verdict.extra)) return undefined;
    const counts = { ...NONE, ...this.model.counted(picks) };
    for (const verdict of verdicts) {
      if (!verdict?.extra) continue;
      const { minutes, minor, unpriced, spoils } = verdict.extra;
      counts.minutes += minutes;
      counts.money += minor * 2;
      counts.unpriced += unpriced;
      counts.spoils += spoils;
      counts.asks += verdict.asks.length;
      counts.minutes += MINUTES_TO_MEASURE * verdict.open.length;
    }
    return { picks, counts, extras: verdicts.map((verdict) => verdict?.extra) };
  }

  better(a: Found, b: Found | undefined): boolean {
    if (!b) return true;
    for (const dim of this.order)
      if (a.counts[dim] !== b.counts[dim]) return a.counts[dim] < b.counts[dim];
    return false;
  }

  /** Today's plan as picks; undefined where something of it is not to be had. */
  today(): Picks {
    return this.open.jobs.map(({ slots }) =>
      slots.map(({ at, now }) =>
        now
          ? ((this.pool.options[at] ?? []).find((pick) =>
              this.pool.stock[pick]?.parts.some(({ id }) => id === now.id),
            ) ?? STAYS)
          : STAYS,
      ),
    );
  }
}

/** Runs a search to its end. */
export function finished<P, O>(work: Generator<P, O>): O {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

/** What the first line of a group cannot fall below: the others together weigh less than one of it. */
const boundOf = (bound: number, weight: number): number =>
  Number.isFinite(bound) ? Math.floor(bound / weight + 1e-6) : -Infinity;
