import type { Shop } from '../model/types/types.ts';

/**
 * The shop as the file people keep: `format` and `version` first, then every name in
 * alphabetical order, lists by tag, two spaces, a newline at the end. The same shop gives the same bytes.
 */
export function writeShop(shop: Shop): string {
  const byTag = <T extends { id: string }>(list: readonly T[]) =>
    [...list].sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));
  const { format, version, ...rest } = shop;
  const sorted = sortKeys({
    ...rest,
    models: byTag(shop.models),
    machines: byTag(shop.machines),
    parts: byTag(shop.parts),
    jobs: byTag(shop.jobs),
    plugs: byTag(shop.plugs),
    ledger: byTag(shop.ledger),
    photos: byTag(shop.photos),
  }) as object;
  return `${JSON.stringify({ format, version, ...sorted }, null, 2)}\n`;
}

export function sortKeys(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sortKeys);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, inner]) => inner !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, inner]) => [key, sortKeys(inner)]),
  );
}
