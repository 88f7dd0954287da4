import { expect } from 'chai';
import fc from 'fast-check';
import { labelStocks, onSheets, pageOf, stockOf } from '../../../src/core/export/labelStock.ts';

describe('export/labelStock', () => {
  it('has the sizes asked for, and prints a tape that runs the other way turned', () => {
    expect(pageOf(stockOf('roll-62'))).to.deep.equal({ width: 62, height: 29 });
    expect(pageOf(stockOf('roll-29'))).to.deep.equal({ width: 29, height: 62 });
    expect(pageOf(stockOf('roll-50x25'))).to.deep.equal({ width: 50, height: 25 });
    expect(pageOf(stockOf('cut'))).to.equal(undefined);
    expect(stockOf('constructor')).to.equal(stockOf(undefined));
  });
  for (const [id, stock] of Object.entries(labelStocks)) {
    const { sheet } = stock;
    if (!sheet) continue;
    it(`${id}: labels lie on the sheet, none over another`, () => {
      const all = onSheets(
        stock,
        Array.from({ length: sheet.across * sheet.down }, (_, i) => i),
      );
      expect(all).to.have.length(1);
      for (const { x, y } of all[0]!) {
        expect(x).to.be.at.least(0);
        expect(y).to.be.at.least(0);
        expect(x + stock.width).to.be.at.most(sheet.width);
        expect(y + stock.height).to.be.at.most(sheet.height);
      }
      expect(sheet.stepX).to.be.at.least(stock.width);
      expect(sheet.stepY).to.be.at.least(stock.height);
    });
    it(`${id}: every label is printed once, from the first free one on`, () => {
      fc.assert(
        fc.property(fc.nat(120), fc.integer({ min: 1, max: 30 }), (count, start) => {
          const items = Array.from({ length: count }, (_, i) => i);
          const pages = onSheets(stock, items, start);
          expect(pages.flatMap((page) => page.map(({ item }) => item))).to.deep.equal(items);
          const each = sheet.across * sheet.down;
          const first = Math.min(start, each) - 1;
          expect(pages.length).to.equal(count === 0 ? 0 : Math.ceil((first + count) / each));
          for (const page of pages)
            expect(new Set(page.map(({ x, y }) => `${x} ${y}`)).size).to.equal(page.length);
          if (count > 0) {
            expect(pages[0]![0]!.x).to.be.closeTo(
              sheet.left + (first % sheet.across) * sheet.stepX,
              1e-9,
            );
          }
        }),
      );
    });
  }
});
