import { shopStore } from '../shop/shopStore.svelte.ts';
import { storeName, whichShop } from '../shop/shops.ts';

/** When this shop was last carried out of the browser, and first edited since: told by this browser alone. */

interface Kept {
  exported?: string | undefined;
  edited?: string | undefined;
}

const key = () => `${storeName(whichShop())}-kept`;

function read(): Kept {
  try {
    const value = JSON.parse(window.localStorage.getItem(key()) ?? '{}') as Kept;
    return typeof value === 'object' && value !== null ? value : {};
  } catch {
    return {};
  }
}

export const keptState = $state<{ value: Kept }>({ value: {} });

function write(value: Kept): void {
  keptState.value = value;
  try {
    window.localStorage.setItem(key(), JSON.stringify(value));
  } catch {
    /* Storage is shut off: there is no reminder then, and the notice of the store says why. */
  }
}

export function noteExport(): void {
  write({ exported: new Date().toISOString() });
}

/** Watches for the first edit after an export. */
export function watchEdits(): void {
  keptState.value = read();
  let known = shopStore.shop;
  $effect(() => {
    const { shop, ready, practice, before } = shopStore;
    if (!ready || practice || shop === known || before === undefined) {
      known = shop;
      return;
    }
    known = shop;
    if (read().edited === undefined) write({ ...read(), edited: new Date().toISOString() });
  });
}
