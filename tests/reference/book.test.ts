import { execFileSync } from 'node:child_process';
import { expect } from 'chai';
import { demoShop } from '../../src/core/demo/demoShop.ts';
import { journal } from '../../src/core/export/journal.ts';
import type { Entry, Shop } from '../../src/core/model/types/types.ts';
import { account } from '../../src/core/donors/index.ts';
import { seededRandom } from '../../src/core/units/seededRandom.ts';

/**
 * Outside check: the exported journal read by a plain-text bookkeeping program of Debian (package
 * `ledger`), which adds in exact rationals; its balances against the accounts of this house.
 */
const kinds = ['cost', 'sale', 'gift', 'hours'] as const;

function madeUp(seed: number, count: number): Entry[] {
  const random = seededRandom(seed);
  const whole = (most: number) => Math.floor(random() * most);
  return Array.from({ length: count }, (_, i): Entry => {
    const kind = kinds[whole(4)] ?? 'cost';
    const day = String(1 + whole(28)).padStart(2, '0');
    return {
      id: `L${String(i + 1).padStart(4, '0')}`,
      at: `2026-${String(1 + whole(12)).padStart(2, '0')}-${day}`,
      kind,
      what: ['paint; two coats', 'a  riser', 'feet', 'Hülle'][whole(4)] ?? '',
      jobId: String(1 + whole(5)),
      ...(kind === 'hours'
        ? { minutes: 1 + whole(600) }
        : { money: { minor: whole(2_000_000), currency: random() < 0.8 ? 'EUR' : 'USD' } }),
    };
  });
}

/** Balances by account and commodity, as the program prints them: `Expenses:Job 3|USD` to 12.34. */
function balances(text: string): Map<string, string> {
  const printed = execFileSync(
    'ledger',
    [
      '-f',
      '-',
      'balance',
      '--flat',
      '--no-total',
      '--format',
      '%(strip(display_total))|%(account)\n',
    ],
    { input: text, encoding: 'utf8' },
  );
  const found = new Map<string, string>();
  let waiting: string[] = [];
  for (const line of printed.split('\n')) {
    const [sum = '', name] = line.split('|');
    const amount = /(-?[\d.]+)\s+(\w+)/.exec(sum);
    if (amount) waiting.push(`${amount[2]} ${amount[1]}`);
    if (name === undefined) continue;
    for (const each of waiting) {
      const [unit = '', figure = ''] = each.split(' ');
      found.set(`${name}|${unit}`, figure);
    }
    waiting = [];
  }
  return found;
}

describe('reference: the book against a bookkeeping program', () => {
  for (const seed of [1, 2, 3, 4, 5]) {
    it(`400 lines over five jobs in two currencies, to the cent (${seed})`, () => {
      const ledger = madeUp(seed, 400);
      const shop: Shop = { ...demoShop('2026-11-25T09:00:00.000Z'), ledger };
      const found = balances(journal(shop));
      let compared = 0;
      for (const job of ['1', '2', '3', '4', '5']) {
        for (const currency of ['EUR', 'USD']) {
          const lines = ledger.filter(
            (entry) => entry.jobId === job && (entry.money?.currency ?? currency) === currency,
          );
          const sums = account(lines, [], { currency, rates: [] });
          const printed = (name: string) =>
            Number(found.get(`${name}:Job ${job}|${currency}`) ?? 0);
          expect(Math.round(printed('Expenses') * 100)).to.equal(sums.costs + sums.gifts);
          expect(Math.round(-printed('Income') * 100)).to.equal(sums.sales);
          if (currency === 'EUR')
            expect(Number(found.get(`Hours:Job ${job}|min`) ?? 0)).to.equal(sums.minutes);
          compared += sums.costs + sums.sales;
        }
      }
      expect(compared).to.be.greaterThan(100_000_000);
    });
  }
  it('writes the rates so that the program can tell one currency in another', () => {
    const shop: Shop = {
      ...demoShop('2026-11-25T09:00:00.000Z'),
      ledger: [
        {
          id: 'L0001',
          at: '2026-11-20',
          kind: 'cost',
          what: 'riser',
          money: { minor: 200_000, currency: 'USD' },
          jobId: '5',
        },
      ],
    };
    shop.settings = {
      ...shop.settings,
      rates: [{ currency: 'USD', rate: '0.925', at: '2026-11-01' }],
    };
    const printed = execFileSync('ledger', ['-f', '-', 'balance', 'Expenses', '-X', 'EUR'], {
      input: journal(shop),
      encoding: 'utf8',
    });
    expect(printed).to.match(/EUR\s*1850\s+Expenses:Job 5/);
  });
});
