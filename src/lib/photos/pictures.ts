import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { SvelteMap } from 'svelte/reactivity';
import { whichShop, storeName } from '../shop/shops.ts';

/**
 * The pictures themselves, in a store of their own beside the records: each once, by the hash of its bytes.
 * What the browser would not keep stays in memory, so that work goes on and export still has it.
 */

interface Kept {
  blob: Blob;
  small: Blob;
  /** When it came, ms: one no record names goes after a month. */
  at: number;
}
interface Schema extends DBSchema {
  pictures: { key: string; value: Kept };
}

const MONTH_MS = 30 * 86_400_000;

let opened: Promise<IDBPDatabase<Schema>> | undefined;
const db = () =>
  (opened ??= openDB<Schema>(`${storeName(whichShop())}-pictures`, 1, {
    upgrade: (store) => void store.createObjectStore('pictures'),
  }));

/** Pictures the browser refused to keep. */
const inMemory = new SvelteMap<string, Kept>();

/** True where it is stored; false where it is only in memory, for the browser has no room. */
export async function keepPicture(hash: string, blob: Blob, small: Blob): Promise<boolean> {
  const kept: Kept = { blob, small, at: Date.now() };
  try {
    await (await db()).put('pictures', kept, hash);
    inMemory.delete(hash);
    return true;
  } catch {
    inMemory.set(hash, kept);
    return false;
  }
}

async function pictureOf(hash: string): Promise<Kept | undefined> {
  const held = inMemory.get(hash);
  if (held) return held;
  try {
    return await (await db()).get('pictures', hash);
  } catch {
    return undefined;
  }
}

export const hasPicture = async (hash: string): Promise<boolean> =>
  (await pictureOf(hash)) !== undefined;

/** The pictures of these hashes that are here. */
export async function picturesOf(
  hashes: readonly string[],
): Promise<{ hash: string; blob: Blob }[]> {
  const found = await Promise.all(
    hashes.map(async (hash) => {
      const kept = await pictureOf(hash);
      return kept ? [{ hash, blob: kept.blob }] : [];
    }),
  );
  return found.flat();
}

/** How many pictures are only in memory. */
export const notStored = (): number => inMemory.size;

const addresses = new Map<string, Promise<string | undefined>>();

/** An address to show a picture at, made once; undefined where the picture is not here. */
export function addressOf(hash: string, size: 'small' | 'blob'): Promise<string | undefined> {
  const key = `${hash} ${size}`;
  const known = addresses.get(key);
  if (known) return known;
  const made = pictureOf(hash).then((kept) => {
    if (kept) return URL.createObjectURL(kept[size]);
    addresses.delete(key);
    return undefined;
  });
  addresses.set(key, made);
  return made;
}

/** Takes out pictures that no record names and that are older than a month: an undo may still want younger ones. */
export async function tidyPictures(wanted: ReadonlySet<string>, now: number): Promise<void> {
  try {
    const store = (await db()).transaction('pictures', 'readwrite').store;
    for await (const cursor of store)
      if (!wanted.has(cursor.key) && now - cursor.value.at > MONTH_MS) await cursor.delete();
  } catch {
    /* Tidying can wait. */
  }
}
