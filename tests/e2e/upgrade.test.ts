import { expect } from 'chai';
import { VERSION, type Entry } from '../../src/core/model/types/types.ts';
import { enter, openShop, origin, ready, stored } from './helpers/app.ts';

/** What an older version left behind, as a script of its own: nothing of the product runs while it is laid down. */
const OLDER_STORE = `(async () => {
  const done = (request) => new Promise((resolve, reject) => {
    request.onsuccess = request.oncomplete = () => resolve();
    request.onerror = () => reject(request.error);
  });
  await done(indexedDB.deleteDatabase('nutshell-swap'));
  const open = indexedDB.open('nutshell-swap', 2);
  open.onupgradeneeded = () => {
    open.result.createObjectStore('head');
    for (const name of ['models', 'machines', 'parts', 'jobs', 'plugs'])
      open.result.createObjectStore(name, { keyPath: 'id' });
    open.result.createObjectStore('undo', { keyPath: 'n' });
  };
  await done(open);
  const tx = open.result.transaction(['head', 'parts'], 'readwrite');
  const settings = { unit: 'mm', currency: 'EUR', headroom: 0.3, theme: 'light' };
  tx.objectStore('head').put(
    { format: 'nutshell-swap', version: 4, name: 'An older bench', settings, rev: 7, undoAt: 0 },
    'shop',
  );
  tx.objectStore('parts').put(
    { id: 'K77', kind: 'fan', name: 'an old fan', facts: {}, place: 'shelf' },
  );
  await done(tx);
  open.result.close();
})()`;

/** A browser that kept a shop under an older version of the product opens it with this one. */
describe('an older store', () => {
  it('of document version 4 is lifted, nothing lost, and takes a line of the book', async () => {
    const shop = await openShop('/');
    const { page } = shop;
    /* A page of the same origin on which the product does not run. */
    await page.goto(`${await origin()}/api/v1/schema`);
    await page.evaluate(OLDER_STORE);
    await page.goto(await origin());
    await ready(page);
    await page.getByText('An older bench', { exact: true }).waitFor();
    await enter(page, 'paid 3.50 for K77');
    const entry = await stored<Entry>(page, 'ledger', 'L0001', (each) => each !== undefined);
    expect(entry).to.include({ kind: 'cost', what: 'an old fan', partId: 'K77' });
    const head = await stored<{ version: number; settings: { rates: unknown[] } }>(
      page,
      'head',
      'shop',
      (each) => each?.version === VERSION,
    );
    expect(head.settings.rates).to.deep.equal([]);
    /* A bare answer of the API has no icon of its own; the browser asks for one all the same. */
    expect(shop.complaints.filter((each) => !each.includes('404'))).to.deep.equal([]);
    await shop.context.close();
  });
});
