import { billOf, isPriced, pricedIn, type Bill } from '../donors/index.ts';
import { mayFail } from '../findings/terms.ts';
import { indexOf } from '../model/lookup/lookup.ts';
import { withChange } from '../model/types/stages.ts';
import { seatName } from '../model/types/seats.ts';
import type { Change, Job, Part, SeatId, Shop } from '../model/types/types.ts';
import type { RemedyValue } from '../model/types/remedyValue.ts';
import { planOf } from '../plan/planOf.ts';
import { checksOf } from '../plan/run.ts';
import { runsOf, whyNot } from '../plan/runs.ts';
import { minutesOf, sameRemedy } from '../remedies/index.ts';
import { freeParts } from '../resolve/leftovers.ts';
import { STAYS, type Taken } from './verdict.ts';
import { MINUTES_TO_STRIP, MINUTES_TO_SWAP } from '../resolve/otherParts.ts';
import { isStripped } from './stock.ts';
import type { Found, Search } from './search.ts';

/** A part for a seat of a job, as a plan of the whole shop proposes it. */
export interface Strand {
  seat: SeatId;
  stage: number;
  /** Nothing new: what is there stays, or nothing comes. */
  partId: string | undefined;
  /** What today's plan puts there. */
  nowId: string | undefined;
}

export interface ProposedJob {
  jobId: string;
  runs: boolean;
  strands: Strand[];
  /** Remedies it takes, with what has to be got for them. */
  takes: Taken[];
  /** What the job asks for and does not get, in words. */
  misses: string[];
  /** All changes of the job as they would be. */
  changes: Change[];
}

/** What a state of the shop comes to: counted in one way for today and for every proposal. */
export interface Summary {
  jobs: { jobId: string; runs: boolean; why: string[]; unsaid: string[] }[];
  runs: number;
  bill: Bill;
  /** Minutes of hands for all that is swapped and mended. */
  minutes: number;
  /** Sums of fit that may come out either way until something is measured. */
  open: number;
  /** Machines that are opened for parts. */
  opened: string[];
  /** What the rest would fetch, minor units, and how many of its parts nobody valued. */
  rest: number;
  unvalued: number;
}

/** A whole plan: what each job gets, and what that comes to. */
export interface Proposal {
  jobs: ProposedJob[];
  summary: Summary;
  /** Tags there was leave for, that the plan uses. */
  leave: string[];
}

/** Which pieces go where: of alike ones the piece today's plan has there, else the first tag. */
export function proposalOf(search: Search, found: Found, leave: readonly string[]): Proposal {
  const { open } = search;
  const pieces = assigned(search, found);
  const given = new Set(pieces.values());
  const jobs = open.jobs.map(({ job, kept, slots }, j): ProposedJob => {
    const own = found.picks[j];
    const today = open.today.jobs.find(({ id }) => id === job.id) as Job;
    if (!own) return notRun(job.id, today, given, kept, slots);
    let changes = [...kept];
    const strands = slots.map((slot, i): Strand => {
      const { seat, stage } = slot;
      const partId = own[i] === STAYS ? undefined : pieces.get(slot.at);
      if (partId !== undefined) changes = withChange(changes, { seat, partId, stage });
      else if (slot.mustGo && slot.found)
        changes = withChange(changes, { seat, partId: null, stage });
      return { seat, stage, partId, nowId: slot.now?.id };
    });
    const verdict = search.judge.verdict(j, own);
    return {
      jobId: job.id,
      runs: true,
      strands,
      takes: (verdict.extra?.taken ?? []).filter(
        ({ value }) => !job.applied.some((each) => sameRemedy(each, value)),
      ),
      misses: [
        ...verdict.asks.map(({ finding }) => `${finding.title}: ${finding.say}`),
        ...verdict.findings
          .filter(({ about, mark }) => about?.of === 'money' && mark === 'mend')
          .map(({ title, say }) => `${title}: ${say}`),
        ...missedSeats(search, j, own),
      ],
      changes,
    };
  });
  const used = [...given];
  const home = indexOf(open.today).homeOf;
  const wanted = new Set(leave);
  const proposal = {
    jobs,
    leave: [
      ...new Set(used.flatMap((id) => [id, home.get(id)?.id ?? id]).filter((id) => wanted.has(id))),
    ],
  };
  const after = takenUp(open.today, proposal);
  const planned = open.jobs.map(({ job }) => job.id);
  return { ...proposal, summary: summaryOf(after, planned) };
}

/** A job that gets nothing keeps of today's plan what nobody else was given. */
function notRun(
  jobId: string,
  today: Job,
  given: ReadonlySet<string>,
  kept: readonly Change[],
  slots: readonly { seat: SeatId; stage: number; now: Part | undefined }[],
): ProposedJob {
  const changes = today.changes.filter(
    (change) => kept.includes(change) || change.partId === null || !given.has(change.partId),
  );
  return {
    jobId,
    runs: false,
    strands: slots.map(({ seat, stage, now }) => ({
      seat,
      stage,
      partId: now && !given.has(now.id) ? now.id : undefined,
      nowId: now?.id,
    })),
    takes: [],
    misses: [],
    changes,
  };
}

/** Seats the job wants something for and gets nothing, or less than today's plan has there. */
function missedSeats(search: Search, j: number, own: readonly number[]): string[] {
  const { slots } = search.open.jobs[j]!;
  return slots.flatMap((slot, i) => {
    const costs = search.model.asksAt(slot.at, own[i] ?? STAYS);
    if (costs === 0) return [];
    const name = seatName(slot.seat);
    return own[i] === STAYS ? [`${name}: nothing comes`] : [`${name}: less than was planned`];
  });
}

/** A piece for every slot that gets one. */
function assigned({ open, pool }: Search, { picks }: Found): Map<number, string> {
  const slots = open.slots.flatMap((slot) => {
    const i = open.jobs[slot.job]!.slots.indexOf(slot);
    const pick = picks[slot.job]?.[i];
    return pick === undefined || pick === STAYS ? [] : [{ slot, pick }];
  });
  const given = new Map<number, string>();
  const left = new Map(
    pool.stock.map((stock) => [
      stock.at,
      stock.parts.flatMap((part) =>
        Array.from({ length: stock.count / stock.parts.length }, () => part.id),
      ),
    ]),
  );
  const give = (slot: number, pick: number, id: string | undefined) => {
    const rest = left.get(pick) ?? [];
    const at = id === undefined ? 0 : rest.indexOf(id);
    const [piece] = rest.splice(Math.max(0, at), 1);
    if (piece !== undefined) given.set(slot, piece);
  };
  for (const { slot, pick } of slots)
    if (slot.now && left.get(pick)?.includes(slot.now.id)) give(slot.at, pick, slot.now.id);
  for (const { slot, pick } of slots) if (!given.has(slot.at)) give(slot.at, pick, undefined);
  return given;
}

/** The shop with a proposal taken: changes, remedies, what has to be got, and leave that was given. */
export function takenUp(shop: Shop, proposal: Pick<Proposal, 'jobs' | 'leave'>): Shop {
  const byId = new Map(proposal.jobs.map((each) => [each.jobId, each]));
  const leave = new Set(proposal.leave);
  return {
    ...shop,
    jobs: shop.jobs.map((job) => {
      const proposed = byId.get(job.id);
      return proposed ? withProposed(job, proposed) : job;
    }),
    machines: shop.machines.map((machine) =>
      leave.has(machine.id) ? { ...machine, keepWhole: undefined } : machine,
    ),
    parts: shop.parts.map((part) =>
      leave.has(part.id) && part.reserved !== undefined ? { ...part, reserved: undefined } : part,
    ),
  };
}

function withProposed(job: Job, { changes, takes }: ProposedJob): Job {
  const fresh = takes.filter(({ value }) => !job.applied.some((each) => sameRemedy(each, value)));
  return {
    ...job,
    changes,
    applied: [...job.applied, ...fresh.map(({ value }) => value)],
    wants: [
      ...job.wants,
      ...fresh.flatMap(({ value, get }) => (get ? [{ ...get, remedy: value }] : [])),
    ],
  };
}

/** What the jobs of a shop come to as they are planned. */
export function summaryOf(shop: Shop, jobIds: readonly string[]): Summary {
  const jobs = shop.jobs.filter(({ id }) => jobIds.includes(id));
  const { parts, homeOf } = indexOf(shop);
  const stands = jobs.map((job) => {
    const plan = planOf(shop, job);
    const found = checksOf(shop, job);
    const runs = runsOf(plan, found);
    return {
      jobId: job.id,
      runs: runs.runs,
      why: whyNot(runs),
      unsaid: [...runs.unsaid],
      open: found.filter(mayFail).length,
    };
  });
  const comes = jobs.flatMap((job) =>
    job.changes.flatMap(({ partId }) => (partId === null ? [] : (parts.get(partId) ?? []))),
  );
  const homes = comes.map(({ id }) => homeOf.get(id)).filter(isStripped);
  const applied = jobs.flatMap((job) => job.applied as readonly RemedyValue[]);
  const rest = freeParts(shop);
  return {
    jobs: stands.map(({ open: _, ...each }) => each),
    open: stands.reduce((sum, each) => sum + each.open, 0),
    runs: stands.filter(({ runs }) => runs).length,
    bill: billOf(shop, jobs),
    minutes:
      comes.length * MINUTES_TO_SWAP +
      homes.length * MINUTES_TO_STRIP +
      applied.reduce((sum, value) => sum + minutesOf(value), 0),
    opened: [...new Set(homes.map(({ id }) => id))],
    rest: rest.reduce((sum, { worth }) => {
      const price = worth && pricedIn(shop, worth);
      return sum + (price && isPriced(price) ? price.lo : 0);
    }, 0),
    unvalued: rest.filter(({ worth }) => !worth).length,
  };
}
