import { gap } from '../findings/gap.ts';
import type { Finding } from '../findings/finding.ts';
import { plain, termOf } from '../findings/terms.ts';
import { numberAt, partOfKind, partsOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import { topOverBoardMm } from '../standards/sockets.ts';
import { range } from '../units/range.ts';
import { lidRemedies, lidTerms } from './lid.ts';

/** How far a module's foot stands over the board in its slot, mm (common practice, no source). */
const SLOT_MM = range(2, 5);
const MARGIN_MM = 1;
/** A lid this much higher is no question, mm. */
const NEAR_MM = 20;

/**
 * Long modules against the closed lid: the room over the CPU and what the CPU stands over the board. Said where
 * the lid is near; bare modules under a tower's lid are no question.
 */
export function memoryHeight(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  const board = partOfKind(plan, 'board');
  const room = shell && numberAt(plan, shell, 'coolerRoom');
  if (!shell || !board || !room || room.how === 'class') return [];
  return partsOfKind(plan, 'memory').flatMap((module): Finding[] => {
    const height = numberAt(plan, module, 'height');
    if (!height || textAt(plan, module, 'memoryForm')?.text === 'SO-DIMM') return [];
    const found = gap({
      id: `memory-height:${module.seat}`,
      station: 'fit',
      title: 'RAM under the lid',
      seats: [module.seat, 'case'],
      unit: 'mm',
      terms: [
        termOf(shell, 'coolerRoom', 'cooler height clearance', 1, room),
        plain("CPU's top over the board", topOverBoardMm(textAt(plan, board, 'socket')?.text), 1),
        ...lidTerms(plan, shell),
        plain('slot', SLOT_MM, -1),
        termOf(module, 'height', module.part.name, -1, height),
      ],
      minimumMargin: MARGIN_MM,
      source: commonPractice,
      undoMinutes: 10,
      say: (rest, mark) =>
        mark === 'stop'
          ? `The lid would stand ${Math.ceil(-rest.hi)} mm open over the RAM: bare or low modules instead.`
          : mark === 'clear'
            ? 'The lid closes over the RAM.'
            : 'Whether the lid closes over the RAM depends on what is not measured yet.',
      remedies: (rest) => lidRemedies(plan, rest, MARGIN_MM),
    });
    return found.mark === 'clear' && (found.margin?.lo ?? 0) > NEAR_MM ? [] : [found];
  });
}
