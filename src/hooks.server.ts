import { building, dev } from '$app/environment';
import type { ServerInit } from '@sveltejs/kit';
import { startThreads } from '$lib/server/pool.ts';

/** Before the first request: where pages are served, not where they are built. */
export const init: ServerInit = () => {
  if (!building && !dev) startThreads();
};
