import { exchanged, type Money } from '../../units/money.ts';
import { plainName } from '../../units/plainName.ts';
import { smallSortOf } from '../properties/smallSorts.ts';
import { isNumber, isText } from '../types/fact.ts';
import type { Shop } from '../types/types.ts';

/** What things cost this shop that are got for a job: kits, plates, splitters, leads. By plain name, in its own currency. */
export type ThingPrices = ReadonlyMap<string, Money>;

const known = new WeakMap<Shop, ThingPrices>();

/** The last price a job of the shop noted for such a thing; nothing, where one lies on the shelf. */
export function thingPrices(shop: Shop): ThingPrices {
  let prices = known.get(shop);
  if (!prices) known.set(shop, (prices = gather(shop)));
  return prices;
}

function gather(shop: Shop): ThingPrices {
  const { currency, rates } = shop.settings;
  const prices = new Map<string, Money>();
  for (const { wants } of shop.jobs)
    for (const { what, count, price } of wants) {
      const own = price && exchanged(price, currency, rates);
      if (own !== undefined && count > 0)
        prices.set(plainName(what), { minor: Math.round(own / count), currency });
    }
  for (const part of shop.parts) {
    if (part.kind !== 'small' || part.place !== 'shelf' || part.loan) continue;
    const { count, sort } = part.facts;
    if (count && isNumber(count) && count.hi === 0) continue;
    const told = sort && isText(sort) ? sort.text : smallSortOf(part.name);
    for (const name of [part.name, told])
      if (name) prices.set(plainName(name), { minor: 0, currency });
  }
  return prices;
}

export const samePrices = (a: ThingPrices, b: ThingPrices): boolean =>
  a === b ||
  (a.size === b.size &&
    [...a].every(([name, { minor, currency }]) => {
      const other = b.get(name);
      return other?.minor === minor && other.currency === currency;
    }));
