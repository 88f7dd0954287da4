import { MOST_FILE_BYTES, readShop, ShopFileError } from '$core/document/read.ts';
import type { Shop } from '$core/model/types/types.ts';
import { picturesWanted } from '$core/shop/photos.ts';
import { photosWorker } from '../photos/photoWork.ts';
import { hasPicture, keepPicture } from '../photos/pictures.ts';
import { shopStore } from '../shop/shopStore.svelte.ts';
import { uiState } from '../shop/uiState.svelte.ts';
import { toast } from '../shop/toasts.svelte.ts';

/** A zip holds pictures beside its document. */
const MOST_ZIP_BYTES = 1_500_000_000;

/**
 * Reads a shop file and asks whether it is added or takes the shop's place; into an empty shop it goes at
 * once. A refused file changes nothing.
 */
export async function readFile(file: File): Promise<void> {
  try {
    if (!(await isZip(file)) && file.size <= MOST_FILE_BYTES) {
      const { readCards, saysCards } = await import('$core/document/cardsSchema.ts');
      const text = await file.text();
      if (saysCards(text)) {
        uiState.cards = { file: file.name, cards: readCards(text) };
        return;
      }
    }
    const shop = await shopIn(file);
    const { jobs, machines, parts } = shopStore.shop;
    if (jobs.length + machines.length + parts.length > 0) {
      uiState.opening = { file: file.name, shop };
      return;
    }
    await shopStore.open(`opened ${file.name}`, shop);
    toast(`Opened ${file.name}.`);
  } catch (error) {
    if (!(error instanceof ShopFileError)) throw error;
    const place = error.path ? ` (at ${error.path})` : '';
    toast(`${file.name} was not opened: ${error.message}${place} Nothing was changed.`, 'stop');
  }
}

/** The shop a file holds; undefined where it is refused, which is said. */
export async function shopOf(file: File): Promise<Shop | undefined> {
  try {
    return await shopIn(file);
  } catch (error) {
    if (!(error instanceof ShopFileError)) throw error;
    toast(`${file.name} was not opened: ${error.message}`, 'stop');
    return undefined;
  }
}

/** The shop a file holds; its pictures are laid into the browser's store. Throws ShopFileError. */
async function shopIn(file: File): Promise<Shop> {
  const zipped = await isZip(file);
  if (file.size > (zipped ? MOST_ZIP_BYTES : MOST_FILE_BYTES))
    throw new ShopFileError(`The file is larger than ${zipped ? '1.5 GB' : '25 MB'}.`);
  if (!zipped) {
    const shop = readShop(await file.text());
    await sayMissing(shop, 'A plain file has no pictures: open the .zip beside it to get them.');
    return shop;
  }
  const read = await photosWorker().unzip(file);
  if ('fault' in read) throw new ShopFileError(read.fault);
  const shop = readShop(read.document);
  const wanted = new Set(picturesWanted(shop));
  let stored = true;
  for (const { hash, blob } of read.pictures) {
    if (!wanted.has(hash) || (await hasPicture(hash))) continue;
    const small = await photosWorker().small(blob);
    if (small) stored = (await keepPicture(hash, blob, small)) && stored;
    else read.spoilt.push(hash);
  }
  if (!stored)
    toast(
      'The browser has no room for all pictures: some are kept until this page is closed.',
      'stop',
    );
  await sayMissing(
    shop,
    read.spoilt.length > 0
      ? `${read.spoilt.length} in the file are spoilt.`
      : 'They are not in the file.',
  );
  return shop;
}

/** A zip begins with PK, whatever it is called. */
async function isZip(file: File): Promise<boolean> {
  const [p, k] = new Uint8Array(await file.slice(0, 2).arrayBuffer());
  return p === 0x50 && k === 0x4b;
}

async function sayMissing(shop: Shop, why: string): Promise<void> {
  const wanted = picturesWanted(shop);
  const here = await Promise.all(wanted.map(hasPicture));
  const missing = here.filter((is) => !is).length;
  if (missing > 0) toast(`${missing} of ${wanted.length} pictures are missing. ${why}`);
}
