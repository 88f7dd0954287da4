import { answers } from '$lib/server/pool.ts';

/**
 * Whose board is it: hole places in mm in any frame, either side up.
 * 400 with the path of the fault. Nothing is kept.
 */
export const POST = answers('fit/holes');
