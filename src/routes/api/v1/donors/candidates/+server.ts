import { answers } from '$lib/server/pool.ts';

/**
 * Candidates for a seat (`?job=14&seat=card1`) from the shelf and donors of the document sent, each run
 * through all checks, best first, with what speaks against it.
 * 400 with the path of the fault. Nothing is kept.
 */
export const POST = answers('donors/candidates');
