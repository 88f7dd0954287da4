import { expect } from 'chai';
import type { Problem, Schedule, Task } from '../../src/core/schedule/model.ts';
import { leastLate } from '../../src/core/schedule/bound.ts';
import { schedule } from '../../src/core/schedule/search.ts';
import { byMiniZinc, mayStart } from './schedule/minizinc.ts';
import { randomShop } from './schedule/shops.ts';

/** The search of the week against a general constraint solver: MiniZinc with Gecode, out of Debian's packages. */

/** Nothing is broken: said by looking at the result alone, not by how it was made. */
function faults(problem: Problem, { starts, who }: Schedule): string[] {
  const { tasks, people } = problem;
  const found: string[] = [];
  const endOf = (i: number) => (starts[i] as number) + (tasks[i] as Task).hands;
  tasks.forEach((task, i) => {
    const start = starts[i] as number;
    if (!mayStart(problem, task).includes(start)) found.push(`${task.id} at ${start}: closed`);
    for (const before of task.after)
      if (start < endOf(before) + (tasks[before] as Task).leave) found.push(`${task.id} too early`);
    if (who[i]?.length !== task.people) found.push(`${task.id}: nobody does it`);
    tasks.forEach((other, k) => {
      if (k <= i) return;
      const overlap = start < endOf(k) && (starts[k] as number) < endOf(i);
      if (overlap && who[i]?.some((person) => who[k]?.includes(person)))
        found.push(`${task.id} and ${other.id}: one person twice`);
    });
  });
  if (who.flat().some((person) => person >= people)) found.push('a person there is not');
  const groups = new Map<string, { name: string; from: number; to: number }>();
  tasks.forEach(({ place, hands }, i) => {
    if (!place) return;
    const start = starts[i] as number;
    const own = groups.get(place.group) ?? { name: place.name, from: Infinity, to: 0 };
    own.from = Math.min(own.from, start);
    own.to = Math.max(own.to, start + hands + place.holds);
    groups.set(place.group, own);
  });
  const spans = [...groups.values()];
  spans.forEach((a, i) =>
    spans.slice(i + 1).forEach((b) => {
      if (a.name === b.name && a.from < b.to && b.from < a.to) found.push(`${a.name} twice`);
    }),
  );
  return found;
}

describe('reference: the week against a constraint solver', () => {
  it('is as little late as MiniZinc proves, or less than it finds in its time, on 40 random shops', () => {
    let [both, equal, better] = [0, 0, 0];
    for (let seed = 1; seed <= 40; seed += 1) {
      const problem = randomShop(seed, 8 + (seed % 5));
      const own = schedule(problem, { orders: 6000, seed });
      expect(own, `shop ${seed}`).to.not.equal(undefined);
      if (!own) return;
      expect(faults(problem, own), `shop ${seed}`).to.deep.equal([]);
      const theirs = byMiniZinc(problem, 3);
      expect(own.bound, `bound of shop ${seed}`).to.be.at.most(theirs.late);
      if (theirs.proven) {
        both += 1;
        expect(own.cost.late, `shop ${seed}`).to.be.at.least(theirs.late);
        if (own.cost.late === theirs.late) equal += 1;
        /* "Proven" is said only of what is. */
        if (own.proven) expect(own.cost.late, `proven, shop ${seed}`).to.equal(theirs.late);
      } else {
        expect(own.cost.late, `shop ${seed}`).to.be.at.most(theirs.late);
        better += 1;
      }
    }
    console.log(
      `      proven by the solver ${both}, found by us ${equal}; it ran out of time on ${better}`,
    );
    expect(equal).to.equal(both);
    expect(both).to.be.at.least(25);
  }).timeout(300_000);

  it('has a bound that is no guess: below every schedule of 200 shops, reached on most', () => {
    let reached = 0;
    for (let seed = 100; seed < 300; seed += 1) {
      const problem = randomShop(seed, 6);
      const own = schedule(problem, { orders: 400, seed });
      if (!own) continue;
      expect(leastLate(problem)).to.be.at.most(own.cost.late);
      if (own.cost.late === own.bound) reached += 1;
    }
    expect(reached).to.be.at.least(120);
  });
});
