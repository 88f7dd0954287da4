import { sameContent } from '../shop/items.ts';
import { changesBetween, type RecordChange } from '../edits/changes.ts';
import type { Shop } from '../model/types/types.ts';
import type { Gone, RecordVersion, Seen, Versions } from '../model/types/versionTypes.ts';
import { table } from '../units/table.ts';
import { nextNumber } from './dots.ts';
import type { Copy } from './merge.ts';
import { plainVersion } from './slots.ts';
import { keyOf, nameOf } from './names.ts';
import { keptOn, stamped } from './stamp.ts';

/** Keeping versions: what an edit at this bench did, record by record. */

export interface Known {
  /** Versions of the records the changes touch. */
  records: Readonly<Record<string, RecordVersion | undefined>>;
  gone: readonly Gone[];
  seen: Seen;
}

export interface Stamps {
  /** What is kept of each touched record now; undefined: nothing any more. */
  records: Record<string, RecordVersion | undefined>;
  /** Taken out now, and what came back of what was. */
  buried: Gone[];
  revived: Gone[];
  seen: Seen;
}

/** Whether a record that was taken out is this one: of its list, with its tag. */
export const isGone = (gone: Gone, list: Gone['in'], id: string): boolean =>
  gone.in === list && gone.record.id === id;

/** `bench` names the writer: letters. Every record gets a write of its own. */
export function stampChanges(
  changes: readonly RecordChange[],
  known: Known,
  bench: string,
): Stamps {
  const stamps: Stamps = { records: table(), buried: [], revived: [], seen: { ...known.seen } };
  for (const change of changes) {
    const n = nextNumber(stamps.seen);
    const dot = `${bench}.${n}`;
    stamps.seen = { ...stamps.seen, [bench]: n };
    const key = change.in === 'head' ? 'head' : keyOf(change.in, change.id);
    const version = stamps.records[key] ?? known.records[key] ?? plainVersion();
    const [before, after] = [change.before, change.after] as (object | undefined)[];
    if (before && after) stamps.records[key] = stamped(version, before, after, dot, stamps.seen);
    else if (change.in === 'head') continue;
    else if (before) {
      const deleted = [...(version.deleted ?? []), { dot, seen: stamps.seen }];
      const record = before as Gone['record'];
      stamps.buried.push({ in: change.in, record, version: { ...version, deleted } });
      stamps.records[key] = undefined;
    } else if (after) {
      const list = change.in;
      const before = known.gone.filter((each) => isGone(each, list, change.id));
      const same = before.find(({ record }) => sameContent(record, after));
      if (same) stamps.revived.push(same);
      stamps.records[key] = same
        ? keptOn(same.version, dot)
        : {
            made: dot,
            ...(before.length > 0 && {
              after: before.map(({ record, version: its }) => nameOf(list, record.id, its)),
            }),
          };
    }
  }
  return stamps;
}

/** The copy after an edit at a bench: for whoever has all versions at hand. */
export function edited(copy: Copy, after: Shop, bench: string): Copy {
  const { records, gone, seen } = copy.versions;
  const stamps = stampChanges(changesBetween(copy.shop, after), { records, gone, seen }, bench);
  return { shop: after, versions: withStamps(copy.versions, stamps) };
}

export function withStamps(versions: Versions, stamps: Stamps): Versions {
  const records = { ...versions.records };
  for (const [key, version] of Object.entries(stamps.records)) {
    if (version) records[key] = version;
    else delete records[key];
  }
  return {
    ...versions,
    seen: stamps.seen,
    records,
    gone: [...versions.gone.filter((each) => !stamps.revived.includes(each)), ...stamps.buried],
  };
}

/** A shop nobody has edited apart yet; `line` names it. */
export const newVersions = (line: string): Versions => ({ line, seen: {}, records: {}, gone: [] });
