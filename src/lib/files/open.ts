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
    const unpacked = await unpack(file);
    const { readCards, saysCards } = await import('$core/document/cardsSchema.ts');
    if (saysCards(unpacked.text)) {
      const cards = readCards(unpacked.text);
      await keepPictures(
        unpacked,
        cards.cards.flatMap(({ photos }) => (photos ?? []).map(({ hash }) => hash)),
      );
      uiState.cards = { file: file.name, cards };
      return;
    }
    const shop = await shopIn(unpacked);
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
    return await shopIn(await unpack(file));
  } catch (error) {
    if (!(error instanceof ShopFileError)) throw error;
    toast(`${file.name} was not opened: ${error.message}`, 'stop');
    return undefined;
  }
}

interface Unpacked {
  text: string;
  zipped: boolean;
  pictures: readonly { hash: string; blob: Blob }[];
  /** How many pictures in the file are not what they say. */
  spoilt: number;
}

/** The document in a file, and the pictures beside it. Throws ShopFileError. */
async function unpack(file: File): Promise<Unpacked> {
  const zipped = await isZip(file);
  if (file.size > (zipped ? MOST_ZIP_BYTES : MOST_FILE_BYTES))
    throw new ShopFileError(`The file is larger than ${zipped ? '1.5 GB' : '25 MB'}.`);
  if (!zipped) return { text: await file.text(), zipped, pictures: [], spoilt: 0 };
  const read = await photosWorker().unzip(file);
  if ('fault' in read) throw new ShopFileError(read.fault);
  return { text: read.document, zipped, pictures: read.pictures, spoilt: read.spoilt.length };
}

/** The shop in a file; its pictures are laid into the browser's store. Throws ShopFileError. */
async function shopIn(unpacked: Unpacked): Promise<Shop> {
  const shop = readShop(unpacked.text);
  await keepPictures(unpacked, picturesWanted(shop));
  return shop;
}

/** Keeps what is wanted and not here yet; says what is missing then. */
async function keepPictures(
  { pictures, zipped, spoilt }: Unpacked,
  hashes: readonly string[],
): Promise<void> {
  const wanted = new Set(hashes);
  let stored = true;
  let bad = spoilt;
  for (const { hash, blob } of pictures) {
    if (!wanted.has(hash) || (await hasPicture(hash))) continue;
    const small = await photosWorker().small(blob);
    if (small) stored = (await keepPicture(hash, blob, small)) && stored;
    else bad += 1;
  }
  if (!stored)
    toast(
      'The browser has no room for all pictures: some are kept until this page is closed.',
      'stop',
    );
  const here = await Promise.all([...wanted].map(hasPicture));
  const missing = here.filter((is) => !is).length;
  if (missing === 0) return;
  const why = !zipped
    ? 'A plain file has no pictures: open the .zip beside it to get them.'
    : bad > 0
      ? `${bad} in the file are spoilt.`
      : 'They are not in the file.';
  toast(`${missing} of ${wanted.size} pictures are missing. ${why}`);
}

/** A zip begins with PK, whatever it is called. */
async function isZip(file: File): Promise<boolean> {
  const [p, k] = new Uint8Array(await file.slice(0, 2).arrayBuffer());
  return p === 0x50 && k === 0x4b;
}
