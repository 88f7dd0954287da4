import { indexOf, standingOf } from '../model/lookup/lookup.ts';
import { kindName } from '../model/types/seats.ts';
import type { Shop } from '../model/types/types.ts';
import { planOf } from '../plan/planOf.ts';

/** One label: the tag a scanner reads, and what stands beside it. */
export interface Label {
  tag: string;
  name: string;
  note: string;
}

/**
 * Labels of what is on the shelf, of the shelf's own places, of the donors with their parts, of one job (`job:14`)
 * and what goes into it, or of one part (`part:F04`).
 */
export function labelsFor(shop: Shop, which: string): Label[] {
  const index = indexOf(shop);
  const ofPart = (id: string): Label[] => {
    const part = index.parts.get(id);
    if (!part) return [];
    const home = index.homeOf.get(id);
    const place = home ? `out of ${home.id}` : (part.where ?? 'shelf');
    return [
      {
        tag: part.id,
        name: part.name,
        note: `${kindName(part.kind)}, ${standingOf(shop, part).condition}, ${place}`,
      },
    ];
  };
  if (which.startsWith('part:')) return which.slice(5).split(',').flatMap(ofPart);
  if (which === 'places') return placesOf(shop);
  if (which === 'donors')
    return shop.machines
      .filter((machine) => machine.state === 'donor')
      .flatMap((machine) => [
        {
          tag: machine.id,
          name: machine.name,
          note: `donor, ${machine.condition ?? 'condition unknown'}`,
        },
        ...machine.seats.flatMap((seat) => ofPart(seat.partId)),
      ]);
  const job = which.startsWith('job:') ? index.jobs.get(which.slice(4)) : undefined;
  if (job)
    return [
      { tag: job.id, name: job.name, note: job.becomes },
      ...planOf(shop, job).seats.flatMap((placed) => ofPart(placed.part.id)),
    ];
  return shop.parts
    .filter((part) => part.place === 'shelf')
    .sort((a, b) => a.id.localeCompare(b.id, 'en', { numeric: true }))
    .flatMap((part) => ofPart(part.id));
}

/** Every place something lies in, as the code that lays scanned parts there. */
function placesOf(shop: Shop): Label[] {
  const held = new Map<string, number>();
  for (const part of shop.parts)
    if (part.place === 'shelf' && part.where) held.set(part.where, (held.get(part.where) ?? 0) + 1);
  return [...held]
    .sort(([a], [b]) => a.localeCompare(b, 'en', { numeric: true }))
    .map(([where, count]) => ({
      tag: `@${where}`,
      name: where,
      note: `${count} ${count === 1 ? 'part lies' : 'parts lie'} here`,
    }));
}
