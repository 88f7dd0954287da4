import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { json, type RequestHandler } from '@sveltejs/kit';
import { Piscina } from 'piscina';
import { requestSeconds } from '../../api/limits.ts';
import type { TaskName } from '../../api/tasks.ts';
import type { Answered, Request as Work } from '../../api/worker.ts';

/**
 * Computation away from the thread that serves: a request has so many seconds and so much memory, then
 * its thread is stopped and it is told so. The others never wait for it.
 */
const MOST_BYTES = 5_000_000;
const MOST_WAITING = 32;
const MOST_MEMORY_MB = 512;

const fault = (status: number, message: string) => json({ message, path: null }, { status });

let pool: Piscina | undefined;

/** Threads of the built worker, or of the source while developing. */
function threads(): Piscina {
  const built = process.env['NUTSHELL_WORKER'];
  pool ??= new Piscina({
    filename: built ?? fileURLToPath(new URL('../../api/worker.ts', import.meta.url)),
    execArgv: built ? [] : ['--import', 'tsx/esm'],
    minThreads: 1,
    maxThreads: Math.max(2, availableParallelism()),
    maxQueue: MOST_WAITING,
    idleTimeout: 30_000,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB, maxYoungGenerationSizeMb: 64 },
  });
  return pool;
}

/** Starts the first thread before anybody asks: the first request need not wait for it, nor others for that. */
export const startThreads = (): void => void threads();

/** The handler of a task: 400 with the place, 413, 415, or 503 where time, memory or threads are out. */
export const answers =
  (task: TaskName): RequestHandler =>
  async ({ request, url }) => {
    const type = request.headers.get('content-type') ?? '';
    if (!/^application\/(?:[\w.+-]+\+)?json\b/i.test(type))
      return fault(415, 'JSON is wanted: content-type application/json.');
    if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES)
      return fault(413, 'More than 5 MB.');
    const body = await request.arrayBuffer();
    if (body.byteLength > MOST_BYTES) return fault(413, 'More than 5 MB.');
    const work: Work = { task, body, query: Object.fromEntries(url.searchParams) };
    /* A thread is stopped after this; waiting for a free one counts. */
    const seconds = requestSeconds();
    const late = AbortSignal.timeout(seconds * 1000);
    try {
      const answer = (await threads().run(work, {
        transferList: [body],
        signal: AbortSignal.any([late, request.signal]),
      })) as Answered;
      return new Response(answer.body, {
        status: answer.status,
        headers: { 'content-type': 'application/json', 'cache-control': 'no-store' },
      });
    } catch (error) {
      if (late.aborted) return fault(503, `Not done in ${seconds} s: ask for less at once.`);
      if (request.signal.aborted) return fault(499, 'The client went.');
      const { code, message } = error as NodeJS.ErrnoException;
      if (code === 'ERR_WORKER_OUT_OF_MEMORY' || /heap|memory/i.test(message))
        return fault(503, `More than ${MOST_MEMORY_MB} MB would be needed: ask for less at once.`);
      if (/queue/i.test(message)) return fault(503, 'Too many requests at once: try again.');
      throw error;
    }
  };
