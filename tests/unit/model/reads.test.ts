import { expect } from 'chai';
import fc from 'fast-check';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { all, one, type Plan } from '../../../src/core/model/plan.ts';
import { keptByReads, withTaken } from '../../../src/core/model/reads.ts';
import { withChange } from '../../../src/core/model/stages.ts';
import type { Shop } from '../../../src/core/model/types.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { pool } from '../../../src/core/plan/candidatesFor.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { planWith } from '../../helpers/build.ts';

/** A function that counts how often it really works. */
function counted<T>(work: (plan: Plan) => T) {
  const count = { runs: 0 };
  const kept = keptByReads((plan) => {
    count.runs += 1;
    return work(plan);
  });
  return { kept, count };
}
const plan = planWith({ board: { format: 'ATX' }, memory1: { size: 8 }, memory2: { size: 8 } });
const other = (kind: string): Plan => ({
  ...plan,
  seats: plan.seats.map((placed) =>
    placed.kind === kind ? { ...placed, part: { ...placed.part, name: 'another' } } : placed,
  ),
});

describe('model/reads', () => {
  it('does not work again for what was not read', () => {
    const { kept, count } = counted((each) => all(each, 'memory').map(({ part }) => part.name));
    expect(kept(plan)).to.equal(kept(other('board')));
    expect(count.runs).to.equal(1);
    expect(kept(other('memory'))).to.deep.equal(['another', 'another']);
    expect(count.runs).to.equal(2);
    expect(kept(plan)).to.deep.equal(['memory1', 'memory2']);
    expect(count.runs).to.equal(2);
  });
  it('sees a part that is gone, one more, and another order', () => {
    const { kept, count } = counted((each) => all(each, 'memory').length);
    const [board, first, second] = plan.seats;
    if (!board || !first || !second) throw new Error('no seats');
    expect(kept(plan)).to.equal(2);
    expect(kept({ ...plan, seats: [board, first] })).to.equal(1);
    expect(kept({ ...plan, seats: [board] })).to.equal(0);
    expect(
      kept({ ...plan, seats: [board, first, second, { ...second, seat: 'memory3' }] }),
    ).to.equal(3);
    kept({ ...plan, seats: [board, second, first] });
    kept({ ...plan, seats: [board, first, { ...second, state: 'stays' }] });
    expect(count.runs).to.equal(6);
  });
  it('of two in each other the outer one hangs on what the inner one read', () => {
    const inner = keptByReads((each) => one(each, 'board')?.part.name);
    const { kept, count } = counted((each) => `${inner(each)}`);
    kept(plan);
    inner(other('board'));
    expect(kept(other('board'))).to.equal('another');
    expect(kept(other('memory'))).to.equal('board');
    expect(count.runs).to.equal(2);
  });
  it('remedies count where they are read, and not where they are replaced', () => {
    const reads = counted((each) => each.taken.size);
    const taken = { ...plan, taken: new Set(['a']) };
    expect([reads.kept(plan), reads.kept(taken)]).to.deep.equal([0, 1]);
    const replaces = counted((each) => withTaken(each, new Set(['b', 'c'])).taken.size);
    expect([replaces.kept(plan), replaces.kept(taken)]).to.deep.equal([2, 2]);
    expect(replaces.count.runs).to.equal(1);
    expect(withTaken(plan, new Set(['x'])).seats).to.equal(plan.seats);
  });
  it('another shop is another answer', () => {
    const { kept, count } = counted((each) => each.shop.settings.headroom);
    kept(plan);
    kept({ ...plan, shop: { ...plan.shop, settings: { ...plan.shop.settings, headroom: 0.5 } } });
    expect(count.runs).to.equal(2);
  });
  it('gives the same sums as a shop that kept nothing, whatever is put where', () => {
    const demo = demoShop('2026-11-25T09:00:00.000Z');
    const jobs = demo.jobs.filter((job) => job.machineId !== undefined);
    const fresh = (): Shop => structuredClone(demo);
    const put = fc.record({
      job: fc.nat(jobs.length - 1),
      seat: fc.constantFrom(
        'supply',
        'cooler',
        'memory1',
        'fan1',
        'card1',
        'drive1',
        'case',
        'board',
      ),
      part: fc.nat(30),
      stage: fc.option(fc.integer({ min: 1, max: 3 }), { nil: undefined }),
    });
    fc.assert(
      fc.property(fc.array(put, { minLength: 1, maxLength: 6 }), (puts) => {
        const now = new Map(jobs.map((job) => [job.id, job]));
        for (const { job: at, seat, part: nth, stage } of puts) {
          const job = now.get(jobs[at]?.id ?? '');
          if (!job) continue;
          const parts = pool(demo, job, seat);
          const part = parts[nth % Math.max(1, parts.length)];
          const changes = withChange(job.changes, { seat, partId: part?.id ?? null, stage });
          const next = { ...job, changes };
          now.set(job.id, next);
          const kept = runChecks(planOf(demo, next));
          expect(kept).to.deep.equal(runChecks(planOf(fresh(), structuredClone(next))));
        }
      }),
      { numRuns: 25 },
    );
  }).timeout(60_000);
});
