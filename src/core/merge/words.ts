import { isList, isNumber, isText, type Fact } from '../model/types/fact.ts';
import { properties } from '../model/properties/index.ts';
import { seatName } from '../model/types/seats.ts';
import { trim } from '../units/length.ts';
import { formatMoney, type Money } from '../units/money.ts';
import { table } from '../units/table.ts';
import { stableText } from '../units/stableText.ts';
import { propertyOf } from './slots.ts';

/** Slots and values of a question in words, for whoever has to choose. */

const fields = table<string>({
  name: 'name',
  becomes: 'what it becomes',
  note: 'note',
  where: 'place',
  place: 'where it is',
  price: 'price',
  worth: 'worth',
  budget: 'budget',
  customer: 'customer',
  contact: 'contact',
  schools: 'way of working',
  condition: 'condition',
  system: 'system installed',
  warranty: 'warranty',
  watch: 'what to watch',
  changes: 'plan',
  seats: 'seat',
  ticks: 'step',
  clearings: 'data of',
  wants: 'shopping list',
  handedOver: 'hand-over',
  record: 'record',
  loan: 'loan',
  from: 'taken out of',
  reserved: 'kept for',
  rates: 'rate',
  settings: 'settings',
});

const labels = new Map(
  Object.values(properties).flatMap((list) => list.map(({ key, label }) => [key as string, label])),
);

/** `note`, `length`, `plan, card 1`. */
export function slotWords(slot: string): string {
  const [, path = '', key] = /^([^#[]+)(?:\[(.*)\])?/.exec(slot) ?? [];
  const names = path.split('.');
  const last = names.at(-1) ?? path;
  if (names[0] === 'facts') return labels.get(last) ?? last;
  const word = fields[last] ?? fields[names[0] ?? ''] ?? last;
  if (key === undefined) return word;
  const [seat = ''] = key.split(':', 1);
  return `${word}, ${path === 'changes' || path === 'seats' ? seatName(seat as never) : key.slice(0, 60)}`;
}

type Bag = Record<string, unknown>;

/** A value as it would stand on the page; what nobody wrote is said as nothing. */
export function valueWords(value: unknown, slot = ''): string {
  if (value === undefined || value === null) return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value !== 'object') return String(value);
  const bag = value as Bag;
  if (typeof bag['minor'] === 'number' && typeof bag['currency'] === 'string')
    return `${formatMoney(value as Money)} ${bag['currency']}`;
  if (propertyOf(slot) === 'facts') return factWords(value as Fact);
  if ('partId' in bag && ('seat' in bag || 'stage' in bag))
    return bag['partId'] === null ? 'left empty' : String(bag['partId']);
  const said = ['what', 'text', 'title', 'why', 'note', 'symptom', 'name', 'how', 'rate']
    .flatMap((name) => (typeof bag[name] === 'string' ? [bag[name]] : []))
    .filter((each, at, list) => list.indexOf(each) === at);
  const figures = ['value', 'count', 'minutes'].flatMap((name) =>
    typeof bag[name] === 'number' ? [String(bag[name])] : [],
  );
  const words = [...said, ...figures].join(', ');
  return words === '' ? stableText(value).slice(0, 200) : words;
}

function factWords(fact: Fact): string {
  const how = fact.how === 'measured' ? ', measured' : '';
  if (isNumber(fact))
    return `${trim(fact.lo, 2)}${fact.lo === fact.hi ? '' : ` to ${trim(fact.hi, 2)}`}${how}`;
  if (isText(fact)) return `${fact.text}${how}`;
  if (isList(fact))
    return fact.items
      .map((item) => (typeof item === 'string' ? item : stableText(item)))
      .join(', ');
  return stableText(fact);
}
