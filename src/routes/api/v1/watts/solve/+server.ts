import { answers } from '$lib/server/pool.ts';

/**
 * The steady state of a direct-current net: volts, amps, losses, draws; where its loads are too much, `ok`
 * false and the share of them it could carry. `out` names converters that trip, cut out or die.
 * 400 with the path of the fault. Nothing is kept.
 */
export const POST = answers('watts/solve');
