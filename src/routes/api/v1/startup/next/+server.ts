import { answers } from '$lib/server/pool.ts';

/**
 * A search for a fault: odds of every cause after what was tried, the tests still to make with what each
 * tells for its minutes, the cause once it is sure.
 * 400 with the path of the fault. Nothing is kept.
 */
export const POST = answers('startup/next');
