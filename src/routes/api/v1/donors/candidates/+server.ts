import { json } from '@sveltejs/kit';
import { kindOfSeat } from '$core/model/seats.ts';
import { candidatesFor } from '$core/plan/candidatesFor.ts';
import { readBody } from '$lib/server/body.ts';
import { jobOf } from '$lib/server/jobOf.ts';
import type { RequestHandler } from './$types';

/**
 * Candidates for a seat (`?job=14&seat=card1`) from the shelf and donors of the document sent, each run
 * through all checks, best first, with what speaks against it. 400 with the path of the fault.
 */
export const POST: RequestHandler = async ({ request, url }) => {
  const body = await readBody(request);
  if (body instanceof Response) return body;
  const found = jobOf(body.value, url.searchParams.get('job'));
  if (found instanceof Response) return found;
  const seat = url.searchParams.get('seat') ?? '';
  if (!kindOfSeat(seat))
    return json({ message: `There is no seat ${seat || 'given'}.`, path: 'seat' }, { status: 400 });
  return json(
    candidatesFor(found.shop, found.job, seat).map(({ part, mark, tight, against, from }) => ({
      id: part.id,
      name: part.name,
      price: part.price ?? null,
      from: from ?? null,
      mark,
      tight: tight
        ? { id: tight.id, title: tight.title, rest: tight.rest ?? null, unit: tight.unit }
        : null,
      against: against.map(({ id, mark: own, say }) => ({ id, mark: own, say })),
    })),
  );
};
