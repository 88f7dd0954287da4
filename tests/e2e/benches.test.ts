import { expect } from 'chai';
import type { Download, Page } from 'playwright-core';
import type { Part } from '../../src/core/model/types/types.ts';
import { openShop, origin, retype, type Shop, stored, visit } from './helpers/app.ts';

const note = async (page: Page, id: string, words: string): Promise<void> => {
  await visit(page, '/shelf');
  await retype(page.getByLabel('Search', { exact: true }), id);
  await page.getByRole('button', { name: `Edit ${id} in its line` }).click();
  await retype(page.getByLabel(`Where ${id} lies`), words);
  await page.keyboard.press('Tab');
  await stored<Part>(page, 'parts', id, (part) => part?.where === words);
};

async function exported(page: Page): Promise<string> {
  await visit(page, '/');
  const [download]: [Download, void] = await Promise.all([
    page.waitForEvent('download'),
    page
      .getByRole('button', { name: /^Export the shop/ })
      .first()
      .click(),
  ]);
  return download.path();
}
const open = async (page: Page, path: string): Promise<void> => {
  await visit(page, '/');
  await page.locator('input[type=file]').first().setInputFiles(path);
};

describe('two benches', () => {
  it('hand a file over, work apart, merge; what was written twice is chosen, and undone in one step', async function () {
    this.timeout(120_000);
    const [kato, mira]: Shop[] = [await openShop(), await openShop()];
    if (!kato || !mira) throw new Error('no benches');
    await open(mira.page, await exported(kato.page));
    await mira.page.getByRole('button', { name: 'Replace', exact: true }).click();
    await mira.page.getByText('Undo brings the shop before back').waitFor();
    await note(kato.page, 'A01', 'shelf of kato');
    await note(mira.page, 'A01', 'shelf of mira');
    await note(mira.page, 'A02', 'by the window');

    await open(kato.page, await exported(mira.page));
    const dialog = kato.page.getByRole('dialog');
    await dialog.getByText('1 question to answer afterwards').waitFor();
    await dialog.getByText(/[12] parts?/).waitFor();
    await dialog.getByRole('button', { name: 'Merge', exact: true }).click();
    await stored<Part>(kato.page, 'parts', 'A02', (part) => part?.where === 'by the window');

    /* Next day: the question is still there. */
    await kato.page.reload();
    await kato.page.getByText('Merging left 1 question').waitFor();
    await kato.page.getByRole('button', { name: 'Answer' }).click();
    await kato.page.getByRole('dialog').getByText('A01').first().waitFor();
    await kato.page.getByRole('button', { name: /shelf of kato/ }).click();
    await stored<Part>(kato.page, 'parts', 'A01', (part) => part?.where === 'shelf of kato');
    await kato.page.getByText('Everything is answered').waitFor();
    await kato.page.keyboard.press('Escape');

    /* The answer travels. */
    await open(mira.page, await exported(kato.page));
    await mira.page.getByRole('button', { name: 'Merge', exact: true }).click();
    await stored<Part>(mira.page, 'parts', 'A01', (part) => part?.where === 'shelf of kato');
    expect(await mira.page.getByText('Merging left').count()).to.equal(0);
    await mira.page.getByRole('button', { name: 'Undo', exact: true }).first().click();
    await stored<Part>(mira.page, 'parts', 'A01', (part) => part?.where === 'shelf of mira');

    for (const shop of [kato, mira]) {
      expect(shop.complaints).to.deep.equal([]);
      await shop.context.close();
    }
  });

  it('share a file in a folder: merged and written back with one button', async () => {
    const shop = await openShop();
    const { page } = shop;
    /* The private file storage stands in for the folder: the same kind of handle. */
    await page.addInitScript(
      `window.showSaveFilePicker = async () =>
        (await navigator.storage.getDirectory()).getFileHandle('shared.json', { create: true });`,
    );
    const inFile = () =>
      page.evaluate(async () => {
        const folder = await navigator.storage.getDirectory();
        return (await (await folder.getFileHandle('shared.json')).getFile()).text();
      });
    await visit(page, '/');
    await page.getByRole('button', { name: 'Share a file with other benches' }).click();
    await page.getByText('Written to shared.json').waitFor();
    const before = await inFile();
    await note(page, 'A01', 'rack nine');
    await visit(page, '/');
    await page.getByRole('button', { name: 'Merge with shared.json' }).click();
    await page.getByText('Merged with shared.json').waitFor();
    expect(before).not.to.contain('rack nine');
    expect(await inFile()).to.contain('rack nine');
    await page.evaluate(async () => {
      const folder = await navigator.storage.getDirectory();
      const stream = await (await folder.getFileHandle('shared.json')).createWritable();
      await stream.write('{"format": "something else"}');
      await stream.close();
    });
    await page.getByRole('button', { name: 'Merge with shared.json' }).click();
    await page.getByText('was not merged').waitFor();
    expect(await inFile()).to.contain('something else');
    await shop.context.close();
  });
});

describe('never lost', () => {
  it('takes copies in the browser’s own file storage, lists and opens them', async () => {
    const shop = await openShop('/settings');
    const { page } = shop;
    await page.getByText('None yet').waitFor();
    await page.getByRole('button', { name: 'Take one now' }).click();
    await page.getByRole('button', { name: /^Open the copy of/ }).waitFor();
    await note(page, 'A01', 'rack nine');
    await visit(page, '/settings');
    await page.getByRole('button', { name: /^Open the copy of/ }).click();
    await page.getByRole('button', { name: 'Replace', exact: true }).click();
    await stored<Part>(page, 'parts', 'A01', (part) => part?.where === 'rack 2');
    await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
    await stored<Part>(page, 'parts', 'A01', (part) => part?.where === 'rack nine');
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('offers the newest copy where the browser lost the shop itself', async () => {
    const shop = await openShop();
    const { page } = shop;
    await note(page, 'A01', 'rack nine');
    await visit(page, '/settings');
    await page.getByRole('button', { name: 'Take one now' }).click();
    await page.getByRole('button', { name: /^Open the copy of/ }).waitFor();
    expect(await page.getByText('has lost this shop').count()).to.equal(0);
    /* Evicted: the database goes, the file storage stays. */
    await page.goto('about:blank');
    await page.goto(`${await origin()}/licences.txt`);
    await page.evaluate(
      `new Promise((done) => {
        const gone = indexedDB.deleteDatabase('nutshell-swap');
        gone.onsuccess = gone.onerror = done;
      })`,
    );
    await visit(page, '/');
    await page.getByText('The browser has lost this shop').waitFor();
    await page.getByRole('button', { name: 'Open the copy' }).click();
    await stored<Part>(page, 'parts', 'A01', (part) => part?.where === 'rack nine');
    await page.getByText('has lost this shop').waitFor({ state: 'detached' });
    await shop.context.close();
  });

  it('says the day of the last copy outside, and reminds after a week of work in a shop of one’s own', async () => {
    const shop = await openShop('/');
    const { page } = shop;
    await page.getByRole('button', { name: 'Start my own shop' }).click();
    const dialog = page.getByRole('dialog', { name: 'Start my own shop' });
    await retype(dialog.getByLabel('Name'), 'Dockside');
    await retype(dialog.getByLabel('Currency'), 'eur');
    await dialog.getByRole('button', { name: 'Open my shop' }).click();
    await page.getByText('Dockside').first().waitFor();
    await page.getByText('Last copy outside this browser: none yet').waitFor();
    await page.evaluate(() => {
      const week = new Date(Date.now() - 8 * 86_400_000).toISOString();
      localStorage.setItem('nutshell-swap-own-kept', JSON.stringify({ edited: week }));
    });
    await page.reload();
    await page.getByText('8 days of work are in this browser alone').waitFor();
    await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export the shop' }).first().click(),
    ]);
    await page.getByText('days of work are').waitFor({ state: 'detached' });
    expect(await page.getByText('Last copy outside this browser: none yet').count()).to.equal(0);
    await shop.context.close();
  });

  it('a full store says so and loses nothing: work goes on, export works, the store is whole', async function () {
    this.timeout(120_000);
    const shop = await openShop('/shelf');
    const { page } = shop;
    const devtools = await shop.context.newCDPSession(page);
    const origin = new URL(page.url()).origin;
    await devtools.send('Storage.overrideQuotaForOrigin', { origin, quotaSize: 1 });
    /* Chromium looks at its room every half minute only. */
    await page.evaluate(`new Promise((resolve) => {
      const opening = indexedDB.open('scratch', 1);
      opening.onupgradeneeded = () => opening.result.createObjectStore('s');
      opening.onerror = resolve;
      opening.onsuccess = () => {
        const write = () => {
          const tx = opening.result.transaction('s', 'readwrite');
          tx.objectStore('s').put('x'.repeat(2000), 'k');
          tx.oncomplete = () => setTimeout(write, 500);
          tx.onabort = resolve;
        };
        write();
      };
    })`);
    await retype(page.getByLabel('Search', { exact: true }), 'A01');
    await page.getByRole('button', { name: 'Edit A01 in its line' }).click();
    await retype(page.getByLabel('Where A01 lies'), 'while it is full');
    await page.keyboard.press('Tab');
    await page.getByText('Not saved yet').waitFor();
    await retype(page.getByLabel('Price of A01'), '4.75');
    await page.keyboard.press('Tab');
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export shop' }).click(),
    ]);
    const { readFileSync } = await import('node:fs');
    const text = readFileSync(await download.path(), 'utf8');
    expect(text).to.contain('while it is full').and.to.contain('475');
    /* What is stored is the shop as it was, whole. */
    const kept = await stored<Part>(page, 'parts', 'A01', () => true);
    expect(kept.where).to.equal('rack 2');
    await devtools.send('Storage.overrideQuotaForOrigin', { origin });
    await page.getByRole('button', { name: 'Try again' }).click();
    await stored<Part>(
      page,
      'parts',
      'A01',
      (part) => part?.where === 'while it is full' && part.price?.minor === 475,
    );
    await shop.context.close();
  });
});
