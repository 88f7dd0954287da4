import { indexOf, numberOf, textOf } from '../model/lookup/lookup.ts';
import type { Shop } from '../model/types/types.ts';
import type { Money } from '../units/money.ts';
import { plainName } from '../units/plainName.ts';

export interface TripLine {
  label: string;
  count: number;
  price?: Money | undefined;
  jobIds: string[];
  /** Jobs that wait for nothing else of the list. */
  unblocks: string[];
  /** Small parts of that name on the shelf, and how many there are. */
  onShelf?: { partId: string; count: number | undefined } | undefined;
}

/**
 * One shopping trip for all open jobs: parts still to buy and small wants, alike ones together. What
 * frees most jobs for its money first; what has no price yet last of its like.
 */
export function tripList(shop: Shop): TripLine[] {
  const lines = new Map<string, TripLine>();
  const addLine = (label: string, count: number, price: Money | undefined, jobId: string) => {
    const line = lines.get(label);
    if (line) {
      line.count += count;
      if (!line.jobIds.includes(jobId)) line.jobIds.push(jobId);
      line.price =
        line.price && price && line.price.currency === price.currency
          ? { minor: line.price.minor + price.minor, currency: price.currency }
          : undefined;
    } else lines.set(label, { label, count, price, jobIds: [jobId], unblocks: [] });
  };
  const parts = indexOf(shop).parts;
  for (const job of shop.jobs) {
    if (job.handedOver) continue;
    for (const change of job.changes) {
      const part = change.partId ? parts.get(change.partId) : undefined;
      if (part?.place === 'buy') addLine(part.name, 1, part.price, job.id);
    }
    for (const want of job.wants) {
      if (!want.bought) addLine(want.what, want.count, want.price, job.id);
    }
  }
  const all = [...lines.values()];
  const small = smallOnShelf(shop);
  for (const line of all) {
    const there = small.get(plainName(line.label));
    if (there) line.onShelf = there;
  }
  for (const line of all)
    line.unblocks = line.jobIds.filter((id) =>
      all.every((each) => each === line || !each.jobIds.includes(id)),
    );
  const dear = (line: TripLine) => line.price?.minor ?? Infinity;
  return all.sort(
    (a, b) =>
      b.unblocks.length - a.unblocks.length ||
      b.jobIds.length - a.jobIds.length ||
      dear(a) - dear(b),
  );
}

/** Screws, splitters, plates that lie on the shelf, by their name and by what they are. */
function smallOnShelf(shop: Shop): Map<string, { partId: string; count: number | undefined }> {
  const found = new Map<string, { partId: string; count: number | undefined }>();
  for (const part of shop.parts) {
    if (part.kind !== 'small' || part.place !== 'shelf' || part.loan) continue;
    const count = numberOf(shop, part, 'count');
    const there = { partId: part.id, count: count?.lo };
    for (const name of [part.name, textOf(shop, part, 'sort')?.text])
      if (name && !found.has(plainName(name))) found.set(plainName(name), there);
  }
  return found;
}
