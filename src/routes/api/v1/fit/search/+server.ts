import { answers } from '$lib/server/pool.ts';

/**
 * Ways to make it fit in one job of a document (`?job=`, else its first): the cheapest sets of changes with
 * which everything goes in, `proven` or with a `bound`; 503 with what was found so far where its time is over.
 * 400 with the path of the fault. Nothing is kept.
 */
export const POST = answers('fit/search');
