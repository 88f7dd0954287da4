import { wordsIn } from '../model/types/fact.ts';
import type { Job, Shop } from '../model/types/types.ts';

/**
 * One job as a shop file of its own: its machine, its parts, their models and plugs, and the lines of the
 * book that are about them. Nothing else of the shop goes out: no other lines, no rates it does not need, and
 * whose machine it is only where that is wished.
 */
export function jobShop(shop: Shop, job: Job, withCustomer = false): Shop {
  const partIds = new Set(job.changes.flatMap((change) => change.partId ?? []));
  const machines = shop.machines.filter((machine) => machine.id === job.machineId);
  for (const machine of machines) for (const seat of machine.seats) partIds.add(seat.partId);
  const parts = shop.parts.filter((part) => partIds.has(part.id));
  const modelIds = new Set([...parts, ...machines].flatMap((each) => each.modelId ?? []));
  const models = shop.models.filter((model) => modelIds.has(model.id));
  const named = new Set([...parts, ...machines, ...models].flatMap(({ facts }) => wordsIn(facts)));
  const ledger = shop.ledger.filter(
    (entry) =>
      entry.jobId === job.id ||
      (entry.jobId === undefined &&
        ((entry.partId !== undefined && partIds.has(entry.partId)) ||
          machines.some((machine) => machine.id === entry.machineId))),
  );
  const { unit, currency, headroom, mains, theme, rates } = shop.settings;
  const money = [
    ...parts.flatMap((part) => [part.price, part.worth]),
    ...machines.map((machine) => machine.price),
    ...job.wants.map((want) => want.price),
    ...ledger.map((entry) => entry.money),
    job.budget,
  ];
  const currencies = new Set(money.flatMap((each) => each?.currency ?? []));
  const { versions: _, ...kept } = shop;
  return {
    ...kept,
    name: `${shop.name}, job ${job.id}`.slice(0, 200),
    settings: {
      unit,
      currency,
      headroom,
      ...(mains && { mains }),
      theme,
      rates: rates.filter((rate) => currencies.has(rate.currency)),
    },
    models,
    machines,
    parts,
    jobs: [withCustomer ? job : withoutCustomer(job)],
    plugs: shop.plugs.filter((plug) => named.has(plug.id)),
    ledger,
    photos: shop.photos.filter(
      (photo) =>
        photo.jobId === job.id ||
        (photo.jobId === undefined &&
          ((photo.partId !== undefined && partIds.has(photo.partId)) ||
            (photo.modelId !== undefined && modelIds.has(photo.modelId)) ||
            machines.some((machine) => machine.id === photo.machineId))),
    ),
  };
}

/** A job that says nothing of whose machine it is. */
export const withoutCustomer = ({ customer: _, record, ...job }: Job): Job => {
  if (!record) return job;
  const { customer: __, ...sheet } = record.sheet;
  return { ...job, record: { ...record, sheet } };
};
