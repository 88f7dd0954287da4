import { numberAt, partsOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { seatName } from '../model/types/seats.ts';
import type { SeatId } from '../model/types/types.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    cutSink: { seat: SeatId };
  }
}

/** The fins of a heat sink cut down to its base, off the board. */
export const cutSink = remedy({
  do: 'cutSink',
  id: 'cut-sink',
  fields: { seat: { holds: 'seat' } },
  title: ({ seat }) => `Cut the heat sink of ${seatName(seat)} down`,
  step: ({ seat }) => `Take the heat sink of ${seatName(seat)} off and cut its fins down`,
  minutes: 35,
  undoable: false,
  cuts: true,
  spoils: 'a cut heat sink',
  givesUp: 'it cools less under a long load',
  options: (plan) =>
    [
      ...sunkDrives(plan),
      ...partsOfKind(plan, 'board').filter((board) => numberAt(plan, board, 'sinksHigh')),
    ].map(({ seat }) => [{ do: 'cutSink', seat }]),
});

/** Sinks up to this pass under cards and coolers, mm (common practice, no source). */
export const FLAT_SINK_MM = 5;

/** Drives in sockets of the board whose heat sink somebody measured, and which is no flat one. */
export const sunkDrives = (plan: Plan) =>
  partsOfKind(plan, 'drive').filter((drive) => {
    const sink = numberAt(plan, drive, 'sink');
    const there = sink !== undefined && sink.how !== 'class' && sink.hi > FLAT_SINK_MM;
    return there && textAt(plan, drive, 'form')?.text === 'M.2';
  });
