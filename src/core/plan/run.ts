import { byMark, type Check, type Finding, type StationId } from '../findings/finding.ts';
import type { Plan } from '../model/lookup/plan.ts';
import type { Job, Shop } from '../model/types/types.ts';
import { checks } from './checks.ts';
import { withPaint } from './finishSums.ts';
import { foundTogether } from './foundTogether.ts';
import { withOrderedRemedies } from './ordered.ts';
import { commonPractice } from '../standards/source.ts';
import { planOf } from './planOf.ts';

const kept = new WeakMap<Shop, Map<string, Finding[]>>();

/** All sums of a job as its shop stands, kept while that shop lives: looking back at it costs nothing. */
export function checksOf(shop: Shop, job: Job): Finding[] {
  const own = kept.get(shop) ?? new Map<string, Finding[]>();
  kept.set(shop, own);
  const before = own.get(job.id);
  if (before && shop.jobs.includes(job)) return before;
  const found = runChecks(planOf(shop, job));
  if (shop.jobs.includes(job)) own.set(job.id, found);
  return found;
}

/** All sums of a plan, worst first within each station. */
export const runChecks = (plan: Plan): Finding[] => runSome(plan, checks).sort(byMark);

/** Some of the sums of a plan, in their order. */
export const runSome = (plan: Plan, some: readonly Check[]): Finding[] =>
  some.flatMap((check, i) => orNamed(() => check(plan), i)).map((finding) => judged(plan, finding));

/** A check's own finding as it stands in its plan: found together, with its paint and the remedies on the list. */
export const judged = (plan: Plan, finding: Finding): Finding =>
  withOrderedRemedies(plan, withPaint(plan, foundTogether(plan, finding)));

/** Ids of sums that could not be worked out. */
export const NOT_COMPUTED = 'not-computed:';

/** One check that fails spoils itself alone: it stands as a Watch that says so, never as Clear. */
function orNamed(work: () => Finding[], check: number): Finding[] {
  try {
    return work();
  } catch (error) {
    return [
      {
        id: `${NOT_COMPUTED}${check}`,
        station: 'take-in',
        mark: 'watch',
        title: 'a sum could not be worked out',
        seats: [],
        unit: '',
        terms: [],
        marginLabel: 'not known',
        say: `Something in this job's data stops it (${(error as Error).message.slice(0, 120)}). The other sums stand.`,
        source: commonPractice,
        remedies: [],
        undoMinutes: 0,
      },
    ];
  }
}

/** The finding nearest to trouble: the worst mark, then the least rest for its need; measures before counts and words. */
export function tightest(found: readonly Finding[]): Finding | undefined {
  const slack = (finding: Finding) => {
    if (!finding.margin || finding.unit === '') return finding.mark === 'clear' ? Infinity : 1000;
    /* Clear though its figures leave it open: found together. */
    if (finding.mark === 'clear' && finding.margin.lo < 0) return Infinity;
    const need = finding.terms.reduce(
      (sum, term) =>
        typeof term.value === 'string' || term.sign !== -1 ? sum : sum + term.value.hi,
      0,
    );
    return finding.margin.lo / Math.max(need, 1);
  };
  return [...found].sort((a, b) => byMark(a, b) || slack(a) - slack(b))[0];
}

export type Counts = Record<'stop' | 'mend' | 'watch', number>;

/** Open findings by station, for the rail. */
export function countByStation(found: readonly Finding[]): Partial<Record<StationId, Counts>> {
  const counts: Partial<Record<StationId, Counts>> = {};
  for (const finding of found) {
    const here = (counts[finding.station] ??= { stop: 0, mend: 0, watch: 0 });
    if (finding.mark !== 'clear') here[finding.mark] += 1;
  }
  return counts;
}
