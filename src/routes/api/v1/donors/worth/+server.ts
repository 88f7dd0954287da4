import { answers } from '$lib/server/pool.ts';

/**
 * Is it worth it: the price to offer at most, the share of seeded draws in which the price asked pays, what
 * it depends on, what has no price. Amounts in minor units.
 * 400 with the path of the fault. Nothing is kept.
 */
export const POST = answers('donors/worth');
