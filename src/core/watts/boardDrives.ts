import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import { listAt, numberAt, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import { range, scale, total } from '../units/range.ts';
import { drawsOf } from './tree/index.ts';

/** What a board's own drive plug gives on 12 V where nobody said, A (common practice, no source). */
const BOARD_A = range(1.5, 3);

/** Drives fed from the board itself, as makers' boards on 12 V do: spinning up they ask the most. */
export function boardDrives(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  const supply = partOfKind(plan, 'supply');
  const brings = board && numberAt(plan, board, 'drivePlugs');
  const satas = supply && listAt(plan, supply, 'plugs')?.items.filter((id) => id === 'sata').length;
  if (!board || !supply || !brings || brings.hi === 0 || (satas ?? 0) > 0) return [];
  const draws = drawsOf(plan).filter((draw) => draw.over === 'drive' && draw.rail === '12 V');
  if (draws.length === 0) return [];
  const amps = scale(total(draws.map((draw) => draw.watts.start)), 1 / 12);
  const label = numberAt(plan, board, 'driveAmps');
  return [
    gap({
      id: 'board-drives',
      station: 'watts',
      title: "drives on the board's own plug",
      seats: ['board', ...new Set(draws.map((draw) => draw.seat))],
      unit: 'A',
      terms: [
        label
          ? termOf(board, 'driveAmps', 'board gives on 12 V', 1, label)
          : {
              ...plain('such boards give on 12 V', BOARD_A, 1),
              how: 'class',
              input: { partId: board.part.id, key: 'driveAmps', seat: board.seat },
            },
        { ...plain('drives spin up with', amps, -1), how: 'class' },
      ],
      minimumMargin: 0,
      short: 'over',
      source: commonPractice,
      undoMinutes: 30,
      say: (_, mark) =>
        mark === 'clear'
          ? 'Its plug carries the drives as they spin up.'
          : mark === 'stop'
            ? 'The drives draw more than its plug gives: fewer drives there, or one without a motor.'
            : 'It may be too much as they spin up: one drive fewer there, or one without a motor.',
    }),
  ];
}
