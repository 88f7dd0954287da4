import { answers } from '$lib/server/pool.ts';

/**
 * The findings of every job of a document, or of the one named by `?job=`: the same as on the tape. 404 for
 * a job that is not in it.
 * 400 with the path of the fault. Nothing is kept.
 */
export const POST = answers('check');
