import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { launch } from '../../scripts/browser.mjs';
import type { Entry, Job, Part, Photo } from '../../src/core/model/types/types.ts';
import { readZip } from '../../src/workers/zipFile.ts';
import { openShop, origin, ready, retype, type Shop, stored, visit } from './helpers/app.ts';

const part = (page: Page, id: string, test: (value: Part | undefined) => boolean) =>
  stored<Part>(page, 'parts', id, test);

describe('the shelf', () => {
  let shop: Shop;
  beforeEach(async () => {
    shop = await openShop('/shelf');
  });
  afterEach(async () => {
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
  const box = (id: string) =>
    shop.page.getByRole('checkbox', { name: `Choose ${id}`, exact: true });

  it('chooses a stretch with Shift, moves it, and takes the move back', async () => {
    const { page } = shop;
    await box('A01').click();
    await box('A04').click({ modifiers: ['Shift'] });
    await page.getByText('4 chosen').waitFor();
    await retype(page.getByLabel('Move to'), 'box 9');
    await page.keyboard.press('Enter');
    for (const id of ['A01', 'A02', 'A03', 'A04'])
      await part(page, id, (value) => value?.where === 'box 9');
    await page.locator('.toast, [role=status]').getByRole('button', { name: 'Undo' }).click();
    await part(page, 'A02', (value) => value?.where === 'rack 2');
  });

  it('is worked by keyboard: found by words, chosen with the space bar, sold for a typed sum', async () => {
    const { page } = shop;
    await page.getByLabel('Search', { exact: true }).focus();
    await page.keyboard.type('fan 92');
    await page.waitForFunction(() => document.querySelectorAll('[role=row]').length < 8);
    const first = await page.locator('.row .tag').nth(0).innerText();
    await box(first).focus();
    /* Hands pause between a word and a key; what comes at once belongs to a scan. */
    await page.waitForTimeout(150);
    await page.keyboard.press('Space');
    await page.getByText('1 chosen').waitFor();
    await page.getByRole('button', { name: 'Sell' }).focus();
    await page.keyboard.press('Enter');
    await retype(page.getByLabel('Got for it'), 'fo');
    await page.getByRole('button', { name: 'Sell', exact: true }).last().click();
    await page.getByText('No amount').waitFor();
    await retype(page.getByLabel('Got for it'), '4.50');
    await page.waitForTimeout(150);
    await page.keyboard.press('Enter');
    const sold = await part(page, first, (value) => value?.place === 'gone');
    expect(sold.id).to.equal(first);
    const lines = await page.evaluate(
      () =>
        new Promise<Entry[]>((resolve) => {
          const open = indexedDB.open('nutshell-swap');
          open.onsuccess = () => {
            const all = open.result.transaction('ledger').objectStore('ledger').getAll();
            all.onsuccess = () => resolve(all.result as Entry[]);
          };
        }),
    );
    expect(
      lines.filter(({ partId }) => partId === first).map(({ money }) => money?.minor),
    ).to.contain(450);
  });

  it('keeps a price it cannot read out, and says so', async () => {
    const { page } = shop;
    await page.getByRole('button', { name: 'Edit A01 in its line' }).click();
    await retype(page.getByLabel('Price of A01'), 'cheap');
    await page.keyboard.press('Tab');
    await page.getByText('cheap is no price').waitFor();
    await retype(page.getByLabel('Price of A01'), '9,25');
    await page.keyboard.press('Tab');
    await part(page, 'A01', (value) => value?.price?.minor === 925);
  });
});

/** A JPEG of 2000 by 500 as a phone writes it: stored lying, to be turned upright, with where it was taken. */
async function phonePicture(page: Page): Promise<Buffer> {
  const plain = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(2000, 500);
    const context = canvas.getContext('2d');
    if (!context) throw new Error('no canvas');
    context.fillStyle = '#888';
    context.fillRect(0, 0, 2000, 500);
    context.fillStyle = '#fff';
    context.fillRect(0, 0, 400, 500);
    const blob = await canvas.convertToBlob({ type: 'image/jpeg' });
    return [...new Uint8Array(await blob.arrayBuffer())];
  });
  /* Exif 2.32: orientation 6 (turn a quarter right) and a GPS block with its latitude's side. */
  const tiff = Buffer.from(
    '4d4d002a00000008' + // big-endian, first block at 8
      '0002' + // two entries
      '0112000300000001' +
      '00060000' + // orientation 6
      '8825000400000001' +
      '00000026' + // GPS block at 38
      '00000000' +
      '0001' +
      '0001000200000002' +
      '4e000000' +
      '00000000', // north
    'hex',
  );
  const body = Buffer.concat([Buffer.from('Exif\0\0'), tiff]);
  const head = Buffer.from([0xff, 0xe1, 0, body.length + 2]);
  return Buffer.concat([Buffer.from(plain.slice(0, 2)), head, body, Buffer.from(plain.slice(2))]);
}

describe('photographs', () => {
  let shop: Shop;
  before(async () => {
    shop = await openShop('/job/14/take-in');
  });
  after(async () => {
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
  let photo: Photo;

  it('are turned upright, scaled and kept without where they were taken', async () => {
    const { page } = shop;
    const picture = await phonePicture(page);
    expect(picture.includes('Exif')).to.equal(true);
    await page
      .getByLabel('Photo as it came in')
      .setInputFiles([{ name: 'IMG_1.jpg', mimeType: 'image/jpeg', buffer: picture }]);
    const shown = page.getByRole('group', { name: /Photos of/ }).locator('img');
    await shown.first().waitFor();
    const [found] = await page.evaluate(
      () =>
        new Promise<unknown[]>((resolve) => {
          const open = indexedDB.open('nutshell-swap');
          open.onsuccess = () => {
            const all = open.result.transaction('photos').objectStore('photos').getAll();
            all.onsuccess = () => resolve(all.result);
          };
        }),
    );
    photo = found as Photo;
    expect(photo).to.include({ when: 'before', width: 400, height: 1600 });
  });

  it('are taken from what is pasted anywhere on the page, but for a field of text', async () => {
    const { page } = shop;
    const shown = page.getByRole('group', { name: /Photos of/ }).locator('img');
    const paste = (into: string) =>
      page.evaluate(async (selector) => {
        const canvas = new OffscreenCanvas(40, 30);
        canvas.getContext('2d')?.fillRect(0, 0, 9, 9);
        const files = new DataTransfer();
        files.items.add(new File([await canvas.convertToBlob()], 'p.png', { type: 'image/png' }));
        document
          .querySelector(selector)
          ?.dispatchEvent(new ClipboardEvent('paste', { clipboardData: files, bubbles: true }));
      }, into);
    await paste('input');
    await paste('body');
    await shown.nth(1).waitFor();
    await page.keyboard.press('u');
    await shown.nth(1).waitFor({ state: 'detached' });
    expect(await shown.count()).to.equal(1);
  });

  it('are marked over, not into, and both travel in a zip that opens without us', async () => {
    const { page } = shop;
    await page
      .getByRole('group', { name: /Photos of/ })
      .getByRole('button')
      .first()
      .click();
    await retype(page.getByLabel('Words of the next mark'), 'bent tab');
    await page.getByRole('button', { name: 'Arrow' }).click();
    const frame = await page.locator('.frame.drawing').boundingBox();
    if (!frame) throw new Error('nothing to draw on');
    await page.mouse.move(frame.x + 10, frame.y + 20);
    await page.mouse.down();
    await page.mouse.move(frame.x + 60, frame.y + 90, { steps: 4 });
    await page.mouse.up();
    const marked = await stored<Photo>(
      page,
      'photos',
      photo.id,
      (value) => (value?.marks.length ?? 0) > 0,
    );
    expect(marked.marks[0]).to.include({ text: 'bent tab' });
    expect(marked.hash).to.equal(photo.hash);
    await page.keyboard.press('Escape');

    await visit(page, '/');
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page
        .getByRole('button', { name: /Export/ })
        .first()
        .click(),
    ]);
    expect(download.suggestedFilename()).to.match(/\.zip$/);
    const path = await download.path();
    const { pictures, document: written } = readZip(readFileSync(path));
    expect(written).to.contain(photo.hash);
    const kept = Buffer.from(pictures.find(({ hash }) => hash === photo.hash)?.bytes ?? []);
    expect(kept.subarray(0, 2).toString('hex')).to.equal('ffd8');
    expect(kept.includes('Exif')).to.equal(false);

    /* On another bench. */
    const other = await openShop('/');
    await other.page.locator('input[type=file]').first().setInputFiles(path);
    await other.page.getByRole('button', { name: /Replace|Open in its place/ }).click();
    await stored<Photo>(other.page, 'photos', photo.id, (value) => value !== undefined);
    await visit(other.page, '/job/14/take-in');
    const there = other.page
      .getByRole('group', { name: /Photos of/ })
      .locator('img')
      .first();
    await there.waitFor();
    await other.page.waitForFunction(
      () =>
        (document.querySelector('[aria-label^="Photos of"] img') as HTMLImageElement | null)
          ?.naturalWidth,
    );
    expect(other.complaints).to.deep.equal([]);
    await other.context.close();
  });
});

describe('the two sheets', () => {
  it('are filled in by keyboard; what was paid is on one of them only', async () => {
    const shop = await openShop('/job/14/hand-over');
    const { page } = shop;
    await page.locator('summary', { hasText: 'To fill in' }).focus();
    await page.keyboard.press('Enter');
    await retype(page.getByLabel('For whom'), 'Ilse Tarn');
    await retype(page.getByLabel('Warranty'), '90 days');
    await stored<Job>(page, 'jobs', '14', (job) => job?.warranty === '90 days');
    await page.getByRole('button', { name: "Customer's sheet" }).click();
    await page.getByRole('heading', { name: 'Warranty' }).waitFor();
    const sheet = page.locator('article');
    expect(await sheet.innerText())
      .to.contain('Ilse Tarn')
      .and.not.to.contain('€');
    expect(await sheet.innerText()).not.to.match(/\d+\.\d\d €|costs/i);
    await page.getByRole('button', { name: "Shop's sheet" }).click();
    await page.getByRole('heading', { name: 'Cost' }).waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('the same again', () => {
  it('makes alike machines with a job each, ticked together', async () => {
    const shop = await openShop('/job/14/take-in');
    const { page } = shop;
    await page.locator('summary', { hasText: 'This machine and this job' }).click();
    await page.getByRole('button', { name: 'Same again' }).click();
    await retype(page.getByLabel('How many more'), '0');
    await page.getByRole('button', { name: 'Add them' }).click();
    await page.getByText('How many more: 1 to').waitFor();
    await retype(page.getByLabel('How many more'), '3');
    await page.getByRole('button', { name: 'Add them' }).click();
    await page.getByText('3 more like job 14').waitFor();
    await page.waitForTimeout(200);
    await visit(page, '/job/14/order');
    await page.getByRole('button', { name: /Tick: Unplug/ }).click();
    await page
      .getByRole('button', { name: /all 4 alike/ })
      .last()
      .click();
    const jobs = await page.evaluate(
      () =>
        new Promise<Job[]>((resolve) => {
          const open = indexedDB.open('nutshell-swap');
          open.onsuccess = () => {
            const all = open.result.transaction('jobs').objectStore('jobs').getAll();
            all.onsuccess = () => resolve(all.result as Job[]);
          };
        }),
    );
    const alike = jobs.filter(({ name, becomes }) => {
      const own = jobs.find(({ id }) => id === '14');
      return becomes === own?.becomes && name.startsWith('Slim desk unit');
    });
    expect(alike).to.have.length(4);
    for (const { id, ticks } of alike)
      expect(ticks.map(({ stepId }) => stepId)).to.deep.equal(
        id === '14' ? ['before-reading', 'discharge'] : ['discharge'],
      );
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('letters of the browser', () => {
  it('twice as large, the page is as it is on a screen half as wide, and nothing runs out of it', async function () {
    this.timeout(120_000);
    const large = await launch(['--blink-settings=defaultFontSize=32,defaultFixedFontSize=26']);
    try {
      const context = await large.newContext({ viewport: { width: 1280, height: 800 } });
      const page = await context.newPage();
      for (const path of ['/', '/shelf', '/job/14/fit', '/job/14/plugs', '/job/14/hand-over']) {
        await page.goto(`${await origin()}${path}`);
        await ready(page);
        await page.waitForTimeout(200);
        const sizes = await page.evaluate(() => ({
          wide: document.documentElement.scrollWidth - window.innerWidth,
          letters: (document.querySelector('#stage h1')?.getBoundingClientRect().height ?? 0) > 44,
          /* Nothing of the frame lies below the screen. */
          below:
            Math.round(document.querySelector('nav.rail')?.getBoundingClientRect().bottom ?? 0) >
            window.innerHeight,
        }));
        expect(sizes, path).to.deep.equal({ wide: 0, letters: true, below: false });
      }
    } finally {
      await large.close();
    }
  });
});

describe('model cards', () => {
  it('go out of a part’s sheet and come into another shop as typed by this one', async () => {
    const [giver, taker]: Shop[] = [await openShop('/shelf'), await openShop('/')];
    if (!giver || !taker) throw new Error('no shops');
    const { page } = giver;
    const modelled = await page.evaluate(
      () =>
        new Promise<Part | undefined>((resolve) => {
          const open = indexedDB.open('nutshell-swap');
          open.onsuccess = () => {
            const all = open.result.transaction('parts').objectStore('parts').getAll();
            all.onsuccess = () =>
              resolve(
                (all.result as Part[]).find(({ modelId, kind }) => modelId && kind === 'case'),
              );
          };
        }),
    );
    await page.getByLabel('Where').first().selectOption('all');
    await retype(page.getByLabel('Search', { exact: true }), modelled?.id ?? '');
    await page
      .getByRole('button', { name: modelled?.name ?? '' })
      .first()
      .click();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Card of this model' }).click(),
    ]);
    expect(download.suggestedFilename()).to.match(/\.cards\.json$/);
    const text = readFileSync(await download.path(), 'utf8');
    expect(text).to.contain('nutshell-swap-cards').and.not.to.contain('"jobs"');

    await taker.page.getByRole('button', { name: 'Start my own shop' }).click();
    const dialog = taker.page.getByRole('dialog', { name: 'Start my own shop' });
    await retype(dialog.getByLabel('Name'), 'Dockside');
    await retype(dialog.getByLabel('Currency'), 'eur');
    await dialog.getByRole('button', { name: 'Open my shop' }).click();
    await taker.page.getByText('Dockside').first().waitFor();
    await taker.page
      .locator('input[type=file]')
      .first()
      .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(text) });
    await taker.page.getByText('It counts as typed by them').waitFor();
    await taker.page.getByRole('button', { name: 'Take them in' }).click();
    await taker.page.getByText(/Taken in: 1 of/).waitFor();
    await taker.page
      .locator('input[type=file]')
      .first()
      .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(text) });
    await taker.page.getByText('All of it is known here').waitFor();
    for (const shop of [giver, taker]) {
      expect(shop.complaints).to.deep.equal([]);
      await shop.context.close();
    }
  });
});

describe('the customer’s sheet on paper', () => {
  for (const format of ['A4', 'Letter'] as const)
    it(`takes one page of ${format}, for every job of the demo`, async () => {
      const shop = await openShop('/job/14/hand-over#customer');
      for (const id of ['14', '15', '5', '9', '11', '19']) {
        await visit(shop.page, `/job/${id}/hand-over#customer`);
        await shop.page.getByRole('heading', { name: 'What it is now' }).waitFor();
        const pdf = (await shop.page.pdf({ format })).toString('latin1');
        expect((pdf.match(/\/Type\s*\/Page\b/g) ?? []).length, id).to.equal(1);
      }
      await shop.context.close();
    });
});
