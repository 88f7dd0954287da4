import type { Finding } from '../findings/finding.ts';
import { wordOf } from '../findings/terms.ts';
import { partsOfKind, type Plan } from '../model/lookup/plan.ts';
import { carriedBy, risersOf } from '../model/lookup/stands.ts';
import { commonPractice } from '../standards/source.ts';

/** With several cards a riser that names none may carry any of them: which one changes where each stands. */
export function riserCard(plan: Plan): Finding[] {
  const cards = partsOfKind(plan, 'card');
  return risersOf(plan)
    .filter((riser) => carriedBy(plan, riser) === undefined)
    .map((riser) => ({
      id: `riser-card:${riser.seat}`,
      station: 'fit' as const,
      mark: 'watch' as const,
      title: 'which card stands on the riser',
      seats: [riser.seat, ...cards.map(({ seat }) => seat)],
      unit: '',
      terms: [
        { ...wordOf(riser, 'carries', 'it carries', undefined), value: '?', sign: 0 as const },
      ],
      marginLabel: 'not said',
      say: 'Until it is said the sums take the first card for it: length, height and slots hang on that.',
      source: commonPractice,
      remedies: [],
      undoMinutes: 20,
    }));
}
