import type { Dot, RecordVersion, Slot } from '../model/types/versionTypes.ts';
import { stableText } from '../units/stableText.ts';
import { table } from '../units/table.ts';
import { BEGINNING } from './dots.ts';

/**
 * A record as its slots: the smallest things two benches can write apart. A name or a fact is one, a seat of a
 * machine, a reading of a job. What only makes sense together (an amount with its currency) is one slot.
 */

type Value = unknown;
export type Bag = Record<string, Value>;

/** Objects whose names are slots of their own. */
const maps = new Set(['facts', 'settings', 'customer', 'schools']);
/** Lists whose items are known by something they are about: two of one key are one thing. */
const keys = table<(item: Bag) => string>({
  seats: ({ seat }) => String(seat),
  changes: ({ seat, stage }) => `${String(seat)}:${String(stage ?? 1)}`,
  ticks: ({ stepId }) => String(stepId),
  started: ({ stepId }) => String(stepId),
  planned: ({ stepId }) => String(stepId),
  finishes: ({ id }) => String(id),
  makes: ({ id }) => String(id),
  own: ({ id }) => String(id),
  clearings: ({ partId }) => String(partId),
  rates: ({ currency }) => String(currency),
  requirements: ({ what }) => String(what),
  applied: (item) => stableText(item),
  was: (item) => String(item),
});
/** Lists of things: the same words written at two benches are two. */
const lists = new Set([
  'waits',
  'readings',
  'wants',
  'sums',
  'runs',
  'diagnoses',
  'damages',
  'trials',
  'links',
  'dropped',
  'additions',
  'service',
  'pastLoans',
  'unsettled',
  'marks',
]);

const isBag = (value: Value): value is Bag =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

export interface Slots {
  /** What stands in each slot; a field that was left out has none. */
  values: Map<Slot, Value>;
  /** Slots of the items of each list, in their order. */
  order: Map<string, Slot[]>;
}

/** Whether a field is an object of slots, or a list of them. */
export const isMap = (name: string): boolean => maps.has(name);
export const isList = (name: string): boolean => keys[name] !== undefined || lists.has(name);
/** Whether the items of a list are known by birth, not by a key. */
export const isOfThings = (path: string): boolean =>
  lists.has(path.slice(path.lastIndexOf('.') + 1));

/** Births of a list as they are kept, or by place where nothing changed since the record was made. */
export const birthsOf = (version: RecordVersion, list: string, length: number): string[] =>
  version.births?.[list] ?? Array.from({ length }, (_, i) => String(i));

export const itemSlot = (list: string, birth: string): Slot => `${list}#${birth}`;
export const keySlot = (path: string, item: Value): Slot | undefined => {
  const key = keys[path.slice(path.lastIndexOf('.') + 1)];
  return key && `${path}[${key(item as Bag)}]`;
};

/** The property of a record that holds a slot. */
export const propertyOf = (slot: Slot): string => slot.split(/[#[.]/, 1)[0] ?? slot;
export const birthOf = (slot: Slot): string => slot.slice(slot.indexOf('#') + 1);

/** The list and place of a slot inside a list; undefined for a field. */
export function listOf(slot: Slot): { path: string; keyed: boolean } | undefined {
  const at = slot.search(/[#[]/);
  return at < 0 ? undefined : { path: slot.slice(0, at), keyed: slot[at] === '[' };
}

export function slotsOf(record: object, version: RecordVersion): Slots {
  const values = new Map<Slot, Value>();
  const order = new Map<string, Slot[]>();
  const note = (
    path: string,
    items: readonly Value[],
    slotAt: (item: Value, i: number) => Slot,
  ) => {
    const slots = items.map(slotAt);
    order.set(path, slots);
    slots.forEach((slot, i) => values.set(slot, items[i]));
  };
  const walk = (bag: Bag, before: string): void => {
    for (const [name, value] of Object.entries(bag)) {
      const path = `${before}${name}`;
      if (value === undefined || path === 'id') continue;
      if (maps.has(name) && isBag(value)) walk(value, `${path}.`);
      else if (Array.isArray(value) && keys[name])
        note(path, value, (item) => keySlot(path, item) ?? path);
      else if (Array.isArray(value) && lists.has(name)) {
        const known = birthsOf(version, path, value.length);
        note(path, value, (_, i) => itemSlot(path, known[i] ?? String(i)));
      } else values.set(path, value);
    }
  };
  walk(record as Bag, '');
  return { values, order };
}

/** The write a slot's value comes from. */
export function dotOf(version: RecordVersion, slot: Slot): Dot {
  const wrote = version.wrote?.[slot];
  if (wrote !== undefined) return wrote;
  if (!slot.includes('#')) return version.made;
  const [dot = '', place] = birthOf(slot).split('/', 2);
  return place === undefined ? version.made : dot;
}

/** A record with one value put in its slot; lists of things take it at their end. Fresh objects all along. */
export function withSlot(record: object, slot: Slot, value: Value): Bag {
  const inside = listOf(slot);
  const path = (inside?.path ?? slot).split('.');
  const put = (bag: Bag, [name = '', ...rest]: string[]): Bag => {
    if (rest.length > 0) {
      const inner = put(isBag(bag[name]) ? bag[name] : {}, rest);
      return { ...bag, [name]: inner };
    }
    if (!inside) {
      const { [name]: _, ...others } = bag;
      return value === undefined ? others : { ...bag, [name]: value };
    }
    const list = Array.isArray(bag[name]) ? (bag[name] as Value[]) : [];
    if (!inside.keyed) return { ...bag, [name]: value === undefined ? list : [...list, value] };
    const at = list.findIndex((item) => keySlot(inside.path, item) === slot);
    const next =
      value === undefined
        ? list.filter((_, i) => i !== at)
        : at < 0
          ? [...list, value]
          : list.with(at, value);
    return { ...bag, [name]: next };
  };
  return put(record as Bag, path);
}

export const plainVersion = (): RecordVersion => ({ made: BEGINNING });
