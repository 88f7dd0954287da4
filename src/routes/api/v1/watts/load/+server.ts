import { json } from '@sveltejs/kit';
import { electronicLoad } from '$core/watts/electronicLoad.ts';
import { eventStream, everyIn, numberIn } from '$lib/server/events.ts';
import type { RequestHandler } from './$types';

const EVERY_MS = 500;
const MOST = 400;

/**
 * The practice electronic load, live: server-sent events with `s`, `amps`, `volts`, `off`, ending
 * when the supply shuts off. `?volts=` and `?amps=` of the label, `?seed=`, `?every=` milliseconds.
 * 400 for a label that is none.
 */
export const GET: RequestHandler = ({ url, request }) => {
  const [volts, amps] = [numberIn(url, 'volts', 12), numberIn(url, 'amps', 10)];
  if (!(volts > 0 && volts <= 60))
    return json({ message: `invalid volts: ${volts}`, path: 'volts' }, { status: 400 });
  if (!(amps > 0 && amps <= 250))
    return json({ message: `invalid amps: ${amps}`, path: 'amps' }, { status: 400 });
  const load = electronicLoad({ volts, amps, seed: numberIn(url, 'seed', 1) | 0 });
  return eventStream(load, everyIn(url, EVERY_MS), MOST, request.signal);
};
