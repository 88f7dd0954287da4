import { DB_NAME } from './db.ts';

/**
 * Shops kept side by side in this browser, each in a store of its own, so that looking at one loses nothing of
 * another: the first one opened here (the demo, where it was served), one's own begun beside it, and the demo
 * looked at from one's own.
 */
export type Which = 'first' | 'own' | 'demo';

/** What a shop of one's own begins with. */
export interface Beginning {
  name: string;
  unit: 'mm' | 'in';
  currency: string;
  /** What an hour is worth, as it was typed; empty: not counted. */
  hour: string;
}

const OPEN = 'nutshell-shop';
const BEGIN = 'nutshell-begin';

/** Storage may be shut off in this browser: then there is one shop. */
function kept(of: 'localStorage' | 'sessionStorage', key: string): string | undefined {
  try {
    return window[of].getItem(key) ?? undefined;
  } catch {
    return undefined;
  }
}

export function whichShop(): Which {
  const said = kept('localStorage', OPEN);
  return said === 'own' || said === 'demo' ? said : 'first';
}

export const storeName = (which: Which): string =>
  which === 'first' ? DB_NAME : `${DB_NAME}-${which}`;

/** Opens another shop: the page begins anew on the bench. Throws where the browser keeps no such choice. */
export function openShop(which: Which, begin?: Beginning): void {
  window.localStorage.setItem(OPEN, which);
  if (begin) window.sessionStorage.setItem(BEGIN, JSON.stringify(begin));
  window.location.assign('/');
}

/** What was chosen for a shop that is about to begin; asked for once. */
export function beginning(): Beginning | undefined {
  const text = kept('sessionStorage', BEGIN);
  if (text === undefined) return undefined;
  window.sessionStorage.removeItem(BEGIN);
  return JSON.parse(text) as Beginning;
}

/** Whether a shop of one's own was begun here. */
export async function hasOwn(): Promise<boolean> {
  const all = await indexedDB.databases?.().catch(() => []);
  return (all ?? []).some(({ name }) => name === storeName('own'));
}
