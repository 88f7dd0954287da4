import type { Constraint, Problem } from '../../src/core/resolve/solve.ts';
import { random as seeded } from './boards.ts';

/**
 * A made-up bench: `sizes[v]` options for each variable, option 0 free, pairs and some threes
 * of variables with a share of combinations that cannot be and some that may be.
 */
export function madeProblem(seed: number, sizes: readonly number[], refused: number): Problem {
  const random = seeded(seed);
  const costs = sizes.map((n) =>
    Array.from({ length: n }, (_, o) => (o === 0 ? 0 : Math.round(1 + random() * 5000))),
  );
  const constraints: Constraint[] = [];
  const add = (scope: number[]) => {
    const size = scope.reduce((product, v) => product * sizes[v]!, 1);
    const levels = Uint8Array.from({ length: size }, () => {
      const dice = random();
      return dice < refused ? 0 : dice < refused * 1.5 ? 1 : 2;
    });
    /* Nothing fits as it stands, or the answer would be to do nothing. */
    if (constraints.length < 2) levels[0] = 0;
    constraints.push({ scope, levels });
  };
  for (let a = 0; a < sizes.length; a += 1)
    for (let b = a + 1; b < sizes.length; b += 1) if (random() < 0.7) add([a, b]);
  for (let a = 0; a + 2 < sizes.length; a += 2) add([a, a + 1, a + 2]);
  return { costs, constraints };
}

/** Every combination of options, one after the other. */
export function* everyPick(sizes: readonly number[]): Generator<number[]> {
  const picks = sizes.map(() => 0);
  for (;;) {
    yield [...picks];
    let v = sizes.length - 1;
    while (v >= 0 && ++picks[v]! >= sizes[v]!) picks[v--] = 0;
    if (v < 0) return;
  }
}
