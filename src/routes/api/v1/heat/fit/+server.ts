import { json } from '@sveltejs/kit';
import { ValidationError } from 'yup';
import { attribute, dropBetween, saidBy, SettleError, type Said } from '$core/heat/index.ts';
import { readRuns } from '$core/heat/schema.ts';
import { readBody } from '$lib/server/body.ts';
import type { RequestHandler } from './$types';

/**
 * Where runs settle, with the span that holds it in 95 of 100; drops between neighbours; what each
 * change did, or the runs that would part them. 400 with the path of the fault. Nothing is kept.
 */
export const POST: RequestHandler = async ({ request }) => {
  const body = await readBody(request);
  if (body instanceof Response) return body;
  try {
    const runs = readRuns(body.value);
    const said = runs.map((run, i): Said => {
      try {
        return saidBy(run);
      } catch (error) {
        if (!(error instanceof SettleError)) throw error;
        throw new ValidationError(error.message, undefined, `runs[${i}].temperature`);
      }
    });
    return json({
      runs: said.map(({ run, settling, roomC, riseK, driftKh, pinned }) => ({
        name: run.name,
        ...settling,
        roomC: roomC ?? null,
        riseK: riseK ?? null,
        driftKh: driftKh ?? null,
        pinned: pinned ?? null,
      })),
      drops: said.slice(1).map((each, i) => dropBetween(said[i] as Said, each)),
      attribution: attribute(said),
    });
  } catch (error) {
    if (error instanceof ValidationError)
      return json({ message: error.message, path: error.path ?? null }, { status: 400 });
    throw error;
  }
};
