import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import { openJobs } from '../../src/core/allocate/jobs.ts';
import { demoShop } from '../../src/core/demo/demoShop.ts';
import { STAYS } from '../../src/core/allocate/verdict.ts';
import { finished, Search, type Found } from '../../src/core/allocate/search.ts';
import { opened } from '../../src/core/allocate/slots.ts';
import { poolOf } from '../../src/core/allocate/stock.ts';
import { usualWishes } from '../../src/core/allocate/wishes.ts';
import type { Shop } from '../../src/core/model/types/types.ts';
import { seededRandom } from '../../src/core/units/seededRandom.ts';
import { everyPlan, type Seat } from '../helpers/everyPlan.ts';
import { searching, solver, unhurried } from '../helpers/plans.ts';
import { madeWrecks, wishing } from '../helpers/wrecks.ts';

/** The best plan of a whole shop against every plan tried, and its program against another solver of such programs. */

const made = (seed: number, wish: { jobs: number; donors: number; shelf: number }): Shop => {
  const raw = madeWrecks(seededRandom(seed), wish);
  return seed % 3 === 0 ? raw : wishing(raw);
};

/** The lines everyPlan counts, in its order, of what the search found. */
function tallyOf({ open }: Search, { counts }: Found): number[] {
  const all = open.jobs.reduce((sum, { job }) => sum + (job.weight ?? 1), 0);
  const { run, late, asks, unpriced, money, minutes, spoils, rest, moved, untested } = counts;
  return [
    all + run,
    late,
    asks,
    unpriced,
    money / 2,
    minutes,
    spoils,
    rest,
    counts.opened,
    moved,
    untested,
  ];
}

function seatsOf({ open }: Search): Seat[] {
  const seats = open.slots.map((slot): Seat => ({
    job: open.jobs[slot.job]!.job,
    seat: slot.seat,
    mayStay: !(slot.vital && !slot.found),
    now: slot.now?.id,
    found: slot.found?.id,
  }));
  const bare = open.jobs.filter(({ slots }) => slots.length === 0);
  return [...seats, ...bare.map(({ job }): Seat => ({ job, seat: 'leads', mayStay: true }))];
}

describe('reference: the best plan of a shop, against every plan of it', function () {
  this.timeout(170_000);
  for (const from of [1, 51, 101, 151])
    it(`is the best in all lines: shops ${from} to ${from + 49}`, async () => {
      let runs = 0;
      for (let seed = from; seed < from + 50; seed += 1) {
        const search = await searching(made(seed, { jobs: 2 + (seed % 2), donors: 2, shelf: 3 }));
        const out = finished(search.best(unhurried));
        expect(out.proven, `shop ${seed}`).to.equal(true);
        const best = everyPlan(search.open.shop, seatsOf(search));
        expect(tallyOf(search, out.found!), `shop ${seed}`).to.deep.equal(best);
        runs += out.found!.picks.filter(Boolean).length;
      }
      /* Shops in which nothing runs prove nothing. */
      expect(runs).to.be.above(40);
    });

  it('what it learned forbids nothing that runs', async () => {
    let forbidden = 0;
    for (let seed = 301; seed <= 330; seed += 1) {
      const search = await searching(made(seed, { jobs: 3, donors: 4, shelf: 6 }));
      finished(search.best(unhurried));
      const dice = seededRandom(seed);
      for (const [j, { slots }] of search.open.jobs.entries()) {
        const cuts = search.learned.filter(({ job }) => job === j);
        for (let n = 0; n < 60; n += 1) {
          const picks = slots.map(({ at }) => {
            const options = [STAYS, ...(search.pool.options[at] ?? [])];
            return options[Math.floor(dice() * options.length)]!;
          });
          const cut = cuts.find(({ sets }) =>
            sets.every(({ slot, picks: own }) =>
              own.includes(picks[slots.findIndex(({ at }) => at === slot)]!),
            ),
          );
          if (!cut) continue;
          forbidden += 1;
          expect(search.judge.verdict(j, picks).extra, `shop ${seed}: ${cut.finding.id}`).to.equal(
            undefined,
          );
        }
      }
    }
    expect(forbidden).to.be.above(300);
  });

  it('nor what runs near the best plan of the demo', async () => {
    const search = await searching(demoShop('2026-11-25T09:00:00.000Z'), {
      jobIds: ['5', '9', '11', '14', '15', '18'],
    });
    const { picks } = finished(search.best(unhurried)).found!;
    const dice = seededRandom(7);
    let runs = 0;
    for (const [j, { slots, job }] of search.open.jobs.entries()) {
      const cuts = search.learned.filter((cut) => cut.job === j);
      for (let n = 0; n < 120; n += 1) {
        const near = slots.map(({ at }, i) => {
          const options = [STAYS, ...(search.pool.options[at] ?? [])];
          return dice() < 0.4
            ? options[Math.floor(dice() * options.length)]!
            : (picks[j]?.[i] ?? STAYS);
        });
        const cut = cuts.find(({ sets }) =>
          sets.every(({ slot, picks: own }) =>
            own.includes(near[slots.findIndex(({ at }) => at === slot)]!),
          ),
        );
        const { extra } = search.judge.verdict(j, near);
        if (extra) runs += 1;
        if (cut) expect(extra, `job ${job.id}: ${cut.finding.id}`).to.equal(undefined);
      }
    }
    expect(runs).to.be.above(60);
  });
});

/** The optimum of a program by glpsol (GLPK), a general solver out of Debian's packages. */
function byGlpk(lp: string): number {
  const folder = mkdtempSync(join(tmpdir(), 'plan-'));
  try {
    const [from, to] = [join(folder, 'plan.lp'), join(folder, 'plan.txt')];
    writeFileSync(from, lp);
    execFileSync('glpsol', ['--lp', from, '--cuts', '-o', to], { stdio: 'ignore' });
    const said = /^Objective:\s+cost = (-?[\d.e+]+)/m.exec(readFileSync(to, 'utf8'));
    return Number(said?.[1]);
  } finally {
    rmSync(folder, { recursive: true });
  }
}

describe('reference: the program of a shop, by HiGHS and by GLPK', function () {
  this.timeout(170_000);
  it('20 middling shops have the same optimum in every line', async () => {
    const solve = await solver();
    let compared = 0;
    for (let seed = 401; seed <= 420; seed += 1) {
      const shop = made(seed, { jobs: 5, donors: 8, shelf: 16 });
      const asked: { lp: string; objective: number }[] = [];
      const open = opened(shop, openJobs(shop));
      const search = new Search(open, poolOf(open), usualWishes, (lp, seconds) => {
        const solved = solve(lp, seconds);
        if (solved.status === 'optimal') asked.push({ lp, objective: solved.objective });
        return solved;
      });
      finished(search.best(unhurried));
      /* The last of each line: all cuts are in it. */
      for (const { lp, objective } of asked.slice(-4)) {
        expect(byGlpk(lp), `shop ${seed}`).to.be.closeTo(
          objective,
          1e-6 * Math.max(1, Math.abs(objective)),
        );
        compared += 1;
      }
    }
    expect(compared).to.be.above(60);
  });
});
