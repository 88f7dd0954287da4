import { expect } from 'chai';
import type { Job } from '../../src/core/model/types/types.ts';
import { openShop, origin, retype, stored, visit } from './helpers/app.ts';

describe('power-up', () => {
  it('finds ten hidden faults on the practice bench, by what tells most', async function () {
    this.timeout(180_000);
    const shop = await openShop('/job/14/power-up');
    const { page } = shop;
    await page.getByRole('button', { name: 'Practice' }).click();
    await page.getByRole('button', { name: 'Practise', exact: true }).click();
    let [right, machines] = [0, 0];
    const signs = ['memory', 'case', 'alarm', 'beeps', 'drive', 'load'];
    while (right < 10 && machines < 18) {
      await page.getByLabel('A machine that').selectOption(signs[machines % signs.length]!);
      await retype(page.getByLabel('number'), String(machines + 1));
      await page.getByRole('button', { name: 'On the bench' }).click();
      machines += 1;
      for (let step = 0; step < 14; step += 1) {
        const label = (await page.locator('svg[role=img]').getAttribute('aria-label')) ?? '';
        const [, name = '', share = '0'] = /: (.+?) (\d+) %/.exec(label) ?? [];
        const hint = page.getByRole('button', { name: 'Which would tell most?' });
        const more = (await page.locator('p.row button:not(.quiet)').count()) > 1;
        if (Number(share) >= 90 || !more || step === 13) {
          await page.getByLabel('It is', { exact: true }).selectOption({ label: name });
          break;
        }
        await hint.click();
        await page.locator('button.next').last().click();
      }
      const said = await page.locator('p.named').textContent();
      if (said?.startsWith('Right')) right += 1;
    }
    expect(right).to.equal(10);
    await page
      .getByText(/would have told|No other test/)
      .first()
      .waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('narrows a fault with parts of the shelf, closes it, and prints it on the sheet', async () => {
    const shop = await openShop('/job/17/power-up');
    const { page } = shop;
    await page.getByRole('button', { name: 'Find the fault' }).click();
    await page.getByRole('button', { name: /^starts outside, not in the case/ }).waitFor();
    await page.getByRole('button', { name: /^Undo the last change/ }).waitFor();
    const before = await page.locator('.hand .ask').textContent();
    await retype(page.getByLabel('who'), 'Ane');
    await page.getByRole('button', { name: /^No: / }).press('Enter');
    await page.waitForFunction(
      (ask) => document.querySelector('.hand .ask')?.textContent !== ask,
      before,
    );
    const job = await stored<Job>(
      page,
      'jobs',
      '17',
      (each) => each?.diagnoses[0]?.tried.length === 2,
    );
    expect(job?.diagnoses[0]?.tried[1]).to.include({ result: 'no', who: 'Ane' });
    await page.getByRole('button', { name: 'Take back' }).last().click();
    await stored<Job>(page, 'jobs', '17', (each) => each?.diagnoses[0]?.tried.length === 1);
    await retype(page.getByLabel('note'), 'a standoff too many');
    await page.getByRole('button', { name: /^Found: short under the board/ }).click();
    await stored<Job>(page, 'jobs', '17', (each) => each?.diagnoses[0]?.causeId === 'short');
    await visit(page, '/job/17/hand-over');
    await page
      .getByText(/starts outside, not in the case: short under the board; .*a standoff too many/)
      .waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('a new sign begins a search with what was changed last; no spare, no swap', async () => {
    const shop = await openShop('/job/14/power-up');
    const { page } = shop;
    await page.getByRole('button', { name: 'Find the fault' }).click();
    await page.getByLabel('It does not start').selectOption('memory');
    await page.getByText(/Changed last: case, card 1/).waitFor();
    await page.getByRole('button', { name: /^Given up/ }).click();
    await page.getByText('given up', { exact: true }).waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('a gate passed with a loss keeps what was lost, damage is noted and mended', async () => {
    const shop = await openShop('/job/14/power-up');
    const { page } = shop;
    await page.getByRole('button', { name: /^Power is on/ }).click();
    await page.getByText(/^\s*0:\d\d\s+Leave it\./).waitFor();
    await retype(page.getByLabel('Lost on the way'), 'module B2 out');
    await page.locator('li.next').getByRole('button', { name: 'Passed' }).click();
    await page.getByText('Lost on the way: module B2 out').waitFor();
    await retype(page.getByLabel('What was damaged'), 'lifted leg at the fan header');
    await page.getByLabel('What was damaged').press('Enter');
    await page.getByLabel('mended').check();
    await stored<Job>(page, 'jobs', '14', (each) => each?.damages[0]?.mended === true);
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('api/v1/startup', () => {
  const post = async (body: unknown) => {
    const answer = await fetch(`${await origin()}/api/v1/startup/next`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    return { status: answer.status, body: (await answer.json()) as Record<string, unknown> };
  };
  it('gives odds and the next test, and refuses a sign there is not', async () => {
    const { status, body } = await post({
      sign: 'beeps',
      spares: { memory: 'module A14' },
      tried: [{ test: 'memory-reseat', yes: false }],
    });
    expect(status).to.equal(200);
    const next = body['next'] as { test: string; with: string | null }[];
    expect(next.length).to.be.above(3);
    expect(next.find((each) => each.test === 'memory-swap')?.with).to.equal('module A14');
    expect(next.some((each) => each.test === 'memory-reseat')).to.equal(false);
    const bad = await post({ sign: 'smoke' });
    expect(bad.status).to.equal(400);
    expect(bad.body['path']).to.equal('sign');
  });
});
