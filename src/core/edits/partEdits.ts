import { indexOf } from '../model/lookup/lookup.ts';
import type { Shop } from '../model/types/types.ts';
import { giveTag, type TagEdit, type Untagged } from '../shop/items.ts';
import { addPart, editJob, editMachine, editPart, nextPartId, type Edit } from './edits.ts';

/** Why a part cannot be deleted: something rests on it. Undefined where nothing does. */
export function whyKept(shop: Shop, id: string): string | undefined {
  const home = indexOf(shop).homeOf.get(id);
  if (home) return `${id} sits in ${home.name}: take it out there first.`;
  const job = shop.jobs.find((each) => each.changes.some(({ partId }) => partId === id));
  if (job) return `${id} is planned in job ${job.id}: take it out of the plan first.`;
  const kept = shop.jobs.find(
    (each) => each.id === shop.parts.find((part) => part.id === id)?.reserved,
  );
  if (kept) return `${id} is kept for job ${kept.id}.`;
  if (shop.ledger.some((entry) => entry.partId === id))
    return `${id} stands in the book: it was paid or sold. Mark it gone instead.`;
  return undefined;
}

/** Takes a part out of the shop where nothing rests on it: one that was put in by mistake. */
export const deletePart =
  (id: string): Edit =>
  (shop) =>
    whyKept(shop, id) === undefined && shop.parts.some((part) => part.id === id)
      ? { ...shop, parts: shop.parts.filter((part) => part.id !== id) }
      : shop;

/** Several alike: twins under one model, so that what is measured at one is known of all. `tag()` is the first's. */
export const addTwins = (part: Untagged, count: number): TagEdit =>
  giveTag(
    (shop) => nextPartId(shop),
    (first) => (shop) => {
      if (count === 1) return addPart({ ...part, id: first })(shop);
      const modelId = freeModel(shop, part.name);
      const withModel: Shop = {
        ...shop,
        models: [
          ...shop.models,
          { id: modelId, kind: part.kind, name: part.name, facts: part.facts },
        ],
      };
      return Array.from({ length: count }).reduce<Shop>(
        (now) => addPart({ ...part, facts: {}, modelId, id: nextPartId(now) })(now),
        withModel,
      );
    },
  );

/** A free name for a model called so. */
export function freeModel(shop: Shop, name: string): string {
  const stem =
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 28) || 'model';
  const taken = new Set(shop.models.map(({ id }) => id));
  if (!taken.has(stem)) return stem;
  for (let n = 2; ; n += 1) if (!taken.has(`${stem}-${n}`)) return `${stem}-${n}`;
}

const MOST_NOTE = 2000;
const joined = (before: string | undefined, note: string) =>
  [before, note].filter(Boolean).join('\n').slice(0, MOST_NOTE);

/** A line more in the note of a part. */
export const notePart =
  (id: string, note: string): Edit =>
  (shop) => {
    const part = shop.parts.find((each) => each.id === id);
    return part ? editPart(id, { note: joined(part.note, note) })(shop) : shop;
  };

/** A line more in the note of a machine. */
export const noteMachine =
  (id: string, note: string): Edit =>
  (shop) => {
    const machine = shop.machines.find((each) => each.id === id);
    return machine ? editMachine(id, { note: joined(machine.note, note) })(shop) : shop;
  };

/** A line more in the note of a job. */
export const noteJob =
  (id: string, note: string): Edit =>
  (shop) => {
    const job = shop.jobs.find((each) => each.id === id);
    return job ? editJob(id, { note: joined(job.note, note) })(shop) : shop;
  };
