import { json } from '@sveltejs/kit';
import { jsonSchema } from '$core/document/jsonSchema.ts';
import type { RequestHandler } from './$types';

/** The JSON Schema of the document. */
export const GET: RequestHandler = () => json(jsonSchema());
