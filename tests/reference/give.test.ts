import { expect } from 'chai';
import loadHighs from 'highs';
import { solve, type Problem } from '../../src/core/resolve/solve.ts';
import { madeProblem } from '../helpers/problems.ts';

/**
 * The cheapest changes against HiGHS, a general mixed-integer solver: one binary for every option,
 * one option a variable, and for every combination a constraint refuses, not all of it at once.
 */
function asLp(problem: Problem, least: number): string {
  const name = (v: number, o: number) => `x${v}_${o}`;
  const cost = problem.costs.flatMap((options, v) => options.map((c, o) => `${c} ${name(v, o)}`));
  const rows = problem.costs.map(
    (options, v) => `one${v}: ${options.map((_, o) => name(v, o)).join(' + ')} = 1`,
  );
  problem.constraints.forEach(({ scope, levels }, c) => {
    for (let i = 0; i < levels.length; i += 1) {
      if (levels.at(i)! >= least) continue;
      let rest = i;
      const picks: string[] = [];
      for (const v of [...scope].reverse()) {
        picks.push(name(v, rest % problem.costs[v]!.length));
        rest = Math.floor(rest / problem.costs[v]!.length);
      }
      rows.push(`c${c}_${i}: ${picks.join(' + ')} <= ${scope.length - 1}`);
    }
  });
  const names = problem.costs.flatMap((options, v) => options.map((_, o) => name(v, o)));
  return `Minimize\n obj: ${cost.join(' + ')}\nSubject To\n ${rows.join('\n ')}\nBinary\n ${names.join(' ')}\nEnd`;
}

describe('reference: ways to make it fit, against HiGHS', function () {
  this.timeout(60_000);
  let highs: Awaited<ReturnType<typeof loadHighs>>;
  before(async () => {
    highs = await loadHighs();
  });

  for (let seed = 101; seed <= 112; seed += 1) {
    it(`costs as little as HiGHS finds, problem ${seed} of a million combinations`, () => {
      const problem = madeProblem(seed, [10, 10, 10, 10, 10, 10], 0.22 + (seed % 4) * 0.06);
      for (const least of [1, 2] as const) {
        const answer = solve(problem, { least, most: 1, nodeLimit: 5e6 });
        const outside = highs.solve(asLp(problem, least), { mip_rel_gap: 0, mip_abs_gap: 1e-6 });
        expect(answer.proven).to.equal(true);
        if (answer.found.length === 0) expect(outside.Status).to.equal('Infeasible');
        else {
          expect(outside.Status).to.equal('Optimal');
          expect(answer.found[0]!.cost).to.be.closeTo(outside.ObjectiveValue, 1e-6);
        }
      }
    });
  }
});
