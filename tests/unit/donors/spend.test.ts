import { expect } from 'chai';
import { billOf, byPrice, jobAccount, toPay } from '../../../src/core/donors/index.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { runsOf, whyNot } from '../../../src/core/plan/runs.ts';
import { checkShop } from '../../../src/core/document/read.ts';
import type { Part, Shop } from '../../../src/core/model/types/types.ts';
import { rowOf } from '../../helpers/wrecks.ts';

const EUR = (minor: number) => ({ minor, currency: 'EUR' });
const card = {
  length: 168,
  height: 65,
  bracket: 'both',
  slotsWide: 1,
  watts: 30,
  screens: 2,
  plugs: [],
};
const shopWith = (part: Partial<Part>, more: Partial<Shop> = {}): Shop => {
  const shop = rowOf(2, 0, [{ seat: 'card1', id: 'X', facts: card, part }]);
  return {
    ...shop,
    jobs: shop.jobs.map((job) => ({ ...job, changes: [{ seat: 'card1', partId: 'X' }] })),
    ...more,
  };
};
const findings = (shop: Shop, jobAt = 0) => {
  const plan = planOf(shop, shop.jobs[jobAt]!);
  return { plan, found: runChecks(plan) };
};

describe('donors/spend, what is still to be spent', () => {
  it('counts what is to buy once, however many want it, and nothing that is ours', () => {
    const shop = shopWith({ place: 'buy', price: EUR(1200) });
    expect(billOf(shop, shop.jobs).sum).to.deep.equal({ lo: 1200, hi: 1200 });
    expect(billOf(shop, shop.jobs).lines[0]?.jobIds).to.deep.equal(['1', '2']);
    const ours = shopWith({ place: 'shelf', price: EUR(1200) });
    expect(billOf(ours, ours.jobs)).to.deep.include({ sum: { lo: 0, hi: 0 }, lines: [] });
  });
  it('carries a price as a range, in the shop’s own currency', () => {
    const shop = shopWith({ place: 'buy', price: { minor: 1000, currency: 'USD' }, priceTo: 1500 });
    const rates = [{ currency: 'USD', rate: '0.9' }];
    const settings = { ...shop.settings, rates };
    expect(billOf({ ...shop, settings }, shop.jobs).sum).to.deep.equal({ lo: 900, hi: 1350 });
    expect(billOf(shop, shop.jobs).noRate).to.deep.equal(['card1 ' + JSON.stringify(card)]);
  });
  it('sorts what has no price behind all that has one', () => {
    expect(byPrice('no price', { lo: 9e9, hi: 9e9 })).to.be.above(0);
    expect(byPrice({ lo: 9e9, hi: 9e9 }, 'no rate')).to.be.below(0);
    expect(byPrice({ lo: 1, hi: 9 }, { lo: 2, hi: 2 })).to.be.below(0);
  });
  it('a price not said is no price, 0 is one', () => {
    const part = (more: Partial<Part>) => shopWith({ place: 'buy', ...more });
    const pay = (shop: Shop) =>
      toPay(
        shop,
        shop.parts.find(({ id }) => id === 'X')!,
      );
    expect(pay(part({}))).to.equal('no price');
    expect(pay(part({ price: EUR(0) }))).to.deep.equal({ lo: 0, hi: 0 });
  });
  it('an offered machine stands in the account of the first job that wants of it, once', () => {
    const offer = { currency: 'EUR', asked: 3000, fixes: [] };
    const shop = rowOf(2, 0, [
      { seat: 'card1', id: 'A', facts: card, donor: 'O', machine: { state: 'offered', offer } },
      { seat: 'card1', id: 'B', facts: card, donor: 'O' },
    ]);
    const jobs = shop.jobs.map((job, i) => ({
      ...job,
      changes: [{ seat: 'card1', partId: i === 0 ? 'A' : 'B' }],
    }));
    const both = { ...shop, jobs };
    const costs = jobs.map((job) => jobAccount(both, job, planOf(both, job)).costs);
    expect(costs).to.deep.equal([3000, 0]);
    expect(billOf(both, jobs).sum.hi).to.equal(3000);
  });
  it('lots and ranges go through the file', () => {
    const shop = shopWith({ place: 'buy', price: EUR(100), priceTo: 300, lot: 'three cards' });
    const read = checkShop(JSON.parse(JSON.stringify(shop)) as unknown);
    expect(read.parts.find(({ id }) => id === 'X')).to.include({
      priceTo: 300,
      lot: 'three cards',
    });
    const wrong = JSON.parse(JSON.stringify(shop)) as { parts: { id: string; priceTo: unknown }[] };
    for (const part of wrong.parts) part.priceTo = -1;
    expect(() => checkShop(wrong)).to.throw(/priceTo/);
  });
});

describe('plan/runs, what running is', () => {
  it('a machine with a card runs; without, the reason is the picture', () => {
    const shop = shopWith({ place: 'shelf' });
    const one = { ...shop, jobs: [shop.jobs[0]!] };
    const { plan, found } = findings(one);
    expect(runsOf(plan, found)).to.deep.include({ runs: true, lacks: [] });
    const bare = { ...one, jobs: [{ ...one.jobs[0]!, changes: [] }] };
    const none = findings(bare);
    expect(runsOf(none.plan, none.found).runs).to.equal(false);
    expect(whyNot(runsOf(none.plan, none.found)).join()).to.contain('no card is planned');
  });
  it('an empty seat, a dead part, one gone, one wanted twice keep it from running', () => {
    const empty = shopWith({ place: 'shelf' });
    const changes = [...empty.jobs[0]!.changes, { seat: 'supply', partId: null }];
    const out = { ...empty, jobs: [{ ...empty.jobs[0]!, changes }] };
    expect(runsOf(planOf(out, out.jobs[0]!), findings(out).found).lacks).to.deep.equal(['supply']);
    for (const [more, jobs] of [
      [{ condition: 'dead' as const }, 1],
      [{ place: 'gone' as const }, 1],
      [{ place: 'shelf' as const }, 2],
    ] as const) {
      const shop = shopWith(more);
      const { plan, found } = findings({ ...shop, jobs: shop.jobs.slice(0, jobs) });
      expect(runsOf(plan, found).runs, JSON.stringify(more)).to.equal(false);
    }
  });
  it('what no tool lists of a machine: there where it starts, lacking where it does not, else nobody said', () => {
    const shop = shopWith({ place: 'shelf' });
    const stands = (starts: boolean | undefined) => {
      const machines = shop.machines.map((machine) => ({
        ...machine,
        starts,
        seats: machine.seats.filter(({ seat }) => seat !== 'cooler'),
      }));
      const at = { ...shop, machines, jobs: [shop.jobs[0]!] };
      const plan = planOf(at, at.jobs[0]!);
      const { lacks, unsaid } = runsOf(plan, []);
      return { lacks, unsaid };
    };
    expect(stands(true)).to.deep.equal({ lacks: [], unsaid: [] });
    expect(stands(false)).to.deep.equal({ lacks: ['cooler'], unsaid: [] });
    expect(stands(undefined)).to.deep.equal({ lacks: [], unsaid: ['cooler'] });
  });
  it('budget and wishes are told apart: they do not keep it from running', () => {
    const shop = shopWith({ place: 'buy', price: EUR(9000) });
    const job = {
      ...shop.jobs[0]!,
      budget: EUR(100),
      requirements: [{ what: 'screens' as const, count: 4 }],
    };
    const { plan, found } = findings({ ...shop, jobs: [job] });
    const about = found.filter(({ mark }) => mark === 'mend').map((each) => each.about?.of);
    expect(about).to.have.members(['money', 'requirement']);
    expect(runsOf(plan, found).runs).to.equal(true);
  });
  it('says of a part to buy that nobody priced it, and of one lent that it is back too late', () => {
    const ids = (shop: Shop) => findings({ ...shop, jobs: [shop.jobs[0]!] }).found;
    expect(
      ids(shopWith({ place: 'buy' })).find(({ id }) => id === 'unpriced:card1')?.mark,
    ).to.equal('watch');
    expect(
      ids(shopWith({ place: 'buy', price: EUR(0) })).some(({ id }) => id === 'unpriced:card1'),
    ).to.equal(false);
    const lent = (deadline: string) => {
      const shop = shopWith({ loan: { way: 'lent', until: '2026-12-10' } });
      const job = { ...shop.jobs[0]!, deadline };
      return findings({ ...shop, jobs: [job] }).found.find(({ id }) => id === 'loan:card1')?.mark;
    };
    expect(lent('2026-12-09T12:00:00.000Z')).to.equal('mend');
    expect(lent('2026-12-10T12:00:00.000Z')).to.equal('watch');
  });
});
