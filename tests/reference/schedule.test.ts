import { expect } from 'chai';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Problem, Schedule, Task } from '../../src/core/schedule/model.ts';
import { leastLate } from '../../src/core/schedule/bound.ts';
import { schedule } from '../../src/core/schedule/search.ts';
import { randomShop } from './schedule/shops.ts';

/** The search of the week against a general constraint solver: MiniZinc with Gecode, out of Debian's packages. */

const HORIZON = 14 * 48;
const folder = mkdtempSync(join(tmpdir(), 'week-'));
after(() => rmSync(folder, { recursive: true }));

/** Minutes at which a task may start, by the calendar and its own release: written anew, not the product's. */
function mayStart({ open }: Problem, task: Task): number[] {
  const needs = task.hands + (task.attended ? task.leave : 0);
  return open.flatMap(({ from, to }) =>
    Array.from({ length: to - from }, (_, i) => from + i).filter(
      (minute) => minute >= task.release && minute + needs <= to,
    ),
  );
}

/** What the solver says is least, and whether it proved it. */
function byMiniZinc(problem: Problem, seconds: number): { late: number; proven: boolean } {
  const { tasks, jobs, people } = problem;
  const list = (values: readonly (number | string)[]) => `[${values.join(', ')}]`;
  const set = (values: readonly number[]) => `{${values.join(', ')}}`;
  const edges = tasks.flatMap((task, i) =>
    task.after.map((before) => [before + 1, i + 1] as const),
  );
  const groups = [...new Set(tasks.flatMap(({ place }) => place?.group ?? []))];
  const names = [...new Set(tasks.flatMap(({ place }) => place?.name ?? []))];
  const membersOf = (group: string) =>
    tasks.flatMap(({ place }, i) => (place?.group === group ? [i + 1] : []));
  const data = {
    n: tasks.length,
    jobs: jobs.length,
    people,
    horizon: HORIZON,
    hands: list(tasks.map(({ hands }) => hands)),
    leave: list(tasks.map(({ leave }) => leave)),
    job: list(tasks.map(({ jobId }) => jobs.findIndex((job) => job.jobId === jobId) + 1)),
    may: list(tasks.map((task) => set(mayStart(problem, task)))),
    edges: edges.length,
    before: list(edges.map(([before]) => before)),
    behind: list(edges.map(([, behind]) => behind)),
    due: list(jobs.map(({ due }) => due ?? -1)),
    weight: list(jobs.map(({ weight }) => weight)),
    groups: groups.length,
    members: list(groups.map((group) => set(membersOf(group)))),
    place: list(
      groups.map(
        (group) =>
          names.indexOf(tasks.find(({ place }) => place?.group === group)?.place?.name ?? 'oven') +
          1,
      ),
    ),
    holds: list(tasks.map(({ place }) => place?.holds ?? 0)),
  };
  const path = join(folder, 'shop.dzn');
  writeFileSync(
    path,
    Object.entries(data)
      .map(([name, value]) => `${name} = ${value};\n`)
      .join(''),
  );
  const said = execFileSync(
    'minizinc',
    [
      '--solver',
      'gecode',
      '--time-limit',
      String(seconds * 1000),
      'tests/reference/schedule/week.mzn',
      path,
    ],
    { encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] },
  );
  const figures = said.split('\n').filter((line) => /^\d+$/.test(line));
  return { late: Number(figures.at(-1) ?? NaN), proven: said.includes('==========') };
}

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
