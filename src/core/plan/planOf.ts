import { indexOf } from '../model/lookup/lookup.ts';
import type { Placed, Plan } from '../model/lookup/plan.ts';
import { compareSeats, kindOfSeat } from '../model/types/seats.ts';
import { inStages, stageOf } from '../model/types/stages.ts';
import type { Job, Seat, Shop } from '../model/types/types.ts';

/** The machine of a job as it shall be, after its last stage or an earlier one: everything not mentioned stays. */
export function planOf(shop: Shop, job: Job, upTo = Infinity): Plan {
  const index = indexOf(shop);
  const machine = job.machineId ? index.machines.get(job.machineId) : undefined;
  const found = new Map((machine?.seats ?? []).map((seat) => [seat.seat, seat.partId]));
  const planned = new Map(found);
  for (const change of inStages(job.changes)) {
    if (stageOf(change) > upTo) continue;
    if (change.partId === null) planned.delete(change.seat);
    else planned.set(change.seat, change.partId);
  }
  const stays = new Set(found.values());
  const goes = [...found].flatMap(([seat, partId]) => {
    const part = index.parts.get(partId);
    const kind = kindOfSeat(seat);
    return part && kind && ![...planned.values()].includes(partId) ? [{ seat, kind, part }] : [];
  });
  return {
    shop,
    job,
    machine,
    seats: place(shop, planned, stays),
    goes: goes.sort((a, b) => compareSeats(a.seat, b.seat)),
    applied: job.applied,
  };
}

/** A machine as it was found. */
export function foundOf(shop: Shop, seats: readonly Seat[]): Plan {
  const found = new Map(seats.map((seat) => [seat.seat, seat.partId]));
  return { shop, seats: place(shop, found, new Set(found.values())), goes: [], applied: [] };
}

function place(shop: Shop, seats: Map<string, string>, stays: ReadonlySet<string>): Placed[] {
  const parts = indexOf(shop).parts;
  return [...seats]
    .flatMap(([seat, partId]): Placed[] => {
      const part = parts.get(partId);
      const kind = kindOfSeat(seat);
      return part && kind
        ? [{ seat, kind, part, state: stays.has(partId) ? 'stays' : 'comes' }]
        : [];
    })
    .sort((a, b) => compareSeats(a.seat, b.seat));
}
