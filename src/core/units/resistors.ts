/**
 * Resistors between nodes, currents pushed into nodes, node 0 held at 0 V: volts by node, from
 * Kirchhoff's current law (G v = i, solved by elimination with pivoting).
 */
export interface Resistor {
  a: number;
  b: number;
  ohm: number;
}

/**
 * Volts of every node, V; `pushedA` are amps pushed into each node (node 0 takes what is left).
 * Throws RangeError for a resistance that is not above 0 or a node without a way to node 0.
 */
export function nodeVolts(
  nodes: number,
  resistors: readonly Resistor[],
  pushedA: readonly number[],
): number[] {
  const n = nodes - 1;
  const g = Array.from({ length: n }, () => new Float64Array(n + 1));
  for (const { a, b, ohm } of resistors) {
    if (!(ohm > 0)) throw new RangeError(`invalid resistance: ${ohm}`);
    const s = 1 / ohm;
    add(g, a - 1, a - 1, s);
    add(g, b - 1, b - 1, s);
    add(g, a - 1, b - 1, -s);
    add(g, b - 1, a - 1, -s);
  }
  for (let i = 0; i < n; i += 1) (g[i] as Float64Array)[n] = pushedA[i + 1] ?? 0;
  return [0, ...solve(g)];
}

function add(g: Float64Array[], i: number, k: number, value: number): void {
  const row = g[i];
  if (row && k >= 0) row[k] = (row[k] ?? 0) + value;
}

/** Rows of a square system with its right side appended; the rows are used up. */
export function solve(rows: Float64Array[]): number[] {
  const n = rows.length;
  for (let c = 0; c < n; c += 1) {
    let pivot = c;
    for (let r = c + 1; r < n; r += 1)
      if (Math.abs(rows[r]?.[c] ?? 0) > Math.abs(rows[pivot]?.[c] ?? 0)) pivot = r;
    const top = rows[pivot] as Float64Array;
    const lead = top[c] ?? 0;
    if (Math.abs(lead) < 1e-12) throw new RangeError('a node has no way to return');
    rows[pivot] = rows[c] as Float64Array;
    rows[c] = top;
    for (let r = c + 1; r < n; r += 1) {
      const row = rows[r] as Float64Array;
      const factor = (row[c] ?? 0) / lead;
      if (factor === 0) continue;
      for (let k = c; k <= n; k += 1) row[k] = (row[k] ?? 0) - factor * (top[k] ?? 0);
    }
  }
  const x = new Array<number>(n).fill(0);
  for (let r = n - 1; r >= 0; r -= 1) {
    const row = rows[r] as Float64Array;
    let sum = row[n] ?? 0;
    for (let k = r + 1; k < n; k += 1) sum -= (row[k] ?? 0) * (x[k] ?? 0);
    x[r] = sum / (row[r] ?? 1);
  }
  return x;
}
