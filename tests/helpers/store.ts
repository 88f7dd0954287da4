import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { DB_NAME, type StoredHead } from '../../src/lib/shop/db.ts';
import { ShopStore } from '../../src/lib/shop/store.ts';

/** Tabs over one store in memory (fake-indexeddb stands in for the browser's). */

/** A browser's profile: an empty store, and the tabs that look at it. */
export class Profile {
  tabs: ShopStore[] = [];
  said: string[] = [];
  clock = 1_800_000_000_000;

  constructor() {
    globalThis.indexedDB = new IDBFactory();
  }

  /** Opens a tab; it hears of every write of the others after `lateMs`. */
  async tab(lateMs = 0): Promise<ShopStore> {
    const store: ShopStore = new ShopStore({
      onchange: () => undefined,
      onsay: (text) => this.said.push(text),
      onwritten: () => {
        for (const other of this.tabs)
          if (other !== store) setTimeout(() => void other.look(), lateMs);
      },
      now: () => this.clock,
    });
    this.tabs.push(store);
    await store.start();
    return store;
  }

  close(): void {
    for (const tab of this.tabs) tab.close();
  }
}

const done = <T>(request: IDBRequest<T> | IDBOpenDBRequest): Promise<T> =>
  new Promise((resolve, reject) => {
    request.onsuccess = () => resolve(request.result as T);
    request.onerror = () => reject(request.error as Error);
  });

/** Lays down a store as an older product left it: its own number, its own lists, an undo step. */
export async function olderStore(shop: Record<string, unknown>, number: number): Promise<void> {
  const lists = ['models', 'machines', 'parts', 'jobs', 'plugs', 'ledger'].filter(
    (name) => name in shop,
  );
  const open = indexedDB.open(DB_NAME, number);
  open.onupgradeneeded = () => {
    const db = open.result;
    db.createObjectStore('head');
    for (const name of lists) db.createObjectStore(name, { keyPath: 'id' });
    db.createObjectStore('undo', { keyPath: 'n' });
  };
  const db = await done(open);
  const tx = db.transaction(['head', ...lists, 'undo'], 'readwrite');
  const { format, version, name, settings } = shop;
  tx.objectStore('head').put({ format, version, name, settings, rev: 7, undoAt: 1 }, 'shop');
  for (const list of lists)
    for (const record of shop[list] as object[]) tx.objectStore(list).put(record);
  tx.objectStore('undo').put({ n: 1, label: 'an older step', at: 0, changes: [] });
  await new Promise<void>((resolve) => (tx.oncomplete = () => resolve()));
  db.close();
}

/** Everything a store holds, raw. */
export async function rawStore(): Promise<{ head: StoredHead; backups: { version: number }[] }> {
  const db = (await done(indexedDB.open(DB_NAME))) as IDBDatabase;
  const tx = db.transaction(['head', 'backups'], 'readonly');
  const head = (await done(tx.objectStore('head').get('shop'))) as StoredHead;
  const backups = (await done(tx.objectStore('backups').getAll())) as { version: number }[];
  db.close();
  return { head, backups };
}
