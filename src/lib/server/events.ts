/** Answers with server-sent events: the next value of a stand-in every so many milliseconds, until it ends. */
export function eventStream(
  values: Iterator<unknown>,
  everyMs: number,
  most: number,
  signal: AbortSignal,
): Response {
  const text = new TextEncoder();
  let timer: ReturnType<typeof setInterval> | undefined;
  const stop = () => clearInterval(timer);
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      let sent = 0;
      const send = () => {
        const next = values.next();
        if (next.done || sent >= most) {
          stop();
          controller.close();
          return;
        }
        sent += 1;
        controller.enqueue(text.encode(`data: ${JSON.stringify(next.value)}\n\n`));
      };
      send();
      timer = setInterval(send, everyMs);
      signal.addEventListener('abort', stop);
    },
    cancel: stop,
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' },
  });
}

/** A number of the query, or what is usual where it is not said. */
export function numberIn(url: URL, name: string, usual: number): number {
  const text = url.searchParams.get(name);
  return text === null ? usual : Number(text);
}

const FASTEST_MS = 20;
const SLOWEST_MS = 10_000;

/** Milliseconds between events, within what makes sense. */
export function everyIn(url: URL, usual: number): number {
  const wanted = numberIn(url, 'every', usual);
  return Number.isFinite(wanted) ? Math.min(SLOWEST_MS, Math.max(FASTEST_MS, wanted)) : usual;
}
