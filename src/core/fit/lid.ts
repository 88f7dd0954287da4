import type { Remedy, Term } from '../findings/finding.ts';
import { adding } from '../findings/gap.ts';
import { plain } from '../findings/terms.ts';
import { numberAt, type Placed, type Plan } from '../model/plan.ts';
import { settingsOf } from '../model/reads.ts';
import { range, type Range } from '../units/range.ts';
import { remedyMinutes } from '../findings/remedyMinutes.ts';

/** Paint a coat leaves on one face, mm (10 to 25 um a coat; common practice, no source). */
export const COAT_MM: Range = range(0.01, 0.025);
/** What washers under the lid's screws lift it, mm (common practice, no source). */
export const WASHERS_MM = 3;

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
  if (plan.taken.has('lid-washers')) terms.push(plain('washers', range(WASHERS_MM), 1));
  return terms;
}

/** Washers under the lid's screws: little room, seen, and dust comes in. */
export function lidRemedies(plan: Plan, rest: Range, margin: number): Remedy[] {
  if (plan.taken.has('lid-washers')) return [];
  return [
    adding(rest, margin, {
      id: 'lid-washers',
      title: 'Washers under the lid',
      term: plain('washers', range(WASHERS_MM), 1),
      minutes: remedyMinutes('lid-washers'),
      money: { minor: 0, currency: settingsOf(plan).currency },
      undoable: true,
      spoils: 'the lid stands off',
    }),
  ];
}
