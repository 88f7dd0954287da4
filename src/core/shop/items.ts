import { create } from 'mutative';
import type { Fact, Provenance } from '../model/types/fact.ts';
import type { ItemOf, ListKey } from '../model/properties/index.ts';
import type { Item } from '../model/types/shapes.ts';
import type { Job, Part, Shop } from '../model/types/types.ts';
import type { Edit } from '../model/types/edit.ts';

/**
 * Lists change by item, never as a whole: two tabs that each add a reading keep both. An item is
 * known by its content.
 */

/** The lists of a job whose items are known by their content. */
export type JobList = {
  [K in keyof Job]-?: Job[K] extends object[] | string[] ? K : never;
}[keyof Job];

type EntryOf<K extends JobList> = Job[K][number];

const inJob =
  (jobId: string, change: (job: Job) => void): Edit =>
  (shop) =>
    create(shop, (draft) => {
      const found = draft.jobs.find((each) => each.id === jobId);
      if (found) change(found);
    });

/** Adds items to a list of a job. */
export const addItems = <K extends JobList>(
  jobId: string,
  list: K,
  items: readonly EntryOf<K>[],
): Edit =>
  inJob(jobId, (job) => {
    (job[list] as EntryOf<K>[]).push(...items);
  });

/** Takes one item out of a list of a job; one that is gone already leaves the list as it is. */
export const dropItem = <K extends JobList>(jobId: string, list: K, item: EntryOf<K>): Edit =>
  inJob(jobId, (job) => {
    const items = job[list] as EntryOf<K>[];
    const at = items.findIndex((each) => sameContent(each, item));
    if (at >= 0) items.splice(at, 1);
  });

/** Changes fields of one item of a job's list. */
export const editItem = <K extends JobList>(
  jobId: string,
  list: K,
  item: EntryOf<K>,
  fields: Partial<EntryOf<K>>,
): Edit =>
  inJob(jobId, (job) => {
    const own = (job[list] as EntryOf<K>[]).find((each) => sameContent(each, item));
    if (own) Object.assign(own as object, fields);
  });

/** Adds wants that do not stand on the job's list yet. */
export const addWants = (jobId: string, wants: readonly Job['wants'][number][]): Edit =>
  inJob(jobId, (job) => {
    for (const want of wants)
      if (!job.wants.some((each) => each.what === want.what)) job.wants.push({ ...want });
  });

/** A drive's data was dealt with: what was noted of the same drive before goes. */
export const setClearing = (jobId: string, clearing: Job['clearings'][number]): Edit =>
  inJob(jobId, (job) => {
    job.clearings = job.clearings.filter((each) => each.partId !== clearing.partId);
    job.clearings.push(clearing);
  });

/**
 * Changes a list fact of a part, or of its model, as it stands when the edit is done: `change` gets the
 * items there are. No items left takes the fact out.
 */
export const changeItems = <K extends ListKey>(
  partId: string,
  key: K,
  change: (items: readonly ItemOf<K>[]) => readonly ItemOf<K>[],
  known: Provenance,
  onModel = false,
): Edit =>
  draft((shop) => {
    const part = shop.parts.find((each) => each.id === partId);
    const model = onModel ? shop.models.find((each) => each.id === part?.modelId) : undefined;
    const facts = (model ?? part)?.facts;
    if (!part || !facts) return;
    const own = (listIn(part.facts[key]) ??
      (model && listIn(model.facts[key])) ??
      []) as ItemOf<K>[];
    const items = [...change(own)];
    if (model) delete part.facts[key];
    if (items.length > 0) facts[key] = { ...known, items };
    else delete facts[key];
  });

const draft =
  (change: (shop: Shop) => void): Edit =>
  (shop) =>
    create(shop, change);

const listIn = (fact: Fact | undefined): Item[] | undefined =>
  fact && 'items' in fact ? [...fact.items] : undefined;

/** An edit that gives out a tag inside itself, so that no two tabs give the same; `tag()` is the one given last. */
export interface TagEdit {
  edit: Edit;
  tag: () => string;
}

/** Makes a `TagEdit` of a free tag in a shop and what is done with it. */
export function giveTag(free: (shop: Shop) => string, use: (tag: string) => Edit): TagEdit {
  let given = '';
  return {
    edit: (shop) => {
      given = free(shop);
      return use(given)(shop);
    },
    tag: () => given,
  };
}

/** Equal content, whatever the order of names; `undefined` counts as left out. */
export function sameContent(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const names = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...names].every((name) =>
    sameContent((a as Record<string, unknown>)[name], (b as Record<string, unknown>)[name]),
  );
}

/** A part before it has its tag. */
export type Untagged = Omit<Part, 'id'>;
