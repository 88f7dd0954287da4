import { json } from '@sveltejs/kit';
import { ValidationError } from 'yup';
import { NetError, solveSystem } from '$core/watts/network/index.ts';
import { readNet } from '$core/watts/schema.ts';
import { readBody } from '$lib/server/body.ts';
import type { RequestHandler } from './$types';

/**
 * The steady state of a direct-current net: volts, amps, losses, draws; where its loads are too
 * much, `ok` false and the share of them it could carry. Converters in a chain with amps and volts in;
 * `out` names those that trip, cut out or die. 400 with the path of the fault. Nothing is kept.
 */
export const POST: RequestHandler = async ({ request }) => {
  const body = await readBody(request);
  if (body instanceof Response) return body;
  try {
    return json(solveSystem(readNet(body.value)));
  } catch (error) {
    if (error instanceof ValidationError)
      return json({ message: error.message, path: error.path ?? null }, { status: 400 });
    if (error instanceof NetError)
      return json({ message: error.message, path: error.at }, { status: 400 });
    throw error;
  }
};
