import { json } from '@sveltejs/kit';
import { ValidationError } from 'yup';
import { adapterJson } from '$core/export/adapter.ts';
import { join, JoinError } from '$core/plugs/join/index.ts';
import { readJoin } from '$core/plugs/join/schema.ts';
import { readBody } from '$lib/server/body.ts';
import type { RequestHandler } from './$types';

/**
 * The adapter of least cost from giving to taking plugs, with its sheets: wires, ties, converters,
 * what cannot be done, and the least cost that was not shut out. 400 with the path of the fault. Nothing is kept.
 */
export const POST: RequestHandler = async ({ request }) => {
  const body = await readBody(request);
  if (body instanceof Response) return body;
  try {
    return new Response(adapterJson(join(readJoin(body.value))), {
      headers: { 'content-type': 'application/json' },
    });
  } catch (error) {
    if (error instanceof ValidationError)
      return json({ message: error.message, path: error.path ?? null }, { status: 400 });
    if (error instanceof JoinError)
      return json({ message: error.message, path: null }, { status: 400 });
    throw error;
  }
};
