import { findParts } from './readings/find.ts';
import { indexOf, standingOf } from '../model/lookup/lookup.ts';
import { wantedBy } from '../model/lookup/wanted.ts';
import { kindName } from '../model/types/seats.ts';
import { kinds, type Condition, type Kind, type Part, type Shop } from '../model/types/types.ts';

/** The shelf as a list: every part of the house with what it is sorted and filtered by. */

export interface ShelfRow {
  part: Part;
  condition: Condition;
  /** Where it is, in words: a drawer, `donor M31`, `in M14`, a dealer. */
  place: string;
  sort: 'shelf' | 'donor' | 'machine' | 'buy' | 'gone';
  /** Minor units of the price, where there is one in the shop's own currency; undefined sorts last. */
  minor: number | undefined;
  /** ISO day something was first known of it; undefined where nobody noted one. */
  since: string | undefined;
  /** Open jobs that have planned it. */
  wanted: readonly string[];
}

export const shelfSorts = ['tag', 'kind', 'name', 'place', 'condition', 'price', 'age'] as const;
export type ShelfSort = (typeof shelfSorts)[number];

export interface ShelfFilter {
  /** Words and tags, as in the entry line. */
  text: string;
  kind?: Kind | undefined;
  condition?: Condition | undefined;
  /** What is free is on the shelf or in a donor; `all` has the machines in use and what is gone. */
  where: 'free' | 'shelf' | 'donor' | 'machine' | 'buy' | 'gone' | 'all';
  /** Minor units of the shop's currency. */
  most?: number | undefined;
  /** Only what is promised to nobody. */
  unwanted?: boolean | undefined;
}

/** Rows of everything, by tag. */
export function shelfRows(shop: Shop): ShelfRow[] {
  const { homeOf } = indexOf(shop);
  const wanted = wantedBy(shop);
  return shop.parts
    .map((part): ShelfRow => {
      const home = homeOf.get(part.id);
      const sort =
        part.place === 'gone'
          ? 'gone'
          : home
            ? home.state === 'donor'
              ? 'donor'
              : 'machine'
            : part.place === 'buy'
              ? 'buy'
              : 'shelf';
      const { price } = part;
      return {
        part,
        condition: standingOf(shop, part).condition,
        place: placeWords(part, sort, home?.id),
        sort,
        minor: price?.currency === shop.settings.currency ? price.minor : undefined,
        since: sinceOf(part),
        wanted: wanted.get(part.id) ?? [],
      };
    })
    .sort((a, b) => byTag(a.part.id, b.part.id));
}

function placeWords(part: Part, sort: ShelfRow['sort'], home: string | undefined): string {
  if (sort === 'donor') return `donor ${home}`;
  if (sort === 'machine') return `in ${home}`;
  if (sort === 'gone') return 'gone';
  return part.where ?? (sort === 'buy' ? 'to buy' : 'shelf');
}

function sinceOf({ facts }: Part): string | undefined {
  let first: string | undefined;
  for (const { at } of Object.values(facts))
    if (at !== undefined && (first === undefined || at < first)) first = at;
  return first?.slice(0, 10);
}

const text = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);

const byTag = (a: string, b: string): number => {
  const [n, m] = [/\d*$/.exec(a)?.[0] ?? '', /\d*$/.exec(b)?.[0] ?? ''];
  const [stemA, stemB] = [a.slice(0, a.length - n.length), b.slice(0, b.length - m.length)];
  return text(stemA, stemB) || Number(n) - Number(m) || text(a, b);
};

const kindAt = new Map(kinds.map((kind, at) => [kind, at]));

const compare: Record<ShelfSort, (a: ShelfRow, b: ShelfRow) => number> = {
  tag: () => 0,
  kind: (a, b) => (kindAt.get(a.part.kind) ?? 0) - (kindAt.get(b.part.kind) ?? 0),
  name: (a, b) => text(a.part.name.toLowerCase(), b.part.name.toLowerCase()),
  place: (a, b) => text(a.place, b.place),
  condition: (a, b) => text(a.condition, b.condition),
  price: (a, b) => (a.minor ?? 0) - (b.minor ?? 0),
  age: (a, b) => text(a.since ?? '', b.since ?? ''),
};
/** What is not known stands last, whichever way the list runs. */
const unknown: Partial<Record<ShelfSort, (row: ShelfRow) => boolean>> = {
  price: ({ minor }) => minor === undefined,
  age: ({ since }) => since === undefined,
};

/** Rows in another order; equal ones stay by tag. */
export function sortShelf(rows: readonly ShelfRow[], by: ShelfSort, down: boolean): ShelfRow[] {
  const last = unknown[by] ?? (() => false);
  return rows
    .map((row, at) => ({ row, at }))
    .sort((a, b) => {
      const [lastA, lastB] = [last(a.row), last(b.row)];
      if (lastA !== lastB) return lastA ? 1 : -1;
      const way = lastA ? 0 : compare[by](a.row, b.row);
      return (down ? -way : way) || (down && by === 'tag' ? b.at - a.at : a.at - b.at);
    })
    .map(({ row }) => row);
}

/** Rows that pass every filter that is set. */
export function filterShelf(
  shop: Shop,
  rows: readonly ShelfRow[],
  filter: ShelfFilter,
): ShelfRow[] {
  const { where, kind, condition, most, unwanted } = filter;
  const found = filter.text.trim() === '' ? undefined : new Set(findParts(shop, filter.text));
  return rows.filter(
    (row) =>
      (where === 'all' ||
        (where === 'free' ? row.sort === 'shelf' || row.sort === 'donor' : row.sort === where)) &&
      (kind === undefined || row.part.kind === kind) &&
      (condition === undefined || row.condition === condition) &&
      (most === undefined || (row.minor !== undefined && row.minor <= most)) &&
      (!unwanted || (row.wanted.length === 0 && !row.part.reserved)) &&
      (found === undefined || found.has(row.part)),
  );
}

/** Kinds there are, in their usual order, with how many. */
export function kindsThere(
  rows: readonly ShelfRow[],
): { kind: Kind; name: string; count: number }[] {
  const counts = new Map<Kind, number>();
  for (const { part } of rows) counts.set(part.kind, (counts.get(part.kind) ?? 0) + 1);
  return kinds.flatMap((kind) => {
    const count = counts.get(kind);
    return count ? [{ kind, name: kindName(kind), count }] : [];
  });
}
