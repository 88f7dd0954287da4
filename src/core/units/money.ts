import { currencyOf } from './currency.ts';
import { table } from './table.ts';

/** Money in whole minor units (cents) of one currency: sums are exact. */
export interface Money {
  minor: number;
  currency: string;
}

const plain = /^(\d{1,9})(?:[.,](?:(\d{1,2})|-{1,2}))?$/;
/** Thousands parted by one sign, decimals by the other: `1.250,50`, `1,250.50`, `1'250.50`, `1.250.000`. */
const grouped = /^(\d{1,3}(?:([.,'’ ])\d{3})(?:\2\d{3})*)(?:([.,])(\d{1,2}))?$/;

/**
 * Whole minor units of a bare amount; undefined when it is none, is finer than a cent, or when `1.234`
 * could be either.
 */
export function readAmount(text: string): number | undefined {
  const match = plain.exec(text);
  if (match) return Number(match[1]) * 100 + Number((match[2] ?? '').padEnd(2, '0'));
  const parted = grouped.exec(text);
  if (!parted) return undefined;
  const [, whole = '', mark = '', point, cents = ''] = parted;
  const once = whole.split(mark).length === 2;
  if (point === mark || (once && point === undefined && /[.,]/.test(mark))) return undefined;
  const units = Number(whole.replace(/\D/g, ''));
  return units < 1e9 ? units * 100 + Number(cents.padEnd(2, '0')) : undefined;
}

/**
 * Reads `12`, `12.5`, `12,50`, `1.250,50`, with a currency before or after it in any spelling (`12 eur`,
 * `$9.99`, `3 euro`); bare amounts are in `own`. A sentence says why it is none.
 */
export function readMoney(text: string, own: string): { money: Money } | { fault: string } {
  const clean = text.trim();
  const match = /^([^\d\s-]*)\s*(\d(?:[\d.,'’ ]*[\d-])?)\s*([^\d\s]*)$/.exec(clean);
  const minor = match ? readAmount(match[2] ?? '') : undefined;
  if (!match || minor === undefined) return { fault: 'No amount: 12 or 12.50.' };
  const words = [match[1], match[3]].filter((word) => word);
  if (words.length > 1) return { fault: 'One currency, please.' };
  const named = words[0] ? currencyOf(words[0], own) : { code: own };
  if (!named) return { fault: `${words[0]} is no currency known here.` };
  return 'fault' in named ? named : { money: { minor, currency: named.code } };
}

/** As `readMoney`; undefined when it is no amount. */
export function parseMoney(text: string, own: string): Money | undefined {
  const read = readMoney(text, own);
  return 'money' in read ? read.money : undefined;
}

/** `12.50`; whole amounts keep their two decimals so that columns align. */
export function formatMoney(money: Money): string {
  const sign = money.minor < 0 ? '-' : '';
  const abs = Math.abs(money.minor);
  return `${sign}${Math.floor(abs / 100)}.${String(abs % 100).padStart(2, '0')}`;
}

const signs: Record<string, string> = table({ EUR: '€', USD: '$', GBP: '£' });

export function currencySign(currency: string): string {
  return signs[currency] ?? currency;
}

export interface MoneySum {
  total: Money;
  /** Labels of what has no price yet. */
  unpriced: string[];
  /** Labels of what is priced in a currency without a rate, left out of the total. */
  foreign: string[];
}

/** Adds what has a price in `currency`, or in one with a rate, and names what has not. */
export function sumMoney(
  items: readonly { label: string; price?: Money | undefined }[],
  currency: string,
  rates: readonly Exchange[] = [],
): MoneySum {
  let minor = 0;
  const unpriced: string[] = [];
  const foreign: string[] = [];
  for (const { label, price } of items) {
    const own = price && exchanged(price, currency, rates);
    if (!price) unpriced.push(label);
    else if (own === undefined) foreign.push(label);
    else minor += own;
  }
  return { total: { minor, currency }, unpriced, foreign };
}

export interface Exchange {
  currency: string;
  /** `0.9231`: units of the shop's own currency for one of this, an exact decimal. */
  rate: string;
}

/** In whole minor units of `currency`, halves away from nothing; undefined where no rate is known. */
export function exchanged(
  money: Money,
  currency: string,
  rates: readonly Exchange[],
): number | undefined {
  if (money.currency === currency) return money.minor;
  const rate = rates.find((each) => each.currency === money.currency)?.rate;
  const match = rate === undefined ? null : /^(\d+)(?:\.(\d+))?$/.exec(rate);
  if (!match) return undefined;
  const [, whole = '', part = ''] = match;
  const scale = 10n ** BigInt(part.length);
  const product = BigInt(Math.abs(money.minor)) * BigInt(whole + part);
  const rounded = Number((2n * product + scale) / (2n * scale));
  return money.minor < 0 ? -rounded : rounded;
}
