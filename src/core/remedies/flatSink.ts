import { isApplied, type Plan } from '../model/lookup/plan.ts';
import { seatName } from '../model/types/seats.ts';
import type { SeatId } from '../model/types/types.ts';
import { cutSink, FLAT_SINK_MM, sunkDrives } from './cutSink.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    flatSink: { seat: SeatId };
  }
}

/** A flat heat spreader in place of a sink with fins. */
export const flatSink = remedy({
  do: 'flatSink',
  id: 'flat-sink',
  fields: { seat: { holds: 'seat' } },
  title: ({ seat }) => `Flat heat spreader on ${seatName(seat)}`,
  minutes: 15,
  get: () => ({ what: `heat spreader for M.2, up to ${FLAT_SINK_MM} mm`, count: 1 }),
  undoable: true,
  givesUp: 'it cools less under a long load',
  options: (plan) => sunkDrives(plan).map(({ seat }) => [{ do: 'flatSink', seat }]),
});

/** Whether the sink of a seat is made low enough to pass under what lies over it. */
export const isLowered = (plan: Plan, seat: SeatId): boolean =>
  isApplied(plan, flatSink({ seat })) || isApplied(plan, cutSink({ seat }));
