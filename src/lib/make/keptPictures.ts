import { openDB, type DBSchema } from 'idb';
import type { Height, Measured } from '$core/photo/survey.ts';

/** Pictures being measured stay with this browser until they are taken away: not in the shop, not in its file. */
export interface KeptPicture {
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

interface Schema extends DBSchema {
  tables: { key: string; value: KeptTable };
}

/** Jobs whose pictures are kept: the latest. */
const MOST_JOBS = 6;

const db = () =>
  openDB<Schema>('nutshell-swap measured pictures', 1, {
    upgrade: (fresh) => {
      fresh.createObjectStore('tables');
    },
  });

/** A private window or a full disk keeps nothing: the pictures are taken in again. */
export async function keepTable(job: string, kept: KeptTable): Promise<void> {
  try {
    const store = await db();
    if (kept.pictures.length === 0) await store.delete('tables', job);
    else await store.put('tables', kept, job);
    const keys = await store.getAllKeys('tables');
    if (keys.length > MOST_JOBS) {
      const all = await Promise.all(
        keys.map(async (key) => ({ key, at: (await store.get('tables', key))?.at ?? 0 })),
      );
      const [oldest] = all.sort((a, b) => a.at - b.at);
      if (oldest) await store.delete('tables', oldest.key);
    }
    store.close();
  } catch {
    /* As above. */
  }
}

export async function keptTable(job: string): Promise<KeptTable | undefined> {
  try {
    const store = await db();
    const kept = await store.get('tables', job);
    store.close();
    return kept;
  } catch {
    return undefined;
  }
}
