import { openDB, type DBSchema } from 'idb';
import type { Measured } from '$core/photo/measured.ts';
import type { Height } from '$core/photo/survey.ts';

/** Pictures being measured stay with this browser until they are taken away: not in the shop, not in its file. */
export interface KeptPicture {
  /** Its own: a picture is written once, what is measured on it with every tap. */
  id: string;
  file: File;
  /** Measured by a card, its corners in pixels, in place of the mat. */
  card?: { taps: { u: number; v: number }[]; size: { width: number; height: number } } | undefined;
}
export interface KeptTable {
  pictures: KeptPicture[];
  height: Height;
  list: Measured[];
  turn: number;
  at: number;
}

interface Stored extends Omit<KeptTable, 'pictures'> {
  pictures: Omit<KeptPicture, 'file'>[];
}
interface Schema extends DBSchema {
  tables: { key: string; value: Stored };
  files: { key: string; value: File };
}

/** A picture's own name, drawn: over plain http a browser gives no other. */
export const drawnId = (): string =>
  [...crypto.getRandomValues(new Uint32Array(3))].map((each) => each.toString(36)).join('');

/** Jobs whose pictures are kept: the latest. */
const MOST_JOBS = 6;

const db = () =>
  openDB<Schema>('nutshell-swap measured pictures', 2, {
    upgrade: (store, from) => {
      /* Tables of the first kind held their pictures themselves: they are taken in again. */
      if (from === 1) store.deleteObjectStore('tables');
      store.createObjectStore('tables');
      store.createObjectStore('files');
    },
  });

/** A private window or a full disk keeps nothing: the pictures are taken in again. */
export async function keepTable(job: string, kept: KeptTable): Promise<void> {
  try {
    const store = await db();
    const tx = store.transaction(['tables', 'files'], 'readwrite');
    const [tables, files] = [tx.objectStore('tables'), tx.objectStore('files')];
    if (kept.pictures.length === 0) await tables.delete(job);
    else
      await tables.put(
        { ...kept, pictures: kept.pictures.map(({ id, card }) => ({ id, card })) },
        job,
      );
    const keys = await tables.getAllKeys();
    const all = await Promise.all(
      keys.map(async (key) => ({ key, table: (await tables.get(key))! })),
    );
    all.sort((a, b) => b.table.at - a.table.at);
    for (const { key } of all.slice(MOST_JOBS)) await tables.delete(key);
    const named = new Set(
      all.slice(0, MOST_JOBS).flatMap(({ table }) => table.pictures.map(({ id }) => id)),
    );
    const there = new Set(await files.getAllKeys());
    for (const id of there) if (!named.has(id)) await files.delete(id);
    for (const { id, file } of kept.pictures) if (!there.has(id)) await files.put(file, id);
    await tx.done;
    store.close();
  } catch {
    /* As above. */
  }
}

export async function keptTable(job: string): Promise<KeptTable | undefined> {
  try {
    const store = await db();
    const kept = await store.get('tables', job);
    const pictures: KeptPicture[] = [];
    for (const each of kept?.pictures ?? []) {
      const file = await store.get('files', each.id);
      if (file) pictures.push({ ...each, file });
    }
    store.close();
    return kept && { ...kept, pictures };
  } catch {
    return undefined;
  }
}
