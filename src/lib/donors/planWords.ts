import type { Difference, Gain, Why } from '$core/allocate/answer.ts';
import type { Dim } from '$core/allocate/model.ts';
import type { Goal } from '$core/allocate/wishes.ts';
import { isPriced, type Bill, type Priced } from '$core/donors/index.ts';
import { currencySign, formatMoney } from '$core/units/money.ts';

/** What plans of the whole shop are told in. */

export const goalWords: Record<Goal, string> = {
  run: 'jobs that run',
  deadlines: 'promised days',
  asks: 'what each job asks for',
  money: 'money still to be spent',
  minutes: 'minutes of hands',
  spoils: 'donors kept whole',
  rest: 'what the rest is worth',
};

/** What is being made small while a search is under way. */
export const dimWords: Record<Dim, string> = {
  run: 'jobs that run',
  late: 'promised days',
  asks: 'what the jobs ask for',
  unpriced: 'things without a price',
  money: 'money',
  minutes: 'minutes of hands',
  spoils: 'donors kept whole',
  rest: 'what the rest is worth',
  opened: 'donors opened',
  moved: 'parts moved from today',
  untested: 'untested parts',
  rank: 'the order of tags',
};

export const amount = (minor: number, currency: string): string =>
  `${formatMoney({ minor: Math.round(minor), currency })} ${currencySign(currency)}`;

const many = (n: number, one: string, more = `${one}s`): string => `${n} ${n === 1 ? one : more}`;

/** The figure of a difference without its direction: `22.00 €`, `10 min`, `2 jobs`. */
function figure({ dim, by }: Difference, currency: string): string {
  const n = Math.abs(by);
  switch (dim) {
    case 'run':
      return `${many(n, 'job')} that ${n === 1 ? 'runs' : 'run'}`;
    case 'late':
      return `${many(n, 'job')} in time`;
    case 'asks':
      return `${many(n, 'thing')} asked for`;
    case 'unpriced':
      return `${many(n, 'thing')} without a price`;
    case 'money':
      return amount(n / 2, currency);
    case 'minutes':
      return `${n} min of hands`;
    case 'spoils':
      return n === 1 ? 'one donor more kept whole' : `${n} in donors kept whole`;
    case 'rest':
      return `${amount(n, currency)} of what is left over`;
    default:
      return dimWords[dim];
  }
}

/** What the best plan has over another: `saves 22.00 €`. */
export function saved(costs: Difference | undefined, currency: string): string {
  if (!costs) return 'as good as the next';
  return `saves ${figure(costs, currency)}`;
}

export const costSay = (costs: Difference | undefined, currency: string): string =>
  costs
    ? `costs ${figure(costs, currency)} against the best plan`
    : 'costs nothing against the best plan';

export function gainSay(gain: Gain, nameOf: (id: string) => string, currency: string): string {
  const by = figure(gain.gains, currency);
  if ('stock' in gain.what)
    return `One more ${nameOf(gain.what.stock)} like ${gain.what.stock}: ${by}`;
  const { leave, name, why } = gain.what;
  return `Leave to use ${name} (${leave}), ${why}: ${by}`;
}

/** What decides over a part that is bought. */
export const upToSay = ({ upTo }: Why, currency: string): string =>
  upTo === undefined ? '' : `worth buying up to ${amount(upTo, currency)}`;

const priceText = (price: Priced, currency: string): string =>
  !isPriced(price)
    ? price
    : price.lo === price.hi
      ? amount(price.lo, currency)
      : `${amount(price.lo, currency)} to ${amount(price.hi, currency)}`;

/** `1.80 €`, `12.00 € to 15.00 €`, and what is not counted. */
export function billSay({ sum, unpriced, noRate, currency }: Bill): string {
  const rest = [
    ...(unpriced.length > 0 ? [`${unpriced.length} without a price`] : []),
    ...(noRate.length > 0 ? [`${noRate.length} without a rate`] : []),
  ];
  return [priceText(sum, currency), ...rest].join(', and ');
}

export const hoursText = (minutes: number): string =>
  `${Math.floor(minutes / 60)}:${String(Math.round(minutes % 60)).padStart(2, '0')} h`;
