import { expect } from 'chai';
import fc from 'fast-check';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { editMachine, editPart, editSettings, setFact } from '../../../src/core/edits/edits.ts';
import { keepWhole, lend, reserve } from '../../../src/core/edits/ledgerEdits.ts';
import { properties } from '../../../src/core/model/properties/index.ts';
import {
  partsOfKind,
  numberAt,
  partOfKind,
  type Plan,
} from '../../../src/core/model/lookup/plan.ts';
import {
  carryMemo,
  keptByFacts,
  keptByReads,
  plugsOf,
  settingsOf,
  withApplied,
} from '../../../src/core/model/lookup/reads.ts';
import { withChange } from '../../../src/core/model/types/stages.ts';
import type { Facts } from '../../../src/core/model/types/fact.ts';
import type { Part, Shop } from '../../../src/core/model/types/types.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { pool } from '../../../src/core/resolve/candidatesFor.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { planWith } from '../../helpers/build.ts';
import { cageOut } from '../../../src/core/remedies/cageOut.ts';
import { lidWashers } from '../../../src/core/remedies/lidWashers.ts';
import { turnSupply } from '../../../src/core/remedies/turnSupply.ts';

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
    const { kept, count } = counted((each) =>
      partsOfKind(each, 'memory').map(({ part }) => part.name),
    );
    expect(kept(plan)).to.equal(kept(other('board')));
    expect(count.runs).to.equal(1);
    expect(kept(other('memory'))).to.deep.equal(['another', 'another']);
    expect(count.runs).to.equal(2);
    expect(kept(plan)).to.deep.equal(['memory1', 'memory2']);
    expect(count.runs).to.equal(2);
  });
  it('sees a part that is gone, one more, and another order', () => {
    const { kept, count } = counted((each) => partsOfKind(each, 'memory').length);
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
  it('of two in each other the outer one depends on what the inner one read', () => {
    const inner = keptByReads((each) => partOfKind(each, 'board')?.part.name);
    const { kept, count } = counted((each) => `${inner(each)}`);
    kept(plan);
    inner(other('board'));
    expect(kept(other('board'))).to.equal('another');
    expect(kept(other('memory'))).to.equal('board');
    expect(count.runs).to.equal(2);
  });
  it('remedies count where they are read, and not where they are replaced', () => {
    const reads = counted((each) => each.applied.length);
    const taken = { ...plan, applied: [cageOut()] };
    expect([reads.kept(plan), reads.kept(taken)]).to.deep.equal([0, 1]);
    const replaces = counted(
      (each) => withApplied(each, [lidWashers(), turnSupply()]).applied.length,
    );
    expect([replaces.kept(plan), replaces.kept(taken)]).to.deep.equal([2, 2]);
    expect(replaces.count.runs).to.equal(1);
    expect(withApplied(plan, [cageOut()]).seats).to.equal(plan.seats);
  });
  it('a later shop counts where it is read, wholly or its settings or plugs alone', () => {
    const later: Plan = {
      ...plan,
      shop: { ...plan.shop, settings: { ...plan.shop.settings, headroom: 0.5 } },
    };
    for (const [work, runs] of [
      [(each: Plan) => each.shop.settings.headroom, 2],
      [(each: Plan) => settingsOf(each).headroom, 2],
      [(each: Plan) => plugsOf(each).plugs.length, 1],
      [(each: Plan) => partsOfKind(each, 'memory').length, 1],
    ] as const) {
      const { kept, count } = counted<unknown>(work);
      kept(plan);
      carryMemo(plan.shop, later.shop);
      kept(later);
      expect(count.runs).to.equal(runs);
    }
  });
  it('kept by facts, a part measured where nobody looked is the same part; one measured, named or standing otherwise where it was looked at is not', () => {
    const count = { runs: 0 };
    const kept = keptByFacts((each: Plan) => {
      count.runs += 1;
      return partsOfKind(each, 'memory').map((placed) => numberAt(each, placed, 'size')?.lo);
    });
    const changed = (facts: Facts, more: Partial<Part> = {}): Plan => ({
      ...plan,
      seats: plan.seats.map((placed) => {
        if (placed.seat !== 'memory1') return placed;
        const { part } = placed;
        return { ...placed, part: { ...part, ...more, facts: { ...part.facts, ...facts } } };
      }),
    });
    const one = (value: number) => ({ lo: value, hi: value, how: 'measured' as const });
    expect(kept(plan)).to.deep.equal([8, 8]);
    expect(kept(changed({ height: one(40) }))).to.deep.equal([8, 8]);
    expect(count.runs).to.equal(1);
    expect(kept(changed({ size: one(4) }))).to.deep.equal([4, 8]);
    kept(changed({}, { name: 'another' }));
    kept(changed({}, { condition: 'dead' }));
    expect(count.runs).to.equal(4);
    /* What is usual is told by the class: nobody measured the room, so its class was looked at, first time and later. */
    const rooms = planWith({ case: { class: 'slim' } });
    const room = keptByFacts((each: Plan) => {
      const box = partOfKind(each, 'case');
      return box && numberAt(each, box, 'cardRoom')?.hi;
    });
    const tower: Plan = {
      ...rooms,
      seats: rooms.seats.map((placed) => ({
        ...placed,
        part: { ...placed.part, facts: { class: { text: 'tower', how: 'said' as const } } },
      })),
    };
    const of = (each: Plan) => {
      const box = partOfKind(each, 'case');
      return box && numberAt(each, box, 'cardRoom')?.hi;
    };
    expect(of(rooms)).to.not.equal(of(tower));
    expect([room(rooms), room(tower), room(rooms)]).to.deep.equal([
      of(rooms),
      of(tower),
      of(rooms),
    ]);
  });
  it('sees a model that was measured again, and not one of another kind', () => {
    const model = (value: number): Shop['models'][number] => ({
      id: 'twin',
      kind: 'memory',
      name: 'twin',
      facts: { size: { lo: value, hi: value, how: 'measured' } },
    });
    const of = (value: number): Plan => ({
      ...plan,
      shop: { ...plan.shop, models: [model(value)] },
    });
    const seats = plan.seats.map((placed) =>
      placed.kind === 'memory'
        ? { ...placed, part: { ...placed.part, facts: {}, modelId: 'twin' } }
        : placed,
    );
    const sizes = counted((each) =>
      partsOfKind(each, 'memory').map((placed) => numberAt(each, placed, 'size')?.lo),
    );
    const [four, eight] = [of(4), of(8)];
    expect(sizes.kept({ ...four, seats })).to.deep.equal([4, 4]);
    carryMemo(four.shop, eight.shop);
    expect(sizes.kept({ ...eight, seats })).to.deep.equal([8, 8]);
    const boards = counted((each) => partOfKind(each, 'board')?.part.name);
    const [before, after] = [of(4), of(8)];
    boards.kept({ ...before, seats });
    carryMemo(before.shop, after.shop);
    boards.kept({ ...after, seats });
    expect(boards.count.runs).to.equal(1);
    boards.kept({ ...of(8), seats });
    expect(boards.count.runs, 'a shop nobody carried anything to').to.equal(2);
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
  it('and whatever is measured, said, lent, moved or set', () => {
    const at = '2026-11-25T09:00:00.000Z';
    let shop = demoShop(at);
    const parts = shop.parts.map((part) => part.id);
    const kinds = new Map(shop.parts.map((part) => [part.id, part.kind]));
    const pick = {
      nth: fc.nat(parts.length - 1),
      key: fc.nat(60),
      value: fc.integer({ min: 1, max: 400 }),
    };
    const change = fc.record({ what: fc.nat(9), onModel: fc.boolean(), ...pick });
    fc.assert(
      fc.property(fc.array(change, { minLength: 1, maxLength: 5 }), (changes) => {
        for (const { what, onModel, nth, key, value } of changes) {
          const id = parts[nth] ?? '';
          const kind = kinds.get(id);
          const numbers = (kind ? properties[kind] : []).filter(
            ({ measure }) => measure !== 'text' && measure !== 'list',
          );
          const property = numbers[key % Math.max(1, numbers.length)];
          const fact = { lo: value, hi: value, how: 'measured' as const };
          /* By its class is told what is usual: said otherwise, all that nobody measured is another. */
          const words = (kind ? properties[kind] : []).filter(({ options }) => options?.length);
          const word = words[key % Math.max(1, words.length)];
          const said = {
            text: word?.options?.[value % word.options.length] ?? '',
            how: 'said' as const,
          };
          const edits = [
            property ? setFact(id, property.key, fact, onModel) : reserve(id, '9'),
            property ? setFact(id, property.key, undefined, onModel) : reserve(id, undefined),
            lend(id, { way: value % 2 ? 'borrowed' : undefined }),
            editPart(id, { condition: value % 2 ? 'dead' : 'good' }),
            editSettings({ headroom: (value % 5) / 10 }),
            keepWhole(`M${value % 12}`, value % 2 === 0),
            editMachine(`M${value % 12}`, { state: value % 2 ? 'in use' : 'donor' }),
            editPart(id, { price: { minor: value, currency: 'EUR' } }),
            word ? setFact(id, word.key, said, onModel) : reserve(id, '9'),
            word ? setFact(id, word.key, undefined, onModel) : reserve(id, undefined),
          ];
          const edit = edits[what];
          if (!edit) continue;
          const next = edit(shop);
          carryMemo(shop, next);
          shop = next;
        }
        for (const job of shop.jobs) {
          const fresh = structuredClone(shop);
          const same = fresh.jobs.find((each) => each.id === job.id) ?? job;
          expect(runChecks(planOf(shop, job))).to.deep.equal(runChecks(planOf(fresh, same)));
        }
      }),
      { numRuns: 40 },
    );
  }).timeout(120_000);
});
