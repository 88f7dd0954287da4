import { isPriced } from '../donors/index.ts';
import { kindName } from '../model/types/seats.ts';
import type { Shop } from '../model/types/types.ts';
import {
  difference,
  searchOf,
  type Gain,
  type PlanAnswer,
  type Planned,
  type Stuck,
  type Why,
} from './planned.ts';
import { proposalOf } from './proposal.ts';
import type { Found, Limits, Outcome, Progress, Search, Solver } from './search.ts';
import { STAYS, type Put } from './verdict.ts';
import { usualWishes } from './wishes.ts';

export type Reasons = Pick<PlanAnswer, 'whys' | 'gains' | 'stuck'>;
export const NO_REASONS: Reasons = { whys: [], gains: [], stuck: [] };

/** Why each part goes where it goes, what would better the plan, and what keeps jobs from running. */
export function* reasonsOf(
  planned: Planned,
  shop: Shop,
  solve: Solver,
  limits: Limits,
): Generator<Progress, Reasons> {
  const stuck = yield* stuckOf(planned, limits);
  if (!planned.first.proven) return { ...NO_REASONS, stuck };
  const whys = yield* whysOf(planned, limits);
  const gains = yield* gainsOf(planned, shop, solve, limits);
  return { whys, gains, stuck };
}

function* whysOf({ search, asked, best }: Planned, limits: Limits): Generator<Progress, Why[]> {
  const { open, pool } = search;
  const { jobs } = proposalOf(search, best, asked.wishes.leave);
  const whys: Why[] = [];
  for (const slot of open.slots) {
    const { job, slots } = open.jobs[slot.job]!;
    const i = slots.indexOf(slot);
    const pick = best.picks[slot.job]?.[i];
    const partId = jobs[slot.job]?.strands[i]?.partId;
    if (pick === undefined || pick === STAYS || partId === undefined) continue;
    if (limits.left() <= 0) break;
    const without = search.model.without(slot.at, search.model.twinsOf(slot.at, pick));
    const next = yield* search.again(asked.wishes).best(limits, [without]);
    if (!next.proven || !next.found) continue;
    const costs = difference(search.order, best.counts, next.found.counts);
    const there = next.found.picks[slot.job]?.[i];
    const { price } = pool.stock[pick]!;
    const saves = costs?.dim === 'money' ? -costs.by / 2 : undefined;
    const paid = isPriced(price) ? price.hi : 0;
    whys.push({
      jobId: job.id,
      seat: slot.seat,
      stage: slot.stage,
      partId,
      insteadId:
        there === undefined || there === STAYS ? undefined : pool.stock[there]!.parts[0]!.id,
      costs,
      upTo: saves !== undefined && paid > 0 ? paid + saves : undefined,
    });
  }
  return whys;
}

/** Things one more of which is looked at, and people asked for leave. */
const MOST_GAINS = 8;

function* gainsOf(
  { search, asked, best }: Planned,
  shop: Shop,
  solve: Solver,
  limits: Limits,
): Generator<Progress, Gain[]> {
  const { pool, order } = search;
  const gains: Gain[] = [];
  const keep = (what: Gain['what'], next: Outcome) => {
    const better = next.proven && next.found && difference(order, next.found.counts, best.counts);
    if (better) gains.push({ what, gains: { dim: better.dim, by: -better.by } });
  };
  /* What another job has planned is no matter of leave: that job is to be chosen, too. */
  const asks = pool.kept.filter(({ why }) => why !== 'planned elsewhere');
  for (const { id, name, why } of asks.slice(0, MOST_GAINS)) {
    if (limits.left() <= 0) break;
    const wishes = { ...asked.wishes, leave: [...asked.wishes.leave, id] };
    keep({ leave: id, name, why }, yield* searchOf(shop, asked.jobIds, wishes, solve).best(limits));
  }
  for (const pick of scarceIn(search, best).slice(0, MOST_GAINS)) {
    if (limits.left() <= 0) break;
    const next = yield* search.again(asked.wishes, new Map([[pick, 1]])).best(limits);
    keep({ stock: pool.stock[pick]!.parts[0]!.id }, next);
  }
  return gains.sort(
    (a, b) => order.indexOf(a.gains.dim) - order.indexOf(b.gains.dim) || b.gains.by - a.gains.by,
  );
}

/** Pieces of which none is left over. */
function scarceIn({ pool }: Search, { picks }: Found): Put[] {
  const used = new Map<Put, number>();
  for (const own of picks)
    for (const pick of own ?? []) if (pick !== STAYS) used.set(pick, (used.get(pick) ?? 0) + 1);
  return [...used].flatMap(([pick, n]) => {
    const { count, frees } = pool.stock[pick]!;
    return n >= count && frees === undefined ? [pick] : [];
  });
}

/** Milliseconds at most to find out whether a job could run at all. */
const STUCK_MS = 5000;

/** For every job that does not run: is it for want of parts others got, or whatever it got? */
function* stuckOf({ search, best }: Planned, limits: Limits): Generator<Progress, Stuck[]> {
  const { open, pool } = search;
  const stuck: Stuck[] = [];
  for (const [j, { job, slots }] of open.jobs.entries()) {
    if (best.picks[j]) continue;
    const empty = slots.filter(
      (slot) => slot.vital && !slot.found && (pool.options[slot.at] ?? []).length === 0,
    );
    if (empty.length > 0) {
      const reasons = empty.map(
        ({ kind }) => `There is no ${kindName(kind)} nobody else has a say in.`,
      );
      stuck.push({ jobId: job.id, reasons, instead: false });
      continue;
    }
    const short: Limits = { left: () => Math.min(limits.left(), STUCK_MS) };
    const could = yield* search.again(usualWishes).best(short, [search.model.mustRun(j)]);
    stuck.push({
      jobId: job.id,
      reasons: could.found ? insteadOf(search, best, could.found) : fewestReasons(search, j),
      instead: could.found !== undefined,
    });
  }
  return stuck;
}

/** Jobs that run in the one plan and not in the other. */
function insteadOf({ open }: Search, best: Found, other: Found): string[] {
  const reasons = open.jobs.flatMap(({ job }, i) =>
    best.picks[i] && !other.picks[i] ? [`Job ${job.id} runs instead, with parts both need.`] : [],
  );
  return reasons.length > 0 ? reasons : ['It could, at the cost of what counts more.'];
}

/** A smallest set of reasons that is enough: one after the other left out while the job still cannot run. */
function fewestReasons(search: Search, j: number): string[] {
  const own = search.learned.filter(({ job }) => job === j);
  const say = new Map(own.map(({ finding }) => [finding.id, `${finding.title}: ${finding.say}`]));
  let kept = [...say.keys()];
  const stuck = (ids: readonly string[]) =>
    search.solve(search.model.lpAlone(j, new Set(ids)), STUCK_MS / 1000).status === 'infeasible';
  if (!stuck(kept)) return [...say.values()].slice(0, 3);
  for (const id of [...kept]) {
    const without = kept.filter((each) => each !== id);
    if (stuck(without)) kept = without;
  }
  return kept.map((id) => say.get(id) as string);
}
