import { collections, type Collection } from '../model/types/collections.ts';
import type { Shop } from '../model/types/types.ts';

/**
 * An edit as the records it touched, before and after. Undo puts the befores back, redo the
 * afters; storing an edit writes just these records. Lists are sets of records by tag.
 */
export type Head = Pick<Shop, 'format' | 'version' | 'name' | 'settings'>;
type Item = { id: string };

export type RecordChange =
  | { in: Collection; id: string; before?: unknown; after?: unknown }
  | { in: 'head'; before: Head; after: Head };

export const headOf = ({ format, version, name, settings }: Shop): Head => ({
  format,
  version,
  name,
  settings,
});

/** Records that differ by reference between two values of a shop. */
export function changesBetween(before: Shop, after: Shop): RecordChange[] {
  const changes: RecordChange[] = [];
  if (before.settings !== after.settings || before.name !== after.name) {
    changes.push({ in: 'head', before: headOf(before), after: headOf(after) });
  }
  for (const name of collections) {
    if (before[name] === after[name]) continue;
    const was = new Map<string, Item>(before[name].map((item) => [item.id, item]));
    for (const item of after[name]) {
      const old = was.get(item.id);
      if (old !== item)
        changes.push({ in: name, id: item.id, ...(old ? { before: old } : {}), after: item });
      was.delete(item.id);
    }
    for (const [id, old] of was) changes.push({ in: name, id, before: old });
  }
  return changes;
}

/** The shop with each record as it stood on that side of the change. */
export function applyChanges(
  shop: Shop,
  changes: readonly RecordChange[],
  side: 'before' | 'after',
): Shop {
  const next: Shop = { ...shop };
  for (const change of changes) {
    if (change.in === 'head') {
      Object.assign(next, change[side]);
      continue;
    }
    const list = next[change.in] as Item[];
    const value = change[side] as Item | undefined;
    const at = list.findIndex((item) => item.id === change.id);
    const changed = value
      ? at < 0
        ? [...list, value]
        : list.with(at, value)
      : list.filter((item) => item.id !== change.id);
    Object.assign(next, { [change.in]: changed });
  }
  return next;
}

/** Two edits in a row as one: the older befores, the newer afters. */
export function joinChanges(
  first: readonly RecordChange[],
  second: readonly RecordChange[],
): RecordChange[] {
  const key = (change: RecordChange) =>
    change.in === 'head' ? 'head' : `${change.in} ${change.id}`;
  const joined = new Map(first.map((change) => [key(change), change]));
  for (const change of second) {
    const older = joined.get(key(change));
    joined.set(key(change), older ? ({ ...change, before: older.before } as RecordChange) : change);
  }
  return [...joined.values()];
}
