import { expect } from 'chai';
import fc from 'fast-check';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import {
  deleteJob,
  deleteMachine,
  deleteParts,
  machineLeaves,
  markParts,
  moveParts,
  partsLeave,
  priceParts,
  sendToJob,
  whyJobKept,
  whyMachineKept,
  whyPartsKept,
} from '../../../src/core/edits/shelfEdits.ts';
import { addTwins } from '../../../src/core/edits/partEdits.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import {
  filterShelf,
  kindsThere,
  shelfRows,
  shelfSorts,
  sortShelf,
  type ShelfFilter,
} from '../../../src/core/quick/shelf.ts';
import { kinds, type Shop } from '../../../src/core/model/types/types.ts';
import { readShop } from '../../../src/core/document/read.ts';
import { writeShop } from '../../../src/core/export/json.ts';

const NOW = '2026-01-01T12:00:00.000Z';
const demo = demoShop(NOW);
const rows = shelfRows(demo);
const ids = (list: typeof rows) => list.map(({ part }) => part.id);
const part = (shop: Shop, id: string) => shop.parts.find((each) => each.id === id);
const all: ShelfFilter = { text: '', where: 'all' };

describe('the shelf', () => {
  it('has every part once, by tag with numbers as numbers', () => {
    expect(new Set(ids(rows)).size).to.equal(demo.parts.length);
    const shuffled = shelfRows({ ...demo, parts: [...demo.parts].reverse() });
    expect(ids(shuffled)).to.deep.equal(ids(rows));
    const few = ['A10', 'A2', 'A02', 'B1'].map((id) => ({
      ...(demo.parts[0] as never as object),
      id,
    }));
    expect(ids(shelfRows({ ...demo, parts: few as never }))).to.deep.equal([
      'A02',
      'A2',
      'A10',
      'B1',
    ]);
  });

  it('parts the whole by where things are', () => {
    const places = ['shelf', 'donor', 'machine', 'buy', 'gone'] as const;
    const parted = places.map((where) => filterShelf(demo, rows, { ...all, where }).length);
    expect(parted.reduce((sum, n) => sum + n, 0)).to.equal(rows.length);
    expect(parted[0]).to.be.greaterThan(0);
    expect(parted[1]).to.be.greaterThan(0);
    expect(filterShelf(demo, rows, { ...all, where: 'free' }).length).to.equal(
      (parted[0] ?? 0) + (parted[1] ?? 0),
    );
  });

  it('passes just what meets every filter, held against each condition by itself', () => {
    fc.assert(
      fc.property(
        fc.record({
          kind: fc.option(fc.constantFrom(...kinds), { nil: undefined }),
          condition: fc.option(fc.constantFrom('tested', 'unknown', 'dead' as const), {
            nil: undefined,
          }),
          most: fc.option(fc.integer({ min: 0, max: 9000 }), { nil: undefined }),
          unwanted: fc.boolean(),
        }),
        ({ kind, condition, most, unwanted }) => {
          const found = filterShelf(demo, rows, {
            ...all,
            kind,
            condition: condition as never,
            most,
            unwanted,
          });
          const by = rows.filter((row) => {
            if (kind && row.part.kind !== kind) return false;
            if (condition && row.condition !== condition) return false;
            if (most !== undefined && !(row.minor !== undefined && row.minor <= most)) return false;
            return !(unwanted && (row.wanted.length > 0 || row.part.reserved));
          });
          expect(ids(found)).to.deep.equal(ids(by));
        },
      ),
      { numRuns: 200 },
    );
  });

  for (const by of shelfSorts)
    it(`sorts by ${by} both ways; nothing is lost, what is not known stands last`, () => {
      for (const down of [false, true]) {
        const sorted = sortShelf(rows, by, down);
        expect([...ids(sorted)].sort()).to.deep.equal([...ids(rows)].sort());
        if (by === 'price' || by === 'age') {
          const values = sorted.map((row) => (by === 'price' ? row.minor : row.since));
          const first = values.indexOf(undefined);
          if (first >= 0)
            expect(values.slice(first).every((each) => each === undefined)).to.equal(true);
          const known = values.filter((each) => each !== undefined);
          for (const [i, each] of known.entries()) {
            const next = known[i + 1];
            if (next !== undefined) expect(down ? each >= next : each <= next).to.equal(true);
          }
        }
      }
    });

  it('counts kinds', () => {
    expect(kindsThere(rows).reduce((sum, { count }) => sum + count, 0)).to.equal(rows.length);
  });
});

describe('several parts at once', () => {
  const free = ids(filterShelf(demo, rows, { ...all, where: 'shelf', unwanted: true })).slice(0, 3);
  const [seated] = ids(filterShelf(demo, rows, { ...all, where: 'machine' }));

  it('are moved, marked and priced; what sits in a machine stays there', () => {
    const moved = moveParts([...free, seated ?? ''], 'box 9')(demo);
    for (const id of free) expect(part(moved, id)).to.include({ where: 'box 9', place: 'shelf' });
    expect(part(moved, seated ?? '')).to.deep.equal(part(demo, seated ?? ''));
    const money = { minor: 750, currency: demo.settings.currency };
    const priced = markParts(free, 'worn')(priceParts(free, money)(demo));
    for (const id of free)
      expect(part(priced, id)).to.deep.include({ price: money, condition: 'worn' });
    const changed = priced.parts.filter((each, i) => each !== demo.parts[i]);
    expect(changed.map(({ id }) => id).sort()).to.deep.equal([...free].sort());
  });

  it('go into a job’s free seats, each of its kind, none twice', () => {
    const job = demo.jobs.find(({ id }) => id === '14');
    const drives = ids(rows)
      .filter((id) => part(demo, id)?.kind === 'drive')
      .slice(0, 2);
    const sent = sendToJob(drives, '14')(demo);
    const planned = planOf(sent, sent.jobs.find(({ id }) => id === '14') as never);
    for (const id of drives)
      expect(
        planned.seats.filter((each) => each.part.id === id && each.kind === 'drive'),
      ).to.have.length(1);
    expect(sendToJob(drives, '14')(sent).jobs).to.deep.equal(sent.jobs);
    expect(job).to.not.equal(undefined);
  });

  it('are deleted only where nothing rests on them', () => {
    const tried = [...free, seated ?? ''];
    expect(whyPartsKept(demo, tried)).to.have.length(1);
    const left = deleteParts(tried)(demo);
    expect(left.parts).to.have.length(demo.parts.length - free.length);
    expect(part(left, seated ?? '')).to.not.equal(undefined);
  });

  it('sold together fetch just what was got, to the cent, a line of the book for each', () => {
    const money = { minor: 1001, currency: demo.settings.currency };
    const sold = partsLeave(free, { how: 'sold', at: NOW, money, who: 'the school' })(demo);
    const lines = sold.ledger.slice(demo.ledger.length);
    expect(lines).to.have.length(free.length);
    expect(lines.reduce((sum, line) => sum + (line.money?.minor ?? 0), 0)).to.equal(1001);
    expect(lines.every(({ kind, who }) => kind === 'sale' && who === 'the school')).to.equal(true);
    for (const id of free) expect(part(sold, id)?.place).to.equal('gone');
    expect(readShop(writeShop(sold)).ledger).to.have.length(sold.ledger.length);
    /* Sold is sold: a second time writes no second line. */
    expect(partsLeave(free, { how: 'sold', at: NOW, money })(sold).ledger).to.have.length(
      sold.ledger.length,
    );
  });

  it('scrapped move no money; out of a machine they leave their seat', () => {
    const gone = partsLeave([seated ?? ''], { how: 'scrapped', at: NOW })(demo);
    expect(gone.ledger).to.deep.equal(demo.ledger);
    expect(
      gone.machines.some(({ seats }) => seats.some(({ partId }) => partId === seated)),
    ).to.equal(false);
    expect(part(gone, seated ?? '')?.from).to.not.equal(undefined);
  });
});

describe('a machine, a job as a whole', () => {
  const donor = demo.machines.find(({ state }) => state === 'donor');

  it('leaves with what sits in it, under one line', () => {
    if (!donor) throw new Error('no donor');
    const money = { minor: 4000, currency: demo.settings.currency };
    const sold = machineLeaves(donor.id, { how: 'given away', at: NOW, money })(demo);
    expect(
      sold.ledger.slice(demo.ledger.length).map(({ kind, machineId }) => [kind, machineId]),
    ).to.deep.equal([['gift', donor.id]]);
    for (const { partId } of donor.seats) expect(part(sold, partId)?.place).to.equal('gone');
  });

  it('is deleted only where no job, plan or line of the book rests on it', () => {
    for (const machine of demo.machines) {
      const why = whyMachineKept(demo, machine.id);
      const left = deleteMachine(machine.id)(demo);
      expect(left === demo).to.equal(why !== undefined);
      const used =
        demo.jobs.some(
          ({ machineId, changes }) =>
            machineId === machine.id ||
            changes.some(({ partId }) => machine.seats.some((seat) => seat.partId === partId)),
        ) || demo.ledger.some(({ machineId }) => machineId === machine.id);
      expect(used).to.equal(why !== undefined);
      if (left !== demo)
        expect(left.parts).to.have.length(demo.parts.length - machine.seats.length);
    }
  });

  it('of a job: kept where it was handed over or the book knows it; else its parts are free', () => {
    const [first] = demo.jobs.filter(({ id }) => whyJobKept(demo, id) === undefined);
    const done = { ...demo, jobs: demo.jobs.map((job) => ({ ...job, handedOver: NOW })) };
    expect(demo.jobs.every(({ id }) => whyJobKept(done, id)?.includes('handed over'))).to.equal(
      true,
    );
    if (!first) throw new Error('every job is kept');
    const kept = { ...demo, parts: demo.parts.map((each) => ({ ...each, reserved: first.id })) };
    const left = deleteJob(first.id)(kept);
    expect(left.jobs).to.have.length(demo.jobs.length - 1);
    expect(left.parts.every(({ reserved }) => reserved === undefined)).to.equal(true);
    expect(left.machines).to.equal(kept.machines);
  });
});

describe('twins', () => {
  it('share one model: what is measured at one is known of all; the first tag is told', () => {
    const made = addTwins(
      {
        kind: 'fan',
        name: 'fan 92',
        facts: { size: { lo: 92, hi: 92, how: 'said' } },
        place: 'shelf',
      },
      4,
    );
    const shop = made.edit(demo);
    const fresh = shop.parts.slice(demo.parts.length);
    expect(fresh).to.have.length(4);
    expect(fresh[0]?.id).to.equal(made.tag());
    expect(new Set(fresh.map(({ modelId }) => modelId)).size).to.equal(1);
    expect(new Set(fresh.map(({ id }) => id)).size).to.equal(4);
    const alone = addTwins({ kind: 'fan', name: 'fan 92', facts: {}, place: 'shelf' }, 1).edit(
      demo,
    );
    expect(alone.models).to.equal(demo.models);
  });
});
