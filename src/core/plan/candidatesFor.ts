import { byMark, worst, type Finding, type Mark } from '../findings/finding.ts';
import { indexOf } from '../model/lookup.ts';
import { withChange } from '../model/stages.ts';
import type { Job, Part, Shop } from '../model/types.ts';
import { planOf } from './planOf.ts';
import { candidates } from './remedies.ts';
import { checksOf, runChecks, tightest } from './run.ts';

/** A part for a seat, run through all checks of all stations. */
export interface Candidate {
  part: Part;
  /** Worst of its own sums, and the tightest of them. */
  mark: Mark;
  tight: Finding | undefined;
  /** Why not this one: Stops and Mends it brings that were not there before. */
  against: Finding[];
  /** The donor it would leave. */
  from: string | undefined;
}

/** Parts of shelf and donors for a seat, best first: worst mark, what it brings, then its price. */
export function candidatesFor(shop: Shop, job: Job, seat: string, stage?: number): Candidate[] {
  const before = new Set(
    checksOf(shop, job).flatMap((each) => (each.mark === 'clear' ? [] : `${each.id} ${each.mark}`)),
  );
  const index = indexOf(shop);
  return candidates(shop, job, seat)
    .map((part): Candidate => {
      const changes = withChange(job.changes, { seat, partId: part.id, stage });
      const found = runChecks(planOf(shop, { ...job, changes }));
      const own = found.filter((finding) => finding.seats.includes(seat));
      return {
        part,
        mark: worst(own),
        tight: tightest(own),
        against: found.filter(
          (each) =>
            (each.mark === 'stop' || each.mark === 'mend') &&
            !before.has(`${each.id} ${each.mark}`),
        ),
        from: index.homeOf.get(part.id)?.id,
      };
    })
    .sort(
      (a, b) =>
        byMark({ mark: b.mark }, { mark: a.mark }) ||
        a.against.length - b.against.length ||
        (a.part.price?.minor ?? 0) - (b.part.price?.minor ?? 0) ||
        a.part.id.localeCompare(b.part.id),
    );
}
