import { gap } from '../findings/gap.ts';
import type { Finding, Term } from '../findings/finding.ts';
import { termOf } from '../findings/terms.ts';
import { partsOfKind, numberAt, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { card } from '../standards/room.ts';

/** Slots all cards take together against the openings in the rear wall. */
export function cardSlots(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  const cards = partsOfKind(plan, 'card');
  const openings = shell && numberAt(plan, shell, 'slots');
  if (!shell || !openings || cards.length === 0) return [];
  const terms: Term[] = [termOf(shell, 'slots', 'openings', 1, openings)];
  for (const placed of cards) {
    const wide = numberAt(plan, placed, 'slotsWide');
    if (wide) terms.push(termOf(placed, 'slotsWide', placed.part.name, -1, wide));
  }
  return [
    gap({
      id: 'card-slots',
      station: 'fit',
      title: 'card openings',
      seats: [...cards.map((placed) => placed.seat), 'case'],
      unit: '',
      terms,
      minimumMargin: 0,
      short: 'short',
      source: card.source,
      undoMinutes: 20,
      say: (rest, mark) =>
        mark === 'stop'
          ? `${Math.ceil(-rest.hi)} opening too few in the rear wall.`
          : mark === 'clear'
            ? 'Every card has its openings.'
            : 'Count the openings and the slots the card takes.',
    }),
  ];
}
