import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain } from '../findings/terms.ts';
import { partsOfKind, listAt, numberAt, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { fanLayout, HEADER_A } from '../plugs/fanLayout.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';
import { treeOf } from '../watts/tree/index.ts';

/** The fan specification's running amps: no header need give more. */
const SPECIFIED_A = 1.5;

/** The hungriest header of the board, fans dealt out as well as can be; those on a hub draw from its plug. */
export function headerAmps(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  const headers = board && listAt(plan, board, 'fanHeaders')?.items.length;
  const tree = treeOf(plan, 'full');
  if (!board || !headers || !tree) return [];
  const onBoard = partsOfKind(plan, 'fan').filter((placed) => tree.on.get(placed.seat) === 'main');
  const fans = onBoard.flatMap((placed) => {
    const amps = numberAt(plan, placed, 'amps');
    return amps ? [{ name: placed.seat, amps: range(amps.lo, amps.hi) }] : [];
  });
  const [worst] = fanLayout(headers, fans).sort((a, b) => b.amps.hi - a.amps.hi);
  if (!worst || worst.amps.hi < HEADER_A * 0.5) return [];
  return [
    gap({
      id: 'fan-header',
      station: 'watts',
      title: `fan header ${worst.header}`,
      seats: ['board', ...worst.fans],
      unit: 'A',
      terms: [
        { ...plain('a header gives', range(HEADER_A, SPECIFIED_A), 1), how: 'class' },
        {
          ...plain(`${worst.fans.join(', ')}`, worst.amps, -1),
          ...(worst.fans[0]
            ? {
                input: {
                  partId: onBoard.find((each) => each.seat === worst.fans[0])?.part.id ?? '',
                  key: 'amps',
                  seat: worst.fans[0],
                },
              }
            : {}),
        },
      ],
      minimumMargin: 0.1,
      short: 'over',
      source: commonPractice,
      undoMinutes: 30,
      say: (_, mark) =>
        mark === 'clear'
          ? 'Every header carries its fans.'
          : mark === 'stop'
            ? `More than a header gives burns its trace: ${worst.by === 'directly' ? 'this fan' : 'these fans'} on a hub with a plug of the PSU.`
            : `${worst.amps.hi.toFixed(1)} A on one header: makers mostly allow ${HEADER_A} A. A hub, or another header.`,
    }),
  ];
}
