import { json } from '@sveltejs/kit';
import { wallMeter } from '$core/watts/meter.ts';
import type { RequestHandler } from './$types';

/** Readings a second; a test may ask for faster ones. */
const EVERY_MS = 1000;
const FASTEST_MS = 20;
/** A meter left plugged in stops after this many readings. */
const MOST = 3600;

/**
 * The practice wall meter, live: server-sent events with `s`, `watts`, `volts`, `factor`.
 * `?about=` watts the machine is thought to draw, `?seed=`, `?from=` watts it comes from,
 * `?every=` milliseconds. 400 for watts that are none.
 */
export const GET: RequestHandler = ({ url, request }) => {
  const number = (name: string, usual: number) => {
    const text = url.searchParams.get(name);
    return text === null ? usual : Number(text);
  };
  const every = Math.max(FASTEST_MS, number('every', EVERY_MS) || EVERY_MS);
  const meter = wallMeter({
    aboutW: number('about', 60),
    seed: number('seed', 1) | 0,
    fromW: Math.max(0, number('from', 0) || 0),
  });
  let first;
  try {
    first = meter.next();
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return json({ message: error.message, path: 'about' }, { status: 400 });
  }
  const text = new TextEncoder();
  let timer: ReturnType<typeof setInterval> | undefined;
  const stop = () => clearInterval(timer);
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      let sent = 0;
      const send = (value: unknown) =>
        controller.enqueue(text.encode(`data: ${JSON.stringify(value)}\n\n`));
      send(first.value);
      timer = setInterval(() => {
        sent += 1;
        if (sent > MOST) {
          stop();
          controller.close();
          return;
        }
        send(meter.next().value);
      }, every);
      request.signal.addEventListener('abort', stop);
    },
    cancel: stop,
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' },
  });
};
