import { Matrix, solve } from 'ml-matrix';

/** How each residual changes with each figure, by nudging. */
export function derivatives(
  p: readonly number[],
  residuals: (p: readonly number[]) => number[],
): Matrix {
  const base = residuals(p);
  const out = Matrix.zeros(base.length, p.length);
  const D = 1e-6;
  for (let i = 0; i < p.length; i += 1) {
    const q = p.slice();
    q[i] = q[i]! + D;
    const next = residuals(q);
    for (let k = 0; k < base.length; k += 1) out.set(k, i, (next[k]! - base[k]!) / D);
  }
  return out;
}

/**
 * Levenberg-Marquardt: the least squares of residuals about a start. `changes`: how they change with each figure, by
 * nudging where it is not said; ends when a step gains less than `least` of what is left.
 */
export function descend(
  start: readonly number[],
  residuals: (p: readonly number[]) => number[],
  most = 60,
  changes = (p: readonly number[]): Matrix => derivatives(p, residuals),
  least = 1e-10,
): number[] {
  let p = start.slice();
  const cost = (r: readonly number[]) => r.reduce((sum, value) => sum + value * value, 0);
  let now = cost(residuals(p));
  let damping = 1e-3;
  for (let i = 0; i < most; i += 1) {
    const jacobian = changes(p);
    const turned = jacobian.transpose();
    const normal = turned.mmul(jacobian);
    const down = turned.mmul(Matrix.columnVector(residuals(p)));
    let better = false;
    for (let tries = 0; tries < 10 && !better; tries += 1) {
      const damped = normal.clone();
      for (let k = 0; k < p.length; k += 1)
        damped.set(k, k, damped.get(k, k) * (1 + damping) + 1e-12);
      const step = solve(damped, down).getColumn(0);
      const q = p.map((value, k) => value - step[k]!);
      const next = cost(residuals(q));
      if (next < now) {
        const gain = (now - next) / now;
        p = q;
        now = next;
        damping = Math.max(1e-9, damping / 8);
        better = true;
        if (gain < least) return p;
      } else damping *= 6;
    }
    if (!better) return p;
  }
  return p;
}
