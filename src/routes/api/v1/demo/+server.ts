import { json } from '@sveltejs/kit';
import { env } from '$env/dynamic/private';
import { demoShop } from '$core/demo/demoShop.ts';
import type { RequestHandler } from './$types';

/** The demo shop. `?when=first` answers it only where the server was started to show it, else 204. */
export const GET: RequestHandler = ({ url }) => {
  if (url.searchParams.get('when') === 'first' && env['NUTSHELL_DEMO'] !== '1') {
    return new Response(null, { status: 204 });
  }
  return json(demoShop(new Date().toISOString()));
};
