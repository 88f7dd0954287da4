import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { openShop, visit, type Shop } from './helpers/app.ts';

/** Text of a print, page by page, as poppler reads it. */
async function printed(page: Page, format: 'A4' | 'Letter' = 'A4'): Promise<string[]> {
  const folder = mkdtempSync(join(tmpdir(), 'print-'));
  try {
    writeFileSync(join(folder, 'a.pdf'), await page.pdf({ format }));
    execFileSync('/usr/bin/pdftotext', ['-layout', join(folder, 'a.pdf'), join(folder, 'a.txt')]);
    return readFileSync(join(folder, 'a.txt'), 'utf8').split('\f').slice(0, -1);
  } finally {
    rmSync(folder, { recursive: true });
  }
}

describe('prints', () => {
  let shop: Shop;
  before(async () => {
    shop = await openShop('/job/14/fit');
    await shop.page.evaluate(() => {
      window.print = () => {
        (window as unknown as { printed: number }).printed = 1;
      };
    });
  });
  after(async () => {
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  const stations = 'take-in fit plugs watts links donors order power-up heat hand-over'.split(' ');
  it('bear job, machine, shop, day and page of pages, at every station', async function () {
    this.timeout(120_000);
    for (const station of stations) {
      await visit(shop.page, `/job/14/${station}`);
      await shop.page.waitForTimeout(300);
      const pages = await printed(shop.page);
      const [first = ''] = pages;
      expect(first, station).to.match(/14 · Slim desk unit, M14 Ombrik Desk 40/);
      expect(first, station).to.match(
        /Skarnhol post workshop.* · (?:\d{1,2} [A-Z][a-z]{2}|[A-Z][a-z]{2} \d{1,2},) 20\d\d/,
      );
      pages.forEach((text, i) =>
        expect(text, `${station} ${i + 1}`).to.contain(`${i + 1} of ${pages.length}`),
      );
      expect(pages.join(' '), station).to.not.contain('Tape ·');
    }
  });
  it('have the tape when it is wished for, from a button in sight at every station', async () => {
    const { page } = shop;
    await visit(page, '/job/14/fit');
    await page.evaluate(() => (window.print = () => undefined));
    await page.getByRole('button', { name: 'Print' }).click();
    const dialog = page.getByRole('dialog', { name: 'Print' });
    await dialog.getByLabel('the tape too').check();
    await dialog.getByRole('button', { name: 'Print' }).click();
    await dialog.waitFor({ state: 'detached' });
    expect((await printed(page)).join(' ')).to.contain('Tape · Fit');
    await page.keyboard.press('p');
    await dialog.getByRole('button', { name: 'Print' }).click();
    await dialog.waitFor({ state: 'detached' });
    expect((await printed(page)).join(' ')).to.not.contain('Tape · Fit');
  });
  it('the work order takes two pages at most, with room for notes', async () => {
    const { page } = shop;
    for (const format of ['A4', 'Letter'] as const) {
      await visit(page, '/job/14/order');
      const pages = await printed(page, format);
      expect(pages.length, format).to.be.at.most(2);
      expect(pages.join(' ')).to.contain('Notes');
      /* Every step is on it. */
      const steps = await page.locator('#stage ol > li b').allInnerTexts();
      expect(steps.length).to.be.greaterThan(15);
      const all = pages.join(' ').replace(/\s+/g, ' ');
      for (const step of steps) expect(all).to.contain(step.split(' ').slice(0, 2).join(' '));
    }
  });
  it('labels and the scan sheet bear nothing but their codes', async () => {
    const { page } = shop;
    for (const path of ['/labels', '/scan-sheet']) {
      await visit(page, path);
      await page.waitForTimeout(900);
      const text = (await printed(page)).join(' ');
      expect(text, path).to.not.match(/Labels|Scan sheet|\d of \d|workshop/);
      expect(text, path).to.match(path === '/labels' ? /F01/ : /not measured/);
    }
  });
});
