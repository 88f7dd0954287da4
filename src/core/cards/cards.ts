import { CARDS_FORMAT, CARDS_VERSION, type Card, type CardFile } from '../model/types/cardFile.ts';
import { wordsIn } from '../model/types/fact.ts';
import type { Job, Model, Shop } from '../model/types/types.ts';
import { causes, symptoms } from '../startup/index.ts';
import { sortKeys } from '../export/json.ts';
import { table } from '../units/table.ts';

/**
 * Cards of models: what was measured of a case, a board, a PSU, with who measured it and how, as one small file that
 * another shop takes in. Who sends it says it; nothing proves it.
 */

const MOST_PHOTOS = 20;
/** Facts that name pieces of one shop mean nothing in another. */
const ownAffairs = new Set(['belongsTo']);

/** Of some models, or of all that have anything to tell. */
export function cardsOf(shop: Shop, modelIds?: readonly string[]): CardFile {
  const cards = shop.models
    .filter(({ id }) => !modelIds || modelIds.includes(id))
    .map((model) => cardOf(shop, model))
    .filter(
      ({ facts, minutes, faults, photos }) =>
        Object.keys(facts).length > 0 || minutes || faults || photos,
    )
    .sort((a, b) => (a.id < b.id ? -1 : 1));
  const named = new Set(cards.flatMap(({ facts }) => wordsIn(facts)));
  return {
    format: CARDS_FORMAT,
    version: CARDS_VERSION,
    shop: shop.name,
    cards,
    plugs: shop.plugs.filter(({ id }) => named.has(id)).sort((a, b) => (a.id < b.id ? -1 : 1)),
  };
}

function cardOf(shop: Shop, model: Model): Card {
  const facts = Object.fromEntries(
    Object.entries(model.facts).filter(
      ([key, { how, heard }]) => how !== 'class' && !ownAffairs.has(key) && !heard,
    ),
  );
  /* The story of a machine goes with its board, so that it is told once. */
  const jobs = model.kind === 'board' ? jobsOn(shop, model.id) : [];
  const minutes = jobs.flatMap(({ id, becomes }) => {
    const sum = shop.ledger.reduce(
      (total, entry) => total + (entry.jobId === id ? (entry.minutes ?? 0) : 0),
      0,
    );
    return sum > 0 ? [{ what: becomes, minutes: sum }] : [];
  });
  const faults = jobs.flatMap(({ diagnoses }) =>
    diagnoses.flatMap(({ verdict, causeId, symptom }) => {
      const cause = causeNames[causeId ?? ''];
      return verdict === 'found' && cause
        ? [{ symptom: symptomNames[symptom] ?? symptom, cause }]
        : [];
    }),
  );
  const photos = shop.photos
    .filter(({ modelId }) => modelId === model.id)
    .map(({ hash, at, width, height, bytes, note, marks }) => ({
      hash,
      at,
      width,
      height,
      bytes,
      marks,
      ...(note !== undefined && { note }),
    }))
    .slice(0, MOST_PHOTOS);
  return {
    id: model.id,
    kind: model.kind,
    name: model.name,
    facts,
    ...(minutes.length > 0 && { minutes }),
    ...(faults.length > 0 && { faults }),
    ...(photos.length > 0 && { photos }),
  };
}

const causeNames = table(Object.fromEntries(causes.map(({ id, name }) => [id, name])));
const symptomNames = table<string>(symptoms);

/** Jobs on machines that came in with a part of the model. */
function jobsOn(shop: Shop, modelId: string): Job[] {
  const parts = new Set(shop.parts.flatMap((part) => (part.modelId === modelId ? [part.id] : [])));
  const machines = new Set(
    shop.machines.flatMap(({ id, seats }) =>
      seats.some(({ partId }) => parts.has(partId)) ? [id] : [],
    ),
  );
  return shop.jobs.filter(({ machineId }) => machineId !== undefined && machines.has(machineId));
}

/** The file as people keep it: the same cards give the same bytes. */
export function writeCards({ format, version, ...rest }: CardFile): string {
  return `${JSON.stringify({ format, version, ...(sortKeys(rest) as object) }, null, 2)}\n`;
}
