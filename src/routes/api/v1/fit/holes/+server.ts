import { json } from '@sveltejs/kit';
import { ValidationError } from 'yup';
import { HolesError, whose, type RegisterInput } from '$core/fit/holes/index.ts';
import { holesSchema } from '$core/fit/holes/schema.ts';
import { readBody } from '$lib/server/body.ts';
import type { RequestHandler } from './$types';

/**
 * Whose board is it: hole places in mm in any frame, either side up.
 * 400 with the path, or with the holes (counted from 1) that cannot be.
 */
export const POST: RequestHandler = async ({ request }) => {
  const body = await readBody(request);
  if (body instanceof Response) return body;
  try {
    const input = holesSchema.validateSync(body.value) as RegisterInput;
    const { candidates, ...answer } = whose(input);
    return json({
      ...answer,
      candidates: candidates.map(({ pattern, ...rest }) => ({ pattern: pattern.name, ...rest })),
    });
  } catch (error) {
    if (error instanceof ValidationError)
      return json({ message: error.message, path: error.path ?? null }, { status: 400 });
    if (error instanceof HolesError)
      return json({ message: error.message, path: 'points', holes: error.holes }, { status: 400 });
    throw error;
  }
};
