import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import type { Entry, Job, Machine, Part } from '../../src/core/model/types/types.ts';
import { enter, openShop, origin, retype, type Shop, stored, visit } from './helpers/app.ts';

describe('donors', () => {
  let shop: Shop;
  const view = async (name: string) =>
    shop.page.locator('#stage').getByRole('button', { name, exact: true }).click();
  beforeEach(async () => {
    shop = await openShop('/job/14/donors');
  });
  afterEach(async () => {
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('shows the PSU wanted twice as two broken strands; taken off one job, the Stop goes', async () => {
    const { page } = shop;
    await page.locator('path.strand.stop').nth(1).waitFor({ state: 'attached' });
    await page.getByRole('button', { name: /S01/ }).first().click();
    await page.getByText('is promised to 14 and 5').first().waitFor();
    await page.getByRole('button', { name: 'Take it off job 5' }).click();
    await stored<Job>(
      page,
      'jobs',
      '5',
      (job) => !job?.changes.some((change) => change.partId === 'S01'),
    );
    await page.locator('path.strand.stop').first().waitFor({ state: 'detached' });
    expect(await page.getByText('S01, wanted more than once').count()).to.be.lessThan(2);
  });

  it('finds by keyboard where a donor’s part could serve, and puts it there', async () => {
    const { page } = shop;
    await page.getByRole('button', { name: /^PSU: M6-08/ }).focus();
    await page.keyboard.press('Enter');
    const place = page.getByRole('button', { name: /PSU of 14/ });
    await place.waitFor();
    await place.focus();
    await page.keyboard.press('Enter');
    await stored<Job>(
      page,
      'jobs',
      '14',
      (job) => job?.changes.some((change) => change.partId === 'M6-08') ?? false,
    );
    await page.getByRole('button', { name: /M6-08/ }).first().waitFor();
  });

  it('says minutes and what it spoils before a donor is stripped, then lays the parts down', async () => {
    const { page } = shop;
    await view('Shelf');
    await page.getByRole('button', { name: 'dismantle' }).first().click();
    await page.getByRole('checkbox', { name: /^PSU/ }).check();
    await page.getByText(/starts today/).waitFor();
    await page.getByText(/min of hands/).waitFor();
    await retype(page.getByLabel('lay them in'), 'drawer 9');
    await page.getByRole('button', { name: 'Taken out' }).click();
    await stored<Part>(
      page,
      'parts',
      'M2-08',
      (part) => part?.place === 'shelf' && part.where === 'drawer 9' && part.from === 'M2',
    );
    await stored<Machine>(
      page,
      'machines',
      'M2',
      (machine) => !machine?.seats.some((seat) => seat.partId === 'M2-08'),
    );
  });

  it('lays in a price list, names its bad lines, and offers its parts for a seat', async () => {
    const { page } = shop;
    await view('Shelf');
    await page.getByLabel('Import price list').setInputFiles({
      name: 'depot.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(
        'kind;name;price;format;watts;amps12\npsu;Tavelin 600, SFX;41,00;SFX;600;49\nfan;bad;-3;;;\n',
      ),
    });
    await page.getByText('line 3: bad: a price below zero, -3.').waitFor();
    await page.getByText('depot, 1').waitFor();
    await visit(page, '/job/14/take-in');
    await page.getByRole('button', { name: /^PSU/ }).first().click();
    const offer = page.getByRole('dialog').getByRole('button', { name: /Tavelin 600, SFX/ });
    await offer.waitFor();
    expect(await offer.innerText()).to.contain('41.00');
  });

  it('keeps what is offered, says too dear, and writes the purchase into the book', async () => {
    const { page } = shop;
    await view('Worth it?');
    await page.getByText(/Too dear at the price asked/).waitFor();
    await retype(page.getByLabel('price asked'), '90');
    await page.getByLabel('price asked').blur();
    await stored<Machine>(page, 'machines', 'M7', (machine) => machine?.offer?.asked === 9000);
    /* One of its fixes has no price: the verdict stays open. */
    await page.getByText(/Open until .* a price/).waitFor();
    await page.getByRole('button', { name: 'Bought for 90.00 €' }).click();
    await stored<Machine>(page, 'machines', 'M7', (machine) => machine?.state === 'donor');
    await stored<Entry>(
      page,
      'ledger',
      'L0011',
      (entry) => entry?.machineId === 'M7' && entry.money?.minor === 9000,
    );
  });

  it('writes lines into the book of a job, by its field and by the entry line', async () => {
    const { page } = shop;
    await view('Book');
    await retype(page.getByLabel('a line for the book'), 'paid 12.50 feet');
    await page.getByText('book: paid 12.50 EUR, feet').waitFor();
    await page.keyboard.press('Enter');
    await page.getByRole('cell', { name: 'feet', exact: true }).waitFor();
    await enter(page, 'worked 45 min filing');
    await page.getByRole('cell', { name: '0:45 h' }).waitFor();
    await stored<Entry>(page, 'ledger', 'L0012', (entry) => entry?.jobId === '14');
    await page.getByRole('button', { name: 'Delete feet' }).click();
    await page.getByRole('cell', { name: 'feet', exact: true }).waitFor({ state: 'detached' });
  });
});

describe('the book', () => {
  it('keeps rates, refuses what is none, and gives out table and journal', async () => {
    const shop = await openShop('/book');
    const { page } = shop;
    await page.getByText('10 of 10 lines').waitFor();
    await retype(page.getByLabel('currency', { exact: true }), 'CHF');
    await retype(page.getByLabel('rate in EUR'), 'much');
    await page.getByRole('button', { name: 'Keep' }).click();
    await page.getByText(/How many EUR is one CHF/).waitFor();
    expect(await page.getByLabel('rate in EUR').inputValue()).to.equal('much');
    await retype(page.getByLabel('rate in EUR'), '1,07');
    await page.getByRole('button', { name: 'Keep' }).click();
    await page.getByText('1 CHF =').waitFor();
    await retype(page.getByPlaceholder(/paint/).last(), 'riser');
    await page.getByText('1 of 10 lines').waitFor();
    const [journal] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Journal' }).click(),
    ]);
    const text = readFileSync(await journal.path(), 'utf8');
    expect(text).to.contain('P 2026').and.contain('Expenses:Job 19    12.90 USD');
    const [table] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Table (CSV)' }).click(),
    ]);
    expect(readFileSync(await table.path(), 'utf8').split('\r\n')).to.have.length(11);
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('scans that move a part', () => {
  it('a part, then its place; a place, then parts until done', async () => {
    const shop = await openShop('/');
    const { page } = shop;
    await enter(page, 'H01');
    await enter(page, '@drawer 7');
    await stored<Part>(page, 'parts', 'H01', (part) => part?.where === 'drawer 7');
    await enter(page, '@drawer 8');
    await enter(page, 'H02');
    await enter(page, 'H03');
    await stored<Part>(page, 'parts', 'H03', (part) => part?.where === 'drawer 8');
    await enter(page, 'done');
    await enter(page, 'M6-08 to drawer 8');
    expect(await page.locator('#entry-say').textContent()).to.contain(
      'take it out at Donors first',
    );
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('names from numbers', () => {
  it('are looked up when asked for, and an unknown number says so', async () => {
    const shop = await openShop('/job/14/links');
    const { page } = shop;
    await retype(page.getByLabel('what is this number?'), '8086:ffff');
    await page.getByText(/the list has no name for 8086:ffff/).waitFor();
    await retype(page.getByLabel('what is this number?'), '0bad:0001');
    await page.getByText(/The list knows no maker 0bad/).waitFor();
    await retype(page.getByLabel('what is this number?'), '8086');
    await page.getByText(/Two numbers of four figures/).waitFor();
    expect(shop.complaints).to.deep.equal([]);
    expect(shop.foreign).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('api/v1/ids', () => {
  const get = async (path: string, encoding = 'br') =>
    fetch(`${await origin()}/api/v1/ids/${path}`, { headers: { 'accept-encoding': encoding } });
  it('answers one name, an unknown number, and refuses what is none', async () => {
    const known = (await (await get('pci?id=8086:100e')).json()) as { name?: string; say: string };
    expect(known.name).to.be.a('string');
    const unknown = (await (await get('pci?id=0bad:0001')).json()) as {
      name?: string;
      say: string;
    };
    expect(unknown.name).to.equal(undefined);
    expect(unknown.say).to.contain('no maker 0bad');
    expect((await get('pci?id=8086')).status).to.equal(400);
    expect((await get('isa')).status).to.equal(404);
    expect(((await (await get('isa')).json()) as { fault: string }).fault).to.contain('isa');
  });
  it('sends the whole list packed as the asker can unpack it, the same each way', async () => {
    const texts = await Promise.all(
      ['br', 'gzip', 'identity'].map(async (encoding) => {
        const answer = await get('usb', encoding);
        expect(answer.headers.get('content-encoding')).to.equal(
          encoding === 'identity' ? null : encoding,
        );
        return answer.text();
      }),
    );
    expect(texts[0]?.length).to.be.greaterThan(100_000);
    expect(new Set(texts).size).to.equal(1);
    expect(texts[0]).to.match(/^[0-9a-f]{4}\S/);
  });
});

describe('a part’s own sheet', () => {
  it('lends and reserves it: the bench says until when, the job that wants it says why not', async () => {
    const shop = await openShop('/job/14/donors');
    const { page } = shop;
    await page.getByRole('button', { name: /H03/ }).first().click();
    await page.getByRole('button', { name: 'What is known of it' }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByLabel('Lent or borrowed').selectOption('borrowed');
    await retype(sheet.getByLabel('From whom'), 'the school');
    await retype(sheet.getByLabel('Owed back by'), '2026-01-05');
    await sheet.getByLabel('Kept for').selectOption('5');
    await retype(sheet.getByLabel('Value'), 'dear');
    await page.keyboard.press('Enter');
    await sheet.getByText('No amount: 12 or 12.50.').waitFor();
    await retype(sheet.getByLabel('Value'), '3,50');
    await page.keyboard.press('Enter');
    await stored<Part>(
      page,
      'parts',
      'H03',
      (part) =>
        part?.loan?.until === '2026-01-05' && part.reserved === '5' && part.worth?.minor === 350,
    );
    await page.keyboard.press('Escape');
    await page.getByText('H03 is borrowed').first().waitFor();
    await page.getByText('H03 is reserved').first().waitFor();
    await visit(page, '/');
    await page.getByText(/borrowed from the school, \d+ days overdue/).waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
  it('finds where it could serve, and puts it there', async () => {
    const shop = await openShop('/job/14/donors');
    const { page } = shop;
    await page.locator('#stage').getByRole('button', { name: 'Shelf', exact: true }).click();
    await retype(page.getByPlaceholder('fan 92'), 'E04');
    await page
      .getByRole('region', { name: 'Free parts' })
      .getByRole('button', { name: /E04/ })
      .click();
    const sheet = page.getByRole('dialog');
    await sheet.getByRole('button', { name: 'Where could it serve?' }).click();
    const place = sheet.getByRole('button', { name: /RAM \d+ of \d+/ }).first();
    await place.waitFor();
    const [, jobId = ''] = /of (\d+)/.exec(await place.innerText()) ?? [];
    await place.click();
    await stored<Job>(
      page,
      'jobs',
      jobId,
      (job) => job?.changes.some((change) => change.partId === 'E04') ?? false,
    );
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});
