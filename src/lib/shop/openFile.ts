import { MOST_FILE_BYTES, readShop, ShopFileError } from '$core/model/read.ts';
import { bench } from './bench.svelte.ts';
import { toast } from './toasts.svelte.ts';

/** Opens a shop file in place of what is stored, as one undoable edit; a refused file changes nothing. */
export async function readFile(input: HTMLInputElement): Promise<void> {
  const file = input.files?.[0];
  if (!file) return;
  try {
    if (file.size > MOST_FILE_BYTES) throw new ShopFileError('The file is larger than 25 MB.');
    const shop = readShop(await file.text());
    bench.edit(`opened ${file.name}`, () => shop);
    toast(`Opened ${file.name}. Undo brings the shop before back.`);
  } catch (error) {
    if (!(error instanceof ShopFileError)) throw error;
    const place = error.path ? ` (at ${error.path})` : '';
    toast(`${file.name} was not opened: ${error.message}${place} Nothing was changed.`, 'stop');
  } finally {
    input.value = '';
  }
}
