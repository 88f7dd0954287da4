import type { Remedy, Term } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import { isApplied, numberAt, type Placed, type Plan } from '../model/lookup/plan.ts';
import { range, type Range } from '../units/range.ts';
import { lidWashers } from '../remedies/lidWashers.ts';
import { appliedTerms, offerIn } from '../remedies/offer.ts';

/** Paint a coat leaves on one face, mm (10 to 25 um a coat; common practice, no source). */
export const COAT_MM: Range = range(0.01, 0.025);

/** What paint on one face takes. */
export function paint(plan: Plan, shell: Placed, faces = 1): Term[] {
  const coats = numberAt(plan, shell, 'coats');
  if (!coats || coats.hi === 0) return [];
  const label = `paint, ${coats.hi} coats`;
  const thick = range(COAT_MM.lo * coats.lo * faces, COAT_MM.hi * coats.hi * faces);
  return [{ ...plain(label, thick, -1), how: coats.how }];
}

/** What changes the room under a lid: paint, lining, washers under its screws. */
export function lidTerms(plan: Plan, shell: Placed): Term[] {
  const terms = paint(plan, shell);
  const lining = numberAt(plan, shell, 'lining');
  if (lining && lining.hi > 0)
    terms.push({
      ...plain('lining', { lo: lining.lo, hi: lining.hi }, -1),
      how: lining.how,
      input: { partId: shell.part.id, key: 'lining', seat: shell.seat },
    });
  return [...terms, ...appliedTerms(plan, [lidWashers()])];
}

export const lidRemedies = (plan: Plan, rest: Range, margin: number): Remedy[] =>
  isApplied(plan, lidWashers()) ? [] : offerIn(plan, lidWashers(), rest, margin);
