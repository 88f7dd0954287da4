import { json } from '@sveltejs/kit';
import { ValidationError } from 'yup';
import { DumpError, populations, trainedLinks, triesFor } from '$core/links/index.ts';
import { readLinks } from '$core/links/schema.ts';
import { readBody } from '$lib/server/body.ts';
import type { RequestHandler } from './$types';

/**
 * Links: how they were trained out of `lspci -vv` against what both ends can, with what to try; memory
 * channel by channel. 400 with the path of the fault. Nothing is kept.
 */
export const POST: RequestHandler = async ({ request }) => {
  const body = await readBody(request);
  if (body instanceof Response) return body;
  try {
    const { lspci, memory } = readLinks(body.value);
    return json({
      links:
        lspci === undefined
          ? []
          : trainedLinks(lspci).map((each) => ({ ...each, tries: triesFor(each, false) })),
      memory: memory
        ? populations(
            memory.modules.map((each, i) => ({ ...each, name: each.name ?? `module ${i + 1}` })),
            memory.channels,
            memory.platformMts,
          )
        : [],
    });
  } catch (error) {
    if (error instanceof ValidationError)
      return json({ message: error.message, path: error.path ?? null }, { status: 400 });
    if (error instanceof DumpError)
      return json({ message: error.message, path: 'lspci' }, { status: 400 });
    throw error;
  }
};
