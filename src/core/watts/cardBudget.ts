import { gap } from '../findings/gap.ts';
import type { Finding } from '../findings/finding.ts';
import { plain, termOf } from '../findings/terms.ts';
import {
  partsOfKind,
  listAt,
  numberAt,
  partOfKind,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { plug, slotW } from '../standards/plugs/index.ts';
import { range, total, type Range } from '../units/range.ts';
import { slotPower } from './slotPower.ts';

/** A 12V-2x6 says by its sense contacts what it may draw: 150 W with both open (older), 600 with both to ground. */
const SENSED_W = range(150, 600);

/** A card's watts against what its slot and its power plugs may carry together. */
export function cardBudget(plan: Plan): Finding[] {
  if (!partOfKind(plan, 'board')) return [];
  return partsOfKind(plan, 'card').flatMap((placed) => {
    const { watts, plugs } = told(plan, placed);
    if (!watts || !plugs) return [];
    const limits = plugs.items.map(limitOf);
    return gap({
      id: `card-budget:${placed.seat}`,
      station: 'watts',
      title: 'card on slot and plugs',
      seats: [placed.seat, 'board'],
      unit: 'W',
      terms: [
        plain('slot provides', slotPower(plan, placed), 1),
        ...(limits.length > 0
          ? [
              {
                ...plain(
                  plugs.items.map((id) => plug(id)?.name ?? id).join(', '),
                  total(limits),
                  1,
                ),
                how: plugs.how,
                input: { partId: placed.part.id, key: 'plugs' as const, seat: placed.seat },
              },
            ]
          : []),
        termOf(placed, 'watts', 'card draws', -1, watts),
      ],
      minimumMargin: 0,
      short: 'over',
      source: slotW.source,
      undoMinutes: 30,
      say: (_, mark) =>
        mark === 'stop'
          ? 'It draws more than slot and plugs carry: its watts are wrong, or it has a plug nobody named. Look before it is fed.'
          : mark === 'watch'
            ? 'It may draw more than slot and plugs carry: read the label of the card, and what the maker of the board allows its slot.'
            : 'Slot and plugs carry the card.',
    });
  });
}

/** What the budget needs to be said: watts that are more than a class's, and which plugs. */
function told(plan: Plan, card: Placed) {
  const watts = numberAt(plan, card, 'watts');
  return {
    watts: watts && watts.how !== 'class' ? watts : undefined,
    plugs: listAt(plan, card, 'plugs'),
  };
}

/** Whether the budget judges a card; its slot needs no sum of its own then. */
export function hasBudget(plan: Plan, card: Placed): boolean {
  const { watts, plugs } = told(plan, card);
  return watts !== undefined && plugs !== undefined;
}

function limitOf(id: string): Range {
  if (id === 'card16' || id === 'card16old') return SENSED_W;
  const limit = plug(id)?.limitW;
  /* A plug of one's own: nobody said what it may carry. */
  return limit === undefined ? range(0, SENSED_W.hi) : range(limit);
}
