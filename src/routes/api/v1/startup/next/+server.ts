import { json } from '@sveltejs/kit';
import { ValidationError } from 'yup';
import { nextTests, oddsOf, standOf } from '$core/startup/index.ts';
import { readHunt } from '$core/startup/schema.ts';
import { readBody } from '$lib/server/body.ts';
import type { RequestHandler } from './$types';

/**
 * A search for a fault: odds of every cause after what was tried, the tests still to make with what
 * each tells for its minutes, the cause once it is sure. 400 with the path of the fault. Nothing is kept.
 */
export const POST: RequestHandler = async ({ request }) => {
  const body = await readBody(request);
  if (body instanceof Response) return body;
  try {
    const state = readHunt(body.value);
    const { named, contradicts } = standOf(state);
    return json({
      odds: oddsOf(state).odds.map(({ cause, share }) => ({
        cause: cause.id,
        name: cause.name,
        mend: cause.mend,
        share,
      })),
      next: nextTests(state).map(({ test, bits, minutes, chance, with: part }) => ({
        test: test.id,
        ask: test.ask,
        yes: test.yes,
        no: test.no,
        caution: test.caution ?? null,
        minutes,
        bits,
        chance,
        with: part?.name ?? null,
      })),
      named: named?.cause.id ?? null,
      contradicts: contradicts ?? null,
    });
  } catch (error) {
    if (error instanceof ValidationError)
      return json({ message: error.message, path: error.path ?? null }, { status: 400 });
    throw error;
  }
};
