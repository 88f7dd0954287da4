import type { Shop } from './types.ts';

/**
 * Every change to a shop: a function from shop to shop, nothing mutated.
 * An id that does not exist leaves the shop as it is.
 */
export type Edit = (shop: Shop) => Shop;
