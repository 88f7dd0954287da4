import { expect } from 'chai';
import type { Job } from '../../src/core/model/types/types.ts';
import { enter, openShop, retype, type Shop, stored, visit } from './helpers/app.ts';

describe('entry line', () => {
  let shop: Shop;
  beforeEach(async () => {
    shop = await openShop();
  });
  afterEach(async () => {
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
  const say = () => shop.page.locator('#entry-say').textContent();

  it('answers two numbers before Enter, with no job', async () => {
    const { page } = shop;
    await page.keyboard.press('/');
    await page.keyboard.type('267 in 247');
    await page.locator('#entry-say', { hasText: '20 mm over' }).waitFor();
    await page.getByText('mm too long').waitFor();
    await page.keyboard.press('Enter');
    await page.getByRole('list', { name: 'Quick sums' }).getByText('267 in 247').first().waitFor();
    expect(await page.getByRole('textbox', { name: /Entry line/ }).inputValue()).to.equal('');
  });

  for (const [text, answer] of [
    ['8 x 3.2 x 6.3 in', '2.64 litres'],
    ['12 V 20 A', '240 W'],
    ['awg 18 2 m 6 A', '0.5 V lost'],
    ['fan 92', '2 found: H01, H02'],
    ['100 C', '212 °F'],
    ['nonsense here', 'Not understood'],
  ] as const) {
    it(`understands "${text}"`, async () => {
      await retype(shop.page.getByRole('textbox', { name: /Entry line/ }), text);
      /* What reads a line comes with the first key. */
      await shop.page.locator('#entry-say', { hasText: answer }).waitFor();
    });
  }

  it('tears the sum off again with undo, or keeps it with a job', async () => {
    const { page } = shop;
    await enter(page, '228 in 310');
    const sums = page.getByRole('list', { name: 'Quick sums' });
    await sums.getByText('228 in 310').first().waitFor();
    await page.keyboard.press('Escape');
    await page.locator('#stage').focus();
    /* A key straight after others may be a scanner's. */
    await page.waitForTimeout(150);
    await page.keyboard.press('u');
    await page.getByText('Torn off the tape.').waitFor();
    await enter(page, '228 in 310');
    await page.getByLabel('Keep 228 in 310 with a job').selectOption('9');
    const job = await stored<Job>(page, 'jobs', '9', (value) => (value?.sums.length ?? 0) > 0);
    expect(job.sums[0]?.text).to.equal('228 in 310');
    await visit(page, '/job/9/fit');
    await page.getByText('= 82 mm spare').waitFor();
  });

  it('starts a job from one line and goes there', async () => {
    const { page } = shop;
    await enter(page, 'job Parcel scale becomes a router');
    await page.waitForURL(/\/job\/20\/take-in/);
    await page.getByText('20 · Parcel scale', { exact: true }).first().waitFor();
  });

  it('puts a scanned part into the plan and takes it out again', async () => {
    const { page } = shop;
    await visit(page, '/job/12/take-in');
    await retype(page.getByRole('textbox', { name: /Entry line/ }), 'H03');
    expect(await say()).to.contain('Enter puts it in as fan 1');
    await page.keyboard.press('Enter');
    await stored<Job>(
      page,
      'jobs',
      '12',
      (job) => job?.changes.some((change) => change.partId === 'H03') ?? false,
    );
    await enter(page, 'undo');
    await stored<Job>(
      page,
      'jobs',
      '12',
      (job) => !job?.changes.some((change) => change.partId === 'H03'),
    );
  });

  it('ticks the next step by scanning "done"', async () => {
    const { page } = shop;
    await visit(page, '/job/14/order');
    await enter(page, 'done');
    await stored<Job>(
      page,
      'jobs',
      '14',
      (job) => job?.ticks.some((tick) => tick.stepId === 'discharge') ?? false,
    );
  });

  it("takes the caliper's number for the lit question, and yes for an answer", async () => {
    const { page } = shop;
    await visit(page, '/job/5/fit');
    /* Other questions may come first, and an answer lights the next one: walk to the cooler's height. */
    const lightHeight = async () => {
      await page.locator('#stage').focus();
      await page.keyboard.press('m');
      const lit = page.locator('li.lit').getByText('less than 162 mm?');
      for (let i = 0; i < 20 && (await lit.count()) === 0; i += 1) {
        await enter(page, 'next');
        await page.waitForTimeout(60);
      }
      await lit.waitFor();
      await page.getByRole('textbox', { name: /Entry line/ }).focus();
    };
    await lightHeight();
    await page.keyboard.type('155.4');
    expect(await say()).to.contain('155.4 mm');
    await page.keyboard.press('Enter');
    await page.locator('#sum-cooler-height').getByText('6.6').waitFor();
    await enter(page, 'undo');
    await page.locator('#sum-cooler-height').getByText('−8 to 44').waitFor();
    await lightHeight();
    await enter(page, 'yes');
    await page.locator('#sum-cooler-height').getByText('0–44').waitFor();
  });
});

describe('waits and dates', () => {
  it('are typed in the line or noted at the work order, and stand on the bench', async () => {
    const shop = await openShop('/job/14/order');
    const { page } = shop;
    await enter(page, 'wait 24 h paint');
    const waiting = await stored<Job>(page, 'jobs', '14', (job) =>
      (job?.waits ?? []).some(({ why }) => why === 'paint'),
    );
    const until = Date.parse(waiting.waits.at(-1)?.until ?? '');
    expect((until - Date.now()) / 3_600_000).to.be.within(23.9, 24.1);
    await page.locator('.wait', { hasText: 'Waits: paint' }).waitFor();
    await enter(page, 'deadline 20 h');
    await stored<Job>(page, 'jobs', '14', (job) => job?.deadline !== undefined);
    await page.getByText('short of its deadline').waitFor();
    await retype(page.getByLabel('How long, or until'), 'soon');
    await page.getByRole('button', { name: 'Note the wait' }).click();
    await page.getByText('Kept as typed').waitFor();
    await retype(page.getByLabel('How long, or until'), '3 days');
    await retype(page.getByLabel('Waits for'), 'glue');
    await page.getByRole('button', { name: 'Note the wait' }).click();
    await page.locator('.wait', { hasText: 'Waits: glue' }).waitFor();
    await page.getByRole('button', { name: 'Over: glue' }).click();
    await page.locator('.wait', { hasText: 'Waits: glue' }).waitFor({ state: 'detached' });
    await page.waitForTimeout(200);
    await visit(page, '/');
    await page.getByRole('heading', { name: 'Promised' }).waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});
