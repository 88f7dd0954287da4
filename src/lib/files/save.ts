import { writeShop } from '$core/export/json.ts';
import { picturesWanted } from '$core/shop/photos.ts';
import { shopStore } from '../shop/shopStore.svelte.ts';
import { toast } from '../shop/toasts.svelte.ts';
import { noteExport } from './kept.svelte.ts';
import type { Shop } from '$core/model/types/types.ts';

/** Hands the browser a file to keep. */
export const saveFile = (name: string, text: string, type: string): void =>
  saveBlob(name, new Blob([text], { type }));

export const saveBytes = (name: string, bytes: Uint8Array, type: string): void =>
  saveBlob(name, new Blob([bytes as Uint8Array<ArrayBuffer>], { type }));

/** As those above, of any kind. */
export function saveBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A name of a file out of one people gave. */
export const slug = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'shop';

/**
 * The shop as it is kept for good, with what another bench needs to merge it: with its photos as a zip, without any
 * as a plain file.
 */
export async function exportShop(withPhotos = true): Promise<void> {
  const shop = await shopStore.copy().then((copy) => ({ ...copy.shop, versions: copy.versions }));
  if (withPhotos && shop.photos.length > 0) await saveZip(slug(shop.name), shop);
  else saveFile(`${slug(shop.name)}.nutshell.json`, writeShop(shop), 'application/json');
  noteExport();
}

/** A document with its pictures; those that are not in this browser are named, and the rest goes out. */
export async function saveZip(name: string, shop: Shop): Promise<void> {
  const [{ filesWorker }, { picturesOf }] = await Promise.all([
    import('./fileWork.ts'),
    import('../photos/pictures.ts'),
  ]);
  const wanted = picturesWanted(shop);
  const pictures = await picturesOf(wanted);
  saveBlob(`${name}.nutshell.zip`, await filesWorker().zip(writeShop(shop), pictures));
  const missing = wanted.length - pictures.length;
  if (missing > 0)
    toast(`${missing} of ${wanted.length} pictures are not in this browser: the file lacks them.`);
}
