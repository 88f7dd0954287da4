import type { Edit } from '../model/types/edit.ts';
import type { HeardCard } from '../model/types/cardTypes.ts';
import type { Fact, Facts } from '../model/types/fact.ts';
import type { Model, OwnPlug, Shop } from '../model/types/types.ts';
import { addPhotos } from '../edits/photoEdits.ts';
import { sameContent } from '../shop/items.ts';
import { table } from '../units/table.ts';
import type { Card, CardFile } from '../model/types/cardFile.ts';
import { agree, combined } from './combine.ts';

/** Taking in cards: what another shop says fills what is not known here and never stands above it. */

export interface Difference {
  modelId: string;
  name: string;
  key: string;
  /** Own fact, or what was heard before. */
  here: Fact;
  /** From whom what stands here is; undefined: one's own. */
  hereFrom?: string | undefined;
  said: Fact;
  from: string;
}

/** The model a card is about: of its name among models, or of its kind and name. */
const modelFor = (shop: Shop, card: Card): Model | undefined =>
  shop.models.find(({ id, kind }) => id === card.id && kind === card.kind) ??
  shop.models.find(
    ({ kind, name }) =>
      kind === card.kind && name.trim().toLowerCase() === card.name.trim().toLowerCase(),
  );

/** Facts of a model with what shops said of it: one's own stand as they are. */
function withHeard(own: Facts, cards: readonly HeardCard[]): Facts {
  const facts: Facts = Object.fromEntries(Object.entries(own).filter(([, fact]) => !fact.heard));
  const keys = new Set(cards.flatMap((card) => Object.keys(card.facts)));
  for (const key of [...keys].sort()) {
    if (facts[key] && facts[key].how !== 'class') continue;
    const said = cards.flatMap((card) => {
      const fact = card.facts[key];
      return fact ? [{ from: card.from, fact }] : [];
    });
    const fact = combined(said);
    if (fact) facts[key] = fact;
  }
  return facts;
}

function heardOf(card: Card, from: string): HeardCard {
  const { facts, minutes, faults } = card;
  return { from, facts, ...(minutes && { minutes }), ...(faults && { faults }) };
}

/** Takes cards in; the same card again changes nothing, a newer one of the same shop replaces its older one. */
export const takeCards =
  (file: CardFile): Edit =>
  (shop) => {
    const plugs = plugsOf(shop, file.plugs);
    let models = shop.models;
    for (const card of file.cards) {
      const renamed = { ...card, facts: withPlugs(card.facts, plugs.names) };
      const known = modelFor({ ...shop, models }, card);
      const heard = heardOf(renamed, file.shop);
      const cards = [...(known?.cards ?? []).filter(({ from }) => from !== file.shop), heard].sort(
        (a, b) => (a.from < b.from ? -1 : 1),
      );
      const next: Model = {
        ...(known ?? { id: freeId(models, card.id), kind: card.kind, name: card.name }),
        facts: withHeard(known?.facts ?? {}, cards),
        cards,
      };
      if (known && sameContent(known, next)) continue;
      models = known ? models.map((each) => (each === known ? next : each)) : [...models, next];
    }
    const taken =
      models === shop.models && plugs.fresh.length === 0
        ? shop
        : { ...shop, models, plugs: [...shop.plugs, ...plugs.fresh] };
    const photos = file.cards.flatMap((card) => {
      const modelId = modelFor(taken, card)?.id;
      return (card.photos ?? []).map((photo) => ({
        ...photo,
        modelId,
        note: [photo.note, `shop ${file.shop}`].filter(Boolean).join(', '),
      }));
    });
    return photos.length > 0 ? addPhotos(photos)(taken) : taken;
  };

/** Where what a file says cannot be true together with what stands here. */
export function differencesOf(shop: Shop, file: CardFile): Difference[] {
  return file.cards.flatMap((card) => {
    const model = modelFor(shop, card);
    if (!model) return [];
    return Object.entries(card.facts).flatMap(([key, said]): Difference[] => {
      const own = model.facts[key];
      const others = (model.cards ?? []).filter(({ from }) => from !== file.shop);
      const about = { modelId: model.id, name: model.name, key, said, from: file.shop };
      if (own && own.how !== 'class' && !own.heard)
        return agree(own, said) ? [] : [{ ...about, here: own }];
      return others.flatMap(({ from, facts }) => {
        const here = facts[key];
        return here && !agree(here, said) ? [{ ...about, here, hereFrom: from }] : [];
      });
    });
  });
}

/** Where a model's own facts and its cards cannot all be true. */
export const disputesOf = (model: Model): { key: string; from: string; said: Fact }[] =>
  (model.cards ?? []).flatMap(({ from, facts }) =>
    Object.entries(facts).flatMap(([key, said]) => {
      const own = model.facts[key];
      return own && own.how !== 'class' && !own.heard && !agree(own, said)
        ? [{ key, from, said }]
        : [];
    }),
  );

function freeId(models: readonly Model[], id: string): string {
  const taken = new Set(models.map((each) => each.id));
  let free = id;
  for (let n = 2; taken.has(free); n += 1) free = `${id.slice(0, 36)}-${n}`;
  return free;
}

/** Plugs that are here already, pin by pin, are the same; others of a taken name get a free one. */
function plugsOf(shop: Shop, plugs: readonly OwnPlug[]) {
  const names = table<string>();
  const fresh: OwnPlug[] = [];
  for (const plug of plugs) {
    const alike = [...shop.plugs, ...fresh].find(
      (each) => each.ways === plug.ways && sameContent(each.pins, plug.pins),
    );
    if (alike) names[plug.id] = alike.id;
    else {
      const taken = new Set([...shop.plugs, ...fresh].map(({ id }) => id));
      let id = plug.id;
      for (let n = 2; taken.has(id); n += 1) id = `${plug.id.slice(0, 36)}-${n}`;
      names[plug.id] = id;
      fresh.push({ ...plug, id });
    }
  }
  return { names, fresh };
}

function withPlugs(facts: Facts, names: Readonly<Record<string, string>>): Facts {
  const to = (word: string) => names[word] ?? word;
  return Object.fromEntries(
    Object.entries(facts).map(([key, fact]): [string, Fact] => {
      if ('text' in fact) return [key, { ...fact, text: to(fact.text) }];
      if ('items' in fact)
        return [
          key,
          {
            ...fact,
            items: fact.items.map((item) => (typeof item === 'string' ? to(item) : item)),
          },
        ];
      return [key, fact];
    }),
  );
}
