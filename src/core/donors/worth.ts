import { seededRandom } from '../units/seededRandom.ts';

/**
 * Is it worth it? What the machine is worth when it is done, less what must be fixed, is the most to
 * pay. All amounts are whole minor units of one currency, so that sums are exact.
 */
export interface Amount {
  lo: number;
  hi: number;
}

export interface WorthInput {
  value: Amount;
  /** Without a price: named, not guessed. */
  fixes: readonly { what: string; price?: Amount | undefined }[];
  asked?: number | undefined;
  /** Hours of hands, and what one is worth where somebody counts them: else it leaves so much before the work. */
  hours?: { lo: number; hi: number } | undefined;
  anHour?: number | undefined;
  seed?: number;
}

export interface Worth {
  /** The price to offer at most, at the worst and at the best of every range. */
  breakEven: Amount;
  /** A tenth, half and nine tenths of seeded draws lie below. */
  likely: { tenth: number; half: number; most: number };
  /** Share of draws in which the price asked pays; undefined where none is asked. */
  pays: number | undefined;
  /** What moves the answer most, and by how much; undefined where nothing is open. */
  decides: { what: string; swing: number } | undefined;
  unpriced: string[];
  say: string;
}

export class WorthError extends Error {
  readonly path: string;
  constructor(message: string, path: string) {
    super(message);
    this.path = path;
  }
}

const DRAWS = 4000;
/** From this share of draws on it is called worth it, below its counterpart not. */
const SURE = 0.9;

/** Throws WorthError, with the path, for amounts below nothing, the wrong way round or no whole minor units. */
export function worth({ value, fixes, asked, hours, anHour, seed = 1 }: WorthInput): Worth {
  check(value, 'value');
  fixes.forEach((fix, i) => fix.price && check(fix.price, `fixes[${i}].price`));
  if (asked !== undefined) check({ lo: asked, hi: asked }, 'asked');
  if (anHour !== undefined) check({ lo: anHour, hi: anHour }, 'anHour');
  if (hours && !(hours.lo >= 0 && hours.lo <= hours.hi && hours.hi <= 1000))
    throw new WorthError('Hours from nothing up, the lesser first.', 'hours');
  const labour =
    hours && anHour !== undefined
      ? { lo: Math.round(hours.lo * anHour), hi: Math.round(hours.hi * anHour) }
      : undefined;
  const costs = [
    ...fixes.flatMap(({ what, price }) => (price ? [{ what, price }] : [])),
    ...(labour ? [{ what: 'hours', price: labour }] : []),
  ];
  const sum = (end: 'lo' | 'hi') => costs.reduce((total, { price }) => total + price[end], 0);
  const breakEven = { lo: value.lo - sum('hi'), hi: value.hi - sum('lo') };
  const random = seededRandom(seed);
  const draw = ({ lo, hi }: Amount) => lo + (hi - lo) * random();
  const draws = Array.from({ length: DRAWS }, () =>
    Math.round(costs.reduce((left, { price }) => left - draw(price), draw(value))),
  ).sort((a, b) => a - b);
  const at = (share: number) => draws[Math.min(DRAWS - 1, Math.floor(share * DRAWS))] ?? 0;
  const pays =
    asked === undefined ? undefined : draws.filter((each) => each >= asked).length / DRAWS;
  const open = [{ what: 'what it is worth when done', price: value }, ...costs]
    .map(({ what, price }) => ({ what, swing: price.hi - price.lo }))
    .sort((a, b) => b.swing - a.swing);
  const decides = open[0] && open[0].swing > 0 ? open[0] : undefined;
  const unpriced = fixes.flatMap(({ what, price }) => (price ? [] : [what]));
  return {
    breakEven,
    likely: { tenth: at(0.1), half: at(0.5), most: at(0.9) },
    pays,
    decides,
    unpriced,
    say:
      sayOf(breakEven, pays, decides, unpriced) +
      beforeWork(anHour === undefined ? hours : undefined),
  };
}

/** Hours nobody put a price on: what is left is left before them. */
const beforeWork = (hours: Amount | undefined): string =>
  hours && hours.hi > 0
    ? ` All before ${hours.lo === hours.hi ? hours.lo : `${hours.lo} to ${hours.hi}`} hours of work.`
    : '';

function check({ lo, hi }: Amount, path: string): void {
  if (!Number.isSafeInteger(lo) || !Number.isSafeInteger(hi))
    throw new WorthError('Amounts are whole cents.', path);
  if (lo < 0) throw new WorthError('No amount is negative.', path);
  if (lo > hi) throw new WorthError('The lesser amount first.', path);
}

function sayOf(
  breakEven: Amount,
  pays: number | undefined,
  decides: Worth['decides'],
  unpriced: readonly string[],
): string {
  const missing =
    unpriced.length > 0 ? ` Not counted, without a price: ${unpriced.join(', ')}.` : '';
  const hangs = decides ? ` It hangs most on ${decides.what}.` : '';
  if (breakEven.hi <= 0) return `Not even as a gift: mending costs more than it brings.${missing}`;
  if (pays === undefined) return `Offer no more than it leaves.${hangs}${missing}`;
  if (unpriced.length > 0 && pays > 1 - SURE)
    return `Open until ${unpriced.join(', ')} ${unpriced.length === 1 ? 'has' : 'have'} a price: without it ${Math.round(pays * 100)} of 100 draws pay.${hangs}`;
  if (pays >= SURE) return `Worth it at the price asked.${missing || hangs}`;
  if (pays <= 1 - SURE) return `Too dear at the price asked.${hangs}${missing}`;
  return `It may go either way: ${Math.round(pays * 100)} of 100.${hangs}${missing}`;
}
