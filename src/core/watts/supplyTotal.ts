import type { Finding, Term } from '../findings/finding.ts';
import { figure, gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import { partsOfKind, numberAt, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { settingsOf } from '../model/lookup/reads.ts';
import { commonPractice } from '../standards/source.ts';
import { scale, total, type Range } from '../units/range.ts';
import { isSingleFeed } from './tree/index.ts';
import { loads } from './loads.ts';

/**
 * The supply's label against the sum of full-load draws with the user's headroom,
 * and against the card maker's figure for the whole machine: two schools side by side.
 */
export function supplyTotal(plan: Plan): Finding[] {
  const supply = partOfKind(plan, 'supply');
  const label = supply && numberAt(plan, supply, 'watts');
  /* What a brick or a battery gives is judged at its own lead. */
  if (!supply || !label || isSingleFeed(plan, supply)) return [];
  const terms: Term[] = loads(plan);
  if (terms.length === 0) return [];
  const sum = total(terms.map((term) => term.value as Range));
  const headroom = settingsOf(plan).headroom;
  return [
    gap({
      id: 'supply-total',
      about: { of: 'branch', branch: 'supply' },
      station: 'watts',
      title: 'PSU watts',
      seats: ['supply', ...new Set(terms.flatMap((term) => (term.input ? [term.input.seat] : [])))],
      unit: 'W',
      terms: [
        termOf(supply, 'watts', 'label', 1, label),
        ...terms,
        plain(`headroom ${Math.round(headroom * 100)} %`, scale(sum, headroom), -1),
      ],
      minimumMargin: 0,
      short: 'short',
      lack: label.hi < sum.lo ? 'stop' : 'watch',
      source: commonPractice,
      undoMinutes: 30,
      say: (rest, mark) => {
        if (mark === 'clear') return 'The label covers the sum with the headroom you keep.';
        if (mark === 'stop') {
          return `The parts draw at least ${Math.ceil(sum.lo - label.hi)} W more than the label allows.`;
        }
        return rest.hi < 0
          ? `It covers the sum (${figure(sum, 0)} W), but not the headroom you keep.`
          : 'It may do: the draws are ranges. Read the labels of the largest loads.';
      },
    }),
    ...makerSchool(plan, supply, label),
  ];
}

function makerSchool(
  plan: Plan,
  supply: NonNullable<ReturnType<typeof partOfKind>>,
  label: NonNullable<ReturnType<typeof numberAt>>,
): Finding[] {
  return partsOfKind(plan, 'card').flatMap((placed) => {
    const asks = numberAt(plan, placed, 'makerTotal');
    if (!asks) return [];
    return gap({
      id: `maker-total:${placed.seat}`,
      station: 'watts',
      title: "PSU against the card maker's figure",
      seats: ['supply', placed.seat],
      unit: 'W',
      terms: [
        termOf(supply, 'watts', 'label', 1, label),
        termOf(placed, 'makerTotal', 'maker asks for', -1, asks),
      ],
      minimumMargin: 0,
      short: 'below',
      lack: 'watch',
      source: commonPractice,
      undoMinutes: 30,
      say: (rest, mark) =>
        mark === 'clear'
          ? "The label meets the card maker's figure."
          : "Below the card maker's figure, which covers poor PSUs and large CPUs: the sum governs, watch the peaks.",
    });
  });
}
