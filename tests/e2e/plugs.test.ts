import { expect } from 'chai';
import type { Model } from '../../src/core/model/types/types.ts';
import { openShop, origin, retype, stored } from './helpers/app.ts';

describe('plugs, what is this plug', () => {
  it('follows the practice meter until the roles are sure, and only then lets it be switched on', async () => {
    const shop = await openShop('/job/3/plugs');
    const { page } = shop;
    await page.getByRole('button', { name: 'What is this plug?' }).click();
    await page.getByRole('button', { name: 'Begin' }).click();
    await page.getByText('Do not switch it on yet.').waitFor();
    await page.getByRole('button', { name: 'Practise with a made-up plug' }).click();
    await page.getByRole('button', { name: 'Practice wires' }).click();
    await page.getByLabel(/a load is set/).check();
    for (let i = 0; i < 40; i += 1) {
      if (await page.getByRole('heading', { name: 'Every pin is sure.' }).isVisible()) break;
      await page.getByRole('button', { name: 'Practice meter' }).click();
      await page.waitForTimeout(40);
    }
    await page.getByRole('heading', { name: 'Every pin is sure.' }).waitFor();
    await page.getByText('Running volts may be taken.').waitFor();
    /* What the made-up meter read is no plug of the real plan. */
    await page.getByRole('button', { name: 'End practice' }).click();
    await page.getByText('Running volts may be taken.').waitFor({ state: 'detached' });
    await stored<Model>(page, 'models', 'desk40-supply', (model) => {
      const notes = model?.facts['pinReadings'];
      return notes !== undefined && 'items' in notes && notes.items.length === 1;
    });
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('is worked by keyboard: the view turns, a wrong figure stays where it was typed', async () => {
    const shop = await openShop('/job/14/plugs');
    const { page } = shop;
    await page.getByRole('button', { name: 'What is this plug?' }).press('Enter');
    await retype(page.getByLabel('across'), '200');
    await page.getByRole('button', { name: 'Begin' }).press('Enter');
    await page.getByText('no power plug has 400 ways.').waitFor();
    await retype(page.getByLabel('across'), '5');
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
    await retype(page.getByLabel('volts'), '230');
    await page.getByLabel('volts').press('Enter');
    await page.getByText(/230 V is not a figure of a PSU's plug\. Kept as typed/).waitFor();
    expect(await page.getByLabel('volts').inputValue()).to.equal('230');
    await retype(page.getByLabel('volts'), '5.0');
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
    /* Ohms tell more than a beep: a meter beeps at a rail's bleeder too. */
    expect(body['next']).to.include({ kind: 'ohms', pin: 2 });
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

describe('plugs, the adapter', () => {
  it('is worked out, put onto the shelf and known to the plan', async () => {
    const shop = await openShop('/job/18/plugs');
    const { page } = shop;
    await page.getByRole('button', { name: 'Adapter', exact: true }).click();
    await page.getByText(/28 wires, 15 splices, 3 converters/).waitFor();
    await page.getByText('No wiring costs less.').waitFor();
    /* More amps than standby has are refused by name, and the figure stays where it was typed. */
    await retype(page.getByLabel('+5VSB, A'), '4');
    await page.getByLabel('+5VSB, A').press('Tab');
    await page.getByText(/\+12VSB: .* A wanted, the PSU gives/).waitFor();
    expect(await page.getByRole('button', { name: 'Onto the shelf' }).count()).to.equal(0);
    await retype(page.getByLabel('+5VSB, A'), '');
    await page.getByLabel('+5VSB, A').press('Tab');
    await page.getByRole('button', { name: 'Onto the shelf' }).click();
    await stored<{ facts: Record<string, { text?: string; items?: string[] }> }>(
      page,
      'parts',
      'W04',
      (part) =>
        part?.facts['proved']?.text === 'not yet' && part.facts['wiring']?.items?.length === 28,
    );
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('keeps a plug somebody measured, for all of its model', async () => {
    const shop = await openShop('/job/18/plugs');
    const { page } = shop;
    await page.getByRole('button', { name: 'What is this plug?' }).press('Enter');
    await page.getByText(/3 of 10 pins sure/).waitFor();
    await page.getByText(/More about pin/).click();
    await retype(page.getByLabel(/to ground, ohms/), 'nonsense');
    await page.getByLabel(/to ground, ohms/).press('Enter');
    await page.getByText(/NaN ohms is no reading|is no reading/).waitFor();
    await retype(page.getByLabel('with pin'), '8');
    await page.getByRole('button', { name: 'Silent to it' }).click();
    await retype(page.getByLabel('name', { exact: true }), 'counter main');
    await page.getByRole('button', { name: 'Keep this plug' }).click();
    await stored<{ pins: string[] }>(
      page,
      'plugs',
      'counter-main',
      (own) => own?.pins[4] === 'COM',
    );
    await stored<Model>(page, 'models', 'desk40-supply', (model) => {
      const main = model?.facts['mainPlug'];
      return main !== undefined && 'text' in main && main.text === 'counter-main';
    });
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('plugs, leads and sockets', () => {
  it('stops a lead of another PSU until it is buzzed out, pin by pin', async () => {
    const shop = await openShop('/job/18/plugs');
    const { page } = shop;
    await page.getByRole('button', { name: 'Leads', exact: true }).press('Enter');
    await page
      .getByText(/0 of 15 wires/)
      .first()
      .waitFor();
    await page.getByRole('button', { name: /^other end pin 4, COM/ }).press('Enter');
    await page.getByRole('button', { name: /^other end pin 5, COM/ }).press('Enter');
    await page
      .getByText(/2 of 15 wires/)
      .first()
      .waitFor();
    await page.getByRole('button', { name: 'Next pin' }).press('Enter');
    await page.getByRole('button', { name: /^other end pin 4, COM/ }).press('Enter');
    await page.getByText(/Pin 4 beeps with 1 and with 2/).waitFor();
    await stored<{ facts: Record<string, { items?: unknown[] }> }>(
      page,
      'parts',
      'N11',
      (part) => JSON.stringify(part?.facts['buzzed']?.items) === '[{"from":1,"to":[4,5]}]',
    );
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('says what meets what when a card plug goes into the CPU header', async () => {
    const shop = await openShop('/job/18/plugs');
    const { page } = shop;
    await page.getByRole('button', { name: 'Plug on socket' }).click();
    await page.getByLabel('plug', { exact: true }).selectOption('card6');
    await page.getByLabel('socket', { exact: true }).selectOption('cpu8');
    await page.getByText(/fits and burns: .*\+12V on return: a short/).waitFor();
    await page.getByLabel('plug', { exact: true }).selectOption('drive4');
    await page.getByLabel('socket', { exact: true }).selectOption('drive4');
    await page.getByText(/fits and is right/).waitFor();
    await page.getByLabel(/key has snapped off/).check();
    await page.getByRole('button', { name: /turned$/ }).click();
    await page.getByText(/fits and burns: \+12V on \+5V/).waitFor();
    /* A file of plugs with a signal nobody knows changes nothing. */
    const bad = {
      format: 'nutshell-swap-plugs',
      version: 1,
      plugs: [{ id: 'x', name: 'x', rows: 1, ways: 2, pitchMm: 2.54, pins: ['COM', 'zap'] }],
    };
    await page
      .locator('input[type=file][accept*="json"]')
      .last()
      .setInputFiles({
        name: 'plugs.json',
        mimeType: 'application/json',
        buffer: Buffer.from(JSON.stringify(bad)),
      });
    await page.getByText(/no signal is called “zap”.*Nothing was changed/).waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('finds out a front block and answers the alarms of the board in both schools', async () => {
    const shop = await openShop('/job/14/plugs');
    const { page } = shop;
    await page.getByRole('button', { name: 'Front and fans' }).click();
    await page
      .getByText(/presence pin to ground/)
      .first()
      .waitFor();
    await page.getByLabel('alarms').selectOption('silence');
    await page
      .getByText(/no longer tells when its front block comes loose/)
      .first()
      .waitFor();
    await page.getByLabel("the case's block").selectOption('frontMaker');
    await page.getByRole('heading', { name: /^power button/ }).waitFor();
    await page.getByRole('button', { name: 'pin 3', exact: true }).press('Enter');
    await page.getByRole('button', { name: 'pin 5', exact: true }).press('Enter');
    await page.getByRole('heading', { name: /^reset button/ }).waitFor();
    await page.getByText('PWR_SW').first().waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('api/v1/plugs/join', () => {
  const post = async (body: unknown) => {
    const answer = await fetch(`${await origin()}/api/v1/plugs/join`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    return { status: answer.status, body: (await answer.json()) as Record<string, unknown> };
  };
  it('answers the recipe with its sheets', async () => {
    const { status, body } = await post({ gives: ['main10'], takes: ['main24'] });
    expect(status).to.equal(200);
    expect(body).to.include({ format: 'nutshell-swap-adapter', version: 1 });
    expect(body['continuity']).to.have.length.greaterThan(30);
    expect(body['impossible']).to.deep.equal([]);
  });
  it('refuses what is no plug, by its place', async () => {
    const { status, body } = await post({ gives: ['main10', 'nonsense'], takes: ['main24'] });
    expect(status).to.equal(400);
    expect(body['path']).to.equal('gives[1]');
    expect(
      (await post({ gives: ['cpu4'], takes: ['cpu4'], needs: [{ '+12V': 'x' }] })).status,
    ).to.equal(400);
  });
});
