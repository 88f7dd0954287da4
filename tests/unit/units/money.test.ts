import { expect } from 'chai';
import fc from 'fast-check';
import {
  currencySign,
  formatMoney,
  parseMoney,
  readMoney,
  sumMoney,
} from '../../../src/core/units/money.ts';
import { formatHours } from '../../../src/core/units/duration.ts';

describe('units/money', () => {
  it('reads amounts with a point, a comma or neither', () => {
    expect(parseMoney('12', 'EUR')).to.deep.equal({ minor: 1200, currency: 'EUR' });
    expect(parseMoney('12.5', 'EUR')?.minor).to.equal(1250);
    expect(parseMoney('12,05', 'EUR')?.minor).to.equal(1205);
    expect(parseMoney('12.-', 'CHF')?.minor).to.equal(1200);
  });

  it('reads thousands where the decimals or a second group tell them apart', () => {
    for (const text of ['1.250,50', '1,250.50', "1'250.50", '1250.5'])
      expect(parseMoney(text, 'EUR')?.minor, text).to.equal(125_050);
    expect(parseMoney('1.250.000', 'EUR')?.minor).to.equal(125_000_000);
    expect(parseMoney('1 250', 'EUR')?.minor).to.equal(125_000);
  });

  it('reads a currency in any spelling', () => {
    for (const [text, currency] of [
      ['12 usd', 'USD'],
      ['$12', 'USD'],
      ['12€', 'EUR'],
      ['eur 12', 'EUR'],
      ['12 Euros', 'EUR'],
      ['12 quid', 'GBP'],
      ['12 chf', 'CHF'],
      ['12 zł', 'PLN'],
      ['12EUR', 'EUR'],
    ] as const)
      expect(parseMoney(text, 'NOK'), text).to.deep.equal({ minor: 1200, currency });
    expect(parseMoney('12 kr', 'NOK')?.currency).to.equal('NOK');
    expect(parseMoney('12 dollars', 'AUD')?.currency).to.equal('AUD');
    expect(readMoney('12 kr', 'EUR')).to.deep.equal({ fault: 'Which kr: NOK, SEK, DKK, ISK?' });
  });

  for (const bad of [
    '',
    'twelve',
    '-3',
    '1.234',
    '1.2.3',
    '1e9',
    '12 XYZ',
    '€ 12 USD',
    '1.234.56',
    '1,250,50',
    '12 mm',
  ]) {
    it(`refuses "${bad}"`, () => {
      expect(parseMoney(bad, 'EUR')).to.equal(undefined);
    });
  }

  it('reads back what it writes, to the cent', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 99_999_999_999 }), (minor) => {
        expect(parseMoney(formatMoney({ minor, currency: 'EUR' }), 'EUR')?.minor).to.equal(minor);
      }),
    );
  });

  it('adds cents exactly where floating point does not', () => {
    const dimes = Array.from({ length: 3 }, (_, i) => ({
      label: String(i),
      price: { minor: 10, currency: 'EUR' },
    }));
    expect(sumMoney(dimes, 'EUR').total.minor).to.equal(30);
    expect(0.1 + 0.1 + 0.1).to.not.equal(0.3);
  });

  it('names what has no price and leaves other currencies out of the sum', () => {
    const sum = sumMoney(
      [
        { label: 'card', price: { minor: 3800, currency: 'EUR' } },
        { label: 'bracket' },
        { label: 'lead', price: { minor: 500, currency: 'USD' } },
      ],
      'EUR',
    );
    expect(sum).to.deep.equal({
      total: { minor: 3800, currency: 'EUR' },
      unpriced: ['bracket'],
      foreign: ['lead'],
    });
  });

  it('writes negative amounts and known signs', () => {
    expect(formatMoney({ minor: -1205, currency: 'EUR' })).to.equal('-12.05');
    expect(currencySign('EUR')).to.equal('€');
    expect(currencySign('CHF')).to.equal('CHF');
  });

  it('writes minutes as hours', () => {
    expect(formatHours(70)).to.equal('1:10');
    expect(formatHours(5)).to.equal('0:05');
    expect(formatHours(0)).to.equal('0:00');
  });
});
