import { sameContent } from './items.ts';
import type { Fact, Facts } from '../model/types/fact.ts';
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
import { withParts } from '../remedies/index.ts';

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
export function mergeShops(own: Shop, incoming: Shop): Merged {
  const renamed: Renamed[] = [];
  let same = 0;
  /** New tags of one list: equal records keep theirs and are left out, others that clash get a free one. */
  function tagsOf<T extends { id: string }>(
    list: Renamed['list'] | 'ledger' | 'photos',
    here: readonly T[],
    there: readonly T[],
    free: (taken: Set<string>, id: string) => string,
    nameOf: (item: T) => string,
  ): { tags: Tags; fresh: T[] } {
    const known = new Map(here.map((item) => [item.id, item]));
    const taken = new Set([...known.keys(), ...there.map((item) => item.id)]);
    const tags: Tags = new Map();
    const fresh: T[] = [];
    for (const item of there) {
      const before = known.get(item.id);
      if (before && sameContent(before, item)) {
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

  const named = (item: { name: string }) => item.name;
  const models = tagsOf('models', own.models, incoming.models, numbered, named);
  const plugs = tagsOf('plugs', own.plugs, incoming.plugs, numbered, named);
  const numbers = [...own.jobs, ...own.machines, ...incoming.jobs, ...incoming.machines];
  let last = Math.max(0, ...numbers.map((each) => Number(each.id.replace(/\D/g, '')) || 0));
  const nextNumber = () => (last += 1);
  const jobs = tagsOf('jobs', own.jobs, incoming.jobs, () => String(nextNumber()), named);
  const machines = tagsOf(
    'machines',
    own.machines,
    incoming.machines,
    () => `M${nextNumber()}`,
    named,
  );
  const parts = tagsOf('parts', own.parts, incoming.parts, counted, named);
  const ledger = tagsOf('ledger', own.ledger, incoming.ledger, counted, (entry) => entry.what);
  const photos = tagsOf('photos', own.photos, incoming.photos, counted, (photo) => photo.hash);

  const to = (tags: { tags: Tags }) => (id: string) => tags.tags.get(id) ?? id;
  const [part, model, machine, job, plug] = [parts, models, machines, jobs, plugs].map(to) as [
    (id: string) => string,
    (id: string) => string,
    (id: string) => string,
    (id: string) => string,
    (id: string) => string,
  ];
  const optional = <K extends string>(
    key: K,
    id: string | undefined,
    rename: (id: string) => string,
  ) => (id === undefined ? {} : ({ [key]: rename(id) } as Record<K, string>));
  const tagged = <T extends { id: string; was?: string[] | undefined }>(item: T, id: string): T =>
    id === item.id ? item : { ...item, id, was: [...(item.was ?? []), item.id].slice(-10) };
  const factsOf = (facts: Facts) => renamedFacts(facts, part, model, plug);

  const came: Merged['came'] = {
    models: models.fresh.map((each) => ({
      ...each,
      id: model(each.id),
      facts: factsOf(each.facts),
    })),
    plugs: plugs.fresh.map((each) => ({ ...each, id: plug(each.id) })),
    machines: machines.fresh.map((each) => ({
      ...tagged(each, machine(each.id)),
      ...optional('modelId', each.modelId, model),
      facts: factsOf(each.facts),
      seats: each.seats.map((seat) => ({ ...seat, partId: part(seat.partId) })),
    })),
    parts: parts.fresh.map((each) => ({
      ...tagged(each, part(each.id)),
      ...optional('modelId', each.modelId, model),
      ...optional('from', each.from, machine),
      ...optional('reserved', each.reserved, job),
      ...(each.service && {
        service: each.service.map((line) => ({ ...line, ...optional('jobId', line.jobId, job) })),
      }),
      facts: factsOf(each.facts),
    })),
    jobs: jobs.fresh.map((each) => ({
      ...tagged(each, job(each.id)),
      ...optional('machineId', each.machineId, machine),
      changes: each.changes.map((change) => ({
        ...change,
        partId: change.partId === null ? null : part(change.partId),
      })),
      applied: each.applied.map((value) => withParts(value, part)),
      ticks: each.ticks.map((tick) => ({ ...tick, stepId: renamedTokens(tick.stepId, part) })),
      wants: each.wants.map((want) => ({
        ...want,
        ...(want.remedy && { remedy: withParts(want.remedy, part) }),
      })),
      clearings: each.clearings.map((each) => ({ ...each, partId: part(each.partId) })),
      damages: each.damages.map((each) => ({ ...each, ...optional('partId', each.partId, part) })),
      dropped: each.dropped.map((each) => ({ ...each, ...optional('partId', each.partId, part) })),
      diagnoses: each.diagnoses.map((hunt) => ({
        ...hunt,
        tried: hunt.tried.map((tried) => ({ ...tried, ...optional('with', tried.with, part) })),
      })),
    })),
    ledger: ledger.fresh.map((each) => ({
      ...each,
      id: to(ledger)(each.id),
      ...optional('jobId', each.jobId, job),
      ...optional('machineId', each.machineId, machine),
      ...optional('partId', each.partId, part),
    })),
    photos: photos.fresh.map((each) => ({
      ...each,
      id: to(photos)(each.id),
      ...optional('jobId', each.jobId, job),
      ...optional('machineId', each.machineId, machine),
      ...optional('partId', each.partId, part),
    })),
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

/** Tags inside an id like `put:cooler:K02`. */
const renamedTokens = (id: string, part: (id: string) => string): string =>
  id.split(':').map(part).join(':');

/** Facts that name parts, models or plugs by their tags. */
function renamedFacts(
  facts: Facts,
  part: (id: string) => string,
  model: (id: string) => string,
  plug: (id: string) => string,
): Facts {
  const rename = (key: string, text: string) =>
    key === 'belongsTo' ? model(part(text)) : plug(text);
  return Object.fromEntries(
    Object.entries(facts).map(([key, fact]): [string, Fact] => {
      if ('text' in fact) return [key, { ...fact, text: rename(key, fact.text) }];
      if ('items' in fact)
        return [
          key,
          {
            ...fact,
            items: fact.items.map((item) => (typeof item === 'string' ? rename(key, item) : item)),
          },
        ];
      return [key, fact];
    }),
  );
}
