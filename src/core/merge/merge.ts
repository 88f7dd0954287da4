import { sameContent } from '../shop/items.ts';
import type { Shop } from '../model/types/types.ts';
import type {
  Deletion,
  Dot,
  RecordVersion,
  Seen,
  Sibling,
  Slot,
  Versions,
} from '../model/types/versionTypes.ts';
import { stableText } from '../units/stableText.ts';
import { byDot, joinSeen, knows } from './dots.ts';
import { renamedRecord, type Rename } from './references.ts';
import {
  birthOf,
  dotOf,
  isList,
  isMap,
  isOfThings,
  listOf,
  slotsOf,
  withSlot,
  type Bag,
  type Slots,
} from './slots.ts';

import { keyOf } from './names.ts';
import { shopOf, statesOf, valueAt, type State, type States } from './states.ts';
import { KEPT, tidy } from './stamp.ts';

/**
 * Two copies of one shop that were edited apart, put together: edits of different things both stand; of one thing
 * written twice both values are kept, one shown, until somebody chooses. Whoever merges, in whatever order, gets the
 * same (multi-value registers under one version vector: Almeida, Shoker, Baquero, Delta State Replicated Data Types,
 * 2018). Nobody's clock is asked.
 */

export interface Copy {
  shop: Shop;
  versions: Versions;
}

/** Throws RangeError where the copies do not stem from one shop. */
export function mergeCopies(a: Copy, b: Copy): Copy {
  if (a.versions.line !== b.versions.line) throw new RangeError('copies of two shops');
  const [left, right] = [statesOf(a.shop, a.versions), statesOf(b.shop, b.versions)];
  const merged: States = new Map();
  for (const key of [...new Set([...left.keys(), ...right.keys()])].sort()) {
    const [l, r] = [left.get(key), right.get(key)];
    const one = l && r ? mergedState(l, r, a.versions.seen, b.versions.seen) : (l ?? r);
    if (one) merged.set(key, one);
  }
  buryWhatIsGone(merged);
  return shopOf(merged, a.shop, a.versions.line, joinSeen(a.versions.seen, b.versions.seen));
}

interface Side {
  state: State;
  slots: Slots;
  seen: Seen;
}

function mergedState(a: State, b: State, seenA: Seen, seenB: Seen): State {
  if (sameContent(a.version, b.version) && sameContent(a.record, b.record)) return a;
  const sides: [Side, Side] = [
    { state: a, slots: slotsOf(a.record, a.version), seen: seenA },
    { state: b, slots: slotsOf(b.record, b.version), seen: seenB },
  ];
  const made = byDot(a.version.made, b.version.made) < 0 ? b.version.made : a.version.made;
  const version: RecordVersion = {
    ...a.version,
    ...b.version,
    made,
    wrote: {},
    apart: {},
    births: {},
    deleted: deletionsOf(sides),
    tag: undefined,
    after: union(a.version.after, b.version.after),
    isNot: union(a.version.isNot, b.version.isNot),
    handed:
      a.version.handed && b.version.handed
        ? joinSeen(a.version.handed, b.version.handed)
        : (a.version.handed ?? b.version.handed),
  };
  const wrote: Record<Slot, Dot> = {};
  const apart: Record<Slot, Sibling[]> = {};
  /* Fields that are objects of slots, and empty lists, stand as they are on either side. */
  let record: Bag = emptied({ ...b.record, ...a.record });
  const kept = new Map<Slot, unknown>();
  for (const slot of [
    ...new Set(
      sides.flatMap(({ state, slots }) => [
        ...slots.values.keys(),
        ...Object.keys(state.version.apart ?? {}),
        ...Object.keys(state.version.wrote ?? {}),
      ]),
    ),
  ].sort()) {
    if (slot === KEPT) continue;
    const [first, ...others] = combined(slot, sides);
    if (!first) continue;
    kept.set(slot, first.value);
    if (first.dot !== dotOf({ made }, slot)) wrote[slot] = first.dot;
    if (others.length > 0) apart[slot] = others;
  }
  const wroteAt = (slot: Slot) => wrote[slot] ?? dotOf({ made }, slot);
  const order = mergedOrder(sides, kept, wroteAt);
  for (const [slot, value] of kept) if (!listOf(slot)) record = withSlot(record, slot, value);
  for (const slots of order.values())
    for (const slot of slots) record = withSlot(record, slot, kept.get(slot));
  const keptOn = [a, b]
    .flatMap(({ version: { wrote: each } }) => each?.[KEPT] ?? [])
    .sort(byDot)
    .at(-1);
  if (keptOn) wrote[KEPT] = keptOn;
  const named = uniqueIds(record, order);
  return {
    ...a,
    record: named,
    version: tidy({ ...version, wrote, apart, births: birthsToKeep(order) }),
    gone: a.gone || b.gone,
  };
}

const union = (a: string[] | undefined, b: string[] | undefined): string[] | undefined =>
  a || b ? [...new Set([...(a ?? []), ...(b ?? [])])].sort() : undefined;

/** A record without the values of its slots: what is put back in one by one. */
function emptied(record: Bag): Bag {
  return Object.fromEntries(
    Object.entries(record).flatMap(([name, value]): [string, unknown][] => {
      if (name === 'id') return [[name, value]];
      if (Array.isArray(value) && isList(name)) return [[name, []]];
      if (isMap(name) && typeof value === 'object' && value !== null)
        return [[name, emptied(value as Bag)]];
      return [];
    }),
  );
}
/** What stands in a slot on one side: its value and what was written apart. */
function entriesOf({ state, slots }: Side, slot: Slot): Sibling[] {
  const here = slots.values.has(slot) || !listOf(slot);
  const value = slots.values.get(slot);
  return [
    ...(here ? [{ dot: dotOf(state.version, slot), ...(value !== undefined && { value }) }] : []),
    ...(state.version.apart?.[slot] ?? []),
  ];
}

/** What stands after merging, the shown one first; nothing where it was taken out of its list. */
function combined(slot: Slot, [a, b]: readonly [Side, Side]): Sibling[] {
  const [left, right] = [entriesOf(a, slot), entriesOf(b, slot)];
  const stays = (one: Sibling, others: readonly Sibling[], seen: Seen) =>
    others.some(({ dot }) => dot === one.dot) || !knows(seen, one.dot);
  const both = [
    ...left.filter((one) => stays(one, right, b.seen)),
    ...right.filter((one) => stays(one, left, a.seen)),
  ];
  /* Only a file somebody wrote by hand knows a write and lacks its value. */
  const all = both.length > 0 || listOf(slot) ? both : [...left, ...right];
  const byWrite = new Map<Dot, Sibling>();
  for (const one of all) {
    const other = byWrite.get(one.dot);
    if (!other || stableText(one.value) > stableText(other.value)) byWrite.set(one.dot, one);
  }
  const [first, ...rest] = [...byWrite.values()].sort((x, y) => byDot(y.dot, x.dot));
  return first ? [first, ...rest] : [];
}

/**
 * Order of a list: as it is where both sides have the same, else things by birth and what is known by a key by when
 * it was written.
 */
function mergedOrder(
  [a, b]: readonly [Side, Side],
  kept: ReadonlyMap<Slot, unknown>,
  wroteAt: (slot: Slot) => Dot,
): Map<string, Slot[]> {
  const textOf = (slot: Slot) => `${String((kept.get(slot) as Bag)?.['at'] ?? '')} ${slot}`;
  const byWrite = (x: Slot, y: Slot) =>
    byDot(wroteAt(x), wroteAt(y)) || (textOf(x) < textOf(y) ? -1 : 1);
  const merged = new Map<string, Slot[]>();
  const inLists = [...kept.keys()].filter((slot) => listOf(slot));
  const paths = [
    ...a.slots.order.keys(),
    ...b.slots.order.keys(),
    ...inLists.map((slot) => listOf(slot)?.path ?? ''),
  ];
  for (const path of [...new Set(paths)].sort()) {
    const [left, right] = [a.slots.order.get(path) ?? [], b.slots.order.get(path) ?? []];
    const all = inLists.filter((slot) => listOf(slot)?.path === path);
    const alike =
      left.length === right.length &&
      left.length === all.length &&
      left.every((slot, i) => slot === right[i] && kept.has(slot));
    const by = isOfThings(path) ? (x: Slot, y: Slot) => byBirth(birthOf(x), birthOf(y)) : byWrite;
    merged.set(path, alike ? left : all.sort(by));
  }
  return merged;
}

function byBirth(a: string, b: string): number {
  const [[dotA = '', nA], [dotB = '', nB]] = [a.split('/'), b.split('/')];
  if (nA === undefined || nB === undefined)
    return nA === nB ? Number(dotA) - Number(dotB) : nA === undefined ? -1 : 1;
  return byDot(dotA, dotB) || Number(nA) - Number(nB);
}

/** Births of lists as they would be counted anyway need not be kept. */
const birthsToKeep = (order: ReadonlyMap<string, Slot[]>): Record<string, string[]> =>
  Object.fromEntries(
    [...order].flatMap(([path, slots]) => {
      const births = slots.map(birthOf);
      return isOfThings(path) && births.some((birth, i) => birth !== String(i))
        ? [[path, births]]
        : [];
    }),
  );

/** Two searches or runs noted apart may bear one id: the later one gets the letter of its bench. */
function uniqueIds(record: Bag, order: ReadonlyMap<string, Slot[]>): Bag {
  let next = record;
  for (const [list, slots] of order) {
    if (!isOfThings(list)) continue;
    const items = valueAt(record, list) as Bag[];
    const taken = new Set<unknown>();
    const named = items.map((item, i) => {
      if (typeof item?.['id'] !== 'string') return item;
      let id: string = item['id'];
      const letter = /^[a-z]/.exec(birthOf(slots[i] ?? ''))?.[0] ?? 'x';
      while (taken.has(id)) id = `${id}${letter}`;
      taken.add(id);
      return id === item['id'] ? item : { ...item, id };
    });
    if (named.some((item, i) => item !== items[i])) next = { ...next, [list]: named };
  }
  return next;
}

function deletionsOf([a, b]: readonly [Side, Side]): Deletion[] {
  const [left, right] = [a.state.version.deleted ?? [], b.state.version.deleted ?? []];
  const stays = (one: Deletion, others: readonly Deletion[], seen: Seen) =>
    others.some(({ dot }) => dot === one.dot) || !knows(seen, one.dot);
  const both = [
    ...left.filter((one) => stays(one, right, b.seen)),
    ...right.filter((one) => stays(one, left, a.seen)),
  ];
  return [...new Map(both.map((one) => [one.dot, one])).values()].sort((x, y) =>
    byDot(x.dot, y.dot),
  );
}

/** Every write a record holds. */
export function writesOf({ record, version }: Pick<State, 'record' | 'version'>): Dot[] {
  return [
    version.made,
    ...Object.values(version.wrote ?? {}),
    ...[...slotsOf(record, version).values.keys()].map((slot) => dotOf(version, slot)),
    ...Object.values(version.apart ?? {}).flatMap((each) => each.map(({ dot }) => dot)),
  ];
}

/**
 * A deletion holds where whoever deleted had seen everything written in the record, and everything in others that
 * names it. Else it stays, with the deletion as a question. The answer hangs on nothing but the states.
 */
function buryWhatIsGone(states: States): void {
  const marked = [...states.values()].filter(({ version }) => (version.deleted?.length ?? 0) > 0);
  const dead = new Map<State, Deletion[]>();
  for (const state of marked) {
    const writes = writesOf(state);
    const holding = (state.version.deleted ?? []).filter(({ seen }) =>
      writes.every((dot) => knows(seen, dot)),
    );
    if (holding.length > 0) dead.set(state, holding);
  }
  for (let changed = dead.size > 0; changed;) {
    changed = false;
    for (const [state, deletions] of dead) {
      const still = deletions.filter(({ seen }) => !namedUnseen(state, seen, states, dead));
      if (still.length === deletions.length) continue;
      changed = true;
      if (still.length > 0) dead.set(state, still);
      else dead.delete(state);
    }
  }
  for (const [key, state] of states) {
    const gone = dead.has(state);
    if (state.gone !== gone) states.set(key, { ...state, gone });
  }
}

/** Whether a record that stays names this one in something written without the deleter's knowledge. */
function namedUnseen(
  target: State,
  seen: Seen,
  states: States,
  dead: ReadonlyMap<State, unknown>,
): boolean {
  if (target.list === 'head') return false;
  for (const state of states.values()) {
    if (state === target || state.list === 'head' || dead.has(state)) continue;
    if (writesOf(state).every((dot) => knows(seen, dot))) continue;
    let fresh: Bag = {};
    for (const [slot, value] of slotsOf(state.record, state.version).values)
      if (!knows(seen, dotOf(state.version, slot))) fresh = withSlot(fresh, slot, value);
    if (namesIn(state.list, fresh).has(keyOf(target.list, target.name))) return true;
  }
  return false;
}

function namesIn(list: Exclude<State['list'], 'head'>, record: Bag): Set<string> {
  const names = new Set<string>();
  const note = (of: Exclude<State['list'], 'head'>) => (id: string) => {
    names.add(keyOf(of, id));
    return id;
  };
  const rename: Rename = {
    models: note('models'),
    machines: note('machines'),
    parts: note('parts'),
    jobs: note('jobs'),
    plugs: note('plugs'),
    ledger: note('ledger'),
    photos: note('photos'),
  };
  const { id: _, ...others } = record;
  renamedRecord(list, others, rename);
  return names;
}
