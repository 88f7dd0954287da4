import { answers } from '$lib/server/pool.ts';

/**
 * The adapter of least cost from giving to taking plugs, with its sheets.
 * 400 with the path of the fault. Nothing is kept.
 */
export const POST = answers('plugs/join');
