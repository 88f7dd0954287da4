import { expect } from 'chai';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openShop, visit } from './helpers/app.ts';

describe('labels', () => {
  it('every code on the sheet is read by zbar (Debian zbar-tools) as the tag beside it', async () => {
    const shop = await openShop('/labels', { width: 2400, height: 1200 });
    const { page } = shop;
    await page.getByLabel('Labels of').selectOption('job:14');
    await page.waitForFunction(() => {
      const images = [...document.querySelectorAll<HTMLImageElement>('#stage img')];
      return images.length > 5 && images.every((image) => image.complete && image.naturalWidth > 0);
    });
    const tags = await page.locator('#stage li b').allTextContents();
    const folder = mkdtempSync(join(tmpdir(), 'labels-'));
    try {
      const read = new Set<string>();
      for (let i = 0; i < tags.length; i += 1) {
        const file = join(folder, `${i}.png`);
        await page.locator('#stage li').nth(i).screenshot({ path: file });
        const said = execFileSync('zbarimg', ['-q', '--raw', file], { encoding: 'utf8' });
        read.add(said.trim());
      }
      expect([...read].sort()).to.deep.equal([...tags].sort());
    } finally {
      rmSync(folder, { recursive: true });
    }
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
  it('prints three across, and a scanned tag opens its part', async () => {
    const shop = await openShop('/labels');
    const { page } = shop;
    await page.getByRole('button', { name: /^Print \d+/ }).waitFor();
    const pdf = await page.pdf({ format: 'A4' });
    expect((pdf.toString('latin1').match(/\/Type\s*\/Page\b/g) ?? []).length).to.be.within(2, 8);
    await visit(page, '/');
    await page.keyboard.press('/');
    await page.keyboard.type('F01');
    await page
      .getByText(/F01: Fennoch Quad 267/)
      .first()
      .waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  for (const [stock, page, each] of [
    ['roll-62', [62, 29], 1],
    ['roll-29', [29, 62], 1],
    ['roll-50x25', [50, 25], 1],
    ['sheet-a4-21', [210, 297], 21],
    ['sheet-letter-30', [215.9, 279.4], 30],
  ] as const) {
    it(`prints on ${stock}: its pages, its labels on each, every code read by zbar`, async () => {
      const shop = await openShop('/labels', { width: 1900, height: 1200 });
      await shop.page.getByLabel('Labels of').selectOption('job:14');
      await shop.page.getByLabel('Printed on').selectOption(stock);
      await shop.page.waitForFunction(() => {
        const images = [...document.querySelectorAll<HTMLImageElement>('#stage img')];
        return images.length > 5 && images.every((image) => image.complete && image.naturalWidth);
      });
      const tags = await shop.page.locator('#stage li b').allTextContents();
      const pdf = (await shop.page.pdf({ preferCSSPageSize: true })).toString('latin1');
      const boxes = [...pdf.matchAll(/\/MediaBox\s*\[\s*0 0 ([\d.]+) ([\d.]+)/g)];
      expect(boxes.length).to.equal(Math.ceil(tags.length / each));
      for (const [, width, height] of boxes) {
        expect((Number(width) / 72) * 25.4).to.be.closeTo(page[0], 0.5);
        expect((Number(height) / 72) * 25.4).to.be.closeTo(page[1], 0.5);
      }
      const folder = mkdtempSync(join(tmpdir(), 'labels-'));
      try {
        const file = join(folder, 'label.png');
        /* Twice as large, as a printer of 203 dpi puts it down. */
        await shop.page.evaluate(() => (document.body.style.zoom = '2'));
        for (let i = 0; i < tags.length; i += 1) {
          await shop.page.locator('#stage li').nth(i).screenshot({ path: file });
          const said = execFileSync('zbarimg', ['-q', '--raw', file], { encoding: 'utf8' });
          expect(said.trim()).to.equal(tags[i]);
        }
      } finally {
        rmSync(folder, { recursive: true });
      }
      await shop.context.close();
    });
  }
});
