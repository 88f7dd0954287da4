/** Money in whole minor units (cents) of one currency: sums are exact. */
export interface Money {
  minor: number;
  currency: string;
}

/** Reads `12`, `12.5`, `12,50`; undefined when it is no amount or finer than a cent. */
export function parseMoney(text: string, currency: string): Money | undefined {
  const match = /^(\d{1,9})(?:[.,](\d{1,2}))?$/.exec(text.trim());
  if (!match) return undefined;
  return { minor: Number(match[1]) * 100 + Number((match[2] ?? '').padEnd(2, '0')), currency };
}

/** `12.50`; whole amounts keep their two decimals so that columns align. */
export function formatMoney(money: Money): string {
  const sign = money.minor < 0 ? '-' : '';
  const abs = Math.abs(money.minor);
  return `${sign}${Math.floor(abs / 100)}.${String(abs % 100).padStart(2, '0')}`;
}

const signs: Record<string, string> = { EUR: '€', USD: '$', GBP: '£' };

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
