import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import { numberAt, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import { add, range, scale, subtract } from '../units/range.ts';
import { treeOf, type Rail } from './tree/index.ts';

/** The small rails against the label, where it was read. */
export function smallRails(plan: Plan): Finding[] {
  const supply = partOfKind(plan, 'supply');
  const tree = supply && treeOf(plan, 'full');
  if (!supply || !tree) return [];
  const railOf = (name: Rail) => tree.branches.find((branch) => branch.id === name);
  const single = (
    [
      ['amps5', '5 V'],
      ['amps33', '3.3 V'],
    ] as const
  ).flatMap(([key, rail]) => {
    const label = numberAt(plan, supply, key);
    const amps = railOf(rail)?.amps;
    if (!label || !amps) return [];
    return gap({
      id: `rail-${key}`,
      about: { of: 'branch', branch: rail },
      station: 'watts',
      title: `${rail} rail`,
      seats: ['supply'],
      unit: 'A',
      terms: [
        termOf(supply, key, `label, ${rail}`, 1, label),
        { ...plain('parts draw', amps, -1), how: 'class' },
      ],
      minimumMargin: label.lo * 0.1,
      short: 'short',
      source: commonPractice,
      undoMinutes: 30,
      say: (_, mark) =>
        mark === 'clear' ? `The ${rail} rail carries it.` : `The ${rail} rail is near its limit.`,
    });
  });
  const combined = numberAt(plan, supply, 'combined');
  const [five, three] = [railOf('5 V'), railOf('3.3 V')];
  if (!combined || (!five && !three)) return single;
  const both = add(five?.watts ?? range(0), three?.watts ?? range(0));
  return [
    ...single,
    gap({
      id: 'combined',
      station: 'watts',
      title: '5 and 3.3 V together',
      seats: ['supply'],
      unit: 'W',
      terms: [
        termOf(supply, 'combined', 'label, together', 1, combined),
        { ...plain('parts draw', both, -1), how: 'class' },
      ],
      minimumMargin: combined.lo * 0.1,
      short: 'short',
      source: commonPractice,
      undoMinutes: 30,
      say: (_, mark) =>
        mark === 'clear'
          ? 'Both rails together carry it.'
          : 'Both rails together are near their limit.',
    }),
  ];
}

/** A label that contradicts itself: one rail, or the two together, above the total. Rails adding up beyond it are normal. */
export function labelSense(plan: Plan): Finding[] {
  const supply = partOfKind(plan, 'supply');
  const watts = supply && numberAt(plan, supply, 'watts');
  if (!supply || !watts || watts.how === 'class') return [];
  const claims = (
    [
      ['amps12', 12, '12 V alone'],
      ['amps5', 5, '5 V alone'],
      ['amps33', 3.3, '3.3 V alone'],
      ['combined', 1, '5 and 3.3 V together'],
    ] as const
  ).flatMap(([key, volts, label]) => {
    const told = numberAt(plan, supply, key);
    return told && told.how !== 'class' && told.lo * volts > watts.hi * 1.02
      ? [{ key, label, told, claim: scale(told, volts) }]
      : [];
  });
  return claims.map(({ key, label, told, claim }) => ({
    id: `label-${key}`,
    station: 'watts',
    mark: 'watch',
    title: 'label against itself',
    seats: ['supply'],
    unit: 'W',
    terms: [
      termOf(supply, 'watts', 'label, total', 1, watts),
      { ...termOf(supply, key, label, -1, told), value: claim },
    ],
    margin: subtract(watts, claim),
    marginLabel: 'above the total',
    say: `${label} is ${Math.round(claim.lo)} W, more than the ${Math.round(watts.hi)} W in all: read the label again.`,
    source: commonPractice,
    remedies: [],
    undoMinutes: 10,
  }));
}
