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
  /** Labels of what is priced in another currency, left out of the total. */
  foreign: string[];
}

/** Adds what has a price in `currency` and names what has not. */
export function sumMoney(
  items: readonly { label: string; price?: Money | undefined }[],
  currency: string,
): MoneySum {
  let minor = 0;
  const unpriced: string[] = [];
  const foreign: string[] = [];
  for (const { label, price } of items) {
    if (!price) unpriced.push(label);
    else if (price.currency !== currency) foreign.push(label);
    else minor += price.minor;
  }
  return { total: { minor, currency }, unpriced, foreign };
}
