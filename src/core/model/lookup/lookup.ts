import type { ItemOf, ListKey, NumberKey, TextKey } from '../properties/index.ts';
import { materialOf, smallSortOf } from '../properties/smallSorts.ts';
import type { Item } from '../types/shapes.ts';
import { note } from './noted.ts';
import type { Range } from '../../units/range.ts';
import type { Money } from '../../units/money.ts';
import { classValue } from '../classes/classes.ts';
import {
  isList,
  isNumber,
  isText,
  outranks,
  type Fact,
  type Facts,
  type How,
} from '../types/fact.ts';
import type { Condition, Job, Machine, Model, Part, Shop } from '../types/types.ts';

/** Finding things in a shop without searching: built once per shop value, kept while it lives. */
export interface Index {
  models: Map<string, Model>;
  machines: Map<string, Machine>;
  parts: Map<string, Part>;
  jobs: Map<string, Job>;
  /** By tags borne before, where nothing bears them now. */
  formerParts: Map<string, Part>;
  formerJobs: Map<string, Job>;
  /** The machine a part sits in, by part id. */
  homeOf: Map<string, Machine>;
  /** Parts taken out of a machine, wherever they are now, by its id. */
  takenFrom: Map<string, Part[]>;
}

const indices = new WeakMap<Shop, Index>();

export function indexOf(shop: Shop): Index {
  let index = indices.get(shop);
  if (!index) {
    const byId = <T extends { id: string }>(list: readonly T[]) =>
      new Map(list.map((item) => [item.id, item]));
    index = {
      models: byId(shop.models),
      machines: byId(shop.machines),
      parts: byId(shop.parts),
      jobs: byId(shop.jobs),
      formerParts: byFormer(shop.parts),
      formerJobs: byFormer(shop.jobs),
      homeOf: new Map(
        shop.machines.flatMap((machine) => machine.seats.map((seat) => [seat.partId, machine])),
      ),
      takenFrom: new Map(),
    };
    for (const part of shop.parts) {
      if (part.from === undefined) continue;
      const list = index.takenFrom.get(part.from);
      if (list) list.push(part);
      else index.takenFrom.set(part.from, [part]);
    }
    indices.set(shop, index);
  }
  return index;
}

const byFormer = <T extends { was?: string[] | undefined }>(list: readonly T[]) => {
  const byTag = new Map<string, T>();
  for (const item of list) for (const tag of item.was ?? []) byTag.set(tag, item);
  return byTag;
};

/** How a value came to be known, and where it is written. */
export interface ResolvedValue {
  how: How;
  source?: string | undefined;
  level: 'own' | 'model' | 'class';
}

export interface ResolvedNumber extends ResolvedValue, Range {}
export interface ResolvedText extends ResolvedValue {
  text: string;
}
export interface ResolvedList<T extends Item = string> extends ResolvedValue {
  items: readonly T[];
}

/** The part's own fact or its model's, whichever is worth more; never the class's. */
export function factOf(
  shop: Shop,
  part: Part,
  key: string,
): { fact: Fact; level: 'own' | 'model' } | undefined {
  note(part.kind, key);
  const own = get(part.facts, key);
  const model = part.modelId ? indexOf(shop).models.get(part.modelId) : undefined;
  const shared = model ? get(model.facts, key) : undefined;
  if (own && (!shared || outranks(own, shared))) return { fact: own, level: 'own' };
  return shared ? { fact: shared, level: 'model' } : undefined;
}

function get(facts: Facts, key: string): Fact | undefined {
  return Object.hasOwn(facts, key) ? facts[key] : undefined;
}

/** A number of a part in its property's unit, falling back to its class's range; undefined when even that is unknown. */
export const numberOf = (shop: Shop, part: Part, key: NumberKey): ResolvedNumber | undefined =>
  kept(shop, part, key, findNumber);

/** A word of a part, falling back to its class's. */
export const textOf = (shop: Shop, part: Part, key: TextKey): ResolvedText | undefined =>
  kept(shop, part, key, findText);

type Found = ResolvedNumber | ResolvedText | null;

/** Values found before: a part and its model are values, so what was found of them stays true. */
const found = new WeakMap<Part, { model: Model | undefined; values: Map<string, Before> }>();

/** A value found before, and facts beside its own it was told by: what is usual follows from the part's class. */
interface Before {
  value: Found;
  by: readonly string[];
}

function kept<T extends ResolvedNumber | ResolvedText>(
  shop: Shop,
  part: Part,
  key: string,
  find: (shop: Shop, part: Part, key: string, others: string[]) => T | undefined,
): T | undefined {
  const model = part.modelId ? indexOf(shop).models.get(part.modelId) : undefined;
  let own = found.get(part);
  if (!own || own.model !== model) found.set(part, (own = { model, values: new Map() }));
  /* A key is a number's or a word's, never both. */
  const before = own.values.get(key);
  if (before) {
    note(part.kind, key);
    for (const other of before.by) note(part.kind, other);
    return (before.value as T | null) ?? undefined;
  }
  const others: string[] = [];
  const value = find(shop, part, key, others);
  own.values.set(key, { value: value ?? null, by: others });
  return value;
}

function findNumber(
  shop: Shop,
  part: Part,
  key: string,
  others: string[],
): ResolvedNumber | undefined {
  const found = factOf(shop, part, key);
  if (found && isNumber(found.fact)) {
    const { lo, hi, how, source } = found.fact;
    return { lo, hi, how, source, level: found.level };
  }
  const value = classOf(shop, part, key, others);
  if (value && typeof value.value === 'object' && 'lo' in value.value) {
    return { ...value.value, how: 'class', source: value.source, level: 'class' };
  }
  return undefined;
}

function findText(shop: Shop, part: Part, key: string, others: string[]): ResolvedText | undefined {
  const found = factOf(shop, part, key);
  if (found && isText(found.fact)) {
    return {
      text: found.fact.text,
      how: found.fact.how,
      source: found.fact.source,
      level: found.level,
    };
  }
  const value = classOf(shop, part, key, others);
  if (value && typeof value.value === 'string') {
    return { text: value.value, how: 'class', source: value.source, level: 'class' };
  }
  return undefined;
}

export function listOf<K extends ListKey>(
  shop: Shop,
  part: Part,
  key: K,
): ResolvedList<ItemOf<K>> | undefined {
  const found = factOf(shop, part, key);
  if (found && isList(found.fact)) {
    return {
      /* A file is read only with items of the property's shape. */
      items: found.fact.items as ItemOf<K>[],
      how: found.fact.how,
      source: found.fact.source,
      level: found.level,
    };
  }
  const value = classOf(shop, part, key);
  if (value && Array.isArray(value.value)) {
    return {
      items: value.value as ItemOf<K>[],
      how: 'class',
      source: value.source,
      level: 'class',
    };
  }
  return undefined;
}

/** What parts of this sort usually are; `others`: the facts that told the sort. */
function classOf(shop: Shop, part: Part, key: string, others?: string[]) {
  /* Small parts are told by what is written on their bag. */
  const sort = part.kind === 'small' && key === 'sort' ? smallSortOf(part.name) : undefined;
  if (sort) return { value: sort, source: 'its name' };
  const material = part.kind === 'small' && key === 'material' ? materialOf(part.name) : undefined;
  if (material) return { value: material, source: 'its name' };
  return classValue(part.kind, key, (other) => {
    others?.push(other);
    const found = factOf(shop, part, other);
    return found && isText(found.fact) ? found.fact.text : undefined;
  });
}

/** What is written down where somebody asks how a part stands. */
export const CONDITION = ' condition';

/**
 * Condition, origin and cost, inherited from the machine the part still sits in: a part without
 * a price of its own was paid with the whole machine.
 */
export function standingOf(
  shop: Shop,
  part: Part,
): {
  condition: Condition;
  origin?: string | undefined;
  price?: Money | undefined;
  inheritedFrom?: Machine | undefined;
  /** What was paid for the whole machine, where the part has no price of its own. */
  paidWith?: Money | undefined;
} {
  note(part.kind, CONDITION);
  const home = indexOf(shop).homeOf.get(part.id);
  const inherits = home && (part.condition === undefined || part.origin === undefined);
  return {
    condition: part.condition ?? home?.condition ?? 'unknown',
    origin: part.origin ?? home?.origin,
    price: part.price,
    inheritedFrom: inherits ? home : undefined,
    paidWith: part.price ? undefined : home?.price,
  };
}
