import { byMark, type Finding, type StationId } from '../findings/finding.ts';
import type { Plan } from '../model/plan.ts';
import { checks } from './checks.ts';
import { foundTogether } from './foundTogether.ts';
import { inked } from './inked.ts';

/** All sums of a plan, worst first within each station. */
export function runChecks(plan: Plan): Finding[] {
  return checks
    .flatMap((check) => check(plan))
    .map((finding) => inked(plan, foundTogether(plan, finding)))
    .sort(byMark);
}

/** The finding nearest to trouble: the worst mark, then the least rest for its need; measures before counts and words. */
export function tightest(found: readonly Finding[]): Finding | undefined {
  const slack = (finding: Finding) => {
    if (!finding.rest || finding.unit === '') return finding.mark === 'clear' ? Infinity : 1000;
    /* Clear though its figures leave it open: found together. */
    if (finding.mark === 'clear' && finding.rest.lo < 0) return Infinity;
    const need = finding.terms.reduce(
      (sum, term) =>
        typeof term.value === 'string' || term.sign !== -1 ? sum : sum + term.value.hi,
      0,
    );
    return finding.rest.lo / Math.max(need, 1);
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
