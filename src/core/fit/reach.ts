import type { Finding, Term } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import {
  isApplied,
  numberAt,
  partsOfKind,
  sortOf,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import type { SmallSort } from '../model/properties/smallSorts.ts';
import { angledRibbon } from '../remedies/angledRibbon.ts';
import { longerLead } from '../remedies/longerLead.ts';
import { appliedTerms, offer, offerIn } from '../remedies/offer.ts';
import { RIBBON_ANGLED_MM, RIBBON_STRAIGHT_MM } from '../standards/room.ts';
import { commonPractice } from '../standards/source.ts';
import { range, type Range } from '../units/range.ts';

/** What the bends at both ends of such a lead take of its length, mm (common practice, no source). */
const bends: Partial<Record<SmallSort, Range>> = {
  'ribbon riser': range(15, 40),
  'display lead': range(40, 80),
  'wireless card': range(5, 20),
  'antenna lead': range(5, 20),
};

/** Ribbons, antenna and display leads against the way they are laid, where their length or their way was said. */
export function leadReach(plan: Plan): Finding[] {
  return partsOfKind(plan, 'small').flatMap((lead) => {
    const sort = sortOf(plan, lead);
    const bend = sort && bends[sort];
    if (!sort || !bend) return [];
    return [...reaches(plan, lead, sort, bend), ...ribbonEnd(plan, lead, sort)];
  });
}

function reaches(plan: Plan, lead: Placed, sort: SmallSort, bend: Range): Finding[] {
  const [length, way] = [numberAt(plan, lead, 'length'), numberAt(plan, lead, 'way')];
  if (!length && !way) return [];
  const name = sort === 'wireless card' ? 'antenna lead' : sort;
  const longer = longerLead({ lead: lead.seat, name });
  const open = (key: 'length' | 'way', label: string, sign: 1 | -1): Term => ({
    ...plain(label, sign === 1 ? USUAL_LENGTH_MM : USUAL_WAY_MM, sign),
    how: 'class',
    input: { partId: lead.part.id, key, seat: lead.seat },
  });
  return [
    gap({
      id: `reach:${lead.seat}`,
      station: 'fit',
      title: `${name}, how far it reaches`,
      seats: [lead.seat],
      unit: 'mm',
      terms: [
        length
          ? termOf(lead, 'length', 'length of the lead', 1, length)
          : open('length', 'length of the lead', 1),
        /* A ribbon is not lengthened: a longer one takes its place. */
        ...(sort === 'ribbon riser' ? [] : appliedTerms(plan, [longer])),
        way
          ? termOf(lead, 'way', 'its way as it is laid', -1, way)
          : open('way', 'its way as it is laid', -1),
        plain('bends at its ends', bend, -1),
      ],
      minimumMargin: 0,
      spare: 'slack',
      source: commonPractice,
      undoMinutes: 25,
      say: (rest, mark) =>
        mark === 'stop'
          ? `The ${name} is ${Math.ceil(-rest.hi)} mm too short for its way.`
          : mark === 'clear'
            ? `The ${name} reaches without pulling.`
            : `The ${name} may pull: lay a string along its way, bends and all.`,
      remedies: (rest) =>
        sort === 'ribbon riser' || isApplied(plan, longer) ? [] : offerIn(plan, longer, rest, 0),
    }),
  ];
}

/** What leads of these sorts are long, and what ways inside a case are, mm (common practice, no source). */
const USUAL_LENGTH_MM = range(100, 400);
const USUAL_WAY_MM = range(60, 350);

/** The socket end of a ribbon with its bend against the wall beside the card. */
function ribbonEnd(plan: Plan, lead: Placed, sort: SmallSort): Finding[] {
  const room = sort === 'ribbon riser' ? numberAt(plan, lead, 'wallBeside') : undefined;
  if (!room) return [];
  const end = textAt(plan, lead, 'plugEnd')?.text;
  const other = angledRibbon({ seat: lead.seat });
  const angled = end === 'angled' || isApplied(plan, other);
  const takes = angled
    ? RIBBON_ANGLED_MM
    : end === 'straight'
      ? RIBBON_STRAIGHT_MM
      : range(RIBBON_ANGLED_MM.lo, RIBBON_STRAIGHT_MM.hi);
  return [
    gap({
      id: `ribbon-end:${lead.seat}`,
      station: 'fit',
      title: 'ribbon beside the wall',
      seats: [lead.seat],
      unit: 'mm',
      terms: [
        termOf(lead, 'wallBeside', 'wall beside the contacts', 1, room),
        {
          ...plain(angled ? 'angled end and bend' : 'socket end and bend', takes, -1),
          ...(end === undefined &&
            !angled && {
              how: 'class' as const,
              input: { partId: lead.part.id, key: 'plugEnd' as const, seat: lead.seat },
            }),
        },
      ],
      minimumMargin: 0,
      source: commonPractice,
      undoMinutes: 20,
      say: (rest, mark) =>
        mark === 'stop'
          ? `The ribbon would be pressed against the wall, ${Math.ceil(-rest.hi)} mm short for its bend.`
          : mark === 'clear'
            ? 'The ribbon bends without touching the wall.'
            : 'Whether the ribbon clears the wall hangs on its socket end: straight on or at an angle.',
      remedies: () => (angled ? [] : [offer(plan, other, 'watch')]),
    }),
  ];
}
