import { expect } from 'chai';
import type { Job } from '../../src/core/model/types/types.ts';
import { openShop, origin, retype, stored } from './helpers/app.ts';

const log = (end: number, minutes: number) =>
  [
    'Zeit;CPU Package [°C];Raum [°C];Lüfter [U/min];Takt [MHz]',
    ...Array.from({ length: minutes * 30 }, (_, i) => {
      const t = i * 2;
      const c = end - (end - 30) * Math.exp(-t / 120) + 0.3 * Math.sin(i * 12.9);
      return `${t};${c.toFixed(1).replace('.', ',')};21,5;900;3600`;
    }),
  ].join('\r\n');

describe('heat', () => {
  it('reads a logger’s file with decimal commas, finds its columns, and says where it settles', async () => {
    const shop = await openShop('/job/12/heat');
    const { page } = shop;
    await page.locator('input[type=file]').setInputFiles({
      name: 'before.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(log(71, 15), 'latin1'),
    });
    await page.getByText('450 rows').waitFor();
    await retype(page.getByLabel('name'), 'before');
    await page.getByRole('button', { name: 'Hang it on the job' }).click();
    await page.getByText(/settles at 7[01]\.\d °C/).waitFor();
    const job = await stored<Job>(page, 'jobs', '12', (each) => each?.runs.length === 1);
    expect(job?.runs[0]?.courses.map((each) => each.what)).to.include.members([
      'temperature',
      'fan',
      'clock',
    ]);
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('takes typed pairs by keyboard, names the pair that is none and loses nothing', async () => {
    const shop = await openShop('/job/12/heat');
    const { page } = shop;
    const typed = page.getByLabel(/^or typed/);
    await retype(typed, '0 31\nfive 60');
    await page.getByRole('button', { name: 'Hang it on the job' }).press('Enter');
    await page.getByText(/Pair 2, “five 60”/).waitFor();
    expect(await typed.inputValue()).to.equal('0 31\nfive 60');
    await retype(typed, '0 31\n1 300');
    await page.getByRole('button', { name: 'Hang it on the job' }).press('Enter');
    await page.getByText(/300 °C cannot be meant/).waitFor();
    await retype(typed, '0 31\n1 45\n2 54\n3 59\n4 62.5\n5 64.5\n6 65.7\n8 66.9');
    await retype(page.getByLabel('room, °C'), '22');
    await page.getByRole('button', { name: 'Hang it on the job' }).press('Enter');
    await page.getByText(/settles at 6\d\.\d °C/).waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('refuses an empty file and one of another kind, in its place', async () => {
    const shop = await openShop('/job/12/heat');
    const { page } = shop;
    const file = (name: string, text: string) =>
      page
        .locator('input[type=file]')
        .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
    await file('a.csv', '');
    await page.getByText('The file is empty.').waitFor();
    await file('b.csv', 'Time,CPU [°C]\nsoon,40\n');
    await page.getByText(/no time in “soon”/).waitFor();
    await file('c.csv', 'Time,CPU [°C]\n0,40\n2,41\n1,39\n4,42\n');
    await page.getByText(/time runs backwards, left out/).waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('lays nothing to one of several changes; a panel test names the panel', async () => {
    const shop = await openShop('/job/14/heat');
    const { page } = shop;
    await page.getByText(/belongs to none of them alone/).waitFor();
    await page.getByText(/2 more runs would part them/).waitFor();
    await page.goto(`${await origin()}/job/9/heat`);
    await page.getByText(/Open the panel before buying a cooler/).waitFor();
    await page.getByText('mesh in place of the panel').waitFor();
    await page.goto(`${await origin()}/job/5/heat`);
    await page.getByText(/Not settled yet: \d+ minutes more/).waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('reads the practice logger, shows the air, fan steps of its own curve, and the next undervolt', async () => {
    const shop = await openShop('/job/3/heat');
    const { page } = shop;
    await page.getByRole('button', { name: 'Practise with a made-up log' }).click();
    await page.getByRole('button', { name: 'Practice logger' }).click();
    await page.getByText(/rows,/).waitFor();
    await page.getByRole('button', { name: 'Hang it on the job' }).click();
    await page.getByRole('button', { name: 'Fan steps' }).click();
    await page.getByText(/By “practice 2”/).waitFor();
    await retype(page.getByLabel('speeds, %'), '0 50');
    await page.getByText(/each above 0/).waitFor();
    await page.getByRole('button', { name: 'Air', exact: true }).click();
    await page.getByRole('img', { name: /^Air through the case/ }).waitFor();
    await page.getByRole('button', { name: 'Undervolt' }).click();
    await page.getByRole('button', { name: 'Held' }).click();
    await page.getByText(/Next: 55 mV/).waitFor();
    await page.getByRole('button', { name: 'Failed' }).click();
    await page.getByText(/Next: 45 mV/).waitFor();
    /* Practice stays practice: the job has neither the made-up run nor the trials. */
    await page.getByRole('button', { name: 'End practice' }).click();
    await page.getByText(/Next: 45 mV/).waitFor({ state: 'detached' });
    await stored<Job>(
      page,
      'jobs',
      '3',
      (each) => each?.runs.length === 1 && each.trials.length === 0,
    );
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('api/v1/heat', () => {
  const post = async (body: unknown) => {
    const answer = await fetch(`${await origin()}/api/v1/heat/fit`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    return { status: answer.status, body: (await answer.json()) as Record<string, unknown> };
  };
  const s = Array.from({ length: 60 }, (_, i) => i * 15);
  const run = (end: number, more = {}) => ({
    temperature: { s, v: s.map((t) => end - (end - 30) * Math.exp(-t / 110)) },
    roomC: 22,
    ...more,
  });
  it('fits runs and parts changes, refuses times that fall', async () => {
    const { status, body } = await post({ runs: [run(80), run(72, { changed: ['paste'] })] });
    expect(status).to.equal(200);
    const [first] = body['runs'] as { end: number }[];
    expect(first!.end).to.be.closeTo(80, 0.1);
    const { effects } = body['attribution'] as { effects: { dropK: number }[] };
    expect(effects[0]!.dropK).to.be.closeTo(8, 0.2);
    const bad = await post({ runs: [{ temperature: { s: [0, 5, 3], v: [1, 2, 3] } }] });
    expect(bad.status).to.equal(400);
    expect(bad.body['path']).to.equal('runs[0].temperature');
    const short = await post({ runs: [{ temperature: { s: [0, 5], v: [30, 31] } }] });
    expect(short.body['path']).to.equal('runs[0].temperature');
    expect(short.status).to.equal(400);
  });
  it('writes a practice log a reader can read', async () => {
    const answer = await fetch(`${await origin()}/api/v1/heat/logger?seed=4&every=5`);
    expect(answer.headers.get('content-type')).to.contain('text/csv');
    const [head, ...rows] = (await answer.text()).trim().split('\n');
    expect(head).to.contain('CPU Package [°C]');
    expect(rows.length).to.be.above(30);
    for (const row of rows)
      expect(row.split(',').every((cell) => Number.isFinite(Number(cell)))).to.equal(true);
  });
});
