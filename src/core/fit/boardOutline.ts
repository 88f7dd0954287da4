import type { NumberKey } from '../model/properties/index.ts';
import { gap } from '../findings/gap.ts';
import type { Finding } from '../findings/finding.ts';
import { termOf } from '../findings/terms.ts';
import { listAt, numberAt, partOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { boardFormat, boardSource } from '../standards/boards.ts';
import { add, range } from '../units/range.ts';
import type { ResolvedNumber } from '../model/lookup/lookup.ts';
import type { Placed } from '../model/lookup/plan.ts';
import { table } from '../units/table.ts';

/** The board's outline against the tray, along the rear and to the front. */
export function boardOutline(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  const board = partOfKind(plan, 'board');
  if (!shell || !board) return [];
  return (
    [
      ['width', 'boardWidth', 'board width', 'room for the board'],
      ['depth', 'boardDepth', 'board to the front', 'room to the front'],
    ] as const
  ).flatMap(([key, roomKey, needLabel, roomLabel]) => {
    const need = numberAt(plan, board, key);
    const room = trayRoom(plan, shell, roomKey, key);
    if (!need || !room) return [];
    return gap({
      id: `board-${key}`,
      station: 'fit',
      title: needLabel,
      seats: ['board', 'case'],
      unit: 'mm',
      terms: [termOf(shell, roomKey, roomLabel, 1, room), termOf(board, key, needLabel, -1, need)],
      minimumMargin: 0,
      source: boardSource,
      undoMinutes: 60,
      say: (rest, mark) =>
        mark === 'stop'
          ? `The board is ${Math.ceil(-rest.hi)} mm too large for the tray.`
          : mark === 'clear'
            ? 'The board lies within the tray.'
            : 'Measure the tray and the board before anything is unscrewed.',
    });
  });
}

/** Measured room, or at least the largest outline the case names (and its wall, 40 mm at most). */
export function trayRoom(
  plan: Plan,
  shell: Placed,
  key: NumberKey,
  side: 'width' | 'depth',
): ResolvedNumber | undefined {
  const told = numberAt(plan, shell, key);
  if (told) return told;
  const named = listAt(plan, shell, 'boards');
  const sides = (named?.items ?? []).flatMap((name) => {
    const format = boardFormat(name);
    return format ? [side === 'width' ? format.widthMm : format.depthMm] : [];
  });
  if (sides.length > 0) {
    const room = add(range(Math.max(...sides)), range(0.5, 40));
    return { ...room, how: named?.how ?? 'said', source: `largest board it names`, level: 'own' };
  }
  const name = textAt(plan, shell, 'class')?.text;
  if (!name) return undefined;
  const guess: Record<string, [number, number]> = table({
    tower: [305, 330],
    'mini tower': [244, 305],
    slim: [170, 260],
    micro: [100, 180],
    'custom case': [100, 330],
  });
  const bounds = guess[name];
  return bounds && { ...range(...bounds), how: 'class', source: name, level: 'class' };
}
