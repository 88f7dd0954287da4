import { expect } from 'chai';
import type { Part } from '../../src/core/model/types/types.ts';
import { openShop, retype, stored } from './helpers/app.ts';

describe('the shopping list', () => {
  it('is ticked off in the shop on a phone, with the price paid', async () => {
    const shop = await openShop('/', { width: 390, height: 844 });
    const { page } = shop;
    await page.getByRole('button', { name: 'Tape' }).click();
    await page.getByLabel('bought: 1 TB M.2 drive').click();
    await retype(page.getByLabel('price apiece'), 'cheap');
    await page.getByRole('button', { name: 'Bought' }).click();
    await page.getByText(/No amount/).waitFor();
    await retype(page.getByLabel('price apiece'), '42,50');
    await page.getByLabel('price apiece').press('Enter');
    await page.getByLabel('bought: 1 TB M.2 drive').waitFor({ state: 'detached' });
    const parts = await page.evaluate(() => document.querySelectorAll('.trip .line').length);
    expect(parts).to.be.above(1);
    const part = await stored<Part>(page, 'parts', 'W01', (each) => each?.place === 'shelf');
    expect(part?.price).to.deep.equal({ minor: 4250, currency: 'EUR' });
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});
