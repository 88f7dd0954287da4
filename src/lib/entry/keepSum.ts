import { addItems } from '$core/shop/items.ts';
import { shopStore } from '$lib/shop/shopStore.svelte.ts';
import { uiState, type QuickPrinted } from '$lib/shop/uiState.svelte.ts';

/** A sum of the entry line goes with a job. */
export function keepSum(jobId: string, { text, unit }: QuickPrinted): void {
  if (!shopStore.shop.jobs.some((each) => each.id === jobId)) return;
  void shopStore.edit(
    `sum kept with ${jobId}`,
    addItems(jobId, 'sums', [{ text, at: shopStore.now, unit }]),
  );
  uiState.quick = uiState.quick.filter((sum) => sum.text !== text);
}
