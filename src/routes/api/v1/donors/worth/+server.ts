import { json } from '@sveltejs/kit';
import { ValidationError } from 'yup';
import { worth, WorthError } from '$core/donors/index.ts';
import { readWorth } from '$core/donors/schema.ts';
import { readBody } from '$lib/server/body.ts';
import type { RequestHandler } from './$types';

/**
 * Is it worth it: the price to offer at most, the share of seeded draws in which the price asked pays,
 * what it hangs on, what has no price. Amounts in minor units. 400 with the path of the fault.
 */
export const POST: RequestHandler = async ({ request }) => {
  const body = await readBody(request);
  if (body instanceof Response) return body;
  try {
    return json(worth(readWorth(body.value)));
  } catch (error) {
    if (error instanceof ValidationError || error instanceof WorthError)
      return json({ message: error.message, path: error.path ?? null }, { status: 400 });
    throw error;
  }
};
