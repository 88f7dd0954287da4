import { wrap, type Remote } from 'comlink';
import { addPhotos } from '$core/edits/photoEdits.ts';
import type { PhotoPlace } from '$core/shop/photos.ts';
import type { Photo } from '$core/model/types/types.ts';
import type { PhotosWorker } from '../../workers/photos.worker.ts';
import { shopStore } from '../shop/shopStore.svelte.ts';
import { toast } from '../shop/toasts.svelte.ts';
import { keepPicture } from './pictures.ts';

let worker: Remote<PhotosWorker> | undefined;
export const photosWorker = (): Remote<PhotosWorker> =>
  (worker ??= wrap<PhotosWorker>(
    new Worker(new URL('../../workers/photos.worker.ts', import.meta.url), { type: 'module' }),
  ));

/** Larger than any camera writes. */
const MOST_FILE_BYTES = 60_000_000;

/** Makes files ready and hangs them up, in one step that can be undone; what is no picture is said and left out. */
export async function addFiles(
  files: readonly File[],
  place: PhotoPlace,
  when?: Photo['when'],
): Promise<void> {
  const ready: Omit<Photo, 'id'>[] = [];
  const refused: string[] = [];
  let stored = true;
  for (const file of files) {
    const made = file.size > MOST_FILE_BYTES ? undefined : await photosWorker().prepare(file);
    if (!made) {
      refused.push(file.name);
      continue;
    }
    stored = (await keepPicture(made.hash, made.blob, made.small)) && stored;
    ready.push({
      hash: made.hash,
      at: takenAt(file),
      width: made.width,
      height: made.height,
      bytes: made.blob.size,
      ...(when && { when }),
      ...place,
      marks: [],
    });
  }
  if (ready.length > 0)
    await shopStore.edit(ready.length === 1 ? 'photo' : `${ready.length} photos`, addPhotos(ready));
  if (refused.length > 0)
    toast(
      `${refused.join(', ')}: no picture this browser reads (JPEG, PNG, WebP). Nothing else was lost.`,
      'stop',
    );
  if (!stored)
    toast(
      'The browser has no room for the picture: it is kept until this page is closed. Export the shop with its photos now.',
      'stop',
    );
}

/** When a file says it was taken, unless that lies ahead. */
function takenAt({ lastModified }: File): string {
  const now = Date.now();
  return new Date(lastModified > 0 && lastModified < now ? lastModified : now).toISOString();
}

/** The pictures among what was pasted or dropped. */
export const picturesIn = (data: DataTransfer | null): File[] =>
  [...(data?.files ?? [])].filter(({ type }) => type.startsWith('image/'));
