/// <reference types="@sveltejs/kit" />
import { build, files, prerendered, version } from '$service-worker';

/** Keeps the whole product at hand: pages, code and fonts are answered from the store, the API never, but for lists of names. */
const worker = self as unknown as ServiceWorkerGlobalScope;
const CACHE = `nutshell-${version}`;
const SHELL = '/';
/** Lists of names by numbers, kept once they were asked for. */
const LISTS = '/api/v1/ids/';
const assets = [...build, ...files, ...prerendered];

worker.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(CACHE)
      .then((cache) => cache.addAll(assets))
      .then(() => worker.skipWaiting()),
  );
});

worker.addEventListener('activate', (event) => {
  event.waitUntil(
    caches
      .keys()
      .then((keys) =>
        Promise.all(keys.filter((key) => key !== CACHE).map((key) => caches.delete(key))),
      )
      .then(() => worker.clients.claim()),
  );
});

worker.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== worker.location.origin) return;
  if (url.pathname.startsWith(LISTS) && url.search === '') {
    event.respondWith(list(request));
    return;
  }
  if (url.pathname.startsWith('/api/')) return;
  event.respondWith(answer(request, url));
});

async function list(request: Request): Promise<Response> {
  const cache = await caches.open(CACHE);
  const kept = await cache.match(request);
  if (kept) return kept;
  const answered = await fetch(request);
  if (answered.ok) await cache.put(request, answered.clone());
  return answered;
}

async function answer(request: Request, url: URL): Promise<Response> {
  const cache = await caches.open(CACHE);
  const kept = await cache.match(url.pathname);
  if (kept && request.mode !== 'navigate') return kept;
  try {
    return await fetch(request);
  } catch (error) {
    const shell = kept ?? (request.mode === 'navigate' ? await cache.match(SHELL) : undefined);
    if (shell) return shell;
    throw error;
  }
}
