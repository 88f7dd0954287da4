import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { demoShop } from '../../src/core/demo/demoShop.ts';
import { takenUp } from '../../src/core/allocate/proposal.ts';
import type { Job } from '../../src/core/model/types/types.ts';
import { openShop, origin, type Shop, stored, visit } from './helpers/app.ts';
import { planned, running } from '../helpers/plans.ts';

/** Leaves only these jobs chosen: each other one is taken out of the row of chips. */
async function choose(page: Page, jobs: readonly string[]): Promise<void> {
  const chips = page.getByRole('group', { name: 'Jobs' }).getByRole('button');
  await chips.first().waitFor();
  for (const chip of await chips.all()) {
    const [id = ''] = (await chip.innerText()).split(',');
    if (!jobs.includes(id)) await chip.click();
  }
}
const supplyOf = (job: Job | undefined) =>
  job?.changes.find((change) => change.seat === 'supply')?.partId;

describe('best plan', function () {
  this.timeout(180_000);
  let shop: Shop;
  beforeEach(async () => {
    shop = await openShop('/job/14/donors#plan');
  });
  afterEach(async () => {
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('by mouse: two jobs, proven, compared, taken as one edit, one undo', async () => {
    const { page } = shop;
    await choose(page, ['5', '14']);
    await page.getByRole('button', { name: 'Work out the best plan' }).click();
    await page.getByText('Proven:').waitFor();
    const runs = page.getByRole('row', { name: /jobs that run/ });
    expect(await runs.innerText()).to.match(/0 of 2\s+2 of 2/);
    const row = page.getByRole('button', { name: /^PSU S02/ });
    expect(await row.innerText()).to.contain('S01');
    await row.click();
    await page.getByText('PSU of job 5').waitFor();
    await page.getByRole('button', { name: 'Take this plan' }).click();
    await stored<Job>(page, 'jobs', '5', (job) => supplyOf(job) === 'S02');
    await page.getByRole('button', { name: /Undo/ }).first().click();
    await stored<Job>(page, 'jobs', '5', (job) => supplyOf(job) === 'S01');
    await stored<Job>(page, 'jobs', '14', (job) => (job?.applied.length ?? 0) === 0);
  });

  it('by keyboard: chips, order of wishes, plan, reasons', async () => {
    const { page } = shop;
    const chips = page.getByRole('group', { name: 'Jobs' }).getByRole('button');
    await chips.first().waitFor();
    for (const chip of await chips.all()) {
      if (/^(5|15)\b/.test(await chip.innerText())) continue;
      await chip.focus();
      await page.keyboard.press('Space');
      /* Faster than people press keys it would be a scanner. */
      await page.waitForTimeout(150);
    }
    await page.getByText('What counts: jobs that run first').focus();
    await page.keyboard.press('Enter');
    const up = page.getByRole('button', { name: 'minutes of hands counts more' });
    for (let n = 0; n < 4; n += 1) {
      await up.focus();
      await page.keyboard.press('Enter');
      await page.waitForTimeout(150);
    }
    await page.getByText('What counts: minutes of hands first').waitFor();
    /* Put first, minutes say: do nothing at all. It is what was asked for, and it is said. */
    await page.getByRole('button', { name: 'Work out the best plan' }).focus();
    await page.keyboard.press('Enter');
    await page.getByText('Proven:').waitFor();
    await page
      .getByText(/does not run in the best plan/)
      .first()
      .waitFor();
    await page.getByRole('button', { name: 'jobs that run counts more' }).focus();
    await page.keyboard.press('Enter');
    await page.getByText('What counts: jobs that run first').waitFor();
    await page.getByRole('button', { name: 'Work it out anew' }).focus();
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'next', exact: true }).waitFor();
    await page.getByRole('button', { name: 'next', exact: true }).focus();
    await page.keyboard.press('Enter');
    await page.getByRole('row', { name: /jobs that run .*2 of 2/ }).waitFor();
  });

  it('a strand put elsewhere: says what it costs, and is put there', async () => {
    const { page } = shop;
    await choose(page, ['5']);
    await page.getByRole('button', { name: 'Work out the best plan' }).click();
    await page.getByText('Proven:').waitFor();
    await page.getByText('Looking for reasons').waitFor({ state: 'detached', timeout: 90_000 });
    await page.getByRole('button', { name: /^cooler K/ }).click();
    const options = page.getByLabel('Put there instead');
    const other = await options.locator('option').nth(1).getAttribute('value');
    await options.selectOption(other);
    await page.getByText(/^(Against|As good as) the best plan/).waitFor();
    await page.getByRole('button', { name: 'Put it there' }).click();
    await stored<Job>(
      page,
      'jobs',
      '5',
      (job) =>
        job?.changes.some(({ seat, partId }) => seat === 'cooler' && partId === other) ?? false,
    );
  });

  it('a shop changed in another tab is not planned over', async () => {
    const { page, context } = shop;
    await choose(page, ['5', '14']);
    await page.getByRole('button', { name: 'Work out the best plan' }).click();
    await page.getByText('Proven:').waitFor();
    const other = await context.newPage();
    await visit(other, '/job/14/donors');
    await other.locator('path.strand.stop').nth(1).waitFor({ state: 'attached' });
    await other.getByRole('button', { name: /S01/ }).first().click();
    await other.getByRole('button', { name: 'Take it off job 5' }).click();
    await page.getByText('The shop was changed since').waitFor();
    expect(await page.getByRole('button', { name: 'Take this plan' }).isDisabled()).to.equal(true);
    await other.close();
  });

  it('enough is enough: the best so far is shown, and not called proven', async () => {
    const { page } = shop;
    await page.getByRole('button', { name: 'Work out the best plan' }).click();
    await page.getByText(/plans checked/).waitFor();
    await page.getByRole('button', { name: /^Enough/ }).click();
    await page.getByText('Not proven:').waitFor();
    expect(await page.getByRole('row', { name: /jobs that run/ }).innerText()).to.match(/of 10/);
  });

  it('builds further machines from what is left', async () => {
    const { page } = shop;
    await choose(page, ['5']);
    await page.getByRole('button', { name: 'Work out the best plan' }).click();
    await page.getByText('Proven:').waitFor();
    await page.getByText('Looking for reasons').waitFor({ state: 'detached', timeout: 90_000 });
    await page.getByRole('button', { name: 'Build from what is left' }).click();
    await page.getByText(/\d more machines?, .* added/).waitFor({ timeout: 90_000 });
    await page
      .getByText(/runs as it is/)
      .first()
      .waitFor();
  });
});

describe('api/v1/donors/plan', function () {
  this.timeout(120_000);
  const demo = demoShop('2026-11-25T09:00:00.000Z');
  const ask = async (body: unknown) => {
    const answer = await fetch(`${await origin()}/api/v1/donors/plan`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    return { status: answer.status, body: (await answer.json()) as Record<string, unknown> };
  };
  it('answers the plan the core finds, with its proof, bill and counts', async () => {
    const { status, body } = await ask({ document: demo, jobs: ['5', '14'], others: 1 });
    expect(status).to.equal(200);
    expect(body['proven']).to.equal(true);
    const own = await planned(demo, { jobIds: ['5', '14'], others: 1 });
    const plans = body['plans'] as {
      jobs: { job: string; puts: { part: string | null }[] }[];
      runs: number;
    }[];
    expect(plans.map(({ runs }) => runs)).to.deep.equal(
      own.plans.map(({ summary }) => summary.runs),
    );
    expect(plans[0]?.jobs.map(({ puts }) => puts.map(({ part }) => part))).to.deep.equal(
      own.plans[0]?.jobs.map(({ strands }) => strands.map(({ partId }) => partId ?? null)),
    );
    expect(running(takenUp(demo, own.plans[0]!))).to.include.members(['5', '14']);
  });
  it('refuses what it does not know, at its place', async () => {
    expect(await ask({ document: demo, jobs: ['99'] })).to.deep.include({ status: 404 });
    const order = await ask({ document: demo, wishes: { order: ['cheap'] } });
    expect(order.status).to.equal(400);
    expect(order.body['path']).to.equal('wishes.order[0]');
    expect((await ask({ document: demo, wihses: {} })).status).to.equal(400);
    expect((await ask({ document: { format: 'x' } })).status).to.equal(400);
    expect((await ask({ document: demo, jobs: ['3'] })).body['path']).to.equal('jobs');
  });
  it('keeps its time: what it has by then, not proven', async () => {
    const { status, body } = await ask({ document: demo, seconds: 0.05 });
    expect(status).to.equal(200);
    expect(body['proven']).to.equal(false);
  });
});
