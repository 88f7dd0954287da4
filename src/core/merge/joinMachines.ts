import type { Collection } from '../model/types/collections.ts';
import type { Edit } from '../model/types/edit.ts';
import type { Machine, Part, Shop } from '../model/types/types.ts';
import { sameContent } from '../shop/items.ts';
import { renamedRecord, type Rename } from './references.ts';

/** Two machines become the first; what sits in the same seat of both becomes one part, the rest moves over. */
export const joinMachines =
  (keepId: string, dropId: string): Edit =>
  (shop) => {
    const seatsOf = (id: string) => shop.machines.find((each) => each.id === id)?.seats ?? [];
    const own = new Map(seatsOf(keepId).map(({ seat, partId }) => [seat, partId]));
    const joined = seatsOf(dropId).reduce((now, { seat, partId }) => {
      const kept = own.get(seat);
      return kept === undefined || kept === partId ? now : joinRecords('parts', kept, partId)(now);
    }, shop);
    const more = seatsOf(dropId).filter(({ seat }) => !own.has(seat));
    const seated: Shop = {
      ...joined,
      machines: joined.machines.map((machine) =>
        machine.id === keepId ? { ...machine, seats: [...machine.seats, ...more] } : machine,
      ),
    };
    return joinRecords('machines', keepId, dropId)(seated);
  };

/** Two records become the first: what only the second knows is taken over, and whatever named the second names it. */
const joinRecords =
  (list: 'parts' | 'machines', keepId: string, dropId: string): Edit =>
  (shop) => {
    const same = (id: string) => id;
    const rename: Rename = {
      models: same,
      machines: same,
      parts: same,
      jobs: same,
      plugs: same,
      ledger: same,
      photos: same,
      [list]: (id: string) => (id === dropId ? keepId : id),
    };
    const dropped = (shop[list] as (Part | Machine)[]).find(({ id }) => id === dropId);
    const all = <T extends { id: string }>(of: Collection, records: readonly T[]): T[] =>
      records.flatMap((record) => {
        if (of === list && record.id === dropId) return [];
        const named = { ...renamedRecord(of, record, rename), id: record.id };
        const next = sameContent(named, record) ? record : named;
        if (of !== list || record.id !== keepId || !dropped) return [next];
        const both = { ...dropped, ...next };
        return [
          {
            ...both,
            facts: { ...dropped.facts, ...both.facts },
            was: [...new Set([...(both.was ?? []), dropId])].slice(-10),
          } as unknown as T,
        ];
      });
    return {
      ...shop,
      models: all('models', shop.models),
      machines: all('machines', shop.machines),
      parts: all('parts', shop.parts),
      jobs: all('jobs', shop.jobs),
      plugs: shop.plugs,
      ledger: all('ledger', shop.ledger),
      photos: all('photos', shop.photos),
    };
  };
