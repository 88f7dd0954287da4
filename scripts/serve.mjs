import { createServer } from 'node:http';
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';

/** What a worker may do: a worker obeys the policy of its own response, which static files lack. */
const workerPolicy =
  "default-src 'none'; script-src 'self' 'wasm-unsafe-eval'; connect-src 'self'; base-uri 'none'; frame-ancestors 'none'";

/**
 * Serves the build on 127.0.0.1. Resolves to `{ server, address }` once it listens.
 * `demo`: a browser that never was here gets the demo shop.
 */
export async function serve({ port = 4173, demo = false, build = 'build' } = {}) {
  process.env.NUTSHELL_DEMO = demo ? '1' : '0';
  process.env.BODY_SIZE_LIMIT = '6M';
  process.env.ORIGIN ??= `http://127.0.0.1:${port}`;
  const { handler } = await import(pathToFileURL(resolve(build, 'handler.js')).href);
  const server = createServer((request, response) => {
    const path = (request.url ?? '/').split('?')[0];
    response.setHeader('x-content-type-options', 'nosniff');
    response.setHeader('referrer-policy', 'no-referrer');
    response.setHeader('x-frame-options', 'DENY');
    if (path === '/service-worker.js' || path.includes('/workers/')) {
      response.setHeader('content-security-policy', workerPolicy);
    }
    handler(request, response);
  });
  await new Promise((done, failed) => {
    server.once('error', failed);
    server.listen(port, '127.0.0.1', done);
  });
  return { server, address: `http://127.0.0.1:${server.address().port}` };
}
