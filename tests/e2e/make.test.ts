import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import DxfParser from 'dxf-parser';
import { PDFDocument } from 'pdf-lib';
import type { Page } from 'playwright-core';
import { openShop, stored } from './helpers/app.ts';

describe('make', () => {
  const saved = async (page: Page, name: string | RegExp) => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name }).click(),
    ]);
    return { name: download.suggestedFilename(), bytes: readFileSync(await download.path()) };
  };
  const type = async (page: Page, label: string, text: string) => {
    const field = page.getByLabel(label);
    await field.click();
    await page.keyboard.press('Control+A');
    await page.keyboard.type(text, { delay: 150 });
    await page.keyboard.press('Tab');
  };

  it('from the ports of the board to a template on paper: what is too thin is said, joined and given back', async () => {
    const shop = await openShop('/job/17/make');
    const { page } = shop;
    const tape = page.locator('.tape');
    await page.getByRole('img', { name: /rear wall: 3 openings/ }).waitFor();
    await tape.getByText('web between PS/2 and gauge hole').waitFor();
    await page.getByText('web 1.5').waitFor();
    await tape.getByRole('button', { name: /One opening for both/ }).click();
    await page.getByText('web 1.5').waitFor({ state: 'detached' });
    await tape.getByText('One opening for both').waitFor();
    await tape.getByRole('button', { name: 'Give back' }).click();
    await page.getByText('web 1.5').waitFor();
    const pdf = await saved(page, /Print at true size/);
    expect(pdf.name).to.equal('job-17-rear-wall.pdf');
    const [sheet] = (await PDFDocument.load(pdf.bytes)).getPages();
    expect(Math.max(sheet!.getWidth(), sheet!.getHeight())).to.be.closeTo((297 * 72) / 25.4, 0.1);
    const dxf = await saved(page, 'DXF');
    const layers = new DxfParser()
      .parseSync(dxf.bytes.toString('utf8'))!
      .entities.map(({ layer }) => layer);
    expect(new Set(layers)).to.include('cut');
    const svg = await saved(page, 'SVG');
    expect(svg.bytes.toString('utf8')).to.match(/^<svg [^>]*width="[\d.]+mm"/);
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('takes figures key by key, refuses one at its place and keeps the rest', async () => {
    const shop = await openShop('/job/17/make');
    const { page } = shop;
    await page.getByRole('button', { name: 'L bracket', exact: true }).click();
    await page.getByRole('img', { name: /L bracket bent/ }).waitFor();
    await page.getByRole('button', { name: 'Sheet to the list' }).click();
    await page.getByText('On the shopping list: 1 mm sheet, steel.').waitFor();
    await type(page, 'Leg A, outside, mm', '42.5');
    await type(page, 'Thickness, mm', '140');
    await page.getByText('Thickness: 0.3 to 12 mm').waitFor();
    await stored<{ makes: { id: string; legA?: number; thick: number }[] }>(
      page,
      'jobs',
      '17',
      (job) =>
        job?.makes.some(({ id, legA, thick }) => id === 'm4' && legA === 42.5 && thick === 1) ===
        true,
    );
    await type(page, 'Width, mm', '5');
    await page.locator('.tape .head', { hasText: 'the M3 hole to the edge' }).waitFor();
    await page.getByRole('button', { name: 'Not made after all' }).click();
    await page.getByRole('img', { name: /L bracket bent/ }).waitFor({ state: 'detached' });
    await page.keyboard.press('u');
    await page.getByRole('button', { name: '4 L bracket' }).waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('is reached by a letter, stands in the work order, lays pieces of one sheet together', async () => {
    const shop = await openShop('/job/17/fit');
    const { page } = shop;
    await page.keyboard.press('g');
    await page.waitForTimeout(200);
    await page.keyboard.press('m');
    await page.getByRole('heading', { name: 'Make' }).waitFor();
    for (const sort of ['L bracket', 'Rear plate'])
      await page.getByRole('button', { name: sort, exact: true }).click();
    await page
      .getByRole('region', { name: 'Sheet to cut them from' })
      .getByText('2 pieces')
      .waitFor();
    await page.getByText('and no fewer can do').waitFor();
    await type(page, 'Sheet, width', '50');
    await page.getByText('Larger than the sheet: rear plate').waitFor();
    await page.goto(page.url().replace(/make.*/, 'order'));
    await page.getByText('Cut by the template: rear wall').first().waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});
