import { expect } from 'chai';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { putPart } from '../../../src/core/edits/edits.ts';
import { handOver } from '../../../src/core/edits/handOverEdits.ts';
import {
  dropEntry,
  editEntry,
  keepWhole,
  lend,
  movePart,
  nextEntryId,
  reserve,
  setHour,
  setRate,
  strip,
  writeEntry,
} from '../../../src/core/edits/ledgerEdits.ts';
import { buyLine } from '../../../src/core/edits/tripEdits.ts';
import { indexOf } from '../../../src/core/model/lookup/lookup.ts';
import { checkShop } from '../../../src/core/document/read.ts';
import type { Job, Shop } from '../../../src/core/model/types/types.ts';
import { donorAccount, jobAccount } from '../../../src/core/donors/index.ts';
import { costs } from '../../../src/core/shop/standing.ts';
import { jobOver } from '../../helpers/build.ts';

const at = '2026-11-25T10:00:00.000Z';
const eur = (minor: number) => ({ minor, currency: 'EUR' });

/** A machine for 60.00 with a supply that leaves for one of 20.00, and a want of 4.00. */
function bench(): { shop: Shop; job: Job } {
  const { shop, job } = jobOver(
    { supply: { watts: 200 }, fan1: {} },
    { supply: { watts: 400 } },
    { wants: [{ what: 'paste', count: 1, price: eur(400) }] },
  );
  return {
    job,
    shop: {
      ...shop,
      machines: shop.machines.map((machine) => ({ ...machine, price: eur(6000) })),
      parts: shop.parts.map((part) =>
        part.id === 'T-supply' ? { ...part, price: eur(2000) } : part,
      ),
    },
  };
}
const of = (shop: Shop): Job => shop.jobs[0] as Job;
const run = (shop: Shop, ...edits: ((shop: Shop) => Shop)[]) =>
  edits.reduce((now, edit) => edit(now), shop);

/** The account of the job under test, over its plan. */
const accountOf = (shop: Shop) => jobAccount(shop, of(shop), planOf(shop, of(shop)));

describe('donors/accounts', () => {
  it('counts machine, parts that come and wants, each once', () => {
    const { shop } = bench();
    const found = accountOf(shop);
    expect(found.costs).to.equal(6000 + 2000 + 400);
    expect(found.lines.map((line) => line.what)).to.have.members([
      shop.machines[0]?.name,
      'supply',
      'paste',
    ]);
    expect(found.leftovers.map((each) => each.partId)).to.deep.equal(['F-supply']);
    expect(costs(shop, of(shop)).total.minor).to.equal(found.costs);
  });
  it('a line of the book takes the place of the price noted at the thing', () => {
    const { shop } = bench();
    const machineId = shop.machines[0]?.id;
    const after = run(
      shop,
      writeEntry({ at, kind: 'cost', what: 'the machine', money: eur(5500), machineId }),
      writeEntry({ at, kind: 'cost', what: 'supply', money: eur(1900), partId: 'T-supply' }),
      writeEntry({ at, kind: 'cost', what: 'paste', money: eur(350), jobId: '1' }),
      writeEntry({ at, kind: 'cost', what: 'paint', money: eur(1250), jobId: '1' }),
    );
    expect(accountOf(after).costs).to.equal(5500 + 1900 + 350 + 1250);
  });
  it('a gift costs nothing and is named with what it is worth', () => {
    const { shop } = bench();
    const after = writeEntry({
      at,
      kind: 'gift',
      what: 'supply',
      money: eur(1500),
      partId: 'T-supply',
    })(shop);
    const found = accountOf(after);
    expect(found.costs).to.equal(6000 + 400);
    expect(found.gifts).to.equal(1500);
  });
  it('what is sold leaves the house, and the donor it came from gets the money', () => {
    const { shop } = bench();
    const after = run(
      shop,
      handOver('1', at),
      writeEntry({ at, kind: 'sale', what: 'old PSU', money: eur(1500), partId: 'F-supply' }),
    );
    expect(indexOf(after).parts.get('F-supply')).to.include({ place: 'gone', from: 'M1' });
    const found = accountOf(after);
    expect(found.sales).to.equal(1500);
    expect(found.costs).to.equal(8400);
    expect(found.leftovers).to.deep.equal([]);
    const donor = donorAccount(after, after.machines[0] as Shop['machines'][number]);
    expect([donor.costs, donor.sales, donor.balance]).to.deep.equal([6000, 1500, -4500]);
  });
  it('selling a part out of a donor keeps it in the account of the donor', () => {
    const { shop } = bench();
    const after = writeEntry({ at, kind: 'sale', what: 'fan', money: eur(300), partId: 'F-fan1' })(
      shop,
    );
    expect(after.machines[0]?.seats.map((seat) => seat.partId)).to.deep.equal(['F-supply']);
    expect(donorAccount(after, after.machines[0] as Shop['machines'][number]).sales).to.equal(300);
  });
  it('exchanges foreign money line by line, at the rate of the shop', () => {
    const { shop } = bench();
    const dollars = writeEntry({
      at,
      kind: 'cost',
      what: 'riser',
      money: { minor: 999, currency: 'USD' },
      jobId: '1',
    })(shop);
    expect(accountOf(dollars).noRate).to.deep.equal(['riser (USD)']);
    const rated = setRate({ currency: 'USD', rate: '0.9' })(dollars);
    expect(accountOf(rated).costs).to.equal(8400 + 899);
    expect(setRate({ currency: 'USD', rate: '' })(rated).settings.rates).to.deep.equal([]);
  });
  it('a leftover another job wants is none', () => {
    const { shop } = bench();
    const other = { ...of(shop), id: '2', changes: [{ seat: 'supply', partId: 'F-supply' }] };
    const both = { ...shop, jobs: [...shop.jobs, { ...other, machineId: undefined }] };
    expect(accountOf(both).leftovers).to.deep.equal([]);
  });
});

describe('edits/ledgerEdits', () => {
  it('numbers lines upwards and never twice', () => {
    const { shop } = bench();
    const line = { at, kind: 'cost' as const, what: 'x', money: eur(1) };
    const three = run(shop, writeEntry(line), writeEntry(line), writeEntry(line));
    expect(three.ledger.map((entry) => entry.id)).to.deep.equal(['L0001', 'L0002', 'L0003']);
    const gap = dropEntry('L0002')(three);
    expect(nextEntryId(gap)).to.equal('L0004');
    expect(editEntry('L0003', { what: 'y' })(gap).ledger[1]?.what).to.equal('y');
    expect(checkShop(JSON.parse(JSON.stringify(gap))).ledger).to.have.length(2);
  });
  it('moves a part of the shelf, never one that sits in a machine', () => {
    const { shop } = bench();
    expect(indexOf(movePart('T-supply', 'drawer 3')(shop)).parts.get('T-supply')?.where).to.equal(
      'drawer 3',
    );
    expect(movePart('F-fan1', 'drawer 3')(shop)).to.equal(shop);
  });
  it('strips a donor: its condition and origin go with the part', () => {
    const { shop } = bench();
    const worn: Shop = {
      ...shop,
      machines: shop.machines.map((machine) => ({
        ...machine,
        state: 'donor',
        condition: 'worn',
        origin: 'the post',
      })),
    };
    const after = strip('M1', ['F-fan1'], 'drawer 1', 'Fan taken.')(worn);
    expect(indexOf(after).parts.get('F-fan1')).to.include({
      place: 'shelf',
      where: 'drawer 1',
      from: 'M1',
      condition: 'worn',
      origin: 'the post',
    });
    expect(after.machines[0]?.note).to.contain('Fan taken.');
    expect(after.machines[0]?.seats).to.have.length(1);
  });
  it('lends, reserves, keeps whole, sets an hour: all of it a document still', () => {
    const { shop } = bench();
    const after = run(
      shop,
      lend('T-supply', { way: 'lent', who: 'the school', until: '2026-12-01' }),
      reserve('F-fan1', '1'),
      keepWhole('M1', true),
      setHour(eur(1800)),
    );
    const read = checkShop(JSON.parse(JSON.stringify(after)));
    expect(indexOf(read).parts.get('T-supply')?.loan?.until).to.equal('2026-12-01');
    expect(read.machines[0]?.keepWhole).to.equal(true);
    expect(read.settings.anHour).to.deep.equal(eur(1800));
    const back = run(read, lend('T-supply', { way: undefined }), keepWhole('M1', false));
    expect(checkShop(JSON.parse(JSON.stringify(back))).machines[0]).not.to.have.property(
      'keepWhole',
    );
  });
  it('a line of the shopping list is written into the book with its price and day', () => {
    const { shop } = bench();
    const wanting: Shop = {
      ...shop,
      parts: shop.parts.map((part) =>
        part.id === 'T-supply' ? { ...part, place: 'buy', name: 'paste' } : part,
      ),
    };
    const after = buyLine('paste', eur(450), at)(wanting);
    expect(
      after.ledger.map(({ what, money, partId, jobId }) => [what, money?.minor, partId, jobId]),
    ).to.deep.equal([
      ['paste', 450, 'T-supply', '1'],
      ['paste', 450, undefined, '1'],
    ]);
    expect(accountOf(after).costs).to.equal(6000 + 450 + 450);
    const again = putPart('1', 'fan1', null)(after);
    expect(buyLine('paste', eur(450), at)(again)).to.equal(again);
  });
});
