import { indexOf } from '../model/lookup/lookup.ts';
import type { Job, Part, Shop } from '../model/types/types.ts';

/**
 * A shop with only what judging needs, for the way into a worker: those given, small parts, and what sits in the machine of
 * this job, left it or is planned; where no job is given, of every open one. Jobs without the runs of others, of the book
 * what is of these jobs, machines and parts.
 */
export function cutFor(shop: Shop, parts: readonly Part[], job?: Job): Shop {
  const { machines } = indexOf(shop);
  const open = shop.jobs.filter((each) => !each.handedOver || each.id === job?.id);
  const keep = new Set(parts.map(({ id }) => id));
  const own = job ? [job] : open;
  for (const each of own) {
    for (const change of each.changes) if (change.partId !== null) keep.add(change.partId);
    const machine = each.machineId === undefined ? undefined : machines.get(each.machineId);
    for (const seat of machine?.seats ?? []) keep.add(seat.partId);
  }
  const [jobIds, machineIds] = [
    new Set(own.map(({ id }) => id)),
    new Set(own.flatMap(({ machineId }) => machineId ?? [])),
  ];
  for (const part of shop.parts)
    if (part.from !== undefined && machineIds.has(part.from)) keep.add(part.id);
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
    ledger: shop.ledger.filter(
      ({ jobId, machineId, partId }) =>
        (jobId !== undefined && jobIds.has(jobId)) ||
        (machineId !== undefined && machineIds.has(machineId)) ||
        (partId !== undefined && keep.has(partId)),
    ),
  };
}
