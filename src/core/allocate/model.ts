import { askedFor, isPriced, jobAccount, pricedIn, toPay } from '../donors/index.ts';
import { planOf } from '../plan/planOf.ts';
import type { Machine } from '../model/types/types.ts';
import { dims, type Counts, type Dim } from './dims.ts';
import { STAYS, type Put } from './verdict.ts';
import { late, over, Program, put, run, sum, type Row } from './program.ts';
import { serves, staysServing, type Opened } from './slots.ts';
import { MINUTES_TO_STRIP, MINUTES_TO_SWAP } from '../resolve/otherParts.ts';
import { isStripped, type Pool } from './stock.ts';
import type { Wishes } from './wishes.ts';

/** What a sum that may come out either way costs: measuring, and now and then doing it again. */
export const MINUTES_TO_MEASURE = 10;

/** Picks slot by slot, job by job; undefined for a job that does not run. */
export type Picks = readonly (readonly Put[] | undefined)[];

/**
 * The whole shop as a mixed-integer program. One binary for every part a slot may get and one for nothing new; what
 * does not go together comes in as cuts while whole plans are judged.
 */
export class Model extends Program {
  readonly open: Opened;
  readonly pool: Pool;
  #wishes: Wishes;
  #more: ReadonlyMap<number, number>;
  #machines: Machine[] = [];
  #lots: string[] = [];
  /** What budgets that may be passed leave for parts, minor units, by job. */
  #budgets = new Map<number, number>();

  /** `more`: pieces there would be besides, by stock. */
  constructor(
    open: Opened,
    pool: Pool,
    wishes: Wishes,
    more: ReadonlyMap<number, number> = NO_MORE,
  ) {
    super();
    this.#more = more;
    this.open = open;
    this.pool = pool;
    this.#wishes = wishes;
    this.#machines = [
      ...new Set(pool.stock.flatMap(({ home }) => (isStripped(home) ? [home] : []))),
    ];
    this.#lots = [...new Set(pool.stock.flatMap(({ lot }) => (lot === undefined ? [] : [lot])))];
    this.#jobs();
    this.#slots();
    this.#stock();
    this.#sources();
  }

  #price(price: Parameters<typeof isPriced>[0], name: string): void {
    if (!isPriced(price)) return this.cost('unpriced', name, 1);
    this.cost('money', name, this.#wishes.prices === 'sure' ? price.hi * 2 : price.lo + price.hi);
  }

  #jobs(): void {
    for (const [j, { job }] of this.open.jobs.entries()) {
      this.binary([run(j), late(j)]);
      this.cost('run', run(j), -(job.weight ?? 1));
      this.cost('late', late(j), job.weight ?? 1);
      this.#budget(j);
    }
  }

  /**
   * What is still to be spent for a job's parts against what its budget leaves: over it, one thing asked for is
   * missed. What was paid already is no reason to take another part.
   */
  #budget(j: number): void {
    const left = budgetLeft(this.open, j);
    if (left === undefined) return;
    const terms = this.open.jobs[j]!.slots.flatMap(({ at }) =>
      (this.pool.options[at] ?? []).map(
        (pick) => [put(at, pick), this.pool.stock[pick]!.most] as const,
      ),
    );
    const most = this.open.jobs[j]!.slots.reduce(
      (sum, { at }) =>
        sum +
        Math.max(0, ...(this.pool.options[at] ?? []).map((pick) => this.pool.stock[pick]!.most)),
      0,
    );
    if (most <= left) return;
    this.#budgets.set(j, left);
    this.binary([over(j)]);
    this.cost('asks', over(j), 1);
    this.row(left, ...terms, [over(j), left - most]);
  }

  #slots(): void {
    for (const slot of this.open.slots) {
      const { at, job: j, now } = slot;
      const deadline = this.open.jobs[j]?.job.deadline?.slice(0, 10);
      const names = [put(at, STAYS)];
      for (const pick of this.pool.options[at] ?? []) {
        const stock = this.pool.stock[pick]!;
        const name = put(at, pick);
        names.push(name);
        if (!serves(this.open.shop, slot, stock.parts[0]!)) this.cost('asks', name, 1);
        this.cost(
          'minutes',
          name,
          MINUTES_TO_SWAP + (isStripped(stock.home) ? MINUTES_TO_STRIP : 0),
        );
        if (stock.lot === undefined) this.#price(stock.price, name);
        this.cost('rest', name, stock.worth);
        if (now && !stock.parts.some(({ id }) => id === now.id)) this.cost('moved', name, 1);
        this.cost('untested', name, Number(stock.untested));
        /* Low tags first, in the first slots above all. */
        this.cost('rank', name, (pick + 1) * (this.open.slots.length - at));
        if (deadline !== undefined && stock.due !== undefined && stock.due.slice(0, 10) > deadline)
          this.row(0, [name, 1], [late(j), -1]);
      }
      if (now) this.cost('moved', put(at, STAYS), 1);
      this.binary(names, at);
      /* One thing in every slot of a job that runs, nothing in those of one that does not. */
      const all = names.map((name) => [name, 1] as const);
      this.row(0, ...all, [run(j), -1]);
      this.row(0, ...all.map(([name]) => [name, -1] as const), [run(j), 1]);
      if (slot.vital && (slot.mustGo || !slot.found) && slot.before === undefined)
        this.row(0, [put(at, STAYS), 1]);
      this.#asked(at);
    }
  }

  /** What a job asks for in a slot and does not get; a part put there earlier that serves is no loss. */
  #asked(at: number): void {
    const slot = this.open.slots[at]!;
    if (!slot.asked || staysServing(this.open.shop, slot)) return;
    if (slot.before === undefined) return this.cost('asks', put(at, STAYS), 1);
    const missed = `a${at}`;
    this.binary([missed]);
    this.cost('asks', missed, 1);
    const earlier = (this.pool.options[slot.before] ?? []).filter((pick) =>
      serves(this.open.shop, slot, this.pool.stock[pick]!.parts[0]!),
    );
    this.row(
      0,
      [put(at, STAYS), 1],
      ...earlier.map((pick) => [put(slot.before!, pick), -1] as const),
      [missed, -1],
    );
  }

  /** No more pieces than there are; what sits in another job's machine only once that gets another. */
  #stock(): void {
    for (const { at, count, frees, unless } of this.pool.stock) {
      const uses = this.open.slots
        .filter((slot) => this.pool.options[slot.at]?.includes(at))
        .map((slot) => [put(slot.at, at), 1] as const);
      if (uses.length === 0) continue;
      if (unless !== undefined) this.row(count, ...uses, [run(unless), count]);
      if (frees === undefined) {
        const there = count + (this.#more.get(at) ?? 0);
        if (uses.length > there) this.row(there, ...uses);
        continue;
      }
      const instead = (this.pool.options[frees] ?? []).map(
        (pick) => [put(frees, pick), -1] as const,
      );
      this.row(0, ...uses, ...instead);
    }
  }

  /** Donors are opened, offers and lots bought, when anything of them is used. */
  #sources(): void {
    const open = (name: string, of: (pick: number) => boolean) => {
      this.binary([name]);
      for (const slot of this.open.slots) {
        const uses = (this.pool.options[slot.at] ?? [])
          .filter(of)
          .map((pick) => [put(slot.at, pick), 1] as const);
        if (uses.length > 0) this.row(0, ...uses, [name, -1]);
      }
    };
    for (const [m, machine] of this.#machines.entries()) {
      open(`m${m}`, (pick) => this.pool.stock[pick]?.home === machine);
      this.cost('opened', `m${m}`, 1);
      this.cost('spoils', `m${m}`, machine.starts ? 2 : 1);
      if (machine.state === 'offered') this.#price(askedFor(this.open.shop, machine), `m${m}`);
    }
    for (const [l, lot] of this.#lots.entries()) {
      open(`l${l}`, (pick) => this.pool.stock[pick]?.lot === lot);
      const parts = this.open.shop.parts.filter((each) => each.place === 'buy' && each.lot === lot);
      for (const part of parts) this.#price(toPay(this.open.shop, part), `l${l}`);
    }
  }

  /** Not this plan again, nor one that differs by twins alone. */
  forbid(picks: Picks): void {
    const terms: [string, number][] = [];
    let most = -1;
    for (const [j, own] of picks.entries()) {
      if (!own) terms.push([run(j), -1]);
      for (const [i, pick] of (own ?? []).entries()) {
        const { at } = this.open.jobs[j]!.slots[i]!;
        for (const alike of this.twinsOf(at, pick)) terms.push([put(at, alike), 1]);
        most += 1;
      }
    }
    this.cut(most, terms);
  }

  /** Whether a job could run if these were all the reasons against it, nobody else wanting anything. */
  lpAlone(job: number, reasons: ReadonlySet<string>): string {
    const alone = this.open.jobs.flatMap((_, j): Row[] =>
      j === job ? [this.mustRun(j)] : [{ terms: sum([[run(j), 1]]), most: 0 }],
    );
    /* What others would have to give up is no reason of its own. */
    return this.lpOf(job, reasons, alone);
  }

  /** Pieces that are the same thing wherever they lie. */
  twinsOf(slot: number, pick: Put): Put[] {
    if (pick === STAYS) return [STAYS];
    const of = this.pool.stock[pick]!.parts[0]!;
    return (this.pool.options[slot] ?? []).filter((each) => {
      const part = this.pool.stock[each]!.parts[0]!;
      return (
        part.kind === of.kind &&
        (part.modelId ?? part.name) === (of.modelId ?? of.name) &&
        JSON.stringify(part.facts) === JSON.stringify(of.facts)
      );
    });
  }

  /** What a slot gets, and nothing else. */
  force(slot: number, picks: readonly Put[]): Row {
    return { terms: sum(picks.map((pick) => [put(slot, pick), -1] as const)), most: -1 };
  }
  /** What a slot does not get. */
  without(slot: number, picks: readonly Put[]): Row {
    return { terms: sum(picks.map((pick) => [put(slot, pick), 1] as const)), most: 0 };
  }
  mustRun = (j: number): Row => ({ terms: sum([[run(j), -1]]), most: -1 });

  /** What a job misses of what it asks for with this pick. */
  asksAt = (slot: number, pick: Put): number => this.line('asks').get(put(slot, pick)) ?? 0;

  picksOf(values: ReadonlyMap<string, number>): Picks {
    const set = (name: string) => (values.get(name) ?? 0) > 0.5;
    return this.open.jobs.map(({ slots }, j) =>
      set(run(j))
        ? slots.map(
            ({ at }) => (this.pool.options[at] ?? []).find((pick) => set(put(at, pick))) ?? STAYS,
          )
        : undefined,
    );
  }

  /** What a plan comes to before remedies: every line, from the picks alone. */
  counted(picks: Picks): Counts {
    const on = new Set<string>();
    const used = new Set<number>();
    for (const [j, own] of picks.entries()) {
      if (!own) continue;
      on.add(run(j));
      const left = this.#budgets.get(j);
      const spent = own.reduce((sum, pick) => sum + (this.pool.stock[pick]?.most ?? 0), 0);
      if (left !== undefined && spent > left) on.add(over(j));
      const deadline = this.open.jobs[j]?.job.deadline?.slice(0, 10);
      for (const [i, pick] of own.entries()) {
        const slot = this.open.jobs[j]!.slots[i]!;
        on.add(put(slot.at, pick));
        if (pick !== STAYS) {
          used.add(pick);
          const { due } = this.pool.stock[pick]!;
          if (deadline !== undefined && due !== undefined && due.slice(0, 10) > deadline)
            on.add(late(j));
          continue;
        }
        if (!slot.asked || slot.before === undefined || staysServing(this.open.shop, slot))
          continue;
        const before = own[this.open.jobs[j]!.slots.findIndex(({ at }) => at === slot.before)];
        const part =
          before === undefined || before === STAYS ? undefined : this.pool.stock[before]!.parts[0]!;
        if (!part || !serves(this.open.shop, slot, part)) on.add(`a${slot.at}`);
      }
    }
    for (const pick of used) {
      const { home, lot } = this.pool.stock[pick]!;
      const m = home ? this.#machines.indexOf(home) : -1;
      if (m >= 0) on.add(`m${m}`);
      if (lot !== undefined) on.add(`l${this.#lots.indexOf(lot)}`);
    }
    const total = (dim: Dim) =>
      [...on].reduce((all, name) => all + (this.line(dim).get(name) ?? 0), 0);
    return Object.fromEntries(dims.map((dim) => [dim, total(dim)])) as Counts;
  }

  /** Whether no more is used than there is. */
  holds(picks: Picks): boolean {
    const used = new Map<number, number>();
    for (const [j, own] of picks.entries())
      for (const [i, pick] of (own ?? []).entries()) {
        const slot = this.open.jobs[j]!.slots[i]!;
        if (pick !== STAYS && !this.pool.options[slot.at]?.includes(pick)) return false;
        if (
          pick === STAYS &&
          slot.vital &&
          (slot.mustGo || !slot.found) &&
          slot.before === undefined
        )
          return false;
        if (pick !== STAYS) used.set(pick, (used.get(pick) ?? 0) + 1);
      }
    return [...used].every(([pick, n]) => {
      const { count, frees, unless } = this.pool.stock[pick]!;
      if (unless !== undefined && picks[unless]) return false;
      if (frees === undefined) return n <= count + (this.#more.get(pick) ?? 0);
      const slot = this.open.slots[frees]!;
      const i = this.open.jobs[slot.job]!.slots.findIndex(({ at }) => at === frees);
      const there = picks[slot.job]?.[i];
      return n <= 1 && there !== undefined && there !== STAYS;
    });
  }
}

/** What a job's budget leaves for parts yet to be chosen, minor units; undefined without one, or without a rate. */
function budgetLeft({ shop, jobs }: Opened, j: number): number | undefined {
  const { job } = jobs[j]!;
  const budget = job.budget && pricedIn(shop, job.budget);
  if (!budget || !isPriced(budget)) return undefined;
  return Math.max(0, budget.lo - jobAccount(shop, job, planOf(shop, job)).costs);
}

const NO_MORE: ReadonlyMap<number, number> = new Map();
