import { answers } from '$lib/server/pool.ts';

/**
 * Where runs settle, with the span that holds it in 95 of 100; drops between neighbours; what each change
 * did, or the runs that would part them.
 * 400 with the path of the fault. Nothing is kept.
 */
export const POST = answers('heat/fit');
