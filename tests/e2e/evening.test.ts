import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import type { Locator, Page } from 'playwright-core';
import type { Job, Part } from '../../src/core/model/types/types.ts';
import { enter, openShop, ready, retype, stored, visit, type Shop } from './helpers/app.ts';

/** The first evening: what a newcomer does, counted in clicks and keys. */

/** A hand that counts. */
class Hand {
  clicks = 0;
  keys = 0;
  #page: Page;
  constructor(page: Page) {
    this.#page = page;
  }
  async click(what: Locator): Promise<void> {
    this.clicks += 1;
    await what.click();
  }
  async press(key: string): Promise<void> {
    this.keys += 1;
    await this.#page.keyboard.press(key);
  }
  async type(text: string): Promise<void> {
    this.keys += text.length;
    await this.#page.keyboard.type(text);
  }
  /** Ctrl and V: what a clipboard holds arrives as the browser hands it over. */
  async paste(into: Locator, text: string): Promise<void> {
    this.keys += 2;
    await into.evaluate((node, pasted) => {
      const data = new DataTransfer();
      data.setData('text', pasted);
      node.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
      );
    }, text);
  }
}

describe('the first evening', () => {
  let shop: Shop;
  beforeEach(async () => {
    shop = await openShop();
  });
  afterEach(async () => {
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
  const line = () => shop.page.getByRole('textbox', { name: /Entry line/ });

  it('two numbers, an answer: one key and the figures', async () => {
    const { page } = shop;
    const hand = new Hand(page);
    await hand.press('/');
    await hand.type('267 in 247');
    await page.getByText('mm too long').waitFor();
    expect(hand.clicks + (hand.keys - '267 in 247'.length)).to.equal(1);
  });

  it('an inventory, then what does not go together: at most 12 clicks and 60 keys', async () => {
    const { page } = shop;
    const hand = new Hand(page);
    await hand.click(page.getByRole('button', { name: 'Paste an inventory' }));
    const text = readFileSync('tests/fixtures/inventories/dmidecode-2.txt', 'utf8');
    await hand.paste(page.getByRole('textbox', { name: 'Paste the inventory here' }), text);
    await page.waitForURL(/\/job\/20\/take-in/);
    await hand.press('/');
    await hand.type('add card 330 mm 3 slot 320 W');
    await hand.press('Enter');
    await page.getByText(/^Added P\d+/).waitFor();
    await page.getByRole('region', { name: 'Sums' }).locator('li').first().waitFor();
    expect(hand.clicks, 'clicks').to.be.at.most(12);
    expect(hand.keys, 'keys').to.be.at.most(60);
    const job = await stored<Job>(page, 'jobs', '20', (value) => (value?.changes.length ?? 0) > 0);
    expect(job.changes[0]?.seat).to.equal('card1');
  });

  it('a dead machine, then the first test: at most 10 clicks and 40 keys', async () => {
    const { page } = shop;
    const hand = new Hand(page);
    await hand.click(page.getByRole('button', { name: 'A dead machine' }));
    const dialog = page.getByRole('dialog', { name: 'A machine that is dead' });
    await hand.click(dialog.getByRole('button', { name: 'slim' }));
    await hand.click(dialog.getByRole('button', { name: "maker's own PSU" }));
    await hand.click(dialog.getByRole('button', { name: 'fans spin, no picture' }));
    await hand.click(dialog.getByRole('button', { name: 'Find the fault' }));
    await page.waitForURL(/\/job\/20\/power-up/);
    await page
      .getByText(/most useful next test/i)
      .first()
      .waitFor();
    expect(hand.clicks, 'clicks').to.be.at.most(10);
    expect(hand.keys, 'keys').to.equal(0);
    const job = await stored<Job>(page, 'jobs', '20', (value) => value !== undefined);
    expect(job.diagnoses[0]?.symptom).to.equal('picture');
    await visit(page, '/job/20/take-in');
    await page.getByText('Dead slim').first().waitFor();
  });

  it('begins a shop of its own, empty, and goes back to the demo: neither is lost', async () => {
    const { page } = shop;
    await page.getByRole('button', { name: 'Start my own shop' }).click();
    const dialog = page.getByRole('dialog', { name: 'Start my own shop' });
    await retype(dialog.getByLabel('Name'), 'Cellar bench');
    await dialog.getByLabel('Lengths').selectOption('in');
    await retype(dialog.getByLabel('Currency'), 'xyz');
    await dialog.getByRole('button', { name: 'Open my shop' }).click();
    await dialog.getByText('Three letters').waitFor();
    await retype(dialog.getByLabel('Currency'), 'usd');
    await retype(dialog.getByLabel('What an hour is worth'), '15');
    await dialog.getByRole('button', { name: 'Open my shop' }).click();
    await page.getByText('Cellar bench', { exact: true }).waitFor();
    await page
      .getByRole('heading', { name: 'Will these parts go together in this case?' })
      .waitFor();
    await page.getByRole('button', { name: 'Type them' }).click();
    await page.keyboard.type('10 in 11');
    await page.locator('#entry-say').getByText('1 in spare').waitFor();
    await page.keyboard.press('Escape');
    await enter(page, 'job Own box becomes a router');
    await page.waitForURL(/\/job\/1\/take-in/);

    await visit(page, '/');
    await page.getByRole('button', { name: 'Open the demo' }).click();
    await page.getByText('Skarnhol post workshop', { exact: true }).waitFor();
    await page.getByText('14 · Slim desk unit').waitFor();
    await page.getByRole('button', { name: 'Back to my shop' }).click();
    await page.getByText('1 · Own box').waitFor();
    await enter(page, 'settings');
    await page.getByRole('heading', { name: 'Settings', level: 1 }).waitFor();
    expect(await page.getByLabel('What an hour is worth').inputValue()).to.equal('15.00');
    expect(await page.getByLabel('Lengths').inputValue()).to.equal('in');
    expect(await page.getByLabel('Currency').inputValue()).to.equal('USD');
  });

  it('opens what was found, and puts it in the open job', async () => {
    const { page } = shop;
    await retype(line(), 'fan 92');
    await page.getByRole('list', { name: 'Found on the shelf' }).getByText('H01').click();
    await page.getByRole('dialog', { name: 'H01 · fan 92' }).waitFor();
    await page.keyboard.press('Escape');
    await visit(page, '/job/12/take-in');
    await retype(line(), '92mm fan');
    await page.getByRole('button', { name: 'Put in as fan 1' }).first().click();
    await stored<Job>(page, 'jobs', '12', (job) =>
      Boolean(job?.changes.some(({ partId }) => partId === 'H01')),
    );
  });

  it('shows plugs face to face, and offers what may have been meant', async () => {
    const { page } = shop;
    await retype(line(), 'old drive plug to sata');
    await page.getByRole('img', { name: /4-pin peripheral plug/ }).waitFor();
    await page.getByRole('img', { name: /SATA power/ }).waitFor();
    await retype(line(), 'fnas 92');
    await page.getByRole('button', { name: 'fans 92' }).click();
    await page.getByRole('list', { name: 'Found on the shelf' }).getByText('H02').waitFor();
  });

  it('writes down, deletes and notes by a line, each taken back by its own Undo', async () => {
    const { page } = shop;
    await enter(page, 'F04 length 267');
    const lengthOf = (part: Part | undefined) => part?.facts['length'];
    await stored<Part>(page, 'parts', 'F04', (part) => lengthOf(part) !== undefined);
    await page.getByRole('button', { name: 'Undo' }).last().click();
    await stored<Part>(page, 'parts', 'F04', (part) => lengthOf(part) === undefined);
    await enter(page, 'note F04 fan rattles');
    await stored<Part>(
      page,
      'parts',
      'F04',
      (part) => part?.note?.includes('fan rattles') === true,
    );
    await enter(page, 'add fan 140');
    await page.getByText(/^Added P01/).waitFor();
    await enter(page, 'delete P01');
    await page.getByText('P01 deleted.').waitFor();
    await enter(page, 'delete F01');
    await page.getByText(/F01 .*(?:planned|kept|stands)/).waitFor();
    await stored<Part>(page, 'parts', 'F01', (part) => part !== undefined);
  });

  it('holds a part against the open job, and leads where a word says', async () => {
    const { page } = shop;
    await visit(page, '/job/5/fit');
    await retype(line(), 'is 450w enough');
    await page.getByText('Amps on 12 V and plugs are looked at in Watts.').waitFor();
    await page.keyboard.press('Enter');
    await page.waitForURL(/\/job\/5\/watts/);
    await enter(page, 'label F04');
    await page.waitForURL(/\/labels/);
    await page.getByRole('button', { name: 'Print 1' }).waitFor();
    await enter(page, 'help');
    await page.getByRole('dialog').waitFor();
    await page.keyboard.press('Escape');
    await ready(page);
  });

  it('asks four to six figures of a part, shows where each is taken, and copies a twin', async () => {
    const { page } = shop;
    await visit(page, '/job/14/take-in');
    await page.locator('.add').getByRole('button', { name: 'card', exact: true }).click();
    await page.getByRole('button', { name: 'Type one in' }).click();
    const form = page.getByRole('dialog').locator('form');
    const open = form.locator('.sides .fields > div');
    expect(await open.count()).to.be.within(4, 6);
    await form.getByLabel('length from the bracket').focus();
    await form.getByText('How long is the card from the inside of its bracket?').waitFor();
    await retype(form.getByLabel('Same as'), 'f02');
    await page.keyboard.press('Tab');
    expect(await form.getByLabel('Name', { exact: true }).inputValue()).to.equal('Fennoch Duo 228');
    await retype(form.getByLabel('Same as'), 'H01');
    await page.keyboard.press('Tab');
    await form.getByText('No card is called H01.').waitFor();
    await form.getByText(/^More, \d+$/).click();
    await form.getByLabel('Price').scrollIntoViewIfNeeded();
    const button = form.getByRole('button', { name: 'Put it in' });
    expect(await button.evaluate((node) => node.getBoundingClientRect().bottom)).to.be.at.most(800);
    await button.click();
    const part = await stored<Part>(page, 'parts', 'P01', (value) => value !== undefined);
    expect(part.facts['length']).to.include({ lo: 228 });
  });

  it('helps with the view at hand, and walks through the demo in five stops', async () => {
    const { page } = shop;
    await visit(page, '/job/14/watts');
    await page.keyboard.press('?');
    const help = page.getByRole('dialog', { name: 'Help · Watts' });
    await help.getByText('The tree shows what feeds what').waitFor();
    await help.getByRole('button', { name: 'A tour in five stops' }).click();
    for (let stop = 1; stop <= 5; stop += 1) {
      const card = page.getByRole('dialog', { name: `Tour, ${stop} of 5` });
      await card.waitFor();
      await page.locator('.ring').waitFor();
      await card.getByRole('button', { name: stop < 5 ? 'Next' : 'Done' }).click();
    }
    await page.locator('.ring').waitFor({ state: 'detached' });
    await page.keyboard.press('?');
    await page.getByRole('button', { name: 'A tour in five stops' }).click();
    await page.getByRole('dialog', { name: 'Tour, 1 of 5' }).waitFor();
    await page.keyboard.press('Escape');
    await page.locator('.ring').waitFor({ state: 'detached' });
  });

  it('gives a view its own address, with a way back', async () => {
    const { page } = shop;
    await visit(page, '/job/14/fit');
    await page.getByRole('button', { name: 'Holes' }).click();
    await page.waitForURL(/fit#holes$/);
    await page.getByRole('button', { name: 'Rear' }).click();
    await page.waitForURL(/fit#rear$/);
    await page.goBack();
    await page.locator('button[aria-pressed="true"]', { hasText: 'Holes' }).waitFor();
    await page.goBack();
    await page.getByRole('heading', { name: 'Ways to make it fit' }).waitFor();
    await visit(page, '/job/14/fit#limits');
    await page.locator('button[aria-pressed="true"]', { hasText: 'Limits' }).waitFor();
  });
});

describe('a phone at the bench', () => {
  it('reads a label with its camera and does what a scanner does', async () => {
    const shop = await openShop('/', { width: 390, height: 844 });
    const { page } = shop;
    /* The camera sees the product's own label of H03. */
    await page.addInitScript(() => {
      navigator.mediaDevices.getUserMedia = async () => {
        const image = new Image();
        image.src = (window as unknown as { label: string }).label;
        await image.decode();
        const canvas = document.createElement('canvas');
        [canvas.width, canvas.height] = [640, 480];
        const context = canvas.getContext('2d');
        setInterval(() => {
          if (!context) return;
          context.fillStyle = '#ddd';
          context.fillRect(0, 0, 640, 480);
          context.drawImage(image, 120, 160, 400, 160);
        }, 50);
        return canvas.captureStream(20);
      };
    });
    await visit(page, '/labels');
    const label = await page.locator('img[alt="code for H03"]').getAttribute('src');
    await page.addInitScript((source) => {
      (window as unknown as { label: string }).label = source;
    }, label ?? '');
    await visit(page, '/job/12/take-in');
    await page.getByRole('button', { name: 'Scan a label with the camera' }).click();
    await page.getByRole('dialog', { name: 'Scan a label' }).getByText('H03').waitFor();
    await stored<Job>(page, 'jobs', '12', (job) =>
      Boolean(job?.changes.some(({ partId }) => partId === 'H03')),
    );
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('says why there is no camera, and keeps header, station and targets in reach', async () => {
    const shop = await openShop('/job/14/heat', { width: 390, height: 844 });
    const { page } = shop;
    await page.getByRole('button', { name: 'Scan a label with the camera' }).click();
    await page
      .getByText(/camera/i)
      .filter({ hasText: /allowed|found|opened/ })
      .waitFor();
    await page.keyboard.press('Escape');
    const header = await page.locator('header.head').boundingBox();
    expect(header?.height ?? 999).to.be.at.most(120);
    /* However late the counts and the typeface come: they push the row aside. */
    await page.waitForFunction(() => {
      const box = document.querySelector('.rail [aria-current]')?.getBoundingClientRect();
      return box !== undefined && box.x >= -1 && box.right <= 391;
    });
    await page.evaluate(() => {
      for (const each of document.querySelectorAll<HTMLElement>('.rail .name'))
        each.style.letterSpacing = '6px';
    });
    await page.waitForFunction(() => {
      const box = document.querySelector('.rail [aria-current]')?.getBoundingClientRect();
      return box !== undefined && box.x >= -1 && box.right <= 391;
    });
    await retype(page.getByRole('textbox', { name: /Entry line/ }), 'fan 92');
    const hits = await page.getByRole('list', { name: 'Found on the shelf' }).boundingBox();
    /* A phone's keyboard takes the lower half. */
    expect((hits?.y ?? 0) + (hits?.height ?? 999)).to.be.at.most(844 * 0.58);
    await shop.context.close();
  });

  it('has nothing smaller than a thumb but what is drawn to scale or stands on the tag', async function () {
    this.timeout(120_000);
    const shop = await openShop('/', { width: 390, height: 844 });
    const { page } = shop;
    const small: string[] = [];
    const stations =
      'take-in fit plugs watts links donors order power-up heat hand-over fit#holes fit#screws heat#runs';
    const paths = [
      '/',
      '/settings',
      '/book',
      ...stations.split(' ').map((each) => `/job/14/${each}`),
    ];
    for (const path of paths) {
      await visit(page, path);
      await page.waitForTimeout(120);
      const found = await page.evaluate(() => {
        const wanted =
          'button:not(.row), select, summary, textarea, input:not([type=checkbox], [type=radio], [type=file])';
        return [...document.querySelectorAll<HTMLElement>(wanted)]
          .filter((node) => node.checkVisibility() && !node.closest('.tag, svg'))
          .filter((node) => node.getBoundingClientRect().height < 43.5)
          .map((node) => `${node.tagName} ${node.textContent.trim().slice(0, 30)}`);
      });
      small.push(...found.map((each) => `${path}: ${each}`));
    }
    expect(small).to.deep.equal([]);
    await shop.context.close();
  });
});
