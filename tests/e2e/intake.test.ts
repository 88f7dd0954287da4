import { expect } from 'chai';
import type { Job, Machine, Part } from '../../src/core/model/types/types.ts';
import { openShop, retype, stored, visit } from './helpers/app.ts';

/** What a shell leaves on the clipboard: prompts, a command, what it printed, in the language of the machine. */
const paste = (sizes: readonly number[]): string =>
  [
    'bench@depot:~$ sudo lshw -json',
    '[sudo] password for bench: ',
    JSON.stringify({
      id: 'desk',
      class: 'system',
      vendor: 'Ombrik',
      product: 'Ombrik Desk 60',
      children: [
        { id: 'core', class: 'bus', vendor: 'Ombrik', product: 'D60' },
        ...sizes.map((gb, i) => ({
          id: `bank:${i}`,
          class: 'memory',
          description: 'DIMM DDR4 2666 MHz',
          slot: `DIMM${i + 1}`,
          units: 'bytes',
          size: gb * 2 ** 30,
        })),
      ],
    }),
    'bench@depot:~$ lscpu -J',
    JSON.stringify({ lscpu: [{ field: 'Modellname:', data: 'Corvane C5-640' }] }),
    'the sticker says 2019',
  ].join('\n');

describe('intake, a paste', () => {
  it('says what was read and what not; taken in again, each difference is chosen', async () => {
    const shop = await openShop();
    const { page } = shop;
    await page.getByRole('button', { name: 'New job' }).click();
    await page
      .getByRole('dialog')
      .locator('input')
      .first()
      .pressSequentially('Desk 60', { delay: 10 });
    await page.keyboard.press('Enter');
    await page.waitForURL(/job\/20\/take-in/);
    const take = async (sizes: readonly number[]) => {
      await page.getByLabel('Paste the inventory here').fill(paste(sizes));
      await page.getByRole('button', { name: 'Read it' }).click();
    };
    await take([8, 8]);
    const read = page.getByRole('region', { name: 'What was read' });
    await read.getByText(/lshw: board, 2 RAM/).waitFor();
    await read.getByText(/lscpu: CPU/).waitFor();
    await read.getByText(/the sticker says 2019/).waitFor();
    const memories = (machine: Machine | undefined) =>
      machine?.seats.filter(({ seat }) => seat.startsWith('memory')).length;
    await stored<Machine>(page, 'machines', 'M20', (machine) => memories(machine) === 2);

    await page.getByRole('button', { name: 'Take in more' }).click();
    await take([8, 16]);
    const differs = page.getByRole('region', { name: 'A reading that differs' });
    await differs.getByRole('button', { name: '2 still to choose' }).waitFor();
    await differs.getByRole('button', { name: 'RAM: Out of it' }).click();
    await differs.getByRole('button', { name: 'RAM: Came in' }).press('Enter');
    await differs.getByRole('button', { name: 'Done' }).click();
    await differs.waitFor({ state: 'detached' });
    const machine = await stored<Machine>(
      page,
      'machines',
      'M20',
      (each) => each?.unsettled === undefined && memories(each) === 2,
    );
    const sizes = await Promise.all(
      machine.seats
        .filter(({ seat }) => seat.startsWith('memory'))
        .map(({ partId }) => stored<Part>(page, 'parts', partId, Boolean)),
    );
    expect(sizes.map(({ name }) => name).sort()).to.deep.equal([
      '16 GB DDR4 DIMM2',
      '8 GB DDR4 DIMM1',
    ]);
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});

describe('money', () => {
  it('a budget is typed on the tag, key by key, and what is over it is said', async () => {
    const shop = await openShop('/job/14/take-in');
    const { page } = shop;
    const field = page.getByRole('textbox', { name: 'Budget' });
    await retype(field, '');
    await field.pressSequentially('12,50', { delay: 30 });
    await field.press('Enter');
    await stored<Job>(page, 'jobs', '14', (job) => job?.budget?.minor === 1250);
    await retype(field, 'much');
    await field.press('Enter');
    await page.getByText('No amount: 12 or 12.50.').waitFor();
    await stored<Job>(page, 'jobs', '14', (job) => job?.budget?.minor === 1250);
    await visit(page, '/job/14/donors');
    await page.locator('#sum-budget').waitFor();
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });

  it('one price is parted over a bundle, a dead piece of it costs nothing', async () => {
    const shop = await openShop('/job/14/donors');
    const { page } = shop;
    await page.getByRole('button', { name: 'Shelf', exact: true }).click();
    await page.getByText('One price for several').click();
    await page.getByLabel('Tags').pressSequentially('e01 f02 h01 zz9', { delay: 10 });
    await page.getByText('Not on the shelf: ZZ9.').waitFor();
    await retype(page.getByLabel('Price of all'), '40');
    await page.getByLabel('Price of all').press('Enter');
    const row = (tag: string) => page.getByRole('listitem').filter({ hasText: tag });
    for (const [tag, weight] of [
      ['E01', '1'],
      ['F02', '3'],
    ] as const)
      await retype(row(tag).getByLabel('counts'), weight);
    await row('H01').getByLabel('dead').check();
    await page.getByRole('button', { name: 'Part the price' }).click();
    await stored<Part>(page, 'parts', 'F02', (part) => part?.price?.minor === 3000);
    await stored<Part>(page, 'parts', 'E01', (part) => part?.price?.minor === 1000);
    await stored<Part>(
      page,
      'parts',
      'H01',
      (part) => part?.price?.minor === 0 && part.condition === 'dead',
    );
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});
