import { gap } from '../findings/gap.ts';
import type { Finding } from '../findings/finding.ts';
import { plain, termOf } from '../findings/terms.ts';
import { numberAt, partOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { supplyPlaceOf } from '../remedies/supplyOutside.ts';
import { supplyFormat } from '../standards/room.ts';
import { range } from '../units/range.ts';

/** Supply and board one after the other along the rear wall, where the bay lies beside the board. */
export function stack(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  const board = partOfKind(plan, 'board');
  const supply = partOfKind(plan, 'supply');
  if (!shell || !board || !supply) return [];
  const at = supplyPlaceOf(plan);
  const room = numberAt(plan, shell, 'innerHeight');
  const width = numberAt(plan, board, 'width');
  const format = supplyFormat(textAt(plan, supply, 'format')?.text);
  const beside = at === 'above the board' || at === 'below the board';
  if (!beside || !room || !width || !format) return [];
  return [
    gap({
      id: 'supply-and-board',
      station: 'fit',
      title: 'PSU and board along the rear',
      seats: ['supply', 'board', 'case'],
      unit: 'mm',
      terms: [
        termOf(shell, 'innerHeight', 'height inside', 1, room),
        termOf(board, 'width', 'board width', -1, width),
        plain(`${format.name} PSU`, range(format.heightMm), -1),
      ],
      minimumMargin: 4,
      source: format.source,
      undoMinutes: 60,
      say: (rest, mark) =>
        mark === 'stop'
          ? `PSU and board together are ${Math.ceil(-rest.hi)} mm too much for the rear wall.`
          : mark === 'clear'
            ? 'PSU and board lie one after the other.'
            : 'PSU and board all but touch: measure along the rear wall.',
    }),
  ];
}
