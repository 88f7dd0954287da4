import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { demoShop } from '../../src/core/demo/demoShop.ts';
import { stationIds } from '../../src/core/findings/finding.ts';
import type { Job, Machine, Part } from '../../src/core/model/types/types.ts';
import { scanWords } from '../../src/core/quick/line/understood.ts';
import { openShop, stored, visit, type Shop } from './helpers/app.ts';
import { byHand, scan, scanInside } from './helpers/keys.ts';

const views = [
  ...stationIds.map((station) => `/job/5/${station}`),
  '/',
  '/labels',
  '/book',
  '/scan-sheet',
];

const demo = demoShop('2026-11-25T09:00:00.000Z');
const tags = demo.parts.map((part) => part.id);
const places = [...new Set(demo.parts.flatMap((part) => part.where ?? []))];

const toasts = (page: Page) => page.locator('.toasts');
const entry = (page: Page) => page.getByRole('textbox', { name: /Entry line/ });
const dialogs = (page: Page) => page.locator('dialog[open]').count();

/** Every measured fact in the browser's store, as text. */
const measuredIn = (page: Page): Promise<string[]> =>
  page.evaluate(
    () =>
      new Promise((resolve) => {
        const open = indexedDB.open('nutshell-swap');
        open.onsuccess = () => {
          const tx = open.result.transaction(['parts', 'models']);
          const found: string[] = [];
          for (const name of ['parts', 'models']) {
            const all = tx.objectStore(name).getAll();
            all.onsuccess = () => {
              for (const { id, facts } of all.result as { id: string; facts: object }[])
                for (const [key, fact] of Object.entries(facts))
                  if ((fact as { how: string }).how === 'measured')
                    found.push(JSON.stringify({ id, key, ...(fact as object) }));
            };
          }
          tx.oncomplete = () => {
            open.result.close();
            resolve(found);
          };
        };
      }),
  );

describe('a scanner, nothing focused', function () {
  let shop: Shop;
  before(async () => (shop = await openShop('/job/5/fit')));
  after(() => shop.context.close());

  for (const [i, view] of views.entries()) {
    /* Each code of the shop is scanned on one view, each word and sort of code on every one. */
    const here = <T>(all: readonly T[]) => all.filter((_, at) => at % views.length === i);
    it(`every word, tag, place and number is taken on ${view}, and none runs a shortcut`, async () => {
      const { page } = shop;
      await visit(page, view);
      await page.locator('#stage').focus();
      const path = new URL(page.url()).pathname;
      const inJob = view.startsWith('/job');
      const ticks = (count: number) =>
        stored<Job>(page, 'jobs', '5', (job) => job?.ticks.length === count);

      /* "next" made a job called "ext" once; "not measured", "undo" and "no" begin with shortcuts too. */
      for (const word of scanWords.filter((each) => !['done', 'undo', 'redo'].includes(each)))
        await scanInside(page, word);
      expect(await dialogs(page), 'a dialog was opened').to.equal(0);
      const before = (await stored<Job>(page, 'jobs', '5', () => true)).ticks.length;
      await scanInside(page, 'done');
      if (inJob) {
        await ticks(before + 1);
        await scanInside(page, 'undo');
        await ticks(before);
        await scanInside(page, 'redo');
        await ticks(before + 1);
        await scanInside(page, 'undo');
        await ticks(before);
      } else await toasts(page).getByText('Open a job first').first().waitFor();

      for (const where of here(places)) {
        await scanInside(page, `@${where}`);
        await toasts(page).getByText(`Parts scanned now go to ${where}.`).first().waitFor();
        await scanInside(page, 'done');
        await toasts(page).getByText(`No more parts to ${where}.`).first().waitFor();
      }
      for (const tag of ['H03', ...here(tags)]) {
        await (tag === 'H03' ? scan : scanInside)(page, tag);
        await toasts(page)
          .getByText(new RegExp(`^${tag}(?: is|,)`))
          .first()
          .waitFor();
        if (inJob) continue;
        await scanInside(page, '@drawer 9');
        await toasts(page)
          .getByText(new RegExp(`^${tag}(?: lies in drawer 9| sits in )`))
          .first()
          .waitFor();
      }
      if (!inJob) await stored<Part>(page, 'parts', 'H03', (part) => part?.where === 'drawer 9');
      else
        await stored<Job>(page, 'jobs', '5', (job) =>
          (job?.changes ?? []).some((change) => change.partId === 'H03'),
        );
      expect(new URL(page.url()).pathname).to.equal(path);

      for (const odd of ['no such code', '140.25 mm']) {
        await page.locator('#stage').focus();
        await scan(page, odd);
        const mine = await entry(page).inputValue();
        if (mine === '') {
          /* A lit question took the figure. */
          expect(inJob && odd === '140.25 mm', odd).to.equal(true);
          expect(
            (await measuredIn(page)).some(
              (fact) => fact.includes('140.25') || fact.includes('140.35'),
            ),
            odd,
          ).to.equal(true);
        } else expect(mine).to.equal(odd);
        await entry(page).press('Escape');
      }
      expect(await dialogs(page)).to.equal(0);
      await stored(page, 'jobs', '20', (job) => job === undefined);
      expect(shop.complaints).to.deep.equal([]);
    });
  }

  it('in the entry line a tag scanned behind typed words belongs to them', async () => {
    const { page } = shop;
    await visit(page, '/');
    await entry(page).focus();
    await byHand(page, 'paid 3 for ');
    await scan(page, 'H02');
    await stored<{ partId?: string }>(page, 'ledger', 'L0011', (each) => each?.partId === 'H02');
  });

  it('opens a job by its tag, and ticks its next step with “done”', async () => {
    const { page } = shop;
    await visit(page, '/');
    await page.locator('#stage').focus();
    await scan(page, '14');
    await page.waitForURL(/\/job\/14\//);
    await scan(page, 'done');
    await stored<Job>(page, 'jobs', '14', (job) => (job?.ticks.length ?? 0) > 0);
  });

  it('reaches the entry line past buttons, lists of choices and fields of text', async () => {
    const { page } = shop;
    await visit(page, '/');
    for (const focused of ['New job', 'Practise']) {
      await page.getByRole('button', { name: focused }).focus();
      await scan(page, 'H03');
      await toasts(page).getByText(/H03/).first().waitFor();
      expect(await dialogs(page)).to.equal(0);
      await page.getByText('on a copy of the shop').waitFor({ state: 'detached' });
    }
    await visit(page, '/settings');
    const lengths = page.getByLabel('Lengths');
    await lengths.focus();
    await scan(page, 'I99 inches');
    expect(await lengths.inputValue()).to.equal('mm');
    await visit(page, '/job/12/take-in');
    const origin = page.getByLabel(/^From/).first();
    await origin.focus();
    const before = await origin.inputValue();
    await scan(page, 'H03');
    await stored<Job>(page, 'jobs', '12', (job) =>
      (job?.changes ?? []).some((change) => change.partId === 'H03'),
    );
    expect(await origin.inputValue()).to.equal(before);
  });

  it('is understood in a field before the page found time to load what understands it', async () => {
    const { page } = shop;
    await page.addInitScript(() => (window.requestIdleCallback = () => 0));
    await visit(page, '/job/12/take-in');
    const origin = page.getByLabel(/^From/).first();
    await origin.focus();
    const before = await origin.inputValue();
    await scan(page, 'H05');
    await stored<Job>(page, 'jobs', '12', (job) =>
      (job?.changes ?? []).some((change) => change.partId === 'H05'),
    );
    expect(await origin.inputValue()).to.equal(before);
    /* What is no code stays where it was scanned, and its Enter counts. */
    await visit(page, '/job/12/take-in');
    await origin.focus();
    await page.keyboard.press('ControlOrMeta+A');
    await scan(page, 'pallet 77');
    expect(await origin.inputValue()).to.equal('pallet 77');
    await stored<Machine>(
      page,
      'machines',
      demo.jobs.find((job) => job.id === '12')?.machineId ?? '',
      (machine) => machine?.origin === 'pallet 77',
    );
    /* In a box of several lines its Enter begins the next. */
    await visit(page, '/job/12/hand-over');
    const note = page.getByLabel('Note, for the shop');
    await note.evaluate((node) => node.closest('details')?.setAttribute('open', ''));
    await note.focus();
    await page.keyboard.press('ControlOrMeta+A');
    await scan(page, 'pallet 78');
    await stored<Job>(page, 'jobs', '12', (job) => job?.note === 'pallet 78\n');
    expect(await note.inputValue()).to.equal('pallet 78\n');
  });
});

describe('hands', function () {
  let shop: Shop;
  before(async () => (shop = await openShop('/job/5/fit')));
  after(() => shop.context.close());

  it('use every shortcut as before, with a pause around it', async () => {
    const { page } = shop;
    await page.locator('#stage').focus();
    await byHand(page, 'g4');
    await page.waitForURL(/\/watts$/);
    await byHand(page, 'gb');
    await page.waitForURL((url) => url.pathname === '/');
    await byHand(page, 'n');
    await page.getByRole('heading', { name: 'New job' }).waitFor();
    await page.keyboard.press('Escape');
    await page.locator('#stage').focus();
    await byHand(page, '/');
    expect(await entry(page).evaluate((node) => node === document.activeElement)).to.equal(true);
  });

  it('type two numbers anywhere and read the answer; a slash inside opens nothing', async () => {
    const { page } = shop;
    await visit(page, '/');
    await page.locator('#stage').focus();
    await byHand(page, '4 3/8 in into 5 in');
    await page
      .getByText(/15.9 mm spare/)
      .first()
      .waitFor();
    await page.keyboard.press('Escape');
  });

  it('type a letter in a list of choices as in any other', async () => {
    const { page } = shop;
    await visit(page, '/settings');
    const light = page.getByLabel('Light');
    await light.focus();
    await byHand(page, 'e');
    expect(await light.inputValue()).to.equal('dark');
  });

  it('store a whole measurement in the walk, never its first digit, and stay in the field', async () => {
    const { page } = shop;
    await visit(page, '/job/5/fit');
    await page.getByRole('button', { name: 'Measure', exact: true }).click();
    const before = await measuredIn(page);
    const ask = page.locator('.walk .ask');
    const first = await ask.getByRole('heading').innerText();
    const field = ask.locator('input.figure').first();
    await field.focus();
    await byHand(page, '140', 60);
    expect(
      await ask.getByRole('heading').innerText(),
      'the question stays while it is typed',
    ).to.equal(first);
    await page.keyboard.press('Enter');
    await page.waitForFunction(
      (was) => document.querySelector('.walk .ask h2')?.textContent !== was,
      first,
    );
    expect(
      await page.evaluate(() => document.activeElement?.closest('.walk .ask') !== null),
      'the next question comes to the hands',
    ).to.equal(true);
    await page.waitForTimeout(200);
    const fresh = (await measuredIn(page)).filter((fact) => !before.includes(fact));
    expect(fresh).to.have.length(1);
    expect(JSON.parse(fresh[0]!)).to.include({ lo: 139.9, hi: 140.1, source: 'good to 0.1 mm' });
  });

  it('write a caliper’s figures down the tape’s list without touching the mouse', async () => {
    const { page } = shop;
    await visit(page, '/job/5/fit');
    await page.locator('button.fold').first().click();
    const list = page.getByRole('region', { name: 'Not measured' });
    const fields = list.locator('li input.figure');
    await fields.first().focus();
    const asked = await fields.first().evaluate((node) => node.closest('li')?.textContent);
    await scan(page, '41.5');
    await page.waitForFunction((was) => {
      const now = document.activeElement?.closest('li.lit')?.textContent;
      return now !== undefined && now !== was;
    }, asked);
    expect(await page.evaluate(() => document.activeElement?.closest('li.lit') !== null)).to.equal(
      true,
    );
  });
});
