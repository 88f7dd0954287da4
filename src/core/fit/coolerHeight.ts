import { gap } from '../findings/gap.ts';
import type { Finding } from '../findings/finding.ts';
import { termOf } from '../findings/terms.ts';
import { numberAt, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { lidRemedies, lidTerms } from './lid.ts';
import { commonPractice } from '../standards/source.ts';

/** Air a closed lid should leave over a cooler, mm (common practice, no source). */
const MARGIN_MM = 2;

/** A cooler's height against the room from the processor's top to the closed lid. */
export function coolerHeight(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  const cooler = partOfKind(plan, 'cooler');
  const room = shell && numberAt(plan, shell, 'coolerRoom');
  const height = cooler && numberAt(plan, cooler, 'height');
  if (!shell || !cooler || !room || !height) return [];
  return [
    gap({
      id: 'cooler-height',
      about: { of: 'room', room: 'cooler height' },
      station: 'fit',
      title: 'cooler under the lid',
      seats: ['cooler', 'case'],
      unit: 'mm',
      terms: [
        termOf(shell, 'coolerRoom', 'cooler height clearance', 1, room),
        ...lidTerms(plan, shell),
        termOf(cooler, 'height', 'cooler', -1, height),
      ],
      minimumMargin: MARGIN_MM,
      source: commonPractice,
      undoMinutes: 45,
      say: (rest, mark) =>
        mark === 'stop'
          ? `The lid would stand ${Math.ceil(-rest.hi)} mm open over the cooler.`
          : mark === 'clear'
            ? 'The lid closes over the cooler.'
            : rest.lo >= 0
              ? 'The lid closes, but it may touch and hum.'
              : 'Whether the lid closes depends on what is not measured yet.',
      remedies: (rest) => lidRemedies(plan, rest, MARGIN_MM),
    }),
  ];
}
