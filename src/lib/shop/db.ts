import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction } from 'idb';
import {
  collections,
  headOf,
  type Collection,
  type Head,
  type RecordChange,
} from '$core/edits/changes.ts';
import { emptyShop } from '$core/model/empty.ts';
import { migrate } from '$core/model/migrate.ts';
import type { Shop } from '$core/model/types.ts';

/** One undo step as it is stored. */
export interface UndoEntry {
  n: number;
  label: string;
  /** Edits with the same key shortly after one another are one step. */
  key?: string | undefined;
  at: number;
  changes: RecordChange[];
}

/** The shop's head with how often it was written and the number of the last step in force. */
export interface StoredHead extends Head {
  rev: number;
  undoAt: number;
}

interface Schema extends DBSchema {
  head: { key: string; value: StoredHead };
  models: { key: string; value: Shop['models'][number] };
  machines: { key: string; value: Shop['machines'][number] };
  parts: { key: string; value: Shop['parts'][number] };
  jobs: { key: string; value: Shop['jobs'][number] };
  plugs: { key: string; value: Shop['plugs'][number] };
  ledger: { key: string; value: Shop['ledger'][number] };
  undo: { key: number; value: UndoEntry };
}

export type StoreName = 'head' | Collection | 'undo';
export type Db = IDBPDatabase<Schema>;
export type WriteTx = IDBPTransaction<Schema, StoreName[], 'readwrite'>;

const stores: StoreName[] = ['head', ...collections, 'undo'];

export function openShopDb(): Promise<Db> {
  return openDB<Schema>('nutshell-swap', 3, {
    upgrade(db) {
      const has = (name: StoreName) => db.objectStoreNames.contains(name);
      if (!has('head')) db.createObjectStore('head');
      for (const name of collections) if (!has(name)) db.createObjectStore(name, { keyPath: 'id' });
      if (!has('undo')) db.createObjectStore('undo', { keyPath: 'n' });
    },
  });
}

export const writeTx = (db: Db): WriteTx => db.transaction(stores, 'readwrite');

export interface Loaded {
  shop: Shop;
  head: StoredHead;
  /** False when nothing was ever stored. */
  stored: boolean;
}

/** Reads everything within one transaction. */
export async function loadAll(tx: WriteTx | ReturnType<Db['transaction']>): Promise<Loaded> {
  const from = tx as unknown as WriteTx;
  const [head, models, machines, parts, jobs, plugs, ledger] = await Promise.all([
    from.objectStore('head').get('shop'),
    from.objectStore('models').getAll(),
    from.objectStore('machines').getAll(),
    from.objectStore('parts').getAll(),
    from.objectStore('jobs').getAll(),
    from.objectStore('plugs').getAll(),
    from.objectStore('ledger').getAll(),
  ]);
  const empty = emptyShop();
  const { rev, undoAt, ...rest } = head ?? { ...headOf(empty), rev: 0, undoAt: 0 };
  /* What an older version stored is lifted as an older file would be. */
  const kept = { ...empty, ...rest, models, machines, parts, jobs, plugs, ledger };
  const shop = migrate({ ...kept }, rest.version) as unknown as Shop;
  return { shop, head: { ...headOf(shop), rev, undoAt } as StoredHead, stored: head !== undefined };
}

export const readTx = (db: Db) => db.transaction(stores, 'readonly');

/** Writes each touched record on the given side of the changes. */
export function writeRecords(
  tx: WriteTx,
  changes: readonly RecordChange[],
  side: 'before' | 'after',
): void {
  for (const change of changes) {
    if (change.in === 'head') continue;
    const store = tx.objectStore(change.in);
    const value = change[side];
    if (value === undefined) void store.delete(change.id);
    else void store.put(value as never);
  }
}
