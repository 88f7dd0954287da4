import { dims, type Counts, type Dim } from './dims.ts';
import type { Cut, Put, Way } from './verdict.ts';

/** Lines are compared in groups while their weights stay within what a solver tells apart. */
const MOST_WEIGHT = 2e4;

export type Line = Map<string, number>;
export interface Row {
  terms: Line;
  most: number;
}
type Terms = readonly (readonly [string, number])[];

/** Picks that go together, without the reason. */
type Together = Pick<Cut, 'job' | 'sets'>;

/* Variables: a job runs, comes late, passes its budget; a slot gets a pick. */
export const run = (j: number): string => `r${j}`;
export const late = (j: number): string => `d${j}`;
export const over = (j: number): string => `o${j}`;
export const put = (slot: number, pick: Put): string => `x${slot}_${pick + 1}`;

/** What each line of whole numbers costs, what must hold, and what may be one or nothing: read by any solver of mixed-integer programs. */
export class Program {
  #costs = new Map<Dim, Line>();
  #fixed: Row[] = [];
  #cuts: (Row & { job?: number; reason?: string })[] = [];
  #cutKeys = new Set<string>();
  #elements = 0;
  /** Which slot a variable picks for. */
  #slotOf = new Map<string, number>();
  /** Variables of what is paid once, by job and reason. */
  #reasons = new Map<string, string>();
  /** Variables of remedies, by job and remedy. */
  #remedies = new Map<string, string>();
  #binaries: string[] = [];

  constructor() {
    for (const dim of dims) this.#costs.set(dim, new Map());
  }

  protected cost(dim: Dim, name: string, by: number): void {
    if (by === 0) return;
    const line = this.#costs.get(dim)!;
    line.set(name, (line.get(name) ?? 0) + by);
  }
  protected row(most: number, ...terms: Terms): void {
    this.#fixed.push({ terms: sum(terms), most });
  }
  /** What may be one or nothing; of those that pick for one slot, one only is. */
  protected binary(names: readonly string[], slot?: number): void {
    this.#binaries.push(...names);
    if (slot !== undefined) for (const name of names) this.#slotOf.set(name, slot);
  }
  /** One more thing that must hold, found on the way. */
  protected cut(most: number, terms: Terms): void {
    this.#cuts.push({ terms: sum(terms), most });
  }

  /** Whoever puts one of each set cannot run. False where it is known already. */
  addCut(cut: Cut): boolean {
    const key = keyOf(cut);
    if (this.#cutKeys.has(key)) return false;
    this.#cutKeys.add(key);
    this.#cuts.push({ ...refused(cut), job: cut.job, reason: cut.finding.id });
    return true;
  }

  /**
   * Whoever puts one of each set pays this besides: once for all sets with the same reason, where there is one. False
   * where it is known already.
   */
  addCosts(cut: Together, costs: Partial<Counts>, reason?: string): boolean {
    if (Object.values(costs).every((each) => each === 0)) return false;
    const key = `${keyOf(cut)} ${JSON.stringify(costs)} ${reason}`;
    if (this.#cutKeys.has(key)) return false;
    this.#cutKeys.add(key);
    const known = `${cut.job} ${reason} ${Object.keys(costs).join()}`;
    let name = reason === undefined ? undefined : this.#reasons.get(known);
    if (name === undefined) {
      name = `e${this.#elements}`;
      this.#elements += 1;
      if (reason !== undefined) this.#reasons.set(known, name);
      for (const [dim, by] of Object.entries(costs)) this.cost(dim as Dim, name, by);
    }
    this.#unless(cut, [name]);
    /* Cheaper in one line and dearer in another: nobody is to choose it without those picks. */
    if (Object.values(costs).some((each) => each < 0))
      for (const { slot, picks } of cut.sets) {
        const there = picks.map((pick) => [put(slot, pick), -1] as const);
        this.#cuts.push({ terms: sum([[name, 1], ...there]), most: 0 });
      }
    return true;
  }

  /** Whoever puts one of each set takes one of these remedies. False where it is known already. */
  addNeed({ ways, ...cut }: Together & { ways: readonly Way[] }): boolean {
    const key = `${keyOf(cut)} ${ways.map(({ id }) => id).join()}`;
    if (this.#cutKeys.has(key)) return false;
    this.#cutKeys.add(key);
    this.#unless(
      cut,
      ways.map((way) => {
        const known = `${cut.job} ${way.id}`;
        let name = this.#remedies.get(known);
        if (name === undefined) {
          name = `u${this.#remedies.size}`;
          this.#remedies.set(known, name);
          this.binary([name]);
          this.cost('minutes', name, way.minutes);
          this.cost('money', name, way.minor * 2);
          this.cost('unpriced', name, way.unpriced);
          this.cost('spoils', name, way.spoils);
        }
        return name;
      }),
    );
    return true;
  }

  /** Not one of each set, unless one of these is paid. */
  #unless(cut: Together, names: readonly string[]): void {
    const row = refused(cut);
    for (const name of names) row.terms.set(name, -1);
    this.#cuts.push(row);
  }

  /** The first of these lines that can be made small at once, with the weight of each: all before it count more. */
  group(left: readonly Dim[]): { dim: Dim; weight: number }[] {
    const group: { dim: Dim; span: number }[] = [];
    let size = 1;
    for (const dim of left) {
      const span = this.#span(dim);
      if (group.length > 0 && !(size * span <= MOST_WEIGHT)) break;
      group.push({ dim, span });
      size *= span;
    }
    return group.map(({ dim }, i) => ({
      dim,
      weight: group.slice(i + 1).reduce((product, { span }) => product * span, 1),
    }));
  }

  /** More than a line can differ by from plan to plan; Infinity where it is no line of whole numbers. */
  #span(dim: Dim): number {
    const bySlot = new Map<number | string, number>();
    for (const [name, by] of this.line(dim)) {
      if (!Number.isInteger(by)) return Infinity;
      const key = this.#slotOf.get(name) ?? name;
      bySlot.set(key, Math.max(bySlot.get(key) ?? 0, Math.abs(by)));
    }
    return [...bySlot.values()].reduce((total, by) => total + by, 1);
  }

  /** The line itself, elements so far among it. */
  line(dim: Dim): ReadonlyMap<string, number> {
    return this.#costs.get(dim)!;
  }

  /** The program in the LP format general solvers read. `held`: lines that must not get worse than that. */
  lp(
    group: readonly { dim: Dim; weight: number }[],
    held: readonly { dim: Dim; most: number }[],
    forced: readonly Row[] = [],
  ): string {
    const objective = new Map<string, number>();
    for (const { dim, weight } of group)
      for (const [name, by] of this.line(dim))
        objective.set(name, (objective.get(name) ?? 0) + by * weight);
    const rows = [
      ...this.#fixed,
      ...this.#cuts,
      ...held.map(({ dim, most }): Row => ({ terms: new Map(this.line(dim)), most: most + 0.01 })),
      ...forced,
    ].filter(({ terms }) => terms.size > 0);
    const elements = Array.from({ length: this.#elements }, (_, n) => `e${n}`);
    return [
      'Minimize',
      ` cost: ${objective.size > 0 ? written(objective) : `0 ${run(0)}`}`,
      'Subject To',
      ...rows.map(({ terms, most }, n) => ` c${n}: ${written(terms)} <= ${most}`),
      ...(elements.length > 0 ? ['Bounds', ...elements.map((name) => ` 0 <= ${name} <= 1`)] : []),
      'Binary',
      ...this.#binaries.map((name) => ` ${name}`),
      'End',
    ].join('\n');
  }

  /** The program of a job alone: the cuts of these reasons only, and what else must hold. */
  protected lpOf(job: number, reasons: ReadonlySet<string>, forced: readonly Row[]): string {
    const held = this.#cuts;
    this.#cuts = held.filter(
      (row) => row.job === job && row.reason !== undefined && reasons.has(row.reason),
    );
    const text = this.lp([{ dim: 'run', weight: 1 }], [], forced);
    this.#cuts = held;
    return text;
  }
}

export function sum(terms: readonly (readonly [string, number])[]): Line {
  const line: Line = new Map();
  for (const [name, by] of terms) line.set(name, (line.get(name) ?? 0) + by);
  return line;
}

function refused({ job, sets }: Together): Row {
  if (sets.length === 0) return { terms: sum([[run(job), 1]]), most: 0 };
  const terms = sets.flatMap(({ slot, picks }) =>
    picks.map((pick) => [put(slot, pick), 1] as const),
  );
  return { terms: sum(terms), most: sets.length - 1 };
}

const keyOf = ({ job, sets }: Together): string =>
  JSON.stringify([job, sets.map(({ slot, picks }) => [slot, picks.toSorted((a, b) => a - b)])]);

/** Terms of a line, a few to a row of text. */
function written(terms: ReadonlyMap<string, number>): string {
  const words = [...terms].map(([name, by]) => `${by < 0 ? '-' : '+'} ${Math.abs(by)} ${name}`);
  const rows: string[] = [];
  for (let i = 0; i < words.length; i += 12) rows.push(words.slice(i, i + 12).join(' '));
  return rows.join('\n  ');
}
