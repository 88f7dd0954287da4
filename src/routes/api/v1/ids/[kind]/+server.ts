import { json } from '@sveltejs/kit';
import { idIn, idIndex, nameOfId, type IdIndex } from '$core/links/ids.ts';
import { idKinds, idList, type IdKind } from '$lib/server/idLists.ts';
import type { RequestHandler } from './$types';

const indices = new Map<IdKind, IdIndex>();

/**
 * The compact list of PCI or USB numbers, packed; with `?id=8086:1502` the name of that number alone.
 * 404 where this machine has no such list.
 */
export const GET: RequestHandler = async ({ params, url, request }) => {
  const kind = idKinds.find((each) => each === params.kind);
  const list = kind && (await idList(kind));
  if (!kind || !list)
    return json(
      { fault: `No list of ${params.kind} numbers on this machine: install ${params.kind}.ids.` },
      { status: 404 },
    );
  const asked = url.searchParams.get('id');
  if (asked !== null) {
    const id = idIn(asked);
    if (!id) return json({ fault: 'Two numbers are wanted: 8086:1502.' }, { status: 400 });
    let index = indices.get(kind);
    if (!index) indices.set(kind, (index = idIndex(list.text)));
    return json({ ...id, ...nameOfId(index, id) });
  }
  const takes = request.headers.get('accept-encoding') ?? '';
  const packed = /\bbr\b/.test(takes) ? 'br' : /\bgzip\b/.test(takes) ? 'gzip' : undefined;
  return new Response(packed ? list[packed] : list.text, {
    headers: {
      'content-type': 'text/plain; charset=utf-8',
      'cache-control': 'public, max-age=86400',
      vary: 'accept-encoding',
      ...(packed ? { 'content-encoding': packed } : {}),
    },
  });
};
