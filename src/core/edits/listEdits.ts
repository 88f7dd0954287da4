import type { ListedPart } from '../intake/priceList.ts';
import type { Part, Shop } from '../model/types/types.ts';
import { nextPartId, type Edit } from './edits.ts';
import { wantedBy } from '../model/lookup/wanted.ts';

/**
 * Lays a price list in: its parts stand to be bought. An older list of the same name goes, but for parts
 * that some plan holds; those keep their tag and take the new price.
 */
export const addList =
  (source: string, listed: readonly ListedPart[]): Edit =>
  (shop) => {
    const wanted = wantedBy(shop);
    const old = shop.parts.filter((part) => part.place === 'buy' && part.where === source);
    const held = old.filter((part) => wanted.has(part.id));
    const rest = shop.parts.filter((part) => !old.includes(part) || held.includes(part));
    const next: Part[] = [...rest];
    let number = Number(nextPartId({ ...shop, parts: rest } as Shop, 'P').slice(1));
    for (const part of listed) {
      const again = held.find((each) => each.kind === part.kind && each.name === part.name);
      if (again) next[next.indexOf(again)] = { ...again, ...part };
      else {
        next.push({ id: `P${String(number).padStart(2, '0')}`, ...part });
        number += 1;
      }
    }
    return { ...shop, parts: next };
  };

/** Takes a price list out again, but for parts that some plan holds. */
export const dropList =
  (source: string): Edit =>
  (shop) => {
    const wanted = wantedBy(shop);
    return {
      ...shop,
      parts: shop.parts.filter(
        (part) => part.place !== 'buy' || part.where !== source || wanted.has(part.id),
      ),
    };
  };
