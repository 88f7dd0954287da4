import type { Finding } from '../findings/finding.ts';
import { match } from '../findings/match.ts';
import { wordOf } from '../findings/terms.ts';
import { partsOfKind, partOfKind, textAt, type Placed, type Plan } from '../model/lookup/plan.ts';
import type { Source } from '../standards/source.ts';

const source: Source = {
  title: 'JEDEC JESD79-3 and its 1.35 V addendum',
  clause: 'supply voltage',
  memory: true,
};

/**
 * DDR3 of 1.5 V in slots that give 1.35 V only. Long modules' boards give 1.5 V; of boards for short ones
 * many since 2013 do not (common practice, no source), so there nothing said is a question.
 */
export function memoryVolts(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  if (!board) return [];
  const gives = textAt(plan, board, 'memoryVolts');
  return partsOfKind(plan, 'memory').flatMap((module): Finding[] => {
    const wants = textAt(plan, module, 'memoryVolts');
    if (textAt(plan, module, 'memoryKind')?.text !== 'DDR3') return [];
    if (wants?.text === BOTH || gives?.text === '1.5 V') return [];
    if (!gives && (together(board, module) || !short(plan, board, module))) return [];
    return [
      match({
        id: `memory-volts:${module.seat}`,
        station: 'links',
        title: 'RAM volts',
        seats: [module.seat, 'board'],
        have: wordOf(board, 'memoryVolts', 'board', gives),
        want: wordOf(module, 'memoryVolts', module.part.name, wants),
        verdict: () => ({
          mark: 'stop',
          rest: '1.5 V only',
          say: 'The slots give 1.35 V only: this module needs 1.5 V and does not start there, or falters. Modules marked PC3L do.',
        }),
        unknownSay: gives
          ? 'The slots give 1.35 V only. Read the label: PC3L runs there, PC3 does not.'
          : 'Many boards with short DDR3 slots give 1.35 V only. PC3L on the label is right either way.',
        source,
        undoMinutes: 10,
      }),
    ];
  });
}

const BOTH = '1.35 V too';

const together = (board: Placed, module: Placed): boolean =>
  board.state === 'stays' && module.state === 'stays';

const short = (plan: Plan, board: Placed, module: Placed): boolean =>
  [board, module].some((each) => textAt(plan, each, 'memoryForm')?.text === 'SO-DIMM');
