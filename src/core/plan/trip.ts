import { indexOf } from '../model/lookup.ts';
import type { Shop } from '../model/types.ts';
import type { Money } from '../units/money.ts';

export interface TripLine {
  label: string;
  count: number;
  price?: Money | undefined;
  jobIds: string[];
}

/** One shopping trip for all open jobs: parts still to buy and small wants, alike ones together. */
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
    } else lines.set(label, { label, count, price, jobIds: [jobId] });
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
  return [...lines.values()].sort((a, b) => b.jobIds.length - a.jobIds.length);
}
