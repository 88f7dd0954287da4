import { indexOf } from '../model/lookup/lookup.ts';
import type { Job, Machine, Part, Shop } from '../model/types/types.ts';
import { exchanged, type Money } from '../units/money.ts';
import type { Range } from '../units/range.ts';

/**
 * What is still to be spent, counted one way wherever the house speaks of it: parts to buy, whole lots, an offered
 * machine once when anything of it is used, things to get. What was paid already is no part of it; what nobody
 * priced is named, never taken as nothing.
 */

/** A price in whole minor units of the shop's own currency, or why there is none. */
export type Priced = Range | 'no price' | 'no rate';

export interface BillLine {
  what: string;
  price: Priced;
  /** Jobs that want it; a thing of several jobs is paid once. */
  jobIds: string[];
}

export interface Bill {
  currency: string;
  lines: BillLine[];
  /** Of what has a price, minor units. */
  sum: Range;
  unpriced: string[];
  noRate: string[];
}

const NOTHING: Range = { lo: 0, hi: 0 };

export const isPriced = (price: Priced): price is Range => typeof price === 'object';

/** A price in the shop's own currency; `to`: the most it may be, in the currency of the price. */
export function pricedIn({ settings }: Shop, price: Money | undefined, to?: number): Priced {
  if (!price) return 'no price';
  const own = (minor: number) => exchanged({ ...price, minor }, settings.currency, settings.rates);
  const [lo, hi] = [own(price.minor), own(Math.max(price.minor, to ?? 0))];
  return lo === undefined || hi === undefined ? 'no rate' : { lo, hi };
}

/** What a part costs by itself, still: only what is to buy costs anything. */
export const toPay = (shop: Shop, part: Part): Priced =>
  part.place === 'buy' ? pricedIn(shop, part.price, part.priceTo) : NOTHING;

/** What an offered machine costs, whole. */
export function askedFor(shop: Shop, { offer, price }: Machine): Priced {
  const asked =
    offer?.asked === undefined ? price : { minor: offer.asked, currency: offer.currency };
  return pricedIn(shop, asked);
}

/** What is sold with this part: all that is to buy of its lot, itself among it. */
export function lotOf(shop: Shop, part: Part): Part[] {
  if (part.place !== 'buy' || part.lot === undefined) return [part];
  return shop.parts.filter((each) => each.place === 'buy' && each.lot === part.lot);
}

/** Cheapest first, what has no price behind all that has one. */
export const byPrice = (a: Priced, b: Priced): number =>
  isPriced(a) && isPriced(b)
    ? a.lo - b.lo || a.hi - b.hi
    : Number(isPriced(b)) - Number(isPriced(a));

/** What the plans of these jobs still cost. */
export function billOf(shop: Shop, jobs: readonly Job[]): Bill {
  const { parts, homeOf } = indexOf(shop);
  const lines = new Map<string, BillLine>();
  const charge = (key: string, what: string, price: Priced, jobId: string) => {
    const line = lines.get(key);
    if (!line) lines.set(key, { what, price, jobIds: [jobId] });
    else if (!line.jobIds.includes(jobId)) line.jobIds.push(jobId);
  };
  for (const job of jobs) {
    for (const { partId } of job.changes) {
      const part = partId === null ? undefined : parts.get(partId);
      if (!part) continue;
      const home = homeOf.get(part.id);
      if (home?.state === 'offered')
        charge(`machine ${home.id}`, home.name, askedFor(shop, home), job.id);
      if (part.place === 'buy')
        for (const each of lotOf(shop, part))
          charge(`part ${each.id}`, each.name, toPay(shop, each), job.id);
    }
    for (const [i, want] of job.wants.entries())
      if (!want.bought)
        charge(`want ${job.id} ${i}`, want.what, pricedIn(shop, want.price), job.id);
  }
  return sumOf(shop, [...lines.values()]);
}

function sumOf({ settings }: Shop, lines: BillLine[]): Bill {
  const sum = { lo: 0, hi: 0 };
  for (const { price } of lines) {
    if (!isPriced(price)) continue;
    sum.lo += price.lo;
    sum.hi += price.hi;
  }
  const named = (why: Priced) => lines.flatMap(({ what, price }) => (price === why ? [what] : []));
  return {
    currency: settings.currency,
    lines,
    sum,
    unpriced: named('no price'),
    noRate: named('no rate'),
  };
}
