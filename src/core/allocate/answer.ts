import { indexOf } from '../model/lookup/lookup.ts';
import { isPriced } from '../donors/index.ts';
import { kindName } from '../model/types/seats.ts';
import { emptyJob } from '../model/types/empty.ts';
import type { Shop } from '../model/types/types.ts';
import { wantedBy } from '../model/lookup/wanted.ts';
import { STAYS, type Put } from './verdict.ts';
import { isSeed, SEED } from './jobs.ts';
import { dims, type Counts, type Dim } from './dims.ts';
import { proposalOf, summaryOf, type Proposal, type Summary } from './proposal.ts';
import {
  Search,
  type Found,
  type Limits,
  type Outcome,
  type Progress,
  type Solver,
} from './search.ts';
import { opened } from './slots.ts';
import { poolOf } from './stock.ts';
import { usualWishes, type Wishes } from './wishes.ts';

/** How two plans differ in the first line in which they do: below nothing, the second is worse by so much. */
export interface Difference {
  dim: Dim;
  by: number;
}

/** Why a part goes where it goes: what the best plan without it there comes to. */
export interface Why {
  jobId: string;
  seat: string;
  stage: number;
  partId: string;
  /** What would be there instead; undefined: nothing new. */
  insteadId: string | undefined;
  /** What that costs; undefined: another plan is as good in all that counts. */
  costs: Difference | undefined;
  /** The price of this part, minor units, above which another plan is better; undefined where money does not decide. */
  upTo: number | undefined;
}

/** What one would gain by one thing more, or by leave to use what somebody has a say in. */
export interface Gain {
  what: { stock: string } | { leave: string; name: string; why: string };
  gains: Difference;
}

/** Why a job does not run, whatever it got: the fewest reasons that are enough. */
export interface Stuck {
  jobId: string;
  reasons: string[];
  /** It could run, were it not for these jobs that run instead. */
  instead: boolean;
}

export interface PlanAnswer {
  today: Summary;
  /** Best first; the next ones differ from those before by more than a swap of twins. */
  plans: Proposal[];
  counts: Counts[];
  proven: boolean;
  gap: Outcome['gap'];
  whys: Why[];
  gains: Gain[];
  stuck: Stuck[];
  /** What the answer rests on and leaves out, in words. */
  notes: string[];
  /** Plans of single jobs that went through all checks. */
  judged: number;
}

export interface Asked {
  jobIds: readonly string[];
  wishes: Wishes;
  /** Plans wanted besides the best. */
  others: number;
  /** Whether reasons and gains are wanted: each is a search of its own. */
  reasons: boolean;
}

export class NothingToPlan extends Error {}

/** A shop ready to be searched. Throws NothingToPlan where there is no open job among those asked for. */
export function searchOf(
  shop: Shop,
  jobIds: readonly string[],
  wishes: Wishes,
  solve: Solver,
  spare = false,
): Search {
  const open = opened(shop, jobIds, wishes.leave, spare);
  if (open.jobs.length === 0) throw new NothingToPlan('None of these jobs is open.');
  return new Search(open, poolOf(open), wishes, solve);
}

/** A plan of a shop as it was found, with what is needed to ask on. */
export interface Planned {
  search: Search;
  asked: Asked;
  first: Outcome;
  best: Found;
}

/** The best plan, proven or as far as the time went. */
export function* bestOf(
  search: Search,
  asked: Asked,
  limits: Limits,
): Generator<Progress, Planned> {
  const first = yield* search.best(limits);
  return { search, asked, first, best: first.found as Found };
}

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

export type Reasons = Pick<PlanAnswer, 'whys' | 'gains' | 'stuck'>;
const NO_REASONS: Reasons = { whys: [], gains: [], stuck: [] };

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

/** A row that holds for every plan: the empty plan is no start where something is forbidden. */
const ANY = [{ terms: new Map<string, number>(), most: 0 }];

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

/** Lines in which plans are told apart for people; ties are no difference. */
const told: readonly Dim[] = dims.filter(
  (dim) => !['opened', 'moved', 'untested', 'rank'].includes(dim),
);

/** The first line in which `b` is not as `a`. */
export function difference(order: readonly Dim[], a: Counts, b: Counts): Difference | undefined {
  const dim = order.find((each) => told.includes(each) && a[each] !== b[each]);
  return dim && { dim, by: a[dim] - b[dim] };
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

/** What the rest makes: further machines out of donors and loose cases, with at most this much added, minor units. */
export function* furtherMachines(
  shop: Shop,
  most: number,
  solve: Solver,
  limits: Limits,
): Generator<Progress, { proposal: Proposal; shop: Shop; proven: boolean } | undefined> {
  const rest = withSeeds(shop);
  const ids = rest.jobs.filter(({ id }) => isSeed(id)).map(({ id }) => id);
  if (ids.length === 0) return undefined;
  const wishes: Wishes = { ...usualWishes, order: ['run', 'money', 'minutes', 'rest'] };
  const search = searchOf(rest, ids, wishes, solve, true);
  const within = [
    { terms: new Map(search.model.line('money')), most: most * 2 },
    { terms: new Map(search.model.line('unpriced')), most: 0 },
  ].filter(({ terms }) => terms.size > 0);
  const found = yield* search.best(limits, within.length > 0 ? within : ANY);
  if (!found.found) return undefined;
  return { proposal: proposalOf(search, found.found, []), shop: rest, proven: found.proven };
}

/** The shop with a job for every donor that still has its case and board, and for every loose case. */
function withSeeds(shop: Shop): Shop {
  const { parts } = indexOf(shop);
  const wanted = wantedBy(shop);
  const machines = shop.machines.map((machine) =>
    machine.state === 'donor' && !machine.keepWhole
      ? { ...machine, seats: machine.seats.filter(({ partId }) => !wanted.has(partId)) }
      : machine,
  );
  const has = (seats: readonly { seat: string; partId: string }[], seat: string) =>
    seats.some((each) => each.seat === seat && parts.get(each.partId)?.condition !== 'dead');
  const donors = machines.filter(
    ({ state, keepWhole, loan, seats }) =>
      state === 'donor' && !keepWhole && !loan && has(seats, 'case') && has(seats, 'board'),
  );
  const cases = shop.parts.filter(
    ({ kind, place, id, loan, reserved }) =>
      kind === 'case' && place === 'shelf' && !wanted.has(id) && !loan && !reserved,
  );
  const taken = new Set(donors.map(({ id }) => id));
  return {
    ...shop,
    machines: machines.map((machine) =>
      /* Taken out of a working donor, nothing it lacks is there all the same. */
      taken.has(machine.id) ? { ...machine, state: 'here' as const, starts: false } : machine,
    ),
    jobs: [
      ...shop.jobs,
      ...donors.map((machine) => ({
        ...emptyJob(`${SEED}${machine.id}`, machine.name, ''),
        machineId: machine.id,
      })),
      ...cases.map((part) => ({
        ...emptyJob(`${SEED}${part.id}`, part.name, ''),
        changes: [{ seat: 'case', partId: part.id }],
      })),
    ],
  };
}
