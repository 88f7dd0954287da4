import { expect } from 'chai';
import Decimal from 'decimal.js';
import fc from 'fast-check';
import { account, sayOf, type Line } from '../../../src/core/donors/index.ts';
import { exchanged } from '../../../src/core/units/money.ts';

const eur = (minor: number) => ({ minor, currency: 'EUR' });
const purse = { currency: 'EUR', rates: [] };

describe('units/money, exchanged', () => {
  it('leaves its own currency alone and knows no rate it was not told', () => {
    expect(exchanged(eur(-1234), 'EUR', [])).to.equal(-1234);
    expect(exchanged({ minor: 1, currency: 'USD' }, 'EUR', [])).to.equal(undefined);
    expect(
      exchanged({ minor: 1, currency: 'USD' }, 'EUR', [{ currency: 'USD', rate: 'x' }]),
    ).to.equal(undefined);
  });
  it('rounds halves away from nothing', () => {
    const rates = [{ currency: 'USD', rate: '0.5' }];
    expect(exchanged({ minor: 1, currency: 'USD' }, 'EUR', rates)).to.equal(1);
    expect(exchanged({ minor: -1, currency: 'USD' }, 'EUR', rates)).to.equal(-1);
    expect(exchanged({ minor: 3, currency: 'USD' }, 'EUR', rates)).to.equal(2);
  });
  it('agrees with exact decimals (decimal.js)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -1e12, max: 1e12 }),
        fc.integer({ min: 0, max: 999_999_999 }),
        fc.integer({ min: 0, max: 9 }),
        (minor, figures, places) => {
          const rate = new Decimal(figures).div(new Decimal(10).pow(places)).toFixed(places);
          const wanted = new Decimal(minor).mul(rate).toDecimalPlaces(0, Decimal.ROUND_HALF_UP);
          fc.pre(wanted.abs().lte(Number.MAX_SAFE_INTEGER));
          const found = exchanged({ minor, currency: 'USD' }, 'EUR', [{ currency: 'USD', rate }]);
          /* -0 and 0 are one amount. */
          expect((found ?? NaN) + 0).to.equal(wanted.toNumber() + 0);
        },
      ),
      { numRuns: 2000 },
    );
  });
});

describe('donors/ledger', () => {
  it('adds exactly, in any order', () => {
    const kind = fc.constantFrom('cost' as const, 'sale' as const, 'gift' as const);
    fc.assert(
      fc.property(
        fc.array(fc.record({ kind, minor: fc.integer({ min: 0, max: 99_999_999 }) }), {
          maxLength: 60,
        }),
        (list) => {
          const lines = list.map(({ kind, minor }): Line => ({
            kind,
            what: 'x',
            money: eur(minor),
          }));
          const sum = (kind: Line['kind']) =>
            lines
              .filter((line) => line.kind === kind)
              .reduce((total, line) => total.plus(line.money?.minor ?? 0), new Decimal(0))
              .toNumber();
          const found = account(lines, [], purse);
          expect(found.costs).to.equal(sum('cost'));
          expect(found.sales).to.equal(sum('sale'));
          expect(found.gifts).to.equal(sum('gift'));
          expect(found.balance).to.equal(sum('sale') - sum('cost'));
          const back = account([...lines].reverse(), [], purse);
          expect([back.costs, back.sales, back.gifts]).to.deep.equal([
            found.costs,
            found.sales,
            found.gifts,
          ]);
        },
      ),
    );
  });
  it('names what has no price and what has no rate, and counts neither', () => {
    const found = account(
      [
        { kind: 'cost', what: 'paint', money: eur(1250) },
        { kind: 'cost', what: 'feet' },
        { kind: 'cost', what: 'riser', money: { minor: 900, currency: 'USD' } },
      ],
      [
        { partId: 'A', name: 'old PSU' },
        { partId: 'B', name: 'old fan', worth: eur(300) },
      ],
      purse,
    );
    expect(found.costs).to.equal(1250);
    expect(found.unpriced).to.deep.equal(['feet']);
    expect(found.noRate).to.deep.equal(['riser (USD)']);
    expect(found.lines.map((line) => line.own)).to.deep.equal([1250, undefined, undefined]);
    expect(found.unvalued).to.deep.equal(['old PSU']);
    expect(found.leftoversWorth).to.equal(300);
    expect(sayOf(found)).to.contain('without a price: feet').and.contain('riser (USD)');
  });
  it('prices hours only where an hour has a price', () => {
    const lines: Line[] = [{ kind: 'hours', what: 'sanding', minutes: 90 }];
    expect(account(lines, [], purse)).to.include({ minutes: 90, labour: undefined, costs: 0 });
    expect(account(lines, [], { ...purse, anHour: eur(1800) }).labour).to.equal(2700);
  });
  for (const [costs, sales, rest, word] of [
    [0, 0, 0, 'Nothing in the book'],
    [1000, 1000, 0, 'Recouped by what was sold'],
    [1000, 400, 600, 'once the rest is sold'],
    [1000, 400, 599, 'Not paid back, even'],
    [1000, 0, 0, 'Nothing of it has come back'],
  ] as const) {
    it(`${costs} spent, ${sales} got, ${rest} left: ${word}`, () => {
      const lines: Line[] = [
        ...(costs ? [{ kind: 'cost' as const, what: 'a', money: eur(costs) }] : []),
        ...(sales ? [{ kind: 'sale' as const, what: 'b', money: eur(sales) }] : []),
      ];
      const left = rest ? [{ partId: 'A', name: 'rest', worth: eur(rest) }] : [];
      expect(sayOf(account(lines, left, purse))).to.contain(word);
    });
  }
});
