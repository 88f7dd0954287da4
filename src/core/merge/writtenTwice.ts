import type { Collection } from '../model/types/collections.ts';
import type { Edit } from '../model/types/edit.ts';
import type { Shop } from '../model/types/types.ts';
import type { RecordVersion, Slot } from '../model/types/versionTypes.ts';
import { sameContent } from '../shop/items.ts';
import type { Copy } from './merge.ts';
import { nothing, type Choice, type Question } from './question.ts';
import { slotsOf, withSlot, type Bag } from './slots.ts';

/** Looks of the page: whoever sets them last has them, and nobody is asked. */
const quiet = new Set(['settings.theme', 'settings.textSize', 'settings.labelStock']);
const sameBut = (a: unknown, b: unknown): boolean => {
  if (sameContent(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || !a || !b) return false;
  return sameContent({ ...a, at: undefined }, { ...b, at: undefined });
};

const recordAt = (
  { shop }: Copy,
  key: string,
): { in: Collection | 'head'; record: Bag } | undefined => {
  if (key === 'head')
    return { in: 'head', record: { id: 'head', name: shop.name, settings: shop.settings } };
  const at = key.indexOf('/');
  const list = key.slice(0, at) as Collection;
  const id = key.slice(at + 1);
  const record = (shop[list] as { id: string }[] | undefined)?.find((each) => each.id === id);
  return record && { in: list, record: record as unknown as Bag };
};

/** Puts a value into a slot of a record as an ordinary edit. */
const putSlot =
  (
    list: Collection | 'head',
    id: string,
    version: RecordVersion,
    slot: Slot,
    value: unknown,
  ): Edit =>
  (shop) => {
    if (list === 'head') {
      const { name, settings } = withSlot(
        { name: shop.name, settings: shop.settings },
        slot,
        value,
      ) as unknown as Pick<Shop, 'name' | 'settings'>;
      return { ...shop, name, settings };
    }
    const put = <T extends { id: string }>(record: T): T =>
      record.id === id
        ? (replaced(record as unknown as Bag, version, slot, value) as unknown as T)
        : record;
    return { ...shop, [list]: (shop[list] as { id: string }[]).map(put) };
  };

/** Items of lists of things are replaced in their place. */
function replaced(record: Bag, version: RecordVersion, slot: Slot, value: unknown): Bag {
  if (!slot.includes('#')) return withSlot(record, slot, value);
  const path = slot.slice(0, slot.indexOf('#'));
  const at = slotsOf(record, version).order.get(path)?.indexOf(slot) ?? -1;
  const items = record[path] as unknown[];
  return at < 0 ? record : { ...record, [path]: items.with(at, value) };
}

/** One slot written at two benches. */
export function writtenTwice(copy: Copy): Question[] {
  return Object.entries(copy.versions.records).flatMap(([key, version]) => {
    const found = version.apart && recordAt(copy, key);
    if (!found) return [];
    const id = String(found.record['id']);
    const { values } = slotsOf(found.record, version);
    return Object.entries(version.apart ?? {}).flatMap(([slot, siblings]): Question[] => {
      const shown = values.get(slot);
      const others = siblings.map(({ value }) => value).filter((value) => !sameBut(value, shown));
      if (quiet.has(slot) || others.length === 0) return [];
      const choice = (value: unknown, stands: boolean): Choice => ({
        value,
        shown: stands,
        answer: {
          say: 'chosen',
          edit: stands ? nothing : putSlot(found.in, id, version, slot, value),
          settles: [{ key, slot }],
        },
      });
      return [
        {
          id: `${key} ${slot}`,
          ask: 'Written at two benches',
          in: found.in,
          of: id,
          slot,
          choices: [choice(shown, true), ...others.map((value) => choice(value, false))],
        },
      ];
    });
  });
}

/** Deleted at one bench, edited or needed at another. */
export function deletedElsewhere(copy: Copy): Question[] {
  return Object.entries(copy.versions.records).flatMap(([key, version]): Question[] => {
    const found = version.deleted?.length ? recordAt(copy, key) : undefined;
    if (!found || found.in === 'head') return [];
    const list = found.in;
    const id = String(found.record['id']);
    return [
      {
        id: `${key} deleted`,
        ask: 'Deleted at one bench, edited or needed at the other',
        in: list,
        of: id,
        choices: [
          {
            value: 'Keep it',
            shown: true,
            answer: { say: 'kept', edit: nothing, keeps: [key] },
          },
          {
            value: 'Delete it',
            shown: false,
            answer: {
              say: 'deleted',
              edit: (shop) => ({
                ...shop,
                [list]: (shop[list] as { id: string }[]).filter((each) => each.id !== id),
              }),
            },
          },
        ],
      },
    ];
  });
}
