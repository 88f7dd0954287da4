import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import { partsOfKind, numberAt, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { settingsOf, listOfJob } from '../model/lookup/reads.ts';
import { commonPractice } from '../standards/source.ts';
import { range, scale, type Range, mid } from '../units/range.ts';
import { efficiencyOf, treeOf } from './tree/index.ts';

/** The three schools of sizing, each with the watts it asks of the supply and its weakness. */
export interface School {
  name: string;
  asks: Range;
  weakness: string;
  governs: boolean;
}

/** A wall meter of the trade is right within this share (common practice, no source). */
const METER = 0.03;

/** What the machine gives itself, from a reading at the wall under full load; undefined where none was taken. */
export function measuredW(plan: Plan): Range | undefined {
  const supply = partOfKind(plan, 'supply');
  const label = supply && numberAt(plan, supply, 'watts');
  const reading = listOfJob(plan, 'readings')
    .filter(({ kind, load }) => kind === 'wallW' && load !== 'idle' && load !== 'real use')
    .at(-1);
  /* A meter that shows nothing, or less, was not in the lead. */
  if (!supply || !reading || reading.value <= 0) return undefined;
  const said = label ? mid(label) : 0;
  const rating = said > 0 ? said : reading.value * 2;
  const eta = efficiencyOf(plan, supply)((reading.value * 0.85) / rating);
  return range(reading.value * (1 - METER) * eta.lo, reading.value * (1 + METER) * eta.hi);
}

/** All schools that can say something of this plan; the measured one governs where the parts are as measured, else the sum. */
export function schoolsOf(plan: Plan): School[] {
  const tree = treeOf(plan, 'full');
  const headroom = 1 + settingsOf(plan).headroom;
  const makers = partsOfKind(plan, 'card').flatMap(
    (placed) => numberAt(plan, placed, 'makerTotal') ?? [],
  );
  const measured = measuredW(plan);
  const latest = listOfJob(plan, 'readings')
    .filter((each) => each.kind === 'wallW')
    .at(-1);
  const asMeasured = measured !== undefined && latest?.when === 'after';
  return [
    ...(tree
      ? [
          {
            name: 'sum with headroom',
            asks: scale(tree.givenW, headroom),
            weakness: 'as good as the draws that were typed',
            governs: !asMeasured,
          },
        ]
      : []),
    ...makers.map((asks) => ({
      name: "the card maker's figure",
      asks: range(asks.lo, asks.hi),
      weakness: 'for the whole machine, made for poor PSUs and large CPUs',
      governs: false,
    })),
    ...(measured
      ? [
          {
            name: 'measured at the wall',
            asks: scale(measured, headroom),
            weakness: asMeasured
              ? 'true for this load on that day; spikes are too short for the meter'
              : 'taken before the change: other parts, other watts',
            governs: asMeasured,
          },
        ]
      : []),
  ];
}

/** The measured school against the label, where a reading of the finished machine was taken. */
export function measuredSchool(plan: Plan): Finding[] {
  const supply = partOfKind(plan, 'supply');
  const label = supply && numberAt(plan, supply, 'watts');
  const school = schoolsOf(plan).find(
    (each) => each.name === 'measured at the wall' && each.governs,
  );
  if (!supply || !label || !school) return [];
  const tree = treeOf(plan, 'full');
  const typed = tree ? mid(tree.givenW) : undefined;
  const headroom = 1 + settingsOf(plan).headroom;
  const real = mid(school.asks) / headroom;
  const off =
    typed === undefined
      ? ''
      : ` The typed figures were ${Math.abs(Math.round((typed / real - 1) * 100))} % ${typed > real ? 'too high' : 'too low'}.`;
  return [
    gap({
      id: 'measured-total',
      station: 'watts',
      title: 'PSU watts by the wall meter',
      seats: ['supply'],
      unit: 'W',
      terms: [
        termOf(supply, 'watts', 'label', 1, label),
        { ...plain('measured, with headroom', school.asks, -1), how: 'measured' },
      ],
      minimumMargin: 0,
      short: 'short',
      lack: 'watch',
      source: commonPractice,
      undoMinutes: 30,
      say: (_, mark) =>
        mark === 'clear'
          ? `The label covers what was measured.${off}`
          : `What was measured takes the headroom.${off}`,
    }),
  ];
}
