import type { Shop } from '$core/model/types/types.ts';
import { picturesWanted } from '$core/shop/photos.ts';
import type { Opened } from '../../workers/files.worker.ts';
import { photosWorker } from '../photos/photoWork.ts';
import { hasPicture, keepPicture } from '../photos/pictures.ts';
import { shopStore } from '../shop/shopStore.svelte.ts';
import { uiState } from '../shop/uiState.svelte.ts';
import { toast } from '../shop/toasts.svelte.ts';
import { filesWorker } from './fileWork.ts';

/**
 * Reads a shop file and asks whether it is added or takes the shop's place; into an empty shop it goes at
 * once. A refused file changes nothing.
 */
export async function readFile(file: File): Promise<void> {
  const read = await opened(file);
  if (!read) return;
  if (read.cards) {
    uiState.cards = { file: file.name, cards: read.cards };
    return;
  }
  const { shop } = read;
  const { jobs, machines, parts } = shopStore.shop;
  if (jobs.length + machines.length + parts.length > 0) {
    uiState.opening = { file: file.name, shop };
    return;
  }
  await shopStore.open(`opened ${file.name}`, shop);
  toast(`Opened ${file.name}.`);
}

/** The shop a file holds; undefined where it is refused, which is said. */
export async function shopOf(file: File): Promise<Shop | undefined> {
  const read = await opened(file);
  if (read?.cards) toast(`${file.name} was not opened: it holds model cards, no shop.`, 'stop');
  return read?.shop;
}

type Held = Exclude<Opened, { fault: string }>;

/** What a file holds, its pictures laid into the browser's store; undefined where it is refused, which is said. */
async function opened(file: File): Promise<Held | undefined> {
  const read = await filesWorker().open(file);
  if ('fault' in read) {
    const place = read.path ? ` (at ${read.path})` : '';
    toast(`${file.name} was not opened: ${read.fault}${place} Nothing was changed.`, 'stop');
    return undefined;
  }
  const wanted = read.cards
    ? read.cards.cards.flatMap(({ photos }) => (photos ?? []).map(({ hash }) => hash))
    : picturesWanted(read.shop);
  await keepPictures(read, wanted);
  return read;
}

/** Keeps what is wanted and not here yet; says what is missing then. */
async function keepPictures(
  { pictures, zipped, spoilt }: Held,
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
