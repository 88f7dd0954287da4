import type { Shop } from '../model/types/types.ts';
import {
  ANY,
  bestOf,
  difference,
  searchOf,
  type Asked,
  type Difference,
  type PlanAnswer,
  type Planned,
} from './planned.ts';
import { proposalOf, summaryOf } from './proposal.ts';
import { NO_REASONS, reasonsOf, type Reasons } from './reasons.ts';
import type { Found, Limits, Progress, Search, Solver } from './search.ts';
import { STAYS } from './verdict.ts';

/** All that is said of a shop: the best plan, others, and the reasons. `limits` holds for all of it. */
export function* planShop(
  shop: Shop,
  asked: Asked,
  solve: Solver,
  limits: Limits,
): Generator<Progress, PlanAnswer> {
  const planned = yield* bestOf(searchOf(shop, asked.jobIds, asked.wishes, solve), asked, limits);
  const others = yield* othersOf(planned, limits);
  const reasons = asked.reasons ? yield* reasonsOf(planned, shop, solve, limits) : NO_REASONS;
  return answerOf(planned, others, reasons);
}

/** What was found, in the words of the shop. */
export function answerOf(
  { search, asked, first, best }: Planned,
  others: readonly Found[] = [],
  reasons: Reasons = NO_REASONS,
): PlanAnswer {
  const plans = [best, ...others];
  return {
    today: summaryOf(
      search.open.today,
      search.open.jobs.map(({ job }) => job.id),
    ),
    plans: plans.map((found) => proposalOf(search, found, asked.wishes.leave)),
    counts: plans.map(({ counts }) => counts),
    proven: first.proven,
    gap: first.gap,
    ...reasons,
    notes: notesOf(search),
    judged: search.judge.judged,
  };
}

function notesOf({ open, pool, unsure }: Search): string[] {
  return [
    ...open.notes,
    ...(pool.passedOver > 0
      ? [
          `${pool.passedOver} parts were passed over: more of the same things, as cheap and as near, than there are seats. Nothing better was left out.`,
        ]
      : []),
    ...(unsure ? ['For some parts not every set of remedies was looked through.'] : []),
  ];
}

/** The next best plans, each without those before it and their twins. */
export function* othersOf(
  { search, asked, first, best }: Planned,
  limits: Limits,
): Generator<Progress, Found[]> {
  const found: Found[] = [];
  if (!first.proven) return found;
  const again = search.again(asked.wishes);
  for (let last = best; found.length < asked.others && limits.left() > 0;) {
    again.model.forbid(last.picks);
    const next = yield* again.best(limits, ANY);
    if (!next.found || !next.proven) break;
    found.push(next.found);
    last = next.found;
  }
  return found;
}

/** The plan that has this part there (undefined: nothing new), and what it costs against the best; undefined: there is none. */
export function* withMove(
  { search, asked, best }: Planned,
  to: { jobId: string; seat: string; stage: number; partId: string | undefined },
  limits: Limits,
): Generator<
  Progress,
  { found: Found; costs: Difference | undefined; proven: boolean } | undefined
> {
  const slot = search.open.slots.find(
    ({ job, seat, stage }) =>
      search.open.jobs[job]?.job.id === to.jobId && seat === to.seat && stage === to.stage,
  );
  const pick =
    to.partId === undefined
      ? STAYS
      : search.pool.stock.find(({ parts }) => parts.some(({ id }) => id === to.partId))?.at;
  if (!slot || pick === undefined) return undefined;
  const forced = [search.model.force(slot.at, [pick])];
  const { found, proven } = yield* search.again(asked.wishes).best(limits, forced);
  return found && { found, costs: difference(search.order, best.counts, found.counts), proven };
}
