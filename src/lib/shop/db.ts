import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction } from 'idb';
import { headOf, type Head, type RecordChange } from '$core/edits/changes.ts';
import type { Stamps } from '$core/merge/write.ts';
import { keyOf, nameOf } from '$core/merge/names.ts';
import { collections, type Collection } from '$core/model/types/collections.ts';
import type { Gone, RecordVersion, Versions } from '$core/model/types/versionTypes.ts';
import { emptyShop } from '$core/model/types/empty.ts';
import { VERSION, type Shop } from '$core/model/types/types.ts';
import { table } from '$core/units/table.ts';

/** One undo step as it is stored. */
export interface UndoEntry {
  n: number;
  label: string;
  /** Edits with the same key shortly after one another are one step. */
  key?: string | undefined;
  at: number;
  changes: RecordChange[];
  /** Versions that were laid in with it, not written by it: of a merge or an opened file all, of an answer some. */
  laid?: { before: Laid; after: Laid } | undefined;
}

export interface Laid {
  all?: Versions | undefined;
  some?: [key: string, version: RecordVersion][] | undefined;
}

/** Who writes here. `n`: its last write; a copy that was opened knows another one, and it takes a new name. */
export interface Bench {
  line: string;
  bench: string;
  n: number;
  seen: Versions['seen'];
  /** Merging left questions. */
  asks: boolean;
}

/** The shop's head with how often it was written and the number of the last step in force. */
export interface StoredHead extends Head {
  rev: number;
  undoAt: number;
}

/** A whole store as it stood before a newer version of the product lifted it. */
export interface Backup {
  version: number;
  at: number;
  shop: unknown;
}

interface Schema extends DBSchema {
  head: { key: string; value: StoredHead };
  models: { key: string; value: Shop['models'][number] };
  machines: { key: string; value: Shop['machines'][number] };
  parts: { key: string; value: Shop['parts'][number] };
  jobs: { key: string; value: Shop['jobs'][number] };
  plugs: { key: string; value: Shop['plugs'][number] };
  ledger: { key: string; value: Shop['ledger'][number] };
  photos: { key: string; value: Shop['photos'][number] };
  undo: { key: number; value: UndoEntry };
  /** By `parts/A01`. */
  versions: { key: string; value: RecordVersion };
  /** Records that were taken out. */
  gone: { key: string; value: Gone };
  bench: { key: string; value: Bench };
  backups: { key: number; value: Backup };
}

export type StoreName = 'head' | Collection | 'undo' | 'versions' | 'gone' | 'bench';
export type Db = IDBPDatabase<Schema>;
export type WriteTx = IDBPTransaction<Schema, StoreName[], 'readwrite'>;

const stores: StoreName[] = ['head', ...collections, 'undo', 'versions', 'gone', 'bench'];

export const DB_NAME = 'nutshell-swap';
/** The store's number is the document's: an older product cannot open what a newer one wrote. */
export const DB_VERSION = VERSION;

export interface OpenSigns {
  /** Another tab with an older product holds the store open. */
  onblocked: () => void;
  /** A newer product wants the store; it is closed here at once. */
  onnewer: () => void;
  /** The browser closed the store under us. */
  onclosed: () => void;
}

/**
 * Opens the store; one of an older version is copied into `backups` and lifted in the same
 * transaction, so that it is either whole as it was or whole as it shall be.
 * Rejects with a `VersionError` where a newer product has been.
 */
export async function openShopDb(signs: OpenSigns, name = DB_NAME): Promise<Db> {
  const migrate = await lifter(name);
  return openDB<Schema>(name, DB_VERSION, {
    async upgrade(db, _older, _newer, tx) {
      const has = (name: string) => (db.objectStoreNames as DOMStringList).contains(name);
      const fresh = !has('head');
      if (fresh) db.createObjectStore('head');
      for (const name of collections) if (!has(name)) db.createObjectStore(name, { keyPath: 'id' });
      for (const name of ['versions', 'gone', 'bench'] as const)
        if (!has(name)) db.createObjectStore(name);
      if (!has('undo')) db.createObjectStore('undo', { keyPath: 'n' });
      if (!has('backups')) db.createObjectStore('backups', { keyPath: 'version' });
      if (!fresh) await lift(tx as unknown as LiftTx, migrate);
    },
    blocked: signs.onblocked,
    blocking(_from, _to, event) {
      (event.target as IDBDatabase).close();
      signs.onnewer();
    },
    terminated: signs.onclosed,
  });
}

type Migrate = (typeof import('$core/document/migrate.ts'))['migrate'];

/** What lifts an older store, loaded before that is opened: an upgrade waits for nothing but its own store. */
async function lifter(name: string): Promise<Migrate | undefined> {
  /* Where the browser does not tell which stores there are, one of them may be old. */
  const all = await (indexedDB.databases as IDBFactory['databases'] | undefined)?.call(indexedDB);
  const own = all?.find((each) => each.name === name);
  const old = all ? own?.version !== undefined && own.version < DB_VERSION : true;
  return old ? (await import('$core/document/migrate.ts')).migrate : undefined;
}

type LiftTx = IDBPTransaction<Schema, (StoreName | 'backups')[], 'versionchange'>;

/** Lifts every record of the store as a file of its version would be. The undo steps of the older version go. */
async function lift(tx: LiftTx, migrate: Migrate | undefined): Promise<void> {
  const head = (await tx.objectStore('head').get('shop')) as StoredHead | undefined;
  if (!head || head.version >= VERSION) return;
  if (!migrate) throw new Error('The store changed while it was opened: load the page again.');
  const { rev, undoAt: _, ...kept } = head;
  const lists: Record<string, unknown[]> = table();
  for (const name of collections) lists[name] = await tx.objectStore(name).getAll();
  const shop = { ...kept, ...lists };
  await tx.objectStore('backups').put({ version: head.version, at: Date.now(), shop });
  const lifted = migrate(shop, head.version) as unknown as Shop;
  for (const name of collections) {
    await tx.objectStore(name).clear();
    for (const record of lifted[name]) await tx.objectStore(name).put(record as never);
  }
  await tx.objectStore('undo').clear();
  await tx.objectStore('head').put({ ...headOf(lifted), rev: rev + 1, undoAt: 0 }, 'shop');
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
  const [head, models, machines, parts, jobs, plugs, ledger, photos] = await Promise.all([
    from.objectStore('head').get('shop'),
    from.objectStore('models').getAll(),
    from.objectStore('machines').getAll(),
    from.objectStore('parts').getAll(),
    from.objectStore('jobs').getAll(),
    from.objectStore('plugs').getAll(),
    from.objectStore('ledger').getAll(),
    from.objectStore('photos').getAll(),
  ]);
  const empty = emptyShop();
  const { rev, undoAt, ...rest } = head ?? { ...headOf(empty), rev: 0, undoAt: 0 };
  const shop: Shop = { ...empty, ...rest, models, machines, parts, jobs, plugs, ledger, photos };
  return { shop, head: { ...headOf(shop), rev, undoAt }, stored: head !== undefined };
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

/** Versions of some records. */
export async function versionsOf(
  tx: WriteTx,
  keys: readonly string[],
): Promise<Record<string, RecordVersion | undefined>> {
  const store = tx.objectStore('versions');
  const found = await Promise.all(keys.map((key) => store.get(key)));
  return Object.fromEntries(keys.map((key, at) => [key, found[at]]));
}

export async function allVersions(
  tx: WriteTx | ReturnType<Db['transaction']>,
  { line, seen }: Pick<Bench, 'line' | 'seen'>,
): Promise<Versions> {
  const from = tx as unknown as WriteTx;
  const [keys, versions, gone] = await Promise.all([
    from.objectStore('versions').getAllKeys(),
    from.objectStore('versions').getAll(),
    from.objectStore('gone').getAll(),
  ]);
  const records = Object.fromEntries(keys.map((key, at) => [key, versions[at]]));
  return { line, seen, records: records as Versions['records'], gone };
}

const goneKey = ({ in: list, record, version }: Gone): string =>
  keyOf(list, nameOf(list, record.id, version));

export function writeStamps(tx: WriteTx, { records, buried, revived }: Stamps): void {
  for (const [key, version] of Object.entries(records)) writeVersion(tx, key, version);
  for (const gone of revived) void tx.objectStore('gone').delete(goneKey(gone));
  for (const gone of buried) void tx.objectStore('gone').put(gone, goneKey(gone));
}

export function writeVersion(tx: WriteTx, key: string, version: RecordVersion | undefined): void {
  const store = tx.objectStore('versions');
  if (version) void store.put(version, key);
  else void store.delete(key);
}

/** All versions in place of what was there. */
export function layVersions(tx: WriteTx, { records, gone }: Versions): void {
  void tx.objectStore('versions').clear();
  void tx.objectStore('gone').clear();
  for (const [key, version] of Object.entries(records)) writeVersion(tx, key, version);
  for (const each of gone) void tx.objectStore('gone').put(each, goneKey(each));
}
