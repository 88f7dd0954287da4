import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain } from '../findings/terms.ts';
import { indexOf } from '../model/lookup.ts';
import type { Plan } from '../model/plan.ts';
import { practice } from '../standards/source.ts';
import { range } from '../units/range.ts';

/** A part wanted by two open jobs, or taken out of a machine somebody uses. */
export function promised(plan: Plan): Finding[] {
  const index = indexOf(plan.shop);
  return plan.seats.flatMap((placed) => {
    if (placed.state === 'stays') return [];
    const wanting = plan.shop.jobs.filter(
      (job) =>
        !job.handedOver &&
        (job.id === plan.job?.id || job.changes.some((change) => change.partId === placed.part.id)),
    );
    const home = index.homeOf.get(placed.part.id);
    const found: Finding[] = [];
    if (wanting.length > 1) {
      found.push(
        gap({
          id: `promised:${placed.seat}`,
          station: 'donors',
          title: `${placed.part.id}, wanted more than once`,
          seats: [placed.seat],
          unit: '',
          terms: [
            plain('on the shelf', range(1), 1),
            plain(
              `wanted by ${wanting.map((job) => job.id).join(' and ')}`,
              range(wanting.length),
              -1,
            ),
          ],
          margin: 0,
          short: 'short',
          source: practice,
          undoMinutes: 30,
          say: () =>
            `${placed.part.name} is promised to ${wanting.map((job) => job.id).join(' and ')}.`,
        }),
      );
    }
    if (home?.state === 'in use') {
      found.push({
        id: `in-use:${placed.seat}`,
        station: 'donors',
        mark: 'watch',
        title: `${placed.part.id} sits in a machine in use`,
        seats: [placed.seat],
        unit: '',
        terms: [plain(placed.part.name, home.name, 0)],
        restLabel: 'in use',
        say: `${home.name} is in use: ask before you take it.`,
        source: practice,
        remedies: [],
        undoMinutes: 30,
      });
    }
    return found;
  });
}
