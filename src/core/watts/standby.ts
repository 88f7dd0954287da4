import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import { numberAt, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import { range, scale } from '../units/range.ts';

/** What supplies give in standby where the label was not read, and what draws there, A (common practice, no source). */
const SUPPLY_A = range(2, 3);
const BOARD_A = 0.5;
const NETWORK_A = 0.3;
const PORT_A = 0.5;

/** 5 V standby against what stays awake: the board, its network, and each USB port that is live when off. */
export function standby(plan: Plan): Finding[] {
  const supply = partOfKind(plan, 'supply');
  const board = partOfKind(plan, 'board');
  const ports = board && numberAt(plan, board, 'wakePorts');
  if (!supply || !board || !ports) return [];
  const label = numberAt(plan, supply, 'ampsStandby');
  return [
    gap({
      id: 'standby',
      station: 'watts',
      title: '5 V standby',
      seats: ['supply', 'board'],
      unit: 'A',
      terms: [
        label
          ? termOf(supply, 'ampsStandby', 'label, standby', 1, label)
          : {
              ...plain('standby of most PSUs', SUPPLY_A, 1),
              how: 'class',
              input: { partId: supply.part.id, key: 'ampsStandby', seat: supply.seat },
            },
        {
          ...termOf(board, 'wakePorts', 'USB ports at 0.5 A', -1, ports),
          value: scale(ports, PORT_A),
        },
        plain('board', range(BOARD_A), -1),
        plain('network', range(0, NETWORK_A), -1),
      ],
      minimumMargin: 0,
      short: 'short',
      lack: 'watch',
      source: commonPractice,
      undoMinutes: 5,
      say: (_, mark) =>
        mark === 'clear'
          ? 'Standby carries what stays awake.'
          : 'With a load on every live port standby sags: it will not wake, or starts by itself. Turn off USB power in standby, or plug less in.',
    }),
  ];
}
