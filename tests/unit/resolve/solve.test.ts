import { expect } from 'chai';
import { conflictCore } from '../../../src/core/resolve/conflictCore.ts';
import {
  combinations,
  levelAt,
  ranking,
  solve,
  solving,
  type Answer,
  type Problem,
  type SolveOptions,
} from '../../../src/core/resolve/solve.ts';
import { everyPick, madeProblem } from '../../helpers/problems.ts';

const usual: SolveOptions = { least: 2, most: 6, nodeLimit: 1e6 };

function ranked(problem: Problem, options: SolveOptions): Answer {
  const search = ranking(problem, options);
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
}

const sizesOf = (problem: Problem) => problem.costs.map((each) => each.length);
const fits = (problem: Problem, picks: readonly number[], least: number) =>
  problem.constraints.every((each) => levelAt(problem.costs, each, picks) >= least);
const priceOf = (problem: Problem, picks: readonly number[]) =>
  picks.reduce((sum, o, v) => sum + problem.costs[v]![o]!, 0);
const holds = (a: readonly number[], b: readonly number[]) =>
  b.every((o, v) => o === 0 || a[v] === o);

/** All plans that reach a level, cheapest first, by looking at every combination. */
function byHand(problem: Problem, least: 1 | 2) {
  return [...everyPick(sizesOf(problem))]
    .filter((picks) => fits(problem, picks, least))
    .map((picks) => ({ picks, cost: priceOf(problem, picks) }))
    .sort((a, b) => a.cost - b.cost);
}

describe('fit/search, ways to make it fit', () => {
  for (let seed = 1; seed <= 40; seed += 1) {
    const sizes = [3, 4, 2, 5, 3, 2].slice(0, 3 + (seed % 4));
    const problem = madeProblem(seed, sizes, 0.15 + (seed % 5) * 0.08);
    it(`finds the six cheapest of problem ${seed} as looking at all ${combinations(problem)} does`, () => {
      for (const least of [1, 2] as const) {
        const answer = solve(problem, { ...usual, least });
        const all = byHand(problem, least);
        expect(answer.proven).to.equal(true);
        expect(answer.found.map((each) => each.cost)).to.deep.equal(
          all.slice(0, 6).map((each) => each.cost),
        );
        for (const { picks } of answer.found) expect(fits(problem, picks, least)).to.equal(true);
      }
    });
    it(`ranks problem ${seed} without plans that hold a cheaper one`, () => {
      const all = byHand(problem, 1);
      const lean = all.filter(
        (plan) => !all.some((other) => other.cost < plan.cost && holds(plan.picks, other.picks)),
      );
      expect(ranked(problem, { ...usual, least: 1 }).found.map((each) => each.cost)).to.deep.equal(
        lean.slice(0, 6).map((each) => each.cost),
      );
    });
  }

  it('stops at the plan as it stands when nothing has to give', () => {
    const problem: Problem = {
      costs: [
        [0, 5],
        [0, 7],
      ],
      constraints: [{ scope: [0, 1], levels: Uint8Array.of(2, 2, 2, 2) }],
    };
    expect(ranked(problem, usual).found).to.deep.equal([{ picks: [0, 0], cost: 0 }]);
  });

  it('lets the last word refuse a plan', () => {
    const problem = madeProblem(3, [3, 4, 2], 0.2);
    const best = solve(problem, usual).found[0]!;
    const next = solve(problem, {
      ...usual,
      accept: (picks) => picks.join() !== best.picks.join(),
    }).found[0]!;
    expect(next.picks).not.to.deep.equal(best.picks);
    expect(next.cost).to.be.at.least(best.cost);
  });

  it('says it did not finish, and what nothing unseen can undercut', () => {
    const problem = madeProblem(11, [6, 6, 6, 6, 6, 6], 0.25);
    const short = solve(problem, { ...usual, nodeLimit: 40 });
    const whole = solve(problem, usual);
    expect(short.proven).to.equal(false);
    expect(short.bound).to.be.at.most(whole.found[0]!.cost + 1e-9);
    expect(whole.proven).to.equal(true);
    expect(whole.bound).to.equal(Infinity);
  });

  it('tells how far it is on the way', () => {
    /* No three of these go together, which only shows at the third: a long search. */
    const n = 24;
    const levels = new Uint8Array(n ** 3);
    const costs = [0, 1, 2].map(() => Array.from({ length: n }, (_, i) => i));
    const search = solving({ costs, constraints: [{ scope: [0, 1, 2], levels }] }, usual);
    const steps = [];
    let step = search.next();
    while (!step.done) {
      steps.push(step.value.nodes);
      step = search.next();
    }
    expect(step.value.found).to.deep.equal([]);
    expect(steps).to.deep.equal([...steps].sort((a, b) => a - b));
  });

  it('has no plan where a variable has no option left, and names what contradicts what', () => {
    const problem: Problem = {
      costs: [
        [0, 4],
        [0, 2],
        [0, 9],
      ],
      constraints: [
        { scope: [2], levels: Uint8Array.of(2, 2) },
        { scope: [0, 1], levels: Uint8Array.of(0, 2, 0, 2) },
        { scope: [1], levels: Uint8Array.of(2, 0) },
      ],
    };
    expect(solve(problem, { ...usual, least: 1 }).found).to.deep.equal([]);
    expect(conflictCore(problem)).to.deep.equal([1, 2]);
  });

  it('finds no contradiction where a plan exists', () => {
    expect(conflictCore(madeProblem(3, [3, 4, 2], 0.1))).to.deep.equal([]);
  });

  it('refuses a table that does not match its variables', () => {
    const wrong: Problem = {
      costs: [[0, 1]],
      constraints: [{ scope: [0], levels: Uint8Array.of(2) }],
    };
    expect(() => solve(wrong, usual)).to.throw(RangeError, 'a table of 1 for 2');
  });
});
