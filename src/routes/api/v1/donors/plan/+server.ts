import { answers } from '$lib/server/pool.ts';

/**
 * Who gets what: the best plan of the whole shop. The body has the `document`, the tags of the `jobs` (all open ones
 * where left out), `wishes` and, for reasons, `reasons` true; see docs/formats.md. Answers today's state, the plans, the proof or
 * the gap. 400 with the path of the fault. Nothing is kept.
 */
export const POST = answers('donors/plan');
