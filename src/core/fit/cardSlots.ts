import { gap } from '../findings/gap.ts';
import type { Finding, Term } from '../findings/finding.ts';
import { plain, termOf } from '../findings/terms.ts';
import { partsOfKind, numberAt, partOfKind, type Placed, type Plan } from '../model/lookup/plan.ts';
import { LONG_LANES } from '../standards/links.ts';
import { card } from '../standards/room.ts';
import { standOf } from '../model/lookup/stands.ts';
import { range } from '../units/range.ts';

/** Cards for long slots against the long slots of the board, once there are more of them than slots. */
function longSlots(plan: Plan, cards: readonly Placed[]): Finding[] {
  const board = partOfKind(plan, 'board');
  const slots = board && numberAt(plan, board, 'x16');
  const long = cards.filter((placed) => (numberAt(plan, placed, 'lanes')?.lo ?? 0) >= LONG_LANES);
  if (!board || !slots || slots.lo >= long.length) return [];
  return [
    gap({
      id: 'long-slots',
      station: 'fit',
      title: 'long cards on long slots',
      seats: [...long.map((placed) => placed.seat), 'board'],
      unit: '',
      terms: [
        termOf(board, 'x16', 'long slots', 1, slots),
        plain('cards of eight lanes and more', range(long.length), -1),
      ],
      minimumMargin: 0,
      short: 'short',
      lack: 'mend',
      source: card.source,
      undoMinutes: 20,
      say: () =>
        'More long cards than long slots: one goes onto a riser from a short slot, on fewer lanes, or stays out.',
    }),
  ];
}

/** Slots all cards take together against the openings in the rear wall. */
export function cardSlots(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  /* Lying or on a ribbon a card takes openings of its own, along the way it lies. */
  const cards = partsOfKind(plan, 'card').filter((placed) => standOf(plan, placed).way === 'slot');
  const openings = shell && numberAt(plan, shell, 'slots');
  if (!shell || !openings || cards.length === 0) return [];
  const terms: Term[] = [termOf(shell, 'slots', 'openings', 1, openings)];
  for (const placed of cards) {
    const wide = numberAt(plan, placed, 'slotsWide');
    if (wide) terms.push(termOf(placed, 'slotsWide', placed.part.name, -1, wide));
  }
  return [
    ...longSlots(plan, cards),
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
