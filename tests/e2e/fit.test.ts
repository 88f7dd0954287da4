import { expect } from 'chai';
import axe from 'axe-core';
import { demoShop } from '../../src/core/demo/demoShop.ts';
import { writeShop } from '../../src/core/export/json.ts';
import { publishedResolutions } from '../../src/api/published.ts';
import type { Job, Part } from '../../src/core/model/types/types.ts';
import { findResolutions } from '../../src/core/resolve/resolutions.ts';
import { openShop, origin, retype, stored } from './helpers/app.ts';

const demo = demoShop('2026-11-25T09:00:00.000Z');
const jobOf = (id: string) => demo.jobs.find((job) => job.id === id) as Job;

describe('fit, ways to make it fit', () => {
  it('proves the cheapest changes in its worker, takes one whole, and gives it back', async () => {
    const shop = await openShop('/job/14/fit');
    const { page } = shop;
    const give = page.getByRole('region', { name: 'Ways to make it fit' });
    await give.getByText(/proven over [\d ]+ combinations/).waitFor();
    await give.getByRole('button', { name: /Take the drive cage out.*20 min/s }).click();
    await stored<Job>(page, 'jobs', '14', (job) => job?.applied[0]?.do === 'cageOut');
    await page.locator('[id="sum-card-length:card1"]').getByText('38').first().waitFor();
    await page.keyboard.press('Escape');
    await page.locator('h1').click();
    await page.keyboard.press('u');
    await stored<Job>(page, 'jobs', '14', (job) => job?.applied.length === 0);
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('weighs by what an hour is worth', async () => {
    const shop = await openShop('/job/17/fit');
    const { page } = shop;
    const region = page.getByRole('region', { name: 'Ways to make it fit' });
    await region.getByText(/proven over/).waitFor();
    await region.getByLabel('no visible cuts').uncheck();
    await region
      .getByRole('listitem')
      .filter({ hasText: /\d min/ })
      .first()
      .getByText(/Washers under the lid/)
      .waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('moves a part along its places: by hand and by key', async () => {
    const shop = await openShop('/job/14/fit');
    const { page } = shop;
    await page.getByRole('button', { name: 'RAM 1', exact: true }).press('Enter');
    await page
      .getByRole('button', { name: /two slots further/ })
      .first()
      .press('Enter');
    await stored<Job>(
      page,
      'jobs',
      '14',
      (job) => job?.applied.some(({ do: what }) => what === 'slotFurther') === true,
    );
    const part = page.locator('svg.cut').first().locator('g.part.memory').first();
    const box = await part.boundingBox();
    if (!box) throw new Error('RAM is not drawn');
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    /* Moved two slots further, it goes back toward the CPU. */
    await page.mouse.move(box.x - 60, box.y + box.height / 2, { steps: 6 });
    await page.locator('.held').waitFor();
    await page.mouse.up();
    expect(await page.locator('.held').count()).to.equal(0);
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('fit, measuring', () => {
  it('walks from the measure that decides most to “enough is known”, by keyboard', async () => {
    const shop = await openShop('/job/5/fit');
    const { page } = shop;
    await page.getByRole('button', { name: 'Measure', exact: true }).click();
    const ask = page.locator('.ask');
    await ask.waitFor();
    for (let i = 0; i < 14; i += 1) {
      const head = (await ask.locator('h2').textContent()) ?? '';
      if (head === 'Enough is known') break;
      const field = ask.locator('input.figure').first();
      const no = ask.getByRole('button', { name: 'Not measured' });
      if ((await field.count()) > 0 && /high/.test(head) && /cooler/.test(head)) {
        await retype(field, '140');
        await field.press('Enter');
      } else await no.press('Enter');
      await page
        .waitForFunction(
          (before) => document.querySelector('.ask h2')?.textContent !== before,
          head,
          { timeout: 1500 },
        )
        .catch(() => undefined);
    }
    expect(await ask.locator('h2').textContent()).to.equal('Enough is known');
    await stored<Part>(page, 'parts', 'K02', (part) => {
      const height = part?.facts['height'];
      return height !== undefined && 'lo' in height && height.lo === 139.9 && height.hi === 140.1;
    });
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('lists every mount once and counts them', async () => {
    const shop = await openShop('/job/14/fit');
    const { page } = shop;
    await page.getByRole('button', { name: 'Measure', exact: true }).click();
    const floor = page.getByRole('button', { name: /^2\.5.*, floor: one more/ });
    await floor.click();
    await floor.click();
    await page.getByRole('button', { name: /floor 2\.5: one less/ }).click();
    await page.getByRole('button', { name: /^3\.5.*, cage: one more/ }).click();
    await page.waitForFunction(() => document.body.textContent?.includes('2 listed'));
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('lays holes out from edge to edge, and says which distance is missing', async () => {
    const shop = await openShop('/job/5/fit');
    const { page } = shop;
    await page.getByRole('button', { name: 'Holes', exact: true }).click();
    await page.getByText('Or from edge to edge').click();
    await page.getByRole('button', { name: 'Lay the holes out' }).click();
    await page.getByText('Measure between holes 1 and 2.').waitFor();
    /* C, F, H and J of the standard, as outside distances over holes of 3.96 mm. */
    const holes = [
      [163.83, 10.16],
      [6.35, 33.02],
      [163.83, 165.1],
      [6.35, 165.1],
    ] as const;
    for (const [a, b] of [
      [1, 2],
      [1, 3],
      [2, 3],
      [1, 4],
      [2, 4],
      [3, 4],
    ] as const) {
      const [p, q] = [holes[a - 1], holes[b - 1]];
      if (!p || !q) throw new Error('hole');
      const outside = Math.hypot(p[0] - q[0], p[1] - q[1]) + 3.96;
      await retype(page.getByLabel(`outside, ${a} to ${b}`), outside.toFixed(2));
    }
    await page.getByRole('button', { name: 'Lay the holes out' }).click();
    await page
      .getByText(/Mini-ITX/)
      .first()
      .waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('fit, rear wall, limits, screws, trade-offs', () => {
  it('lists what to cut, and keeps what it cannot read', async () => {
    const shop = await openShop('/job/17/fit');
    const { page } = shop;
    await page.getByRole('button', { name: 'Rear', exact: true }).click();
    await page.getByText('LAN: from 83 to 101 across, 0 to 31 up').waitFor();
    const field = page.getByRole('textbox', { name: /Ports of the board/ });
    await retype(field, 'HDMI 30-20 2-8');
    await field.press('Enter');
    await page.getByText(/to is more than from.*Kept as typed/).waitFor();
    expect(await field.inputValue()).to.equal('HDMI 30-20 2-8');
    await retype(field, 'VGA 24-40 20-30');
    await field.press('Enter');
    await page.getByText('VGA 24-40 20-30').waitFor();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Cut list' }).click(),
    ]);
    expect(download.suggestedFilename()).to.equal('cut-list.txt');
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('says that two features exclude each other', async () => {
    const shop = await openShop('/job/16/fit');
    const { page } = shop;
    await page.getByRole('button', { name: 'Trade-offs' }).click();
    await page
      .getByText(/They exclude each other: PSU depth 150 with card length up to 1\d\d/)
      .waitFor();
    await page.getByText('this plan').waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('reads the limits out and puts missing screws onto the list', async () => {
    const shop = await openShop('/job/16/fit');
    const { page } = shop;
    await page.getByRole('button', { name: 'Limits', exact: true }).click();
    await page.getByText('with drive on the bracket').waitFor();
    await page.getByRole('button', { name: 'Screws' }).click();
    await page.getByLabel('diameter over the crests').pressSequentially('3.45');
    await page.keyboard.press('Enter');
    await page.getByText(/It looks like M3/).waitFor();
    await page.getByRole('button', { name: 'Onto the list' }).click();
    await stored<Job>(
      page,
      'jobs',
      '16',
      (job) => job?.wants.some((want) => want.what === 'fan screw' && want.count === 4) === true,
    );
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('has nothing axe finds in any of its views', async function () {
    this.timeout(120_000);
    const shop = await openShop('/job/16/fit');
    const { page } = shop;
    const found: string[] = [];
    for (const view of ['Measure', 'Holes', 'Rear', 'Limits', 'Screws', 'Trade-offs']) {
      await page.getByRole('button', { name: view, exact: true }).click();
      await page.getByRole('button', { name: 'Back to the case' }).waitFor();
      await page.evaluate(axe.source);
      const faults = await page.evaluate(async () => {
        const { violations } = await (
          window as unknown as {
            axe: {
              run: () => Promise<{ violations: { id: string; nodes: { html: string }[] }[] }>;
            };
          }
        ).axe.run();
        return violations.map((each) => `${each.id}: ${each.nodes[0]?.html}`);
      });
      found.push(...faults.map((fault) => `${view}: ${fault}`));
    }
    expect(found).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('api/v1/fit/search', () => {
  const post = async (body: string, query = '') => {
    const answer = await fetch(`${await origin()}/api/v1/fit/search${query}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
    });
    return { status: answer.status, body: (await answer.json()) as Record<string, unknown> };
  };
  it('answers the same ways as the core', async () => {
    const { status, body } = await post(writeShop(demo), '?job=14');
    expect(status).to.equal(200);
    const own = publishedResolutions(findResolutions(demo, jobOf('14')));
    const same = JSON.parse(JSON.stringify(own)) as { ways: { takes: string[] }[] };
    expect(body['ways']).to.deep.equal(same.ways);
    expect(same.ways.map((way) => way.takes)).to.deep.include(['cage-out']);
    expect(body['proven']).to.equal(true);
  });
  it('refuses a job that is not there, and a document that is none', async () => {
    expect((await post(writeShop(demo), '?job=99')).status).to.equal(404);
    const broken = await post('{"format":"nutshell-swap","version":2}');
    expect(broken.status).to.equal(400);
    expect(broken.body['message']).to.be.a('string');
  });
});
