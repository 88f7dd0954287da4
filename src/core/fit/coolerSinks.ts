import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import { isApplied, numberAt, partOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { cutSink, FLAT_SINK_MM } from '../remedies/cutSink.ts';
import { offer } from '../remedies/offer.ts';
import { commonPractice } from '../standards/source.ts';
import { KEEP_FREE_MM, topOverBoardMm } from '../standards/sockets.ts';
import { range } from '../units/range.ts';

/** The board's sinks beside the socket under a cooler that reaches past the square boards keep free. */
export function coolerSinks(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  const cooler = partOfKind(plan, 'cooler');
  const high = board && numberAt(plan, board, 'sinksHigh');
  const under = cooler && numberAt(plan, cooler, 'under');
  const reach = cooler && reachMm(plan, cooler);
  if (!board || !cooler || !high || !under || !reach || reach.hi <= KEEP_FREE_MM) return [];
  const cut = isApplied(plan, cutSink({ seat: board.seat }));
  return [
    gap({
      id: 'cooler-sinks',
      station: 'fit',
      title: 'cooler over the sinks beside the socket',
      seats: ['cooler', 'board'],
      unit: 'mm',
      terms: [
        termOf(cooler, 'under', 'free under its fins', 1, under),
        plain("CPU's top over the board", topOverBoardMm(textAt(plan, board, 'socket')?.text), 1),
        cut
          ? plain('sinks, cut down', range(Math.min(FLAT_SINK_MM, high.lo), high.hi / 2), -1)
          : termOf(board, 'sinksHigh', 'sinks over the board', -1, high),
      ],
      minimumMargin: 1,
      source: commonPractice,
      undoMinutes: 45,
      /* Whether it reaches as far as the sinks at all, only its true width tells. */
      lack: reach.lo > KEEP_FREE_MM ? 'stop' : 'watch',
      say: (rest, mark) =>
        mark === 'stop'
          ? `Its fins come down ${Math.ceil(-rest.hi)} mm into the sinks beside the socket: another cooler, or sinks cut down.`
          : mark === 'clear'
            ? 'Its fins pass over the sinks beside the socket.'
            : 'Lay the cooler on by hand: its fins may touch the sinks beside the socket.',
      remedies: () => (cut ? [] : [offer(plan, cutSink({ seat: board.seat }), 'watch')]),
    }),
  ];
}

/** How far it reaches from the CPU's middle, to whichever side it reaches farthest. */
function reachMm(plan: Plan, cooler: NonNullable<ReturnType<typeof partOfKind>>) {
  const [width, breadth] = [numberAt(plan, cooler, 'width'), numberAt(plan, cooler, 'breadth')];
  if (!width || !breadth) return undefined;
  return range(Math.max(width.lo, breadth.lo) / 2, Math.max(width.hi, breadth.hi) / 2);
}
