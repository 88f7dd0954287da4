import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';

/** What a worker may do: a worker obeys the policy of its own response, which static files lack. */
const workerPolicy =
  "default-src 'none'; script-src 'self' 'wasm-unsafe-eval'; connect-src 'self'; base-uri 'none'; frame-ancestors 'none'";

/** The most a body may hold, with room for the server's own word about more than 5 MB. */
const MOST_BYTES = 6_000_000;
/** A request that takes longer to come in is given up, ms. */
const COMING_MS = 10_000;

const always = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'x-frame-options': 'DENY',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy':
    'camera=(self), microphone=(), geolocation=(), payment=(), usb=(), serial=(), interest-cohort=()',
};

/** The policy a prerendered page carries in itself, as a header with what only a header can say. */
function pagePolicy(build) {
  const page = readFileSync(resolve(build, 'prerendered/index.html'), 'utf8');
  const meta = /http-equiv="content-security-policy" content="([^"]*)"/i.exec(page)?.[1];
  if (!meta) throw new Error('the page carries no policy');
  return `${meta.replaceAll('&#39;', "'").replaceAll('&quot;', '"')}; frame-ancestors 'none'`;
}

/** Only the addresses this server is known by: no page of another name may talk to it. */
const known = (host, port) =>
  [`127.0.0.1:${port}`, `localhost:${port}`, `[::1]:${port}`].includes(host ?? '') ||
  (process.env.ALLOWED_HOSTS ?? '').split(',').includes(host ?? '');

function refuse(response, status, message) {
  response.writeHead(status, { 'content-type': 'application/json', connection: 'close' });
  response.end(JSON.stringify({ message, path: null }));
}

/**
 * Serves the build on 127.0.0.1. Resolves to `{ server, address }` once it listens.
 * `demo`: a browser that never was here gets the demo shop. `seconds`: the most a request may compute,
 * else what the environment says, else 5.
 */
export async function serve({ port = 4173, demo = false, build = 'build', seconds } = {}) {
  if (seconds !== undefined) process.env.NUTSHELL_REQUEST_SECONDS = String(seconds);
  process.env.NUTSHELL_DEMO = demo ? '1' : '0';
  process.env.NUTSHELL_WORKER = resolve(build, 'compute/worker.js');
  process.env.BODY_SIZE_LIMIT = String(MOST_BYTES);
  if (port !== 0) process.env.ORIGIN ??= `http://127.0.0.1:${port}`;
  const { handler } = await import(pathToFileURL(resolve(build, 'handler.js')).href);
  const policy = pagePolicy(build);
  const server = createServer((request, response) => {
    const path = (request.url ?? '/').split('?')[0];
    for (const [name, value] of Object.entries(always)) response.setHeader(name, value);
    if (!known(request.headers.host, server.address()?.port))
      return refuse(response, 421, 'This server is not known by that name.');
    if (Number(request.headers['content-length'] ?? 0) > MOST_BYTES)
      return refuse(response, 413, 'More than 5 MB.');
    /* Said here in JSON: further in, other kinds of body are refused as forms, in plain words. */
    const type = request.headers['content-type'] ?? '';
    if (request.method === 'POST' && path.startsWith('/api/') && !/\bjson\b/i.test(type))
      return refuse(response, 415, 'JSON is wanted: content-type application/json.');
    if (path === '/service-worker.js' || path.includes('/workers/'))
      response.setHeader('content-security-policy', workerPolicy);
    if (path === '/' || path === '/index.html')
      response.setHeader('content-security-policy', policy);
    if (!path.includes('/immutable/') && !path.startsWith('/api/'))
      response.setHeader('cache-control', 'no-cache');
    handler(request, response);
  });
  server.requestTimeout = COMING_MS;
  server.headersTimeout = COMING_MS / 2;
  await new Promise((done, failed) => {
    server.once('error', failed);
    server.listen(port, '127.0.0.1', done);
  });
  return { server, address: `http://127.0.0.1:${server.address().port}` };
}
