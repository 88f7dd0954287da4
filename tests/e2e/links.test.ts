import { expect } from 'chai';
import type { Job } from '../../src/core/model/types/types.ts';
import { openShop, origin, retype, stored } from './helpers/app.ts';

const dump = [
  '00:01.0 PCI bridge: Pelvar Root Port',
  '\tBus: primary=00, secondary=01, subordinate=01',
  '\t\tLnkCap:\tPort #2, Speed 8GT/s, Width x16, ASPM L1',
  '\t\tLnkSta:\tSpeed 2.5GT/s, Width x16',
  '01:00.0 VGA compatible controller: Fennoch Quad',
  '\t\tLnkCap:\tPort #0, Speed 8GT/s, Width x16, ASPM L1',
  '\t\tLnkSta:\tSpeed 2.5GT/s (downgraded), Width x16',
].join('\n');

const post = async (path: string, body: unknown) => {
  const answer = await fetch(`${await origin()}/api/v1/${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  return { status: answer.status, body: (await answer.json()) as never as Record<string, never> };
};

describe('links', () => {
  it('draws the way that narrows in a one-lane adapter, and the drive it displaces', async () => {
    const shop = await openShop('/job/19/links');
    const { page } = shop;
    await page
      .getByRole('img', { name: /^The way to Fennoch Slip 75: M.2 socket x4.*x1 generation 3/ })
      .waitFor();
    await page
      .getByText(/give that drive a port, a lead and power/)
      .first()
      .waitFor();
    await page.locator('button.pipe').first().press('Enter');
    await page
      .getByText(/passes 1 of 16 lanes/)
      .first()
      .waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
  it('reads what was trained, says what to try first, keeps it; refuses words', async () => {
    const shop = await openShop('/job/14/links');
    const { page } = shop;
    const box = page.locator('textarea');
    await retype(box, 'hello');
    await page.getByText(/No device in this text/).waitFor();
    await retype(box, dump);
    await page.getByText(/read it again under load/).waitFor();
    await page.getByLabel('read under load').check();
    await page.getByText(/Try: reseat it/).waitFor();
    await page.getByRole('button', { name: 'Keep with the job' }).click();
    const job = await stored<Job>(page, 'jobs', '14', (each) => each?.links.length === 1);
    expect(job?.links[0]).to.include({ slot: '01:00.0', gts: 2.5, couldGts: 8, underLoad: true });
    await page.getByText(/As planned, under load: Fennoch Quad/).waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('donors, is it worth it', () => {
  it('gives the price to offer, names what has no price, keeps bad input', async () => {
    const shop = await openShop('/job/14/donors');
    const { page } = shop;
    await page.getByRole('button', { name: 'Worth it?' }).click();
    await retype(page.getByLabel('worth when done'), '150 to 180');
    await retype(page.getByLabel('price asked'), '160');
    await retype(page.getByLabel(/^to fix/), 'PSU 30 to 50\nplate');
    await page.getByText(/Too dear at the price asked.*without a price: plate/).waitFor();
    await page.getByText('100.00 €', { exact: false }).first().waitFor();
    await retype(page.getByLabel('price asked'), 'much');
    await page.getByText(/is no amount/).waitFor();
    expect(await page.getByLabel('price asked').inputValue()).to.equal('much');
    await page.getByText(/CPU stays/).waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('api/v1 links and donors', () => {
  it('checks links and RAM, refuses neither of both', async () => {
    const both = await post('links/check', {
      lspci: dump,
      memory: { modules: [4, 4, 2].map((gb) => ({ gb, mts: 1600 })), channels: 2 },
    });
    expect(both.status).to.equal(200);
    const [link] = both.body['links'] as unknown as { below: string[] }[];
    expect(link!.below).to.deep.equal(['slower']);
    const [all] = both.body['memory'] as unknown as { gb: number; matchedGb: number }[];
    expect(all).to.include({ gb: 10, matchedGb: 8 });
    expect((await post('links/check', {})).status).to.equal(400);
    expect((await post('links/check', { lspci: 'x' })).body['path']).to.equal('lspci');
  });
  it('reckons the break-even price, and candidates for a seat of the demo', async () => {
    const { body } = await post('donors/worth', {
      value: { lo: 20000, hi: 20000 },
      fixes: [{ what: 'case', price: { lo: 5000, hi: 5000 } }],
    });
    expect(body['breakEven']).to.deep.equal({ lo: 15000, hi: 15000 });
    const bad = await post('donors/worth', { value: { lo: 5, hi: 1 }, fixes: [] });
    expect([bad.status, bad.body['path']]).to.deep.equal([400, 'value']);
    const demo = (await (await fetch(`${await origin()}/api/v1/demo`)).json()) as unknown;
    const list = await post('donors/candidates?job=14&seat=card1', demo);
    expect(list.status).to.equal(200);
    expect((list.body as unknown as { mark: string }[]).length).to.be.above(3);
    expect((await post('donors/candidates?job=14&seat=wheel', demo)).status).to.equal(400);
  });
});
