import { expect } from 'chai';
import fc from 'fast-check';
import { staying, worth, WorthError } from '../../../src/core/donors/index.ts';
import { overBudget } from '../../../src/core/plan/overBudget.ts';
import { readWorth } from '../../../src/core/donors/schema.ts';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { candidatesFor } from '../../../src/core/resolve/candidatesFor.ts';
import { foundOf } from '../../../src/core/plan/planOf.ts';
import { withChange } from '../../../src/core/model/types/stages.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { jobWith, planWith, type Seats } from '../../helpers/build.ts';

const fixed = (minor: number) => ({ lo: minor, hi: minor });

describe('donors/worth', () => {
  it('is what it is worth less what must be fixed, to the cent', () => {
    const found = worth({
      value: fixed(20_000),
      fixes: [
        { what: 'supply', price: fixed(3_333) },
        { what: 'case', price: fixed(2_001) },
      ],
      asked: 12_000,
    });
    expect(found.breakEven).to.deep.equal(fixed(14_666));
    expect(found.likely).to.deep.equal({ tenth: 14_666, half: 14_666, most: 14_666 });
    expect(found.pays).to.equal(1);
    expect(found.decides).to.equal(undefined);
    expect(found.say).to.contain('Worth it');
  });
  it('agrees with whole numbers of any length, whatever the amounts', () => {
    const amount = fc.integer({ min: 0, max: 9_000_000_000 });
    fc.assert(
      fc.property(amount, fc.array(amount, { maxLength: 12 }), (value, prices) => {
        const found = worth({
          value: fixed(value),
          fixes: prices.map((minor, i) => ({ what: `f${i}`, price: fixed(minor) })),
        });
        const exact = prices.reduce((left, each) => left - BigInt(each), BigInt(value));
        expect(BigInt(found.breakEven.lo)).to.equal(exact);
      }),
      { numRuns: 30 },
    );
  });
  it('the half of seeded draws lies where the middle of all ranges does, the same for the same seed', () => {
    const input = {
      value: { lo: 15_000, hi: 25_000 },
      fixes: [{ what: 'supply', price: { lo: 2_000, hi: 6_000 } }],
      asked: 14_000,
    };
    const found = worth(input);
    expect(worth(input)).to.deep.equal(found);
    expect(found.breakEven).to.deep.equal({ lo: 9_000, hi: 23_000 });
    expect(found.likely.half).to.be.closeTo(16_000, 250);
    expect(found.decides).to.deep.equal({ what: 'what it is worth when done', swing: 10_000 });
    /* Two uniform spans, by hand: P(v - s >= 14000) = 1 - area below, 0.7. */
    expect(found.pays).to.be.closeTo(0.7, 0.03);
    expect(found.say).to.contain('either way');
  });
  it('a closed machine offered too dear is said so; not even as a gift; what has no price is named', () => {
    const dear = worth({
      value: { lo: 15_000, hi: 18_000 },
      fixes: [{ what: 'supply', price: fixed(5_000) }],
      asked: 16_000,
    });
    expect(dear.say).to.contain('Too dear');
    const gift = worth({
      value: fixed(3_000),
      fixes: [{ what: 'board', price: fixed(6_000) }, { what: 'plate' }],
    });
    expect(gift.say).to.match(/Not even as a gift.*without a price: plate/);
    expect(gift.unpriced).to.deep.equal(['plate']);
  });
  it('hours count where they are given a price', () => {
    const found = worth({
      value: fixed(20_000),
      fixes: [],
      hours: { lo: 2, hi: 3 },
      anHour: 1_500,
    });
    expect(found.breakEven).to.deep.equal({ lo: 15_500, hi: 17_000 });
  });
  it('refuses amounts that cannot be, with the place', () => {
    const at = (input: Parameters<typeof worth>[0]) => {
      try {
        worth(input);
      } catch (error) {
        if (error instanceof WorthError) return error.path;
        throw error;
      }
      return '';
    };
    expect(at({ value: fixed(-1), fixes: [] })).to.equal('value');
    expect(at({ value: { lo: 5, hi: 1 }, fixes: [] })).to.equal('value');
    expect(at({ value: fixed(1.5), fixes: [] })).to.equal('value');
    expect(at({ value: fixed(100), fixes: [{ what: 'x', price: fixed(-5) }] })).to.equal(
      'fixes[0].price',
    );
    expect(at({ value: fixed(100), fixes: [], asked: -3 })).to.equal('asked');
    expect(at({ value: fixed(100), fixes: [], hours: { lo: 3, hi: 1 } })).to.equal('hours');
    expect(() => readWorth({ value: { lo: 1 }, fixes: [] })).to.throw(/value\.hi/);
    expect(() => readWorth({ value: fixed(1), fixes: [], price: 3 })).to.throw(/price/);
  });
});

describe('donors/stays', () => {
  const says = (seats: Parameters<typeof planWith>[0]) =>
    Object.fromEntries(staying(planWith(seats)).map((each) => [each.seat, each.says]));
  it('keeps board and PSU near standard, lets those of their maker go, says what is not known', () => {
    expect(
      says({
        case: {},
        board: { format: 'microATX', mainPlug: 'main24' },
        supply: { format: 'ATX', mainPlug: 'main24' },
        processor: {},
        card1: {},
      }),
    ).to.deep.equal({
      processor: 'stays',
      card1: 'stays',
      board: 'stays',
      supply: 'may stay',
      case: 'may stay',
    });
    expect(
      says({ case: {}, board: { format: "maker's own" }, supply: { mainPlug: 'maker24' } }),
    ).to.deep.equal({ board: 'goes', supply: 'goes', case: 'goes' });
    expect(says({ board: {}, supply: {} })).to.deep.equal({
      board: 'may stay',
      supply: 'may stay',
    });
  });
});

describe('plan/candidatesFor', () => {
  const shop = demoShop('2026-11-25T09:00:00.000Z');
  const job = shop.jobs.find((each) => each.id === '14')!;
  const list = candidatesFor(shop, job, 'card1');
  it('offers free cards of shelf, donors and offers, none of a machine at work, best first', () => {
    expect(list.length).to.be.above(3);
    const rank = { stop: 0, mend: 1, watch: 2, clear: 3 };
    for (let i = 1; i < list.length; i += 1)
      expect(rank[list[i]!.mark]).to.be.at.most(rank[list[i - 1]!.mark]);
    const inUse = new Set(
      shop.machines
        .filter(({ state }) => state !== 'donor' && state !== 'offered')
        .flatMap((each) => each.seats.map((seat) => seat.partId)),
    );
    for (const each of list) expect(inUse.has(each.part.id)).to.equal(false);
    /* A machine that is offered is bought whole: its card costs all that is asked for it. */
    expect(list.find(({ from }) => from === 'M7')?.pays).to.deep.equal({ lo: 26000, hi: 26000 });
  });
  it('what speaks against one is what the whole plan says of it', () => {
    for (const each of list.slice(0, 4)) {
      const found = runChecks(
        planOf(shop, {
          ...job,
          changes: withChange(job.changes, { seat: 'card1', partId: each.part.id }),
        }),
      );
      for (const against of each.against)
        expect(found.some((one) => one.id === against.id && one.mark === against.mark)).to.equal(
          true,
        );
    }
    expect(list.some((each) => each.against.length > 0)).to.equal(true);
  });
  it('a closed prebuilt of the demo says what of it can stay', () => {
    const donor = shop.machines.find((each) => each.id === 'M6')!;
    const parts = staying(foundOf(shop, donor.seats));
    expect(parts.find((each) => each.seat === 'board')?.says).to.equal('stays');
  });
});

describe('donors/worth, what has no price', () => {
  it('keeps the verdict open while a main part has none', () => {
    const found = worth({
      value: { lo: 30000, hi: 30000 },
      fixes: [{ what: 'board' }],
      asked: 5000,
    });
    expect(found.say)
      .to.match(/^Open until board has a price/)
      .and.not.contain('Worth it');
    const dear = worth({ value: { lo: 1000, hi: 1000 }, fixes: [{ what: 'board' }], asked: 5000 });
    expect(dear.say).to.contain('Too dear');
  });
});

describe('donors/worth, hours nobody priced', () => {
  const say = (anHour?: number) =>
    worth({
      value: { lo: 10000, hi: 10000 },
      fixes: [],
      asked: 2800,
      hours: { lo: 3, hi: 3 },
      ...(anHour !== undefined && { anHour }),
    }).say;
  it('leaves so much before the work, and nothing of it once an hour has a price', () => {
    expect(say()).to.contain('All before 3 hours of work.');
    expect(say(1500)).to.not.contain('before 3 hours');
  });
});

describe('donors/stays, the cooler', () => {
  const says = (seats: Seats) =>
    staying(planWith(seats)).find(({ seat }) => seat === 'cooler')?.says;
  it("goes with a maker's board unless it has a kit of its own", () => {
    const board = { format: "maker's own", mainPlug: 'main24' };
    expect(says({ board, cooler: {} })).to.equal('goes');
    expect(says({ board, cooler: { sockets: ['LGA1151'] } })).to.equal('may stay');
    expect(says({ board: { format: 'ATX', mainPlug: 'main24' }, cooler: {} })).to.equal('may stay');
  });
});

describe('plan/overBudget', () => {
  const marks = (budget: number | undefined, price: number | undefined) => {
    const { shop, job } = jobWith({ card1: {} });
    const parts = shop.parts.map((part) => ({
      ...part,
      place: 'buy' as const,
      ...(price !== undefined && { price: { minor: price, currency: 'EUR' } }),
    }));
    const asked =
      budget === undefined ? job : { ...job, budget: { minor: budget, currency: 'EUR' } };
    return overBudget(planOf({ ...shop, parts, jobs: [asked] }, asked)).map(({ mark, margin }) => [
      mark,
      margin?.lo,
    ]);
  };
  it('is a sum of its own: Mend over it, Watch while something has no price', () => {
    expect(marks(6000, 5000)).to.deep.equal([['clear', 10]]);
    expect(marks(4000, 5000)).to.deep.equal([['mend', -10]]);
    expect(marks(4000, undefined)).to.deep.equal([['watch', 40]]);
    expect(marks(undefined, 5000)).to.deep.equal([]);
  });
});
