import { exchanged, type Exchange, type Money } from '../units/money.ts';
import type { Entry } from '../model/types/types.ts';

/** A line of an account: out of the book, or a price noted at the thing itself. */
export interface Line {
  kind: Entry['kind'];
  what: string;
  at?: string | undefined;
  money?: Money | undefined;
  minutes?: number | undefined;
  /** The entry of the book; undefined where the price stands at the part, machine or want. */
  entryId?: string | undefined;
  partId?: string | undefined;
}

/** A line with its money in whole minor units of the shop's own currency; undefined without price or rate. */
export interface OwnLine extends Line {
  own: number | undefined;
}

/** Something left over and what it would fetch. */
export interface Leftover {
  partId: string;
  name: string;
  worth?: Money | undefined;
}

/** Sums in whole minor units of one currency; hours are told apart, never added in by themselves. */
export interface Account {
  currency: string;
  lines: OwnLine[];
  costs: number;
  sales: number;
  gifts: number;
  minutes: number;
  /** What the hours come to; undefined where an hour has no price. */
  labour: number | undefined;
  leftovers: Leftover[];
  leftoversWorth: number;
  /** Sales less costs: below nothing while it is not recouped. */
  balance: number;
  /** Share of the costs that sales brought back; undefined without costs. */
  recouped: number | undefined;
  /** Costs and sales without a price. */
  unpriced: string[];
  /** Leftovers nobody has put a worth on. */
  unvalued: string[];
  /** In a currency without a rate: named, not counted. */
  noRate: string[];
}

export interface Purse {
  currency: string;
  rates: readonly Exchange[];
  anHour?: Money | undefined;
}

/** What lines cost together, whole minor units of the shop's own currency, exchanged line by line; what has no price or no rate is not in it. */
export const costsIn = (lines: readonly Line[], { currency, rates }: Purse): number =>
  lines.reduce(
    (total, { kind, money }) =>
      kind === 'cost' && money ? total + (exchanged(money, currency, rates) ?? 0) : total,
    0,
  );

/** Costs and sales nobody put a price on, by name. */
export const unpricedIn = (lines: readonly Line[]): string[] =>
  lines.flatMap(({ kind, money, what }) =>
    (kind === 'cost' || kind === 'sale') && !money ? [what] : [],
  );

/** Adds an account up. Exact: whole minor units, exchanged line by line. */
export function account(
  lines: readonly Line[],
  leftovers: readonly Leftover[],
  purse: Purse,
): Account {
  const { currency, rates, anHour } = purse;
  const noRate = new Set<string>();
  const own = (money: Money, what: string): number | undefined => {
    const minor = exchanged(money, currency, rates);
    if (minor === undefined) noRate.add(`${what} (${money.currency})`);
    return minor;
  };
  const owned = lines.map((line): OwnLine => ({
    ...line,
    own: line.money && own(line.money, line.what),
  }));
  const sum = (kind: Entry['kind']) =>
    owned.reduce((total, line) => (line.kind === kind ? total + (line.own ?? 0) : total), 0);
  const costs = costsIn(lines, purse);
  const sales = sum('sale');
  const minutes = lines.reduce(
    (total, line) => (line.kind === 'hours' ? total + (line.minutes ?? 0) : total),
    0,
  );
  return {
    currency,
    lines: owned,
    costs,
    sales,
    gifts: sum('gift'),
    minutes,
    labour: labourOf(anHour && own(anHour, 'an hour'), minutes),
    leftovers: [...leftovers],
    leftoversWorth: leftovers.reduce(
      (total, { worth, name }) => (worth ? total + (own(worth, name) ?? 0) : total),
      0,
    ),
    balance: sales - costs,
    recouped: costs > 0 ? sales / costs : undefined,
    unpriced: unpricedIn(lines),
    unvalued: leftovers.flatMap(({ worth, name }) => (worth ? [] : [name])),
    noRate: [...noRate],
  };
}

const labourOf = (anHour: number | undefined, minutes: number): number | undefined =>
  anHour === undefined ? undefined : Math.round((anHour * minutes) / 60);

/** What the account comes to, in a sentence without figures of its own. */
export function sayOf({ costs, sales, leftoversWorth, unpriced, noRate }: Account): string {
  const few = (names: readonly string[]) =>
    names.length > 3
      ? `${names.slice(0, 2).join(', ')} and ${names.length - 2} more`
      : names.join(', ');
  const missing = [
    ...(unpriced.length > 0 ? [`without a price: ${few(unpriced)}`] : []),
    ...(noRate.length > 0 ? [`without a rate: ${few(noRate)}`] : []),
  ];
  const rest = missing.length > 0 ? ` Not counted, ${missing.join('; ')}.` : '';
  if (costs === 0 && sales === 0) return `Nothing in the book yet.${rest}`;
  if (sales >= costs) return `Recouped by what was sold.${rest}`;
  if (sales + leftoversWorth >= costs) return `Recouped once the rest is sold.${rest}`;
  return leftoversWorth > 0 || sales > 0
    ? `Not paid back, even with the rest sold.${rest}`
    : `Nothing of it has come back.${rest}`;
}
