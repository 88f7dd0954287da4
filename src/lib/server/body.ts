import { json } from '@sveltejs/kit';

const MOST_BYTES = 5_000_000;

/** The JSON of a request, or the answer that refuses it: 413 over 5 MB, 400 for broken JSON. */
export async function readBody(request: Request): Promise<{ value: unknown } | Response> {
  const tooLarge = () => json({ message: 'More than 5 MB.', path: null }, { status: 413 });
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES) return tooLarge();
  const text = await request.text();
  if (new TextEncoder().encode(text).length > MOST_BYTES) return tooLarge();
  try {
    return { value: JSON.parse(text) };
  } catch (error) {
    return json(
      { message: `Broken JSON: ${(error as Error).message}`, path: null },
      { status: 400 },
    );
  }
}
