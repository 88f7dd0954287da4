import { json } from '@sveltejs/kit';
import { wallMeter } from '$core/watts/meter.ts';
import { eventStream, everyIn, numberIn } from '$lib/server/events.ts';
import type { RequestHandler } from './$types';

/** Readings a second; a test may ask for faster ones. */
const EVERY_MS = 1000;
/** A meter left plugged in stops after this many readings. */
const MOST = 3600;

/**
 * The practice wall meter, live: server-sent events with `s`, `watts`, `volts`, `factor`.
 * `?about=` watts the machine is thought to draw, `?seed=`, `?from=` watts it comes from,
 * `?every=` milliseconds. 400 for watts that are none.
 */
export const GET: RequestHandler = ({ url, request }) => {
  const aboutW = numberIn(url, 'about', 60);
  if (!(aboutW > 0 && aboutW < 4000))
    return json({ message: `invalid watts: ${aboutW}`, path: 'about' }, { status: 400 });
  const meter = wallMeter({
    aboutW,
    seed: numberIn(url, 'seed', 1) | 0,
    fromW: Math.min(4000, Math.max(0, numberIn(url, 'from', 0) || 0)),
  });
  return eventStream(meter, everyIn(url, EVERY_MS), MOST, request.signal);
};
