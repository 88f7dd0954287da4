import { gap } from '../findings/gap.ts';
import { match } from '../findings/match.ts';
import type { Finding, Term } from '../findings/finding.ts';
import { plain, termOf, wordOf } from '../findings/terms.ts';
import {
  partsOfKind,
  isApplied,
  numberAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { SLOT_PITCH_MM } from '../standards/boards.ts';
import { card } from '../standards/room.ts';
import { range } from '../units/range.ts';
import { lidRemedies, lidTerms } from './lid.ts';
import { standOf } from '../model/lookup/stands.ts';
import { cardBend } from './space/onBoard.ts';
import { commonPractice } from '../standards/source.ts';
import { angledPlug } from '../remedies/angledPlug.ts';
import { offer, offerIn } from '../remedies/offer.ts';
import { otherBracket } from '../remedies/otherBracket.ts';

/** From the board's surface to the seat of a slot, mm (common practice, no source). */
const SEAT_MM = range(8, 11);

/** A card flat on a riser: what the riser lifts it and as many slots as it is thick, under the lid. */
function lyingUnderLid(plan: Plan, shell: Placed, placed: Placed): Finding[] {
  const { way, on } = standOf(plan, placed);
  const room = numberAt(plan, shell, 'cardHeightRoom');
  const slots = numberAt(plan, placed, 'slotsWide');
  const rise = on && numberAt(plan, on, 'rise');
  if (way !== 'riser' || !on || !room || !slots) return [];
  const thick = range(slots.lo * SLOT_PITCH_MM, slots.hi * SLOT_PITCH_MM);
  const found = gap({
    id: `card-flat:${placed.seat}`,
    station: 'fit',
    title: 'card flat on its riser',
    seats: [placed.seat, on.seat, 'case'],
    unit: 'mm',
    terms: [
      termOf(shell, 'cardHeightRoom', 'slot seat to the lid', 1, room),
      plain('slot seat over the board', SEAT_MM, 1),
      ...lidTerms(plan, shell),
      rise
        ? termOf(on, 'rise', "the riser's slot over the board", -1, rise)
        : {
            ...plain("the riser's slot over the board", USUAL_RISE_MM, -1),
            how: 'class',
            input: { partId: on.part.id, key: 'rise', seat: on.seat },
          },
      plain('card, lying', thick, -1),
    ],
    minimumMargin: 1,
    source: commonPractice,
    undoMinutes: 30,
    say: (rest, mark) =>
      mark === 'stop'
        ? `Lying on its riser the card stands ${Math.ceil(-rest.hi)} mm into the lid.`
        : mark === 'clear'
          ? 'The lid closes over the card on its riser.'
          : 'Whether the lid closes over the card on its riser depends on how high the riser lifts it.',
    remedies: (rest) => lidRemedies(plan, rest, 1),
  });
  return [found];
}

/** How high risers lift a card's slot, mm (common practice, no source). */
const USUAL_RISE_MM = range(15, 45);

/** A card's height over the slot, with the bend of its power leads, and its bracket against the openings. */
export function cardHeight(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  if (!shell) return [];
  return partsOfKind(plan, 'card').flatMap((placed) => {
    const found: Finding[] = lyingUnderLid(plan, shell, placed);
    const upright = standOf(plan, placed).way === 'slot';
    const angled = angledPlug({ seat: placed.seat });
    const room = numberAt(plan, shell, 'cardHeightRoom');
    const height = numberAt(plan, placed, 'height');
    if (upright && room && height) {
      const terms: Term[] = [
        termOf(shell, 'cardHeightRoom', 'card height clearance', 1, room),
        ...lidTerms(plan, shell),
        termOf(placed, 'height', 'card over the slot', -1, height),
      ];
      const bend = cardBend(plan, placed);
      const plugged = bend !== undefined && bend.at !== 'end';
      if (plugged) terms.push({ ...bend.term, sign: -1 });
      found.push(
        gap({
          id: `card-height:${placed.seat}`,
          station: 'fit',
          title: 'card height',
          seats: [placed.seat, 'case'],
          unit: 'mm',
          terms,
          minimumMargin: 1,
          source: plugged ? commonPractice : card.source,
          undoMinutes: 30,
          say: (rest, mark) =>
            mark === 'stop'
              ? `The card stands ${Math.ceil(-rest.hi)} mm above the lid.`
              : mark === 'clear'
                ? 'The lid closes over the card.'
                : plugged
                  ? bend.at === 'top'
                    ? 'The card fits, its power leads press against the lid.'
                    : 'The card fits, but its power leads may meet the lid: where do its plugs sit?'
                  : 'Whether the lid closes over the card depends on what is not measured yet.',
          remedies: (rest) => [
            ...(plugged && !isApplied(plan, angled) ? offerIn(plan, angled, rest, 1) : []),
            ...lidRemedies(plan, rest, 1),
          ],
        }),
      );
    }
    const opening = textAt(plan, shell, 'bracket');
    const bracket = textAt(plan, placed, 'bracket');
    if (opening || bracket) {
      found.push(
        match({
          id: `card-bracket:${placed.seat}`,
          station: 'fit',
          title: 'card bracket',
          seats: [placed.seat, 'case'],
          have: wordOf(shell, 'bracket', 'openings', opening),
          want: wordOf(placed, 'bracket', 'bracket', bracket),
          verdict: (have, want) =>
            have === want || want === 'both'
              ? { mark: 'clear', rest: 'same', say: 'The bracket meets the opening.' }
              : {
                  mark: 'mend',
                  rest: 'differs',
                  say: `The openings are ${have}, the bracket is ${want}: change the bracket before it goes in.`,
                },
          unknownSay: 'Nobody said which bracket this is.',
          source: card.source,
          undoMinutes: 15,
          remedies: () => [offer(plan, otherBracket({ seat: placed.seat }), 'watch')],
        }),
      );
    }
    return found;
  });
}
