import type { Fact, Facts } from '../model/types/fact.ts';
import type { Collection } from '../model/types/collections.ts';

import { withParts } from '../remedies/index.ts';
import type { RemedyValue } from '../model/types/remedyValue.ts';
import type { Bag } from './slots.ts';

/** Tags inside records: wherever one names another, in one place for all that renumbers. */

export type Rename = Record<Collection, (id: string) => string>;

/** Names that hold the tag of another record, at any depth; `from` and `reserved` do in parts alone. */
const names: Readonly<Record<string, Collection>> = {
  partId: 'parts',
  with: 'parts',
  machineId: 'machines',
  jobId: 'jobs',
  modelId: 'models',
};
const ofParts: Readonly<Record<string, Collection>> = { from: 'machines', reserved: 'jobs' };

/** The record with every tag in it renamed, its own too. A record that was frozen at hand-over stays as it was. */
export function renamedRecord<T extends object>(list: Collection, record: T, rename: Rename): T {
  const own = record as Bag;
  const inner = Object.fromEntries(
    Object.entries(own).map(([name, value]): [string, unknown] => {
      if (name === 'id' && typeof value === 'string') return [name, rename[list](value)];
      if (name === 'record' || name === 'was') return [name, value];
      const about = list === 'parts' ? ofParts[name] : undefined;
      if (about && typeof value === 'string') return [name, rename[about](value)];
      return [name, renamedValue(name, value, rename)];
    }),
  );
  return inner as T;
}

function renamedValue(name: string, value: unknown, rename: Rename): unknown {
  if (typeof value === 'string') {
    const about = names[name];
    if (about) return rename[about](value);
    return name === 'stepId' ? renamedTokens(value, rename.parts) : value;
  }
  if (typeof value !== 'object' || value === null) return value;
  if (name === 'facts') return renamedFacts(value as Facts, rename);
  if (name === 'remedy') return withParts(value as RemedyValue, rename.parts);
  if (name === 'applied' && Array.isArray(value))
    return value.map((each) => withParts(each as RemedyValue, rename.parts));
  if (Array.isArray(value)) return value.map((item) => renamedValue(name, item, rename));
  const bag = value as Bag;
  const inner = Object.fromEntries(
    Object.entries(bag).map(([key, each]) => [key, renamedValue(key, each, rename)]),
  );
  /* What a photo shows may be a step, which names parts. */
  if (name === 'about' && bag['of'] === 'step' && typeof bag['key'] === 'string')
    inner['key'] = renamedTokens(bag['key'], rename.parts);
  return inner;
}

/** Tags inside an id like `put:cooler:K02`. */
const renamedTokens = (id: string, part: (id: string) => string): string =>
  id.split(':').map(part).join(':');

/** Facts that name parts, models or plugs by their tags. */
function renamedFacts(facts: Facts, { parts, models, plugs }: Rename): Facts {
  const word = (key: string, text: string) =>
    key === 'belongsTo' ? models(parts(text)) : plugs(text);
  return Object.fromEntries(
    Object.entries(facts).map(([key, fact]): [string, Fact] => {
      if ('text' in fact) return [key, { ...fact, text: word(key, fact.text) }];
      if ('items' in fact)
        return [
          key,
          {
            ...fact,
            items: fact.items.map((item) => (typeof item === 'string' ? word(key, item) : item)),
          },
        ];
      return [key, fact];
    }),
  );
}
