import type { Gone, RecordVersion, Versions } from '../model/types/versionTypes.ts';
import { headOf } from '../edits/changes.ts';
import { collections, type Collection } from '../model/types/collections.ts';
import type { Shop } from '../model/types/types.ts';
import { benchOf, BEGINNING, byDot } from './dots.ts';
import { keyOf, nameOf } from './names.ts';
import { renamedRecord, type Rename } from './references.ts';
import { keySlot, listOf, plainVersion, slotsOf, withSlot, type Bag } from './slots.ts';
import { tidy } from './stamp.ts';

/**
 * A shop as merging sees it: every record by a name that all benches agree on, whatever tag it bears here, with
 * every tag inside it written as such a name. Records that were taken out are among them.
 */

export interface State {
  list: Collection | 'head';
  /** Name agreed on: the write that made it; the tag of what was there from the beginning. */
  name: string;
  /** The tag it was given first. */
  tag: string;
  record: Bag;
  version: RecordVersion;
  /** Taken out here; what merging makes of it is settled anew each time. */
  gone: boolean;
}

export type States = Map<string, State>;

/** What bears its tag on a label. */
const labelled: ReadonlySet<Collection> = new Set<Collection>(['machines', 'parts', 'jobs']);

const same = (id: string) => id;

function renamer(tables: Readonly<Record<Collection, ReadonlyMap<string, string>>>): Rename {
  const of = (list: Collection) => (id: string) => tables[list].get(id) ?? id;
  return {
    models: same,
    machines: of('machines'),
    parts: of('parts'),
    jobs: of('jobs'),
    plugs: of('plugs'),
    ledger: of('ledger'),
    photos: of('photos'),
  };
}

export const emptyTables = (): Record<Collection, Map<string, string>> => ({
  models: new Map(),
  machines: new Map(),
  parts: new Map(),
  jobs: new Map(),
  plugs: new Map(),
  ledger: new Map(),
  photos: new Map(),
});

export function statesOf(shop: Shop, versions: Versions): States {
  const tables = emptyTables();
  for (const { in: list, record, version } of versions.gone)
    tables[list].set(record.id, nameOf(list, record.id, version));
  const versionOf = (list: Collection, id: string) =>
    versions.records[keyOf(list, id)] ?? plainVersion();
  for (const list of collections)
    for (const { id } of shop[list]) tables[list].set(id, nameOf(list, id, versionOf(list, id)));
  const rename = renamer(tables);
  const states: States = new Map();
  const add = (list: Collection, record: { id: string }, version: RecordVersion, gone: boolean) => {
    const name = nameOf(list, record.id, version);
    const tag = version.tag ?? record.id;
    const plain = withoutTag(record as Bag & { id: string }, tag);
    const named = renamedState(list, plain, tidy({ ...version, tag: undefined }), rename);
    states.set(keyOf(list, name), {
      list,
      name,
      tag,
      ...named,
      record: { ...named.record, id: name },
      gone,
    });
  };
  for (const list of collections)
    for (const record of shop[list]) add(list, record, versionOf(list, record.id), false);
  for (const { in: list, record, version } of versions.gone) add(list, record, version, true);
  const { name, settings } = headOf(shop);
  states.set('head', {
    list: 'head',
    name: 'head',
    tag: 'head',
    record: { name, settings },
    version: versions.records['head'] ?? plainVersion(),
    gone: false,
  });
  return states;
}

/** A tag given in place of another says so among the former ones; that is worked out anew. */
function withoutTag(record: Bag & { id: string }, tag: string): Bag {
  const was = record['was'] as string[] | undefined;
  if (tag === record.id || !was?.includes(tag)) return record;
  const { was: _, ...rest } = record;
  const others = was.filter((each) => each !== tag);
  return others.length > 0 ? { ...rest, was: others } : rest;
}

/** Record and version with every tag renamed, also in what was written apart and in the names of slots. */
function renamedState(
  list: Collection,
  record: Bag,
  version: RecordVersion,
  rename: Rename,
): { record: Bag; version: RecordVersion } {
  const named = renamedRecord(list, record, rename);
  const slotIn = (slot: string, value: unknown): { slot: string; value: unknown } => {
    const inside = listOf(slot);
    const alone = renamedRecord(list, withSlot({}, slot, value), rename);
    if (!inside) return { slot, value: valueAt(alone, slot) };
    const [item] = valueAt(alone, inside.path) as unknown[];
    return { slot: inside.keyed ? (keySlot(inside.path, item) ?? slot) : slot, value: item };
  };
  if (!version.wrote && !version.apart) return { record: named, version };
  const { values } = slotsOf(record, version);
  const slotNow = (slot: string) =>
    slot.includes('[') && values.has(slot) ? slotIn(slot, values.get(slot)).slot : slot;
  return {
    record: named,
    version: tidy({
      ...version,
      wrote: mapKeys(version.wrote, slotNow),
      apart:
        version.apart &&
        Object.fromEntries(
          Object.entries(version.apart).map(([slot, siblings]) => {
            let key = slotNow(slot);
            const values = siblings.map((sibling) => {
              if (!('value' in sibling)) return sibling;
              const moved = slotIn(slot, sibling.value);
              key = moved.slot;
              return { ...sibling, value: moved.value };
            });
            return [key, values];
          }),
        ),
    }),
  };
}

const mapKeys = <V>(bag: Record<string, V> | undefined, to: (key: string) => string) =>
  bag && Object.fromEntries(Object.entries(bag).map(([key, value]) => [to(key), value]));

export const valueAt = (record: Bag, path: string): unknown =>
  path.split('.').reduce<unknown>((bag, name) => (bag as Bag | undefined)?.[name], record);

/** By the write that made them, what was there from the beginning first. */
export const byMaking = (a: State, b: State): number =>
  byDot(a.version.made, b.version.made) || (a.name < b.name ? -1 : a.name > b.name ? 1 : 0);

/**
 * The tag each record bears: its first one, unless a record made before it without its knowledge has that too; then
 * with the letter of the bench it was made at. All benches give the same.
 */
export function tagsOf(states: States): Record<Collection, Map<string, string>> {
  const tables = emptyTables();
  for (const list of collections) {
    const all = [...states.values()].filter((state) => state.list === list).sort(byMaking);
    const claims = new Map<string, State[]>();
    for (const state of all) claims.set(state.tag, [...(claims.get(state.tag) ?? []), state]);
    const taken = new Set(all.flatMap(({ gone, tag }) => (gone ? [] : [tag])));
    for (const state of all) {
      const rivals = (claims.get(state.tag) ?? []).slice(
        0,
        claims.get(state.tag)?.indexOf(state) ?? 0,
      );
      const yields = rivals.some(
        (rival) => !rival.gone || !state.version.after?.includes(rival.name),
      );
      if (!yields || state.gone) {
        tables[list].set(state.name, state.tag);
        continue;
      }
      const bench = benchOf(state.version.made);
      let tag = state.tag;
      for (let n = 1; taken.has(tag); n += 1)
        tag = `${state.tag.slice(0, 32)}${bench.slice(0, n)}${n > bench.length ? String(n) : ''}`;
      taken.add(tag);
      tables[list].set(state.name, tag);
    }
  }
  return tables;
}

/** The shop and its versions again, every record under the tag it bears now. */
export function shopOf(states: States, base: Shop, line: string, seen: Versions['seen']) {
  const tables = tagsOf(states);
  const rename = renamer(tables);
  const lists: Record<Collection, { id: string }[]> = {
    models: [],
    machines: [],
    parts: [],
    jobs: [],
    plugs: [],
    ledger: [],
    photos: [],
  };
  const versions: Versions = { line, seen, records: {}, gone: [] };
  for (const state of states.values()) {
    if (state.list === 'head') {
      if (state.version.wrote || state.version.apart) versions.records['head'] = state.version;
      continue;
    }
    const { list, tag } = state;
    const { record, version } = renamedState(list, state.record, state.version, rename);
    const id = tables[list].get(state.name) ?? tag;
    const tagged = id === tag ? version : { ...version, tag };
    const was = record['was'] as string[] | undefined;
    const shown = {
      ...record,
      id,
      ...(id !== tag &&
        labelled.has(list) && { was: [...new Set([...(was ?? []), tag])].slice(-10) }),
    };
    if (state.gone)
      versions.gone.push({ in: list, record: shown as unknown as Gone['record'], version: tagged });
    else {
      lists[list].push(shown);
      if (Object.keys(tagged).length > 1 || tagged.made !== BEGINNING)
        versions.records[keyOf(list, id)] = tagged;
    }
  }
  const byId = (a: { id: string }, b: { id: string }) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);
  for (const list of Object.values(lists)) list.sort(byId);
  versions.gone.sort((a, b) => (keyOf(a.in, a.record.id) < keyOf(b.in, b.record.id) ? -1 : 1));
  const { name, settings } = states.get('head')?.record as unknown as Pick<
    Shop,
    'name' | 'settings'
  >;
  return { shop: { ...base, name, settings, ...(lists as unknown as Partial<Shop>) }, versions };
}
