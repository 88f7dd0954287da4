import { gap } from '../findings/gap.ts';
import type { Finding, Term } from '../findings/finding.ts';
import { termOf } from '../findings/terms.ts';
import { partsOfKind, isApplied, numberAt, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { paint } from './lid.ts';
import { standOf } from '../model/lookup/stands.ts';
import { cardBend } from './space/onBoard.ts';
import { commonPractice } from '../standards/source.ts';
import { cageOut } from '../remedies/cageOut.ts';
import { cutFront } from '../remedies/cutFront.ts';
import { appliedTerms, offerIn } from '../remedies/offer.ts';

/** Spare a card needs to swing into its slot, mm (common practice, no source). */
const MARGIN_MM = 3;

/** A card's length from its bracket against the room from inside the rear wall. */
export function cardLength(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  if (!shell) return [];
  const room = numberAt(plan, shell, 'cardRoom');
  const cage = cageOut();
  const stillIn = numberAt(plan, shell, 'cageGain') !== undefined && !isApplied(plan, cage);
  return partsOfKind(plan, 'card').flatMap((placed) => {
    const length = numberAt(plan, placed, 'length');
    /* On a ribbon it stands where somebody put it: the room from the slot is no room of its. */
    if (!room || !length || standOf(plan, placed).way === 'ribbon') return [];
    const cut = cutFront({ seat: placed.seat });
    const terms: Term[] = [
      termOf(shell, 'cardRoom', 'room from the bracket', 1, room),
      ...appliedTerms(plan, [cage]),
      ...paint(plan, shell),
      ...appliedTerms(plan, [cut]),
      termOf(placed, 'length', 'card from the bracket', -1, length),
    ];
    const bend = cardBend(plan, placed);
    /* Where its plugs sit nobody said: at the end they may. */
    if (bend && bend.at !== 'top') terms.push({ ...bend.term, sign: -1 });
    return gap({
      id: `card-length:${placed.seat}`,
      about: { of: 'room', room: 'card length' },
      station: 'fit',
      title: 'card length',
      seats: [placed.seat, 'case'],
      unit: 'mm',
      terms,
      minimumMargin: MARGIN_MM,
      source: commonPractice,
      undoMinutes: 38,
      say: (rest, mark) =>
        mark === 'stop'
          ? `${placed.part.name} is at least ${Math.ceil(-rest.hi)} mm too long for the room from the bracket.`
          : mark === 'clear'
            ? `${placed.part.name} goes in with room to swing.`
            : rest.lo >= 0
              ? `Less than ${MARGIN_MM} mm spare: it may not swing into its slot.`
              : 'Whether it goes in depends on what is not measured yet.',
      remedies: (rest) =>
        stillIn
          ? offerIn(plan, cage, rest, MARGIN_MM)
          : isApplied(plan, cut)
            ? []
            : offerIn(plan, cut, rest, MARGIN_MM),
    });
  });
}
