/**
 * A symmetric sparse system, eliminated in the order that keeps it sparse (fewest neighbours
 * first): a net without rings fills in nothing. The order is found once for a net; values change
 * from step to step.
 *
 *   A = L D L^T, L below the diagonal by columns
 */
export interface Elimination {
  /** Unknowns in the order of elimination. */
  order: Int32Array;
  /** For each column in that order the later rows it touches. */
  rows: Int32Array[];
  /** Where each pair of a column's rows stands: diagonal below 0 as -1 - row, else a slot of `off`. */
  pairs: Int32Array[];
  /** First slot of each column's entries in `off`. */
  start: Int32Array;
  slots: number;
  position: Int32Array;
}

/** Plans the elimination for `n` unknowns joined by `edges`. */
export function plan(n: number, edges: readonly (readonly [number, number])[]): Elimination {
  const beside = Array.from({ length: n }, () => new Set<number>());
  for (const [a, b] of edges)
    if (a !== b) {
      beside[a]?.add(b);
      beside[b]?.add(a);
    }
  const order = new Int32Array(n);
  const columns: number[][] = [];
  const gone = new Uint8Array(n);
  const byDegree = new DegreeQueue(beside.map((each) => each.size));
  for (let k = 0; k < n; k += 1) {
    const at = byDegree.take();
    order[k] = at;
    gone[at] = 1;
    const around = [...(beside[at] ?? [])].filter((each) => gone[each] === 0);
    columns.push(around);
    for (const a of around) {
      beside[a]?.delete(at);
      for (const b of around) if (a !== b) beside[a]?.add(b);
      byDegree.set(a, beside[a]?.size ?? 0);
    }
  }
  return placed(n, order, columns);
}

function placed(n: number, order: Int32Array, columns: readonly number[][]): Elimination {
  const position = new Int32Array(n);
  order.forEach((node, k) => (position[node] = k));
  const rows = columns.map((list) =>
    Int32Array.from(list.map((node) => position[node] ?? 0)).sort(),
  );
  const start = new Int32Array(n);
  let slots = 0;
  rows.forEach((list, k) => {
    start[k] = slots;
    slots += list.length;
  });
  const pairs = rows.map((list) => {
    const where: number[] = [];
    for (let i = 0; i < list.length; i += 1)
      for (let j = i; j < list.length; j += 1) {
        const [r, c] = [list[j] as number, list[i] as number];
        where.push(r === c ? -1 - r : (start[c] as number) + (rows[c]?.indexOf(r) ?? 0));
      }
    return Int32Array.from(where);
  });
  return { order, rows, pairs, start, slots, position };
}

/** Nodes by how many neighbours they have, fewest first. */
class DegreeQueue {
  readonly #bins: Set<number>[] = [];
  readonly #degree: number[];
  constructor(degrees: readonly number[]) {
    this.#degree = [...degrees];
    degrees.forEach((degree, node) => this.#bin(degree).add(node));
  }
  #bin(degree: number): Set<number> {
    return (this.#bins[degree] ??= new Set());
  }
  set(node: number, degree: number): void {
    this.#bin(this.#degree[node] ?? 0).delete(node);
    this.#degree[node] = degree;
    this.#bin(degree).add(node);
  }
  take(): number {
    for (const bin of this.#bins) {
      if (!bin || bin.size === 0) continue;
      const [node] = bin;
      bin.delete(node as number);
      return node as number;
    }
    return -1;
  }
}

/** Room for one system of this plan. */
export interface Values {
  /** Diagonal and off-diagonal entries, in the order of elimination. */
  diagonal: Float64Array;
  off: Float64Array;
}

export const values = (plan_: Elimination): Values => ({
  diagonal: new Float64Array(plan_.order.length),
  off: new Float64Array(plan_.slots),
});

/**
 * Solves in place: `right` holds the right side by unknown and then the answer. False when a pivot
 * is not above nothing: the system is not positive definite.
 */
export function eliminate(
  by: Elimination,
  { diagonal, off }: Values,
  right: Float64Array,
): boolean {
  const n = by.order.length;
  const x = new Float64Array(n);
  for (let k = 0; k < n; k += 1) x[k] = right[by.order[k] as number] as number;
  for (let k = 0; k < n; k += 1) {
    const pivot = diagonal[k] as number;
    if (!(pivot > 0)) return false;
    const rows = by.rows[k] as Int32Array;
    const where = by.pairs[k] as Int32Array;
    const at = by.start[k] as number;
    let pair = 0;
    for (let i = 0; i < rows.length; i += 1) {
      const entry = off[at + i] as number;
      const factor = entry / pivot;
      for (let j = i; j < rows.length; j += 1) {
        const slot = where[pair] as number;
        pair += 1;
        const change = factor * (off[at + j] as number);
        if (slot < 0) diagonal[-1 - slot] = (diagonal[-1 - slot] as number) - change;
        else off[slot] = (off[slot] as number) - change;
      }
      x[rows[i] as number] = (x[rows[i] as number] as number) - factor * (x[k] as number);
    }
  }
  for (let k = n - 1; k >= 0; k -= 1) {
    const rows = by.rows[k] as Int32Array;
    const at = by.start[k] as number;
    let sum = x[k] as number;
    for (let i = 0; i < rows.length; i += 1)
      sum -= (off[at + i] as number) * (x[rows[i] as number] as number);
    x[k] = sum / (diagonal[k] as number);
  }
  for (let k = 0; k < n; k += 1) right[by.order[k] as number] = x[k] as number;
  return true;
}
