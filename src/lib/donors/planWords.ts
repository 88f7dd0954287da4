import type { Difference, Gain, Why } from '$core/allocate/planned.ts';
import type { Dim } from '$core/allocate/dims.ts';
import type { Goal } from '$core/allocate/wishes.ts';
import { isPriced, type Bill, type Priced } from '$core/donors/index.ts';
import { currencySign, formatMoney } from '$core/units/money.ts';
import type { Told } from '../../workers/allocate.worker.ts';

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
  minutes: 'minutes of hands, measuring too',
  spoils: 'donors kept whole',
  rest: 'what the rest is worth',
  opened: 'donors opened',
  moved: 'parts moved from today',
  untested: 'untested parts',
  rank: 'the order of tags',
};

export const amount = (minor: number, currency: string): string =>
  `${formatMoney({ minor: Math.round(minor), currency })} ${currencySign(currency)}`;

const count = (n: number, one: string, more: string): string =>
  n === 1 ? `one ${one}` : `${n} ${more}`;

/** What the better of two plans has over the other. */
function better({ dim, by }: Difference, currency: string): string {
  const n = Math.abs(by);
  switch (dim) {
    case 'run':
      return `${count(n, 'job more runs', 'jobs more run')}`;
    case 'late':
      return `${count(n, 'job more is', 'jobs more are')} in time`;
    case 'asks':
      return `${count(n, 'thing more', 'things more')} that was asked for`;
    case 'unpriced':
      return `${count(n, 'thing fewer', 'things fewer')} without a price`;
    case 'money':
      return `saves ${amount(n / 2, currency)}`;
    case 'minutes':
      return `saves ${n} min of hands`;
    case 'spoils':
      return n === 1
        ? 'one donor more stays whole'
        : 'a working donor, or more than one, stays whole';
    case 'rest':
      return `leaves ${amount(n, currency)} more to sell`;
    default:
      return dimWords[dim];
  }
}

/** What it costs to leave the better plan for the other. */
function worse({ dim, by }: Difference, currency: string): string {
  const n = Math.abs(by);
  switch (dim) {
    case 'run':
      return `${count(n, 'job fewer runs', 'jobs fewer run')}`;
    case 'late':
      return `${count(n, 'job more is', 'jobs more are')} late`;
    case 'asks':
      return `${count(n, 'thing fewer', 'things fewer')} that was asked for`;
    case 'unpriced':
      return `${count(n, 'thing more', 'things more')} without a price`;
    case 'money':
      return `${amount(n / 2, currency)} more`;
    case 'minutes':
      return `${n} min of hands more`;
    case 'spoils':
      return n === 1 ? 'one donor more is opened' : 'a working donor, or more than one, is opened';
    case 'rest':
      return `${amount(n, currency)} less to sell`;
    default:
      return dimWords[dim];
  }
}

/** What the best plan has over the next. */
export const saved = (costs: Difference | undefined, currency: string): string =>
  costs ? better(costs, currency) : 'another plan is as good';

export const costSay = (costs: Difference | undefined, currency: string): string =>
  costs ? `Against the best plan: ${worse(costs, currency)}` : 'As good as the best plan';

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

export function gainSay(gain: Gain, nameOf: (id: string) => string, currency: string): string {
  const by = better(gain.gains, currency);
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

/** `money: 9.60 € so far, 4.00 € at best`. */
export function progressSay(
  { dim, best, bound }: Pick<Told, 'dim' | 'best' | 'bound'>,
  currency: string,
): string {
  const say = (n: number) =>
    dim === 'money' || dim === 'rest'
      ? amount(dim === 'money' ? n / 2 : n, currency)
      : String(Math.abs(Math.round(n)));
  const open = Number.isFinite(bound) && bound < best;
  return `${dimWords[dim]}: ${say(best)} so far${open ? `, ${say(bound)} at best` : ''}`;
}

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
