import { expect } from 'chai';
import type { Model } from '../../src/core/model/types.ts';
import { openShop, origin, stored } from './helpers/app.ts';

describe('plugs, what is this plug', () => {
  it('follows the practice meter until the roles are sure, and only then lets it be switched on', async () => {
    const shop = await openShop('/job/3/plugs');
    const { page } = shop;
    await page.getByRole('button', { name: 'What is this plug?' }).click();
    await page.getByRole('button', { name: 'Begin' }).click();
    await page.getByText('Do not switch it on yet.').waitFor();
    await page.getByRole('button', { name: 'Practice wires' }).click();
    await page.getByLabel(/a load is set/).check();
    for (let i = 0; i < 40; i += 1) {
      if (await page.getByRole('heading', { name: 'Nothing more to read' }).isVisible()) break;
      await page.getByRole('button', { name: 'Practice meter' }).click();
      await page.waitForTimeout(40);
    }
    await page.getByText('Running volts may be taken.').waitFor();
    /* Alike supplies share their readings: the next one of its kind is known. */
    await stored<Model>(page, 'models', 'desk40-supply', (model) => {
      const notes = model?.facts['pinReadings'];
      return notes !== undefined && 'items' in notes && notes.items.length > 15;
    });
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('is worked by keyboard: the view turns, a wrong figure stays where it was typed', async () => {
    const shop = await openShop('/job/14/plugs');
    const { page } = shop;
    await page.getByRole('button', { name: 'What is this plug?' }).press('Enter');
    await page.getByLabel('across').fill('200');
    await page.getByRole('button', { name: 'Begin' }).press('Enter');
    await page.getByText('no power plug has 400 ways.').waitFor();
    await page.getByLabel('across').fill('5');
    await page.getByRole('button', { name: 'Begin' }).press('Enter');
    await page.getByText('plug wire side').first().waitFor();
    await page.locator('h1').click();
    await page.keyboard.press('v');
    await page.getByText('header face', { exact: true }).first().waitFor();
    await page.getByRole('button', { name: /^pin 3:/ }).press('Enter');
    await page.getByRole('heading', { name: /^Pin 3:/ }).waitFor();
    await page.getByRole('button', { name: 'Beeps' }).press('Enter');
    await page.getByRole('button', { name: /^pin 3:/ }).press('Enter');
    await page.getByRole('heading', { name: /Pin 3: Plugged in, off/ }).waitFor();
    await page.getByLabel('volts').fill('230');
    await page.getByLabel('volts').press('Enter');
    await page.getByText(/230 V is not a figure of a supply's plug\. Kept as typed/).waitFor();
    expect(await page.getByLabel('volts').inputValue()).to.equal('230');
    await page.getByLabel('volts').fill('5.0');
    await page.getByLabel('volts').press('Enter');
    await page.getByText(/chassis and standby cannot both be right/).waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('api/v1/plugs/identify', () => {
  const post = async (body: unknown) => {
    const answer = await fetch(`${await origin()}/api/v1/plugs/identify`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    return { status: answer.status, body: (await answer.json()) as Record<string, unknown> };
  };
  it('answers chances, ideas and the next reading', async () => {
    const { status, body } = await post({
      rows: 2,
      ways: 8,
      readings: [{ kind: 'chassis', pin: 1, beeps: true }],
    });
    expect(status).to.equal(200);
    expect(body['pins']).to.have.length(8);
    expect(body['next']).to.have.property('kind', 'chassis');
    expect(body['mayRun']).to.equal(false);
  });
  it('refuses a reading that says nothing, a pin it has not, a housing that is none', async () => {
    expect(
      (await post({ rows: 2, ways: 8, readings: [{ kind: 'chassis', pin: 1 }] })).status,
    ).to.equal(400);
    expect(
      (await post({ rows: 2, ways: 8, readings: [{ kind: 'standby', pin: 9, volts: 0 }] })).body[
        'message'
      ],
    ).to.match(/no pin 9/);
    expect((await post({ rows: 2, ways: 7 })).status).to.equal(400);
  });
});
