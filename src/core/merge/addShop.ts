import { withoutCustomer } from '../export/jobShop.ts';
import { sameContent } from '../shop/items.ts';
import type {
  Entry,
  Job,
  Machine,
  Model,
  OwnPlug,
  Part,
  Photo,
  Shop,
} from '../model/types/types.ts';
import type { Collection } from '../model/types/collections.ts';

import { renamedRecord, type Rename } from './references.ts';

/**
 * A shop or job from a file added to a shop: what is there already is taken as the same, what only bears
 * the same tag is given a free one, remembers the old, and every reference to it follows.
 */

export interface Renamed {
  list: 'jobs' | 'machines' | 'parts' | 'models' | 'plugs';
  from: string;
  to: string;
  name: string;
}

export interface Merged {
  shop: Shop;
  /** Things that came, by list; those that were here already are not among them. */
  came: {
    jobs: Job[];
    machines: Machine[];
    parts: Part[];
    models: Model[];
    plugs: OwnPlug[];
    ledger: Entry[];
    photos: Photo[];
  };
  renamed: Renamed[];
  /** How many records were here already, equal in everything. */
  same: number;
}

type Tags = Map<string, string>;

/** Adds everything of `incoming` but its name and settings; rates only of currencies the shop has none for. */
export function addShop(own: Shop, incoming: Shop): Merged {
  const renamed: Renamed[] = [];
  let same = 0;
  /** New tags of one list: equal records keep theirs and are left out, others that clash get a free one. */
  function tagsOf<T extends { id: string }>(
    list: Renamed['list'] | 'ledger' | 'photos',
    here: readonly T[],
    there: readonly T[],
    free: (taken: Set<string>, id: string) => string,
    nameOf: (item: T) => string,
    same_: (before: T, item: T) => boolean = sameContent,
  ): { tags: Tags; fresh: T[] } {
    const known = new Map(here.map((item) => [item.id, item]));
    const taken = new Set([...known.keys(), ...there.map((item) => item.id)]);
    const tags: Tags = new Map();
    const fresh: T[] = [];
    for (const item of there) {
      const before = known.get(item.id);
      if (before && same_(before, item)) {
        same += 1;
        continue;
      }
      fresh.push(item);
      if (!before) continue;
      const to = free(taken, item.id);
      taken.add(to);
      tags.set(item.id, to);
      if (list !== 'ledger' && list !== 'photos')
        renamed.push({ list, from: item.id, to, name: nameOf(item) });
    }
    return { tags, fresh };
  }

  const nameOf = (item: { name: string }) => item.name;
  const models = tagsOf('models', own.models, incoming.models, numbered, nameOf);
  const plugs = tagsOf('plugs', own.plugs, incoming.plugs, numbered, nameOf);
  const numbers = [...own.jobs, ...own.machines, ...incoming.jobs, ...incoming.machines];
  let last = Math.max(0, ...numbers.map((each) => Number(each.id.replace(/\D/g, '')) || 0));
  const nextNumber = () => (last += 1);
  /* A job's file says nothing of the customer where that was not wished: it is the same job all the same. */
  const jobs = tagsOf(
    'jobs',
    own.jobs,
    incoming.jobs,
    () => String(nextNumber()),
    nameOf,
    (before, item) =>
      sameContent(item.customer === undefined ? withoutCustomer(before) : before, item),
  );
  const machines = tagsOf(
    'machines',
    own.machines,
    incoming.machines,
    () => `M${nextNumber()}`,
    nameOf,
  );
  const parts = tagsOf('parts', own.parts, incoming.parts, counted, nameOf);
  const ledger = tagsOf('ledger', own.ledger, incoming.ledger, counted, (entry) => entry.what);
  const photos = tagsOf('photos', own.photos, incoming.photos, counted, (photo) => photo.hash);

  const to =
    ({ tags }: { tags: Tags }) =>
    (id: string) =>
      tags.get(id) ?? id;
  const rename: Rename = {
    models: to(models),
    plugs: to(plugs),
    jobs: to(jobs),
    machines: to(machines),
    parts: to(parts),
    ledger: to(ledger),
    photos: to(photos),
  };
  const named = <T extends { id: string }>(list: Collection, fresh: readonly T[]): T[] =>
    fresh.map((each) => renamedRecord(list, each, rename));
  /** What bears a label remembers the tag on it. */
  const tagged = <T extends { id: string; was?: string[] | undefined }>(
    list: Collection,
    fresh: readonly T[],
  ): T[] =>
    named(list, fresh).map((each, at) => {
      const old = fresh[at]?.id;
      return old === undefined || old === each.id
        ? each
        : { ...each, was: [...(each.was ?? []), old].slice(-10) };
    });

  const came: Merged['came'] = {
    models: named('models', models.fresh),
    plugs: named('plugs', plugs.fresh),
    machines: tagged('machines', machines.fresh),
    parts: tagged('parts', parts.fresh),
    jobs: tagged('jobs', jobs.fresh),
    ledger: named('ledger', ledger.fresh),
    photos: named('photos', photos.fresh),
  };
  const rates = incoming.settings.rates.filter(
    (rate) =>
      rate.currency !== own.settings.currency &&
      incoming.settings.currency === own.settings.currency &&
      !own.settings.rates.some((each) => each.currency === rate.currency),
  );
  return {
    shop: {
      ...own,
      settings:
        rates.length > 0
          ? { ...own.settings, rates: [...own.settings.rates, ...rates] }
          : own.settings,
      models: [...own.models, ...came.models],
      machines: [...own.machines, ...came.machines],
      parts: [...own.parts, ...came.parts],
      jobs: [...own.jobs, ...came.jobs],
      plugs: [...own.plugs, ...came.plugs],
      ledger: [...own.ledger, ...came.ledger],
      photos: [...own.photos, ...came.photos],
    },
    came,
    renamed,
    same,
  };
}

/** `A01` becomes the first free of `A02`, `A03`, ... */
function counted(taken: Set<string>, id: string): string {
  const digits = /\d*$/.exec(id)?.[0] ?? '';
  const stem = id.slice(0, id.length - digits.length);
  for (let n = Number(digits) + 1; ; n += 1) {
    const next = `${stem}${String(n).padStart(digits.length || 1, '0')}`.slice(0, 40);
    if (!taken.has(next)) return next;
  }
}

/** `desk-case` becomes `desk-case-2`. */
function numbered(taken: Set<string>, id: string): string {
  for (let n = 2; ; n += 1) {
    const next = `${id.slice(0, 36)}-${n}`;
    if (!taken.has(next)) return next;
  }
}
