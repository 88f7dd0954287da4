import { schedule } from '../src/core/schedule/search.ts';
import type { Problem } from '../src/core/schedule/model.ts';
import { byMiniZinc } from '../tests/reference/schedule/minizinc.ts';
import { randomShop } from '../tests/reference/schedule/shops.ts';

/** The week: ordinary ones proven, crowded ones beside a general constraint solver, a very large one. */

const timed = <T>(work: () => T): { ms: number; result: T } => {
  const from = performance.now();
  const result = work();
  return { ms: performance.now() - from, result };
};

/** As a shop plans: days enough, and deadlines that lie further off where there is more to do. */
const shopOf = (seed: number, tasks: number, people: number, slack: number): Problem => {
  const made = randomShop(seed, tasks);
  return {
    ...made,
    people,
    open: Array.from({ length: 120 }, (_, day) => ({ from: day * 48, to: day * 48 + 18 })),
    jobs: made.jobs.map((job) =>
      job.due === undefined ? job : { ...job, due: Math.round(job.due * slack) },
    ),
  };
};

const SECONDS = 5;
const inTime = (problem: Problem, seconds: number) => {
  const until = performance.now() + seconds * 1000;
  return timed(() =>
    schedule(problem, { orders: 1e6, stop: ({ proven }) => proven || performance.now() > until }),
  );
};

const seeds = [1, 2, 3, 4, 5, 6, 7, 8];
const ordinary = seeds.map((seed) => inTime(shopOf(seed, 60, 3, 3.5), SECONDS));
const proven = ordinary.filter(({ result }) => result?.proven).length;
const slowest = Math.max(...ordinary.map(({ ms }) => ms));
const crowded = seeds.map((seed) => {
  const problem = shopOf(seed, 40, 1, 2);
  const own = inTime(problem, SECONDS).result;
  const theirs = byMiniZinc(problem, SECONDS).late;
  return { own: own?.cost.late ?? Infinity, theirs, bound: own?.bound ?? 0 };
});
const asGood = crowded.filter(({ own, theirs }) => Number.isNaN(theirs) || own <= theirs).length;
const sum = (of: 'own' | 'theirs' | 'bound') =>
  crowded.reduce((total, each) => total + (Number.isNaN(each[of]) ? 0 : each[of]), 0);
const none = crowded.filter(({ theirs }) => Number.isNaN(theirs)).length;
const large = inTime(shopOf(1, 400, 4, 14), 10);

console.log(
  JSON.stringify([
    {
      what: `weeks of 60 tasks proven, of ${seeds.length} (slowest ${(slowest / 1000).toFixed(1)} s), Node`,
      figure: String(proven),
      wanted: 'all within 5 s',
      met: proven === seeds.length,
    },
    {
      what: `crowded weeks of 40 tasks at least as good as MiniZinc in the same ${SECONDS} s, of ${seeds.length} (late ${sum('own')}; it ${sum('theirs')}, nothing found on ${none}; bound ${sum('bound')})`,
      figure: String(asGood),
      wanted: 'all',
      met: asGood === seeds.length,
    },
    {
      what: `week of 400 tasks, late ${large.result?.cost.late ?? '?'}, bound ${large.result?.bound ?? '?'}, Node`,
      figure: `${(large.ms / 1000).toFixed(1)} s`,
      wanted: 'a plan within 10 s',
      met: large.result !== undefined && large.ms < 11_000,
    },
  ]),
);
