import { byMark, type Check, type Finding, type Term } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { stageName, stagesOf } from '../model/types/stages.ts';
import { commonPractice } from '../standards/source.ts';
import { scale, type Range } from '../units/range.ts';
import { sizeChecks } from '../watts/index.ts';
import { planOf } from './planOf.ts';
import { table } from '../units/table.ts';

/** What a supply leaves at one stage of a plan: the tightest of its sums, in watts. */
export interface StageRest {
  stage: number;
  finding: Finding;
  restW: Range;
  /** Where it is tight: in all, or on a rail. */
  where: string;
}

/** Sums a supply is sized by, and watts to one of their unit. */
const sizes: Record<string, { perUnit: number; where: string }> = table({
  'supply-total': { perUnit: 1, where: 'in all, with headroom' },
  'rail-12': { perUnit: 12, where: 'on 12 V' },
  'feed-watts': { perUnit: 1, where: 'in all' },
});

/** The tightest sum of the supply at every stage; stages without one are left out. */
export function stageRests(plan: Plan): StageRest[] {
  const { job, shop } = plan;
  if (!job) return [];
  return stagesOf(job).flatMap((stage) => {
    const at = planOf(shop, job, stage);
    const found = sizeChecks
      .flatMap((check) => check(at))
      .flatMap((finding): StageRest[] => {
        const size = sizes[finding.id];
        if (!size || !finding.margin) return [];
        return [{ stage, finding, restW: scale(finding.margin, size.perUnit), where: size.where }];
      });
    return found
      .sort((a, b) => byMark(a.finding, b.finding) || a.restW.lo - b.restW.lo)
      .slice(0, 1);
  });
}

/** Is the supply enough today and after the last stage? Said only of plans in stages. */
export function stageWatts(plan: Plan): Finding[] {
  if (!plan.job || stagesOf(plan.job).length < 2) return [];
  const rests = stageRests(plan);
  const [worst] = [...rests].sort((a, b) => byMark(a.finding, b.finding));
  const last = rests.at(-1);
  if (!worst || !last || rests.length < 2) return [];
  return [
    {
      id: 'stage-watts',
      station: 'watts',
      mark: worst.finding.mark,
      title: 'the PSU, stage by stage',
      seats: ['supply'],
      unit: 'W',
      terms: rests.map((each): Term => ({
        ...plain(`${stageName(each.stage)}, ${each.where}`, each.restW, 0),
        how: 'class',
      })),
      margin: last.restW,
      marginLabel: last.restW.hi < 0 ? 'short at the end' : 'left at the end',
      say: saysOf(rests),
      source: commonPractice,
      remedies: [],
      undoMinutes: 30,
    },
  ];
}

function saysOf(rests: readonly StageRest[]): string {
  const at = rests.findIndex((each) => each.finding.mark !== 'clear');
  const first = rests[at];
  if (!first) return 'Enough for every stage of the plan.';
  const before = rests[at - 1];
  const until = before
    ? `Enough ${before.stage === 1 ? 'now' : `until ${stageName(before.stage)}`}; at ${stageName(first.stage)}`
    : 'From the first stage on';
  const least = Math.ceil(-first.restW.hi);
  if (least > 0) return `${until} at least ${least} W short ${first.where}.`;
  const most = Math.ceil(-first.restW.lo);
  return most > 0
    ? `${until} it may be ${most} W short ${first.where}.`
    : `${until} little is left ${first.where}: ${-most} W.`;
}

/** Every stage must run by itself: Stops of earlier stages that the finished plan no longer has. */
export const stageStops =
  (stations: readonly Check[]): Check =>
  (plan) => {
    const { job, shop } = plan;
    if (!job) return [];
    const stages = stagesOf(job).slice(0, -1);
    if (stages.length === 0) return [];
    const atEnd = new Set(
      stations
        .flatMap((check) => check(plan))
        .flatMap((each) => (each.mark === 'stop' ? each.id : [])),
    );
    return stages.flatMap((stage): Finding[] => {
      const at = planOf(shop, job, stage);
      const stops = stations
        .flatMap((check) => check(at))
        .filter((each) => each.mark === 'stop' && !atEnd.has(each.id));
      const [first] = stops;
      if (!first) return [];
      return [
        {
          id: `stage-runs-${stage}`,
          station: first.station,
          mark: 'stop',
          title: `${stageName(stage)}: ${first.title}`,
          seats: first.seats,
          unit: first.unit,
          terms: first.terms,
          margin: first.margin,
          marginLabel: first.marginLabel,
          say: `As planned ${stageName(stage)}: ${first.say}${stops.length > 1 ? ` And ${stops.length - 1} more.` : ''} Each stage must run by itself.`,
          source: first.source,
          remedies: [],
          undoMinutes: first.undoMinutes,
        },
      ];
    });
  };
