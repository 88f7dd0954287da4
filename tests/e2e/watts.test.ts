import { expect } from 'chai';
import type { Job, Part } from '../../src/core/model/types/types.ts';
import { openShop, origin, retype, stored } from './helpers/app.ts';

const hungOnMain = (job: Job | undefined, seat: string) =>
  job?.applied.some(
    (value) => value.do === 'hangOn' && value.seat === seat && value.lead === 'main',
  ) === true;

describe('watts, the PSU tree', () => {
  it('draws from the wall to the parts, in every state, and opens a branch', async () => {
    const shop = await openShop('/job/14/watts');
    const { page } = shop;
    const rail = page.getByRole('button', { name: /^12 V / });
    const full = await rail.getAttribute('aria-label');
    await page.getByRole('button', { name: 'idle', exact: true }).click();
    await page.waitForFunction(
      (before) => document.querySelector('g.rail')?.getAttribute('aria-label') !== before,
      full,
    );
    await page.getByRole('button', { name: /^EPS 8-pin / }).press('Enter');
    await page.getByText(/W lost as heat/).waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('hangs a fan on another lead by keyboard and by dragging, and the Stop goes', async () => {
    const shop = await openShop('/job/9/watts');
    const { page } = shop;
    await page.getByText(/at least 1.8 A of 1.5 A on 12 V/).waitFor();
    await page.getByRole('button', { name: /^fan 2 \d/ }).press('Enter');
    await page.locator('p.row').getByRole('button', { name: 'ATX 24-pin' }).press('Enter');
    await stored<Job>(page, 'jobs', '9', (job) => hungOnMain(job, 'fan2'));
    const fan = await page.getByRole('button', { name: /^fan 3 \d/ }).boundingBox();
    const lead = await page
      .getByRole('button', { name: /^ATX 24-pin / })
      .first()
      .boundingBox();
    if (!fan || !lead) throw new Error('nothing drawn');
    await page.mouse.move(fan.x + 20, fan.y + fan.height / 2);
    await page.mouse.down();
    await page.mouse.move(lead.x + lead.width / 2, lead.y + lead.height / 2, { steps: 6 });
    await page.mouse.up();
    await stored<Job>(page, 'jobs', '9', (job) => hungOnMain(job, 'fan3'));
    await page.getByText(/at least 1.8 A of 1.5 A on 12 V/).waitFor({ state: 'detached' });
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('reads the practice meter live until it settles, and keeps a typed reading', async () => {
    const shop = await openShop('/job/5/watts');
    const { page } = shop;
    await page.getByRole('button', { name: 'Practise with a made-up meter' }).click();
    await page.getByRole('button', { name: 'Practice meter' }).click();
    await page.getByText(/not settled yet/).waitFor();
    await page.getByRole('button', { name: /^Settled at/ }).click({ timeout: 30_000 });
    await page.getByText(/measured at the wall/).waitFor();
    await page.getByRole('button', { name: 'End practice' }).click();
    await page.getByText(/measured at the wall/).waitFor({ state: 'detached' });
    await stored<Job>(page, 'jobs', '5', (job) => job?.readings.at(-1)?.kind !== 'wallW');
    await page.getByLabel('watts', { exact: true }).pressSequentially('61.5');
    await page.getByLabel('watts', { exact: true }).press('Enter');
    await stored<Job>(page, 'jobs', '5', (job) => job?.readings.at(-1)?.value === 61.5);
    await page.getByText(/measured at the wall/).waitFor();
    await retype(page.getByLabel('watts', { exact: true }), 'many');
    await page.getByLabel('watts', { exact: true }).press('Enter');
    await page.getByText(/Watts between 0 and 4000/).waitFor();
    expect(await page.getByLabel('watts', { exact: true }).inputValue()).to.equal('many');
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('finds the thicker lead for the machine on the battery', async () => {
    const shop = await openShop('/job/11/watts');
    const { page } = shop;
    await page
      .getByText(/the lead in AWG 8, 6.0 m/)
      .first()
      .waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('watts, the finer things', () => {
  it('lays a lead open into its wires, and shows the spike', async () => {
    const shop = await openShop('/job/14/watts');
    const { page } = shop;
    await page
      .getByRole('button', { name: /^ATX 24-pin / })
      .first()
      .press('Enter');
    await page.getByRole('img', { name: /^Wires and contacts of ATX 24-pin/ }).waitFor();
    await page.getByText('pin 10', { exact: true }).waitFor();
    const full = await page.getByRole('button', { name: /^12 V / }).getAttribute('aria-label');
    await page.getByRole('button', { name: 'spike', exact: true }).click();
    await page.getByText(/as if it lasted/).waitFor();
    const spike = await page.getByRole('button', { name: /^12 V / }).getAttribute('aria-label');
    const most = (label: string | null) => Number(/(\d+) W/.exec(label ?? '')?.[1]);
    expect(most(spike)).to.be.above(most(full));
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('switches through the stages of a plan, two PSUs on one wall', async () => {
    const shop = await openShop('/job/19/watts');
    const { page } = shop;
    await page
      .getByText(/Enough now; at stage 2/)
      .first()
      .waitFor();
    await page.getByRole('button', { name: /^12 V block/ }).waitFor();
    await page.getByRole('button', { name: 'now', exact: true }).click();
    await page.getByRole('button', { name: /^12 V block/ }).waitFor({ state: 'detached' });
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('moves a part to another stage at Intake', async () => {
    const shop = await openShop('/job/19/take-in');
    const { page } = shop;
    await page.getByText(/added, C01, stage 3/).click();
    await page.getByLabel(/^C01/).selectOption('4');
    await stored<Job>(
      page,
      'jobs',
      '19',
      (job) => job?.changes.some((each) => each.partId === 'C01' && each.stage === 4) === true,
    );
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('lets the meter correct the watts, and keeps a measured point and what a load found', async () => {
    const shop = await openShop('/job/19/watts');
    const { page } = shop;
    await page.getByText(/The figures were \d+ % to \d+ % too high/).waitFor();
    await page.getByRole('button', { name: 'Keep these watts' }).click();
    await stored<Part>(
      page,
      'parts',
      'M19-03',
      (part) => part?.facts['watts']?.source === 'wall meter, idle and full load',
    );
    await retype(page.getByLabel('W out'), '60');
    await retype(page.getByLabel('W in'), '50');
    await page.getByRole('button', { name: 'Measured point' }).click();
    await page.getByText(/more watts in than out/).waitFor();
    await retype(page.getByLabel('W in'), '68');
    await page.getByLabel('W in').press('Enter');
    await page.getByText('Efficiency against load, 1 measured').waitFor();
    await page.getByRole('button', { name: 'Practise with a made-up load' }).click();
    await page.getByRole('button', { name: 'Practice load' }).click();
    await page.getByRole('button', { name: 'Keep what it gave' }).click({ timeout: 30_000 });
    await page.getByText(/A held, kept with the PSU/).waitFor();
    await page.getByRole('button', { name: 'End practice' }).click();
    await stored<Part>(page, 'parts', 'M19-06', (part) => part?.facts['innerOhm'] === undefined);
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('api/v1/watts', () => {
  const post = async (body: unknown) => {
    const answer = await fetch(`${await origin()}/api/v1/watts/solve`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    return { status: answer.status, body: (await answer.json()) as Record<string, unknown> };
  };
  const net = {
    held: { s: 12 },
    resistors: [{ id: 'r', a: 's', b: 'n', ohm: 0.1 }],
    loads: [{ id: 'l', node: 'n', watts: 30 }],
  };
  it('solves a net and refuses one without sense, by its part', async () => {
    const { status, body } = await post(net);
    expect(status).to.equal(200);
    expect(body['ok']).to.equal(true);
    const short = await post({ ...net, resistors: [{ id: 'r', a: 's', b: 'n', ohm: 0 }] });
    expect(short.status).to.equal(400);
    expect(short.body['path']).to.equal('r');
    expect((await post({ ...net, loads: [{ id: 'l', node: 'n' }] })).status).to.equal(400);
  });
  it('solves a chain of converters, names the one that trips, refuses a loop', async () => {
    const chain = {
      held: { battery: 12 },
      resistors: [{ id: 'lead', a: 'battery', b: 'in', ohm: 0.05 }],
      loads: [{ id: 'machine', node: 'out', watts: 90 }],
      converters: [{ id: 'up', in: 'in', out: 'out', outV: 19, efficiency: 0.9, mostInA: 8 }],
    };
    const { status, body } = await post(chain);
    expect(status).to.equal(200);
    expect(body['out']).to.deep.equal([{ id: 'up', why: 'too many amps in' }]);
    const loop = await post({
      ...chain,
      converters: [
        ...chain.converters,
        { id: 'down', in: 'out', out: 'in', outV: 12, efficiency: 0.9 },
      ],
    });
    expect(loop.status).to.equal(400);
    expect(loop.body['message']).to.match(/loop|feeds it too/);
  });
  it('runs a practice load until it shuts off, and refuses a label that is none', async () => {
    const answer = await fetch(`${await origin()}/api/v1/watts/load?volts=12&amps=5&every=20`);
    const text = await answer.text();
    const steps = [...text.matchAll(/data: (.*)/g)].map(
      (match) => JSON.parse(match[1]!) as { off: boolean; amps: number },
    );
    expect(steps.at(-1)?.off).to.equal(true);
    expect(steps.at(-1)!.amps).to.be.within(4, 7);
    expect((await fetch(`${await origin()}/api/v1/watts/load?volts=-3`)).status).to.equal(400);
  });
  it('sends readings as events', async () => {
    const answer = await fetch(`${await origin()}/api/v1/watts/meter?about=80&seed=3&every=20`);
    expect(answer.headers.get('content-type')).to.equal('text/event-stream');
    const reader = answer.body!.getReader();
    let text = '';
    while ((text.match(/data:/g) ?? []).length < 5)
      text += new TextDecoder().decode((await reader.read()).value);
    await reader.cancel();
    const readings = [...text.matchAll(/data: (.*)/g)]
      .slice(0, 4)
      .map((match) => JSON.parse(match[1]!) as { watts: number });
    expect(readings.map((each) => each.watts).every((watts) => watts >= 0 && watts < 120)).to.equal(
      true,
    );
    expect((await fetch(`${await origin()}/api/v1/watts/meter?about=0`)).status).to.equal(400);
  });
});
