import type { Job, Shop } from '../model/types.ts';

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
  }) as object;
  return `${JSON.stringify({ format, version, ...sorted }, null, 2)}\n`;
}

/** One job with the machine, parts and models it needs, as a shop file of its own. */
export function jobShop(shop: Shop, job: Job): Shop {
  const partIds = new Set(job.changes.flatMap((change) => change.partId ?? []));
  const machines = shop.machines.filter((machine) => machine.id === job.machineId);
  for (const machine of machines) for (const seat of machine.seats) partIds.add(seat.partId);
  const parts = shop.parts.filter((part) => partIds.has(part.id));
  const modelIds = new Set([...parts, ...machines].flatMap((each) => each.modelId ?? []));
  return {
    ...shop,
    name: `${shop.name}, job ${job.id}`,
    models: shop.models.filter((model) => modelIds.has(model.id)),
    machines,
    parts,
    jobs: [job],
  };
}

function sortKeys(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sortKeys);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, inner]) => inner !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, inner]) => [key, sortKeys(inner)]),
  );
}
