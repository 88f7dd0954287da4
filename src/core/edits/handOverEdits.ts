import { create } from 'mutative';
import { standingOf } from '../model/lookup/lookup.ts';
import { withoutUndefined } from '../model/types/plainData.ts';
import { inStages } from '../model/types/stages.ts';
import type { Edit } from '../model/types/edit.ts';
import type { Incomplete } from '../model/types/recordTypes.ts';
import { countOf, type Job, type SeatId, type Shop } from '../model/types/types.ts';
import { servedBy } from '../record/served.ts';
import { recordOf } from '../record/sheet.ts';
import { nextPartId } from './edits.ts';

/**
 * Hand-over: the sheet is frozen as it stands, then the machine becomes what was planned; what leaves it
 * keeps the condition and origin it had.
 */
export const handOver =
  (jobId: string, at: string, incomplete?: Incomplete): Edit =>
  (shop) =>
    create(shop, (next) => {
      const before = shop.jobs.find((each) => each.id === jobId);
      const found = next.jobs.find((each) => each.id === jobId);
      if (!before || !found || found.handedOver) return;
      found.handedOver = at;
      found.record = withoutUndefined(recordOf(shop, before, at, incomplete));
      for (const [partId, lines] of servedBy(shop, before, at)) {
        const part = next.parts.find((each) => each.id === partId);
        if (part) part.service = [...(part.service ?? []), ...lines];
      }
      for (const change of inStages(found.changes))
        applyChange(shop, next, found, change.seat, change.partId);
    });

function applyChange(
  before: Shop,
  next: Shop,
  found: Job,
  seat: SeatId,
  partId: string | null,
): void {
  const machine = next.machines.find((each) => each.id === found.machineId);
  const leaving = machine?.seats.find((each) => each.seat === seat)?.partId;
  if (machine) machine.seats = machine.seats.filter((each) => each.seat !== seat);
  if (leaving) leave(before, next, leaving, found.machineId);
  if (!partId) return;
  const many = next.parts.find((each) => each.id === partId);
  if (many && countOf(many) > 1) {
    /* One of several goes in under a tag of its own; the others stay where they lie. */
    const id = nextPartId(next);
    const known = before.parts.find((each) => each.id === partId);
    if (known) {
      const { count: _, ...one } = known;
      next.parts.push({ ...one, id, place: 'machine' });
    }
    many.count = countOf(many) - 1;
    machine?.seats.push({ seat, partId: id });
    return;
  }
  for (const other of next.machines) {
    if (!other.seats.some((each) => each.partId === partId)) continue;
    leave(before, next, partId, other.id);
    other.seats = other.seats.filter((each) => each.partId !== partId);
  }
  const part = next.parts.find((each) => each.id === partId);
  if (part) part.place = 'machine';
  machine?.seats.push({ seat, partId });
}

function leave(before: Shop, next: Shop, partId: string, from: string | undefined): void {
  const was = before.parts.find((each) => each.id === partId);
  const part = next.parts.find((each) => each.id === partId);
  if (!was || !part) return;
  const { condition, origin, inheritedFrom } = standingOf(before, was);
  part.place = 'shelf';
  if (from !== undefined) part.from = from;
  delete part.reserved;
  part.condition = condition;
  if (origin ?? inheritedFrom?.name) part.origin = origin ?? inheritedFrom?.name;
}
