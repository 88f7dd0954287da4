import { openDB } from 'idb';
import { readShop, ShopFileError } from '$core/document/read.ts';
import { writeShop } from '$core/export/json.ts';
import { shopStore } from '../shop/shopStore.svelte.ts';
import { storeName, whichShop } from '../shop/shops.ts';
import { toast } from '../shop/toasts.svelte.ts';
import { noteExport } from './kept.svelte.ts';

/**
 * A file in a folder that all benches of a shop reach: what others wrote there is merged, and the whole is written
 * back. Only browsers that let a page keep a file's handle can do it.
 */

type Pickers = {
  showSaveFilePicker?: (options: object) => Promise<FileSystemFileHandle>;
};
type Permitted = FileSystemFileHandle & {
  requestPermission?: (options: { mode: 'readwrite' }) => Promise<PermissionState>;
};

export const canShare = (): boolean => 'showSaveFilePicker' in window;

const handles = () =>
  openDB(`${storeName(whichShop())}-shared`, 1, {
    upgrade: (db) => void db.createObjectStore('handles'),
  });

export async function sharedName(): Promise<string | undefined> {
  const handle = (await (await handles()).get('handles', 'shared')) as
    FileSystemFileHandle | undefined;
  return handle?.name;
}

/** Chooses the file; an existing one is kept, for the next step merges with it. Undefined where nothing was chosen. */
export async function chooseShared(): Promise<string | undefined> {
  const pick = (window as unknown as Pickers).showSaveFilePicker;
  const handle = await pick?.({
    suggestedName: 'shared.nutshell.json',
    types: [{ description: 'Nutshell Swap', accept: { 'application/json': ['.json'] } }],
  }).catch(() => undefined);
  if (!handle) return undefined;
  await (await handles()).put('handles', handle, 'shared');
  return handle.name;
}

/** Merges what is in the file, then writes the whole back. Says what it did; a file that is refused stays as it is. */
export async function mergeShared(): Promise<void> {
  const handle = (await (await handles()).get('handles', 'shared')) as Permitted | undefined;
  if (!handle) return;
  const permission = await handle.requestPermission?.({ mode: 'readwrite' });
  if (permission === 'denied') {
    toast(`The browser may not open ${handle.name}.`, 'stop');
    return;
  }
  try {
    const text = await (await handle.getFile()).text();
    const other = text.trim() === '' ? undefined : readShop(text);
    if (other) {
      const { versions } = await shopStore.copy();
      if (!other.versions || other.versions.line !== versions?.line) {
        toast(
          `${handle.name} is not a copy of this shop. Open it to add what is in it; nothing was written.`,
          'stop',
        );
        return;
      }
      await shopStore.merge(`merged ${handle.name}`, other);
    }
    const own = await shopStore.copy();
    const stream = await handle.createWritable();
    await stream.write(writeShop({ ...own.shop, versions: own.versions }));
    await stream.close();
    noteExport();
    toast(other ? `Merged with ${handle.name} and written back.` : `Written to ${handle.name}.`);
  } catch (error) {
    const why = error instanceof ShopFileError ? error.message : (error as Error).message;
    toast(`${handle.name} was not merged: ${why} It is as it was.`, 'stop');
  }
}
