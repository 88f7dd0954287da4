import { beepChance, classes, type Meter, type Reading } from './evidence.ts';
import type { Hypothesis } from './hypotheses.ts';

/**
 * What one idea makes of the readings: the chance of every class for every pin, and how well the
 * idea explains all of it.
 *
 * Without readings between two pins the pins are independent and this is exact. A reading "beeps
 * with" ties two pins together; chances are then passed along these ties until they settle (belief
 * propagation: exact while the ties form no ring, an approximation where they do), and the idea's
 * weight is the Bethe estimate of the same graph.
 */
export interface Beliefs {
  log: number;
  pins: number[][];
}

export type Common = Extract<Reading, { kind: 'common' }>;

const ROUNDS = 12;
const TINY = 1e-300;

const normal = (row: readonly number[]): { row: number[]; sum: number } => {
  const sum = row.reduce((total, each) => total + each, 0) + TINY;
  return { row: row.map((each) => each / sum), sum };
};
const dot = (a: readonly number[], b: readonly number[]) =>
  a.reduce((sum, each, c) => sum + each * (b[c] ?? 0), 0);
const times = (a: readonly number[], b: readonly number[]) =>
  a.map((each, c) => each * (b[c] ?? 0));

/** `support`: likelihood of each pin's own readings by class. */
export function believe(
  idea: Hypothesis,
  support: readonly (readonly number[])[],
  commons: readonly Common[],
  meter: Meter,
): Beliefs {
  const own = support.map((likely, i) => times(idea.pins[i] ?? [], likely));
  if (commons.length === 0) {
    const done = own.map(normal);
    return {
      log: done.reduce((sum, each) => sum + Math.log(each.sum), Math.log(idea.prior)),
      pins: done.map((each) => each.row),
    };
  }
  return propagate(
    idea,
    own,
    commons.map((each) => tie(each, meter)),
  );
}

interface Tie {
  a: number;
  b: number;
  /** Chance of what was heard, by class of a, then of b. */
  table: readonly (readonly number[])[];
  toA: number[];
  toB: number[];
}

function tie({ pin, with: other, beeps }: Common, meter: Meter): Tie {
  const table = classes.map((p) =>
    classes.map((q) => {
      const chance = beepChance(p, q, meter);
      return beeps ? chance : 1 - chance;
    }),
  );
  const even = () => classes.map(() => 1 / classes.length);
  return { a: pin - 1, b: other - 1, table, toA: even(), toB: even() };
}

function propagate(idea: Hypothesis, own: readonly number[][], ties: readonly Tie[]): Beliefs {
  const at = own.map((_, i) => ties.filter((each) => each.a === i || each.b === i));
  const into = (i: number, except?: Tie) =>
    (at[i] ?? []).reduce(
      (row, each) => (each === except ? row : times(row, each.a === i ? each.toA : each.toB)),
      own[i] ?? [],
    );
  for (let round = 0; round < ROUNDS; round += 1) {
    for (const each of ties) {
      const [fromA, fromB] = [normal(into(each.a, each)).row, normal(into(each.b, each)).row];
      /* The table is its own mirror image. */
      each.toB = normal(each.table.map((row) => dot(row, fromA))).row;
      each.toA = normal(each.table.map((row) => dot(row, fromB))).row;
    }
  }
  let log = Math.log(idea.prior);
  const pins = own.map((_, i) => {
    const { row, sum } = normal(into(i));
    log += Math.log(sum);
    return row;
  });
  /* Bethe: what a tie says counts once, not once at either end. */
  for (const each of ties) {
    const [p, q] = [into(each.a, each), into(each.b, each)];
    const both = each.table.reduce((total, row, c) => total + (p[c] ?? 0) * dot(row, q), 0);
    log +=
      Math.log(both + TINY) - Math.log(dot(p, each.toA) + TINY) - Math.log(dot(q, each.toB) + TINY);
  }
  return { log, pins };
}
