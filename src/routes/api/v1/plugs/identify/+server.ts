import { json } from '@sveltejs/kit';
import { ValidationError } from 'yup';
import { classes, identify, ReadingError, type Reading } from '$core/plugs/identify/index.ts';
import { identifySchema } from '$core/plugs/identify/schema.ts';
import { readBody } from '$lib/server/body.ts';
import type { RequestHandler } from './$types';

/**
 * Which pin is which: chances of every class for every pin, ideas of the plug, the next reading.
 * 400 with the path of the fault, or with what is wrong with a reading. Nothing is kept.
 */
export const POST: RequestHandler = async ({ request }) => {
  const body = await readBody(request);
  if (body instanceof Response) return body;
  try {
    const input = identifySchema.validateSync(body.value);
    const { rows, ways, loadSet } = input;
    const answer = identify({ rows, ways }, input.readings as Reading[], { loadSet });
    return json({ classes, ...answer });
  } catch (error) {
    if (error instanceof ValidationError)
      return json({ message: error.message, path: error.path ?? null }, { status: 400 });
    if (error instanceof ReadingError || error instanceof RangeError)
      return json({ message: error.message, path: 'readings' }, { status: 400 });
    throw error;
  }
};
