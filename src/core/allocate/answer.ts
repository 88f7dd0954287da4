import { indexOf } from '../model/lookup/lookup.ts';
import { kindName, seatName } from '../model/types/seats.ts';
import { emptyJob } from '../model/types/empty.ts';
import type { Shop } from '../model/types/types.ts';
import { wantedBy } from '../model/lookup/wanted.ts';
import { STAYS, type Put } from './judge.ts';
import { dims, type Counts, type Dim } from './model.ts';
import { proposalOf, summaryOf, takenUp, type Proposal, type Summary } from './proposal.ts';
import {
  finished,
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

/** All jobs that may be planned: open ones. */
export const openJobs = (shop: Shop): string[] =>
  shop.jobs.filter(({ handedOver }) => !handedOver).map(({ id }) => id);

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
  return new Search(open, poolOf(open, wishes.leave), wishes, solve);
}

/** The best plan of the whole shop with its reasons. `limits` holds for all of it: what is left of the time goes to the reasons. */
export function* planShop(
  shop: Shop,
  asked: Asked,
  solve: Solver,
  limits: Limits,
): Generator<Progress, PlanAnswer> {
  const search = searchOf(shop, asked.jobIds, asked.wishes, solve);
  const ids = search.open.jobs.map(({ job }) => job.id);
  const first = yield* search.best(limits);
  const best = first.found as Found;
  const plans = [best];
  if (asked.others > 0 && first.proven) plans.push(...others(search, asked, best, limits));
  const whole = asked.reasons && first.proven;
  return {
    today: summaryOf(shop, ids),
    plans: plans.map((found) => proposalOf(search, found, asked.wishes.leave)),
    counts: plans.map(({ counts }) => counts),
    proven: first.proven,
    gap: first.gap,
    whys: whole ? whysOf(search, asked.wishes, best, limits) : [],
    gains: whole ? gainsOf(shop, search, asked, best, solve, limits) : [],
    stuck: stuckOf(search, best, limits),
    notes: notesOf(search),
    judged: search.judge.judged,
  };
}

/** The next best plans, each without those before it and their twins. */
function others(
  search: Search,
  { wishes, others: most }: Asked,
  best: Found,
  limits: Limits,
): Found[] {
  const found: Found[] = [];
  const again = search.again(wishes);
  for (let last = best; found.length < most && limits.left() > 0;) {
    again.model.forbid(last.picks);
    const next = finished(again.best(limits, ANY));
    if (!next.found || !next.proven) break;
    found.push(next.found);
    last = next.found;
  }
  return found;
}

/** A row that holds for every plan: the empty plan is no start where something is forbidden. */
const ANY = [{ terms: new Map<string, number>(), most: 0 }];

/** Lines in which plans are told apart for people; ties are no difference. */
const told: readonly Dim[] = dims.filter(
  (dim) => !['opened', 'moved', 'untested', 'rank'].includes(dim),
);

/** The first line in which `b` is not as `a`. */
export function difference(order: readonly Dim[], a: Counts, b: Counts): Difference | undefined {
  const dim = order.find((each) => told.includes(each) && a[each] !== b[each]);
  return dim && { dim, by: a[dim] - b[dim] };
}

function whysOf(search: Search, wishes: Wishes, best: Found, limits: Limits): Why[] {
  const { open, pool } = search;
  const proposal = proposalOf(search, best, wishes.leave);
  const pieces = new Map(
    proposal.jobs.flatMap(({ jobId, strands }) =>
      strands.map((strand) => [`${jobId} ${strand.seat} ${strand.stage}`, strand.partId] as const),
    ),
  );
  return open.slots.flatMap((slot): Why[] => {
    const { job } = open.jobs[slot.job]!;
    const i = open.jobs[slot.job]!.slots.indexOf(slot);
    const pick = best.picks[slot.job]?.[i];
    const partId = pieces.get(`${job.id} ${slot.seat} ${slot.stage}`);
    if (pick === undefined || pick === STAYS || partId === undefined || limits.left() <= 0)
      return [];
    const without = search.model.without(slot.at, search.model.twinsOf(slot.at, pick));
    const next = finished(search.again(wishes).best(limits, [without]));
    if (!next.proven || !next.found) return [];
    const costs = difference(search.order, best.counts, next.found.counts);
    const there = next.found.picks[slot.job]?.[i];
    const stock = pool.stock[pick]!;
    const saves = costs?.dim === 'money' ? -costs.by / 2 : undefined;
    const paid = typeof stock.price === 'object' ? stock.price.hi : 0;
    return [
      {
        jobId: job.id,
        seat: slot.seat,
        stage: slot.stage,
        partId,
        insteadId:
          there === undefined || there === STAYS ? undefined : pool.stock[there]!.parts[0]!.id,
        costs,
        upTo: saves !== undefined && paid > 0 ? paid + saves : undefined,
      },
    ];
  });
}

/** Things one more of which is looked at, and people asked for leave. */
const MOST_GAINS = 8;

function gainsOf(
  shop: Shop,
  search: Search,
  asked: Asked,
  best: Found,
  solve: Solver,
  limits: Limits,
): Gain[] {
  const { pool, order } = search;
  const used = new Map<Put, number>();
  for (const own of best.picks)
    for (const pick of own ?? []) if (pick !== STAYS) used.set(pick, (used.get(pick) ?? 0) + 1);
  const scarce = [...used].filter(
    ([pick, n]) => n >= pool.stock[pick]!.count && pool.stock[pick]!.frees === undefined,
  );
  const more = scarce.slice(0, MOST_GAINS).flatMap(([pick]): Gain[] => {
    if (limits.left() <= 0) return [];
    const next = finished(search.again(asked.wishes, new Map([[pick, 1]])).best(limits));
    const gains = next.proven && next.found && difference(order, next.found.counts, best.counts);
    const [part] = pool.stock[pick]!.parts;
    return gains && part ? [{ what: { stock: part.id }, gains: turned(gains) }] : [];
  });
  const leave = pool.kept.slice(0, MOST_GAINS).flatMap(({ id, name, why }): Gain[] => {
    if (limits.left() <= 0) return [];
    const wishes = { ...asked.wishes, leave: [...asked.wishes.leave, id] };
    const next = finished(searchOf(shop, asked.jobIds, wishes, solve).best(limits));
    const gains = next.proven && next.found && difference(order, next.found.counts, best.counts);
    return gains ? [{ what: { leave: id, name, why }, gains: turned(gains) }] : [];
  });
  return [...more, ...leave].sort(
    (a, b) => order.indexOf(a.gains.dim) - order.indexOf(b.gains.dim) || b.gains.by - a.gains.by,
  );
}

const turned = ({ dim, by }: Difference): Difference => ({ dim, by: -by });

/** For every job that does not run: is it for want of parts others got, or whatever it got? */
function stuckOf(search: Search, best: Found, limits: Limits): Stuck[] {
  const { open, pool } = search;
  return open.jobs.flatMap(({ job, slots }, j): Stuck[] => {
    if (best.picks[j]) return [];
    const empty = slots.filter(
      (slot) => slot.vital && !slot.found && (pool.options[slot.at] ?? []).length === 0,
    );
    if (empty.length > 0)
      return [
        {
          jobId: job.id,
          reasons: empty.map(
            ({ kind }) => `There is no ${kindName(kind)} nobody else has a say in.`,
          ),
          instead: false,
        },
      ];
    const could = finished(
      search
        .again(usualWishes)
        .best({ left: () => Math.min(limits.left(), 5000) }, [search.model.mustRun(j)]),
    );
    if (could.found)
      return [{ jobId: job.id, reasons: insteadOf(search, best, could.found), instead: true }];
    return [{ jobId: job.id, reasons: reasonsOf(search, j), instead: false }];
  });
}

/** Jobs that run in the one plan and not in the other. */
function insteadOf({ open }: Search, best: Found, other: Found): string[] {
  return open.jobs.flatMap(({ job }, i) =>
    best.picks[i] && !other.picks[i] ? [`Job ${job.id} runs instead, with parts both need.`] : [],
  );
}

/** A smallest set of reasons that is enough: one after the other left out while the job still cannot run. */
function reasonsOf(search: Search, j: number): string[] {
  const own = search.learned.filter(({ job }) => job === j);
  const say = new Map(own.map(({ finding }) => [finding.id, `${finding.title}: ${finding.say}`]));
  let kept = [...say.keys()];
  const stuck = (ids: readonly string[]) =>
    search.solve(search.model.lpAlone(j, new Set(ids)), 5).status === 'infeasible';
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

/** What a strand costs against the best plan when a part is put elsewhere. Undefined: no plan has it there. */
export function costOfMove(
  search: Search,
  wishes: Wishes,
  best: Found,
  to: { jobId: string; seat: string; stage: number; partId: string | undefined },
  limits: Limits,
): { costs: Difference | undefined; found: Found } | undefined {
  const slot = search.open.slots.find(
    (each) =>
      search.open.jobs[each.job]?.job.id === to.jobId &&
      each.seat === to.seat &&
      each.stage === to.stage,
  );
  if (!slot) return undefined;
  const pick =
    to.partId === undefined
      ? STAYS
      : search.pool.stock.find(({ parts }) => parts.some(({ id }) => id === to.partId))?.at;
  if (pick === undefined) return undefined;
  const next = finished(search.again(wishes).best(limits, [search.model.force(slot.at, [pick])]));
  return (
    next.found && {
      costs: difference(search.order, best.counts, next.found.counts),
      found: next.found,
    }
  );
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

const SEED = 'further ';
const isSeed = (jobId: string): boolean => jobId.startsWith(SEED);
export const seedOf = (jobId: string): string => jobId.slice(SEED.length);

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

export { proposalOf, summaryOf, takenUp };

/** `the PSU of job 14`. */
export const seatOfJob = (jobId: string, seat: string): string =>
  `${seatName(seat)} of job ${jobId}`;
