import { gap, restOf } from '../findings/gap.ts';
import type { Finding } from '../findings/finding.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import { offsetTerms } from './space/coord.ts';
import { spaceOf } from './space/space.ts';

/** Air the fans of a card or a supply want before them, mm (common practice, no source). */
const BREATH_MM = 10;

/** A card's fans face away from the processor: what lies before them, the next card or the case's end. */
export function hotFaces(plan: Plan): Finding[] {
  const space = spaceOf(plan);
  if (!space) return [];
  const cards = space.boxes.filter((box) => box.kind === 'card' && box.what === 'body');
  return cards.flatMap((card, i) => {
    const next = cards[i + 1];
    const end = next ? next.y[0] : space.at.bottomY;
    if (!end) return [];
    const terms = offsetTerms(card.y[1], end);
    const rest = restOf(terms);
    /* Only what is near is worth a line: a wall far off is no question. */
    if (rest.lo >= BREATH_MM * 3) return [];
    return gap({
      id: `hot-face:${card.seat}`,
      station: 'fit',
      title: `air before the fans of ${card.name}`,
      seats: [card.seat, next ? next.seat : 'case'],
      unit: 'mm',
      terms,
      minimumMargin: BREATH_MM,
      lack: 'watch',
      source: commonPractice,
      undoMinutes: 20,
      say: (left, mark) =>
        mark === 'clear'
          ? 'Its fans have air to draw.'
          : left.hi < BREATH_MM
            ? `Its fans face ${next ? 'the next card' : "the case's end"} at ${Math.max(0, Math.round(left.hi))} mm: they will starve.`
            : `Its fans may face ${next ? 'the next card' : "the case's end"} closely.`,
    });
  });
}
