import { answers } from '$lib/server/pool.ts';

/**
 * How links were trained out of `lspci -vv` against what both ends can, with what to try; memory channel by
 * channel.
 * 400 with the path of the fault. Nothing is kept.
 */
export const POST = answers('links/check');
