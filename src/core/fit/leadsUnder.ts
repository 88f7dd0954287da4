import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import { isApplied, numberAt, partOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { offer } from '../remedies/offer.ts';
import { taller, tallerFeet } from '../remedies/tallerFeet.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';

/** A screen's plug with the bend of its lead, straight ones and angled ones, mm (common practice, no source). */
const PLUGGED_MM = range(25, 65);

/** Plugs and leads under a case that stands with its ports down: its feet and how far the ports are set back must hold them. */
export function leadsUnder(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  if (!shell || textAt(plan, shell, 'portsFace')?.text !== 'down') return [];
  const feet = numberAt(plan, shell, 'feet');
  const set = numberAt(plan, shell, 'portsSet');
  const lifted = isApplied(plan, tallerFeet());
  return [
    gap({
      id: 'leads-under',
      station: 'fit',
      title: 'leads under the case',
      seats: ['case'],
      unit: 'mm',
      terms: [
        lifted
          ? taller(plan)
          : feet
            ? termOf(shell, 'feet', 'feet', 1, feet)
            : plain('feet', range(0), 1),
        set
          ? termOf(shell, 'portsSet', 'ports set back', 1, set)
          : {
              ...plain('ports set back', SET_BACK_MM, 1),
              how: 'class',
              input: { partId: shell.part.id, key: 'portsSet', seat: shell.seat },
            },
        plain('plug and bend, straight or angled', PLUGGED_MM, -1),
      ],
      minimumMargin: 0,
      source: commonPractice,
      undoMinutes: 15,
      say: (rest, mark) =>
        mark === 'stop'
          ? `It would stand on its plugs: ${Math.ceil(-rest.hi)} mm short even for angled ones.`
          : mark === 'clear'
            ? 'Plugs and leads go in under it.'
            : 'With straight plugs it may stand on its leads: angled ones, or feet.',
      remedies: () => (lifted ? [] : [offer(plan, tallerFeet(), 'watch')]),
    }),
  ];
}

/** How far ports are set back in cases made to stand on them, mm (common practice, no source). */
const SET_BACK_MM = range(0, 60);
