import { answers } from '$lib/server/pool.ts';

/**
 * Which pin is which: chances of every class for every pin, ideas of the plug, the next reading.
 * 400 with the path of the fault. Nothing is kept.
 */
export const POST = answers('plugs/identify');
