import { expect } from 'chai';
import { bookTable, journal } from '../../../src/core/export/journal.ts';
import { emptyShop } from '../../../src/core/model/types/empty.ts';
import type { Entry, Shop } from '../../../src/core/model/types/types.ts';

const eur = (minor: number) => ({ minor, currency: 'EUR' });
const shopOf = (...ledger: Entry[]): Shop => ({ ...emptyShop('The post; workshop'), ledger });
const line = (entry: Partial<Entry>): Entry => ({
  id: 'L0001',
  at: '2026-11-20T10:00:00Z',
  kind: 'cost',
  what: 'paint',
  money: eur(1250),
  ...entry,
});

describe('export/journal', () => {
  for (const [what, entry, wanted] of [
    ['a cost of a job', { jobId: '14' }, ['    Expenses:Job 14    12.50 EUR', '    Assets:Cash']],
    ['a cost of the shop', {}, ['    Expenses:Shop    12.50 EUR', '    Assets:Cash']],
    [
      'a sale out of a donor',
      { kind: 'sale', machineId: 'M6' },
      ['    Income:Machine M6    -12.50 EUR', '    Assets:Cash'],
    ],
    [
      'a gift',
      { kind: 'gift', partId: 'F08' },
      ['    Expenses:Part F08    12.50 EUR', '    Income:Gifts'],
    ],
    [
      'hours',
      { kind: 'hours', money: undefined, minutes: 90.5, jobId: '9' },
      ['    Hours:Job 9    90.5 min', '    Equity:Hands'],
    ],
  ] as const) {
    it(`posts ${what}`, () => {
      const lines = journal(shopOf(line(entry))).split('\n');
      const head = lines.findIndex((each) => each.startsWith('2026-11-20 * paint'));
      expect(lines.slice(head + 1, head + 3)).to.deep.equal(wanted);
    });
  }
  it('leaves out what has neither money nor minutes', () => {
    const bare = line({ money: undefined });
    expect(journal(shopOf(bare))).to.not.contain('Expenses');
    expect(journal(shopOf(line({ kind: 'hours', money: undefined })))).to.not.contain('Hours');
  });
  it('keeps names from ending early or beginning a note', () => {
    const text = journal(shopOf(line({ what: 'paint;  two\tcoats', who: 'a;b' })));
    expect(text).to.contain('2026-11-20 * paint two coats (a b)  ; L0001');
    expect(text.split('\n')[0]).to.equal('; The post workshop');
  });
  it('stands in order of days, then of numbers', () => {
    const text = journal(
      shopOf(
        line({ id: 'L0003', what: 'c' }),
        line({ id: 'L0001', at: '2026-11-21', what: 'a' }),
        line({ id: 'L0002', what: 'b' }),
      ),
    );
    expect([...text.matchAll(/\* (\w)/g)].map((match) => match[1])).to.deep.equal(['b', 'c', 'a']);
  });
  it('writes rates before the lines, with their day', () => {
    const shop = shopOf(line({}));
    shop.settings = { ...shop.settings, rates: [{ currency: 'USD', rate: '0.925' }] };
    expect(journal(shop).split('\n')[1]).to.equal('P 1970-01-01 USD 0.925 EUR');
  });
});

describe('export/journal, as a table', () => {
  it('has a row for each line, a figure or nothing in each cell', () => {
    const rows = bookTable(
      shopOf(
        line({ jobId: '14', who: 'depot' }),
        line({ id: 'L0002', kind: 'hours', money: undefined, minutes: 45 }),
      ),
    );
    expect(rows[0]).to.have.length(11);
    expect(rows.slice(1)).to.deep.equal([
      ['L0001', '2026-11-20', 'cost', 'paint', '12.50', 'EUR', '', '14', '', '', 'depot'],
      ['L0002', '2026-11-20', 'hours', 'paint', '', '', '45', '', '', '', ''],
    ]);
  });
  it('defuses what a spreadsheet would run', () => {
    expect(bookTable(shopOf(line({ what: '=1+1' })))[1]?.[3]).to.equal("'=1+1");
  });
});
