import { indexOf } from '../model/lookup/lookup.ts';
import type { Job, Part, Shop } from '../model/types/types.ts';

/**
 * A shop with only what judging needs, for the way into a worker: parts that sit in machines of
 * open jobs or are planned by one, small parts, and those given; jobs without the runs of others.
 */
export function cutFor(shop: Shop, parts: readonly Part[], job?: Job): Shop {
  const { machines } = indexOf(shop);
  const open = shop.jobs.filter((each) => !each.handedOver || each.id === job?.id);
  const keep = new Set(parts.map(({ id }) => id));
  for (const each of open) {
    for (const change of each.changes) if (change.partId !== null) keep.add(change.partId);
    const machine = each.machineId === undefined ? undefined : machines.get(each.machineId);
    for (const seat of machine?.seats ?? []) keep.add(seat.partId);
  }
  const models = new Set<string>();
  const kept = shop.parts.filter((part) => {
    const wanted = keep.has(part.id) || part.kind === 'small';
    if (wanted && part.modelId !== undefined) models.add(part.modelId);
    return wanted;
  });
  return {
    ...shop,
    models: shop.models.filter((model) => models.has(model.id)),
    parts: kept,
    jobs: open.map((each) =>
      each.id === job?.id ? each : { ...each, runs: [], diagnoses: [], ticks: [], readings: [] },
    ),
    ledger: [],
  };
}
