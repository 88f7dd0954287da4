import { MOST_FILE_BYTES, readShop, ShopFileError } from '$core/document/read.ts';
import { shopStore } from './shopStore.svelte.ts';
import { uiState } from './uiState.svelte.ts';
import { toast } from './toasts.svelte.ts';

/**
 * Reads a shop file and asks whether it is added or takes the shop's place; into an empty shop it goes at
 * once. A refused file changes nothing.
 */
export async function readFile(file: File): Promise<void> {
  try {
    if (file.size > MOST_FILE_BYTES) throw new ShopFileError('The file is larger than 25 MB.');
    const shop = readShop(await file.text());
    const { jobs, machines, parts } = shopStore.shop;
    if (jobs.length + machines.length + parts.length > 0) {
      uiState.opening = { file: file.name, shop };
      return;
    }
    await shopStore.edit(`opened ${file.name}`, () => shop);
    toast(`Opened ${file.name}.`);
  } catch (error) {
    if (!(error instanceof ShopFileError)) throw error;
    const place = error.path ? ` (at ${error.path})` : '';
    toast(`${file.name} was not opened: ${error.message}${place} Nothing was changed.`, 'stop');
  }
}
