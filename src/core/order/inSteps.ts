import { appliedOf, isSort, type Placed, type Plan } from '../model/lookup/plan.ts';
import { seatName } from '../model/types/seats.ts';
import type { Kind, Schools } from '../model/types/types.ts';
import { risers } from '../model/properties/smallSorts.ts';
import { stepIdOf } from '../remedies/index.ts';
import { offBefore } from './gateSteps.ts';
import type { Gated } from './gates.ts';
import { cautions } from './cautions.ts';
import { inId, outId, type Step, step } from '../model/types/step.ts';
import { hands, onBoard } from './handwork.ts';
import { retestId } from './retestSteps.ts';

/** In: what sits on the board first, then the board, leads while there is room, supply, card, drives. */
export function inSteps(
  plan: Plan,
  coming: readonly Placed[],
  boardMoves: boolean,
  schools: Schools,
  gated: Gated,
): Step[] {
  const present = new Set(coming.map((placed) => placed.seat));
  const ids = (kinds: readonly Kind[]) =>
    coming.filter((placed) => kinds.includes(placed.kind)).map((placed) => inId(placed.seat));
  const risersIn = coming
    .filter((placed) => isSort(plan, placed, risers))
    .map((placed) => inId(placed.seat));
  return coming
    .filter(
      (placed) =>
        !(
          placed.state === 'stays' &&
          onBoard.includes(placed.kind) &&
          present.has('board') &&
          boardStaysFitted(plan)
        ),
    )
    .map((placed) => {
      const fitted = onBoard.includes(placed.kind);
      const prepare = fitted && boardMoves;
      return step({
        id: inId(placed.seat),
        phase: prepare ? 'prepare' : 'in',
        title: inTitle(placed, prepare),
        minutes: hands[placed.kind].in,
        seats: [placed.seat],
        tools: hands[placed.kind].tools,
        fasteners: hands[placed.kind].fasteners,
        cautions: placed.kind === 'supply' ? [cautions.mains, cautions.maker] : [],
        after: [
          ...(placed.state === 'comes' ? [retestId(placed.seat)] : []),
          ...inAfter(placed, ids, boardMoves, schools, gated.early.has(placed.seat)),
          ...(placed.kind === 'card' ? risersIn : []),
          ...(gated.cards.has(placed.seat) ? [offBefore('gate-card')] : []),
          ...(gated.drives.has(placed.seat) ? [offBefore('gate-drives')] : []),
          ...(placed.kind === 'processor' ? appliedOf(plan, 'firmwareFirst').map(stepIdOf) : []),
        ],
        why:
          placed.kind === 'supply' && boardMoves
            ? schools.supply === 'first'
              ? 'first: its leads can be hidden behind the board'
              : 'last: leaves room for hands at the board'
            : placed.kind === 'leads'
              ? 'while there is room for fingers'
              : undefined,
      });
    });
}

const boardStaysFitted = (plan: Plan) =>
  plan.seats.some((placed) => placed.kind === 'board' && placed.state === 'stays');

function inTitle(placed: Placed, prepare: boolean): string {
  const where = prepare ? ', on the bench' : '';
  if (placed.kind === 'leads') return `Plug in the front leads: ${placed.part.name}`;
  return `Fit the ${seatName(placed.seat)}: ${placed.part.name} (${placed.part.id})${where}`;
}

function inAfter(
  placed: Placed,
  ids: (kinds: readonly Kind[]) => string[],
  boardMoves: boolean,
  schools: Schools,
  early: boolean,
): string[] {
  const out = [outId(placed.seat), 'open'];
  const bench = schools.start === 'bench' && boardMoves ? ['off-bench'] : [];
  switch (placed.kind) {
    case 'processor':
      return out;
    case 'memory':
      return [...out, ...ids(['processor'])];
    case 'cooler':
      return [...out, ...ids(['processor', 'memory'])];
    case 'board':
      return [
        ...out,
        ...bench,
        ...ids(onBoard),
        ...(schools.supply === 'first' ? ids(['supply']) : []),
        'shell',
      ];
    case 'leads':
      return [...out, ...ids(['board'])];
    case 'supply':
      return [...out, 'shell', ...(schools.supply === 'last' ? ids(['board', 'leads']) : [])];
    case 'card':
      return [...out, 'shell', ...ids(early ? ['board'] : ['board', 'leads', 'supply'])];
    case 'drive':
    case 'fan':
      return [...out, 'shell', ...ids(early ? ['board'] : ['board', 'supply'])];
    default:
      return [...out, ...ids(['board'])];
  }
}
