import { adding, gap } from '../findings/gap.ts';
import type { Finding, Term } from '../findings/finding.ts';
import { plain, termOf } from '../findings/terms.ts';
import { all, numberAt, one, type Plan } from '../model/plan.ts';
import { settingsOf } from '../model/reads.ts';
import { paint } from './lid.ts';
import { cardBend } from './space/onBoard.ts';
import { range } from '../units/range.ts';
import { practice } from '../standards/source.ts';
import { remedyMinutes } from '../findings/remedyMinutes.ts';

/** Spare a card needs to swing into its slot, mm (common practice, no source). */
const MARGIN_MM = 3;
/** What can be cut from the wall in front without weakening it, mm (common practice, no source). */
const CUT_MM = 30;

/** A card's length from its bracket against the room from inside the rear wall. */
export function cardLength(plan: Plan): Finding[] {
  const shell = one(plan, 'case');
  if (!shell) return [];
  const room = numberAt(plan, shell, 'cardRoom');
  const gain = numberAt(plan, shell, 'cageGain');
  const cage = plan.taken.has('cage-out');
  return all(plan, 'card').flatMap((placed) => {
    const length = numberAt(plan, placed, 'length');
    if (!room || !length) return [];
    const terms: Term[] = [termOf(shell, 'cardRoom', 'room from the bracket', 1, room)];
    if (cage && gain) terms.push(termOf(shell, 'cageGain', 'cage out', 1, gain));
    terms.push(...paint(plan, shell));
    if (plan.taken.has(`cut-front:${placed.seat}`)) terms.push(plain('cut', range(CUT_MM), 1));
    terms.push(termOf(placed, 'length', 'card from the bracket', -1, length));
    const bend = cardBend(plan, placed);
    if (bend?.at === 'end') terms.push({ ...bend.term, sign: -1 });
    return gap({
      id: `card-length:${placed.seat}`,
      station: 'fit',
      title: 'card against what is in front',
      seats: [placed.seat, 'case'],
      unit: 'mm',
      terms,
      margin: MARGIN_MM,
      source: practice,
      undoMinutes: 38,
      say: (rest, mark) =>
        mark === 'stop'
          ? `${placed.part.name} is at least ${Math.ceil(-rest.hi)} mm too long for the room from the bracket.`
          : mark === 'clear'
            ? `${placed.part.name} goes in with room to swing.`
            : rest.lo >= 0
              ? `Less than ${MARGIN_MM} mm spare: it may not swing into its slot.`
              : 'Whether it goes in hangs on what is not measured yet.',
      remedies: (rest) =>
        gain && !cage
          ? [
              adding(rest, MARGIN_MM, {
                id: 'cage-out',
                title: 'Take the drive cage out',
                term: termOf(shell, 'cageGain', 'cage out', 1, gain),
                minutes: remedyMinutes('cage-out'),
                money: { minor: 0, currency: settingsOf(plan).currency },
                undoable: true,
              }),
            ]
          : plan.taken.has(`cut-front:${placed.seat}`)
            ? []
            : [
                adding(rest, MARGIN_MM, {
                  id: `cut-front:${placed.seat}`,
                  title: `Cut ${CUT_MM} mm into the wall in front`,
                  term: plain('cut', range(CUT_MM), 1),
                  spoils: 'an opening in the front',
                  minutes: remedyMinutes('cut-front'),
                  money: { minor: 0, currency: settingsOf(plan).currency },
                  undoable: false,
                }),
              ],
    });
  });
}
