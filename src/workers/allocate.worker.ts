import { expose } from 'comlink';
import wasm from 'highs/runtime?url';
import { answerOf, othersOf, withMove } from '$core/allocate/answer.ts';
import { furtherMachines } from '$core/allocate/further.ts';
import {
  bestOf,
  searchOf,
  type Asked,
  type Difference,
  type PlanAnswer,
  type Planned,
} from '$core/allocate/planned.ts';
import { reasonsOf } from '$core/allocate/reasons.ts';
import { loadSolver } from '$core/allocate/highs.ts';
import { proposalOf, type Proposal } from '$core/allocate/proposal.ts';
import type { Found, Limits, Progress, Solver } from '$core/allocate/search.ts';
import type { Kept } from '$core/allocate/stock.ts';
import type { Part, SeatId, Shop } from '$core/model/types/types.ts';

/** Who gets what, beside the page: the solver is loaded when it is asked for, and a plan may take a minute. */

export type Told = Pick<Progress, 'dim' | 'best' | 'bound' | 'judged'>;

export interface SlotRef {
  jobId: string;
  seat: SeatId;
  stage: number;
}

/** Another plan that has a part elsewhere, and what that costs against the best. */
export interface MovedPlan {
  proposal: Proposal;
  costs: Difference | undefined;
  proven: boolean;
}

const BREATH_MS = 40;
let solver: Promise<Solver> | undefined;
let planned: (Planned & { shop: Shop }) | undefined;
let others: Found[] = [];
/** Somebody has had enough: what was found so far is the answer. */
let enough = false;

const solverOf = (): Promise<Solver> =>
  (solver ??= loadSolver(new URL(wasm, self.location.href).href));

function within(seconds: number): Limits {
  enough = false;
  const until = performance.now() + seconds * 1000;
  return { left: () => (enough ? 0 : until - performance.now()) };
}

/** Runs a search to its end, giving way now and then so that it can be told to stop. */
async function run<T>(work: Generator<Progress, T>, tell?: (told: Told) => void): Promise<T> {
  let last = performance.now();
  for (let step = work.next(); ; step = work.next()) {
    if (step.done) return step.value;
    if (performance.now() - last < BREATH_MS) continue;
    const { dim, best, bound, judged } = step.value;
    tell?.({ dim, best, bound, judged });
    await new Promise((done) => setTimeout(done, 0));
    last = performance.now();
  }
}

const api = {
  /** The best plan of these jobs. */
  async plan(
    shop: Shop,
    asked: Asked,
    seconds: number,
    tell?: (told: Told) => void,
  ): Promise<{ answer: PlanAnswer; kept: Kept[] }> {
    const solve = await solverOf();
    const search = searchOf(shop, asked.jobIds, asked.wishes, solve);
    planned = { ...(await run(bestOf(search, asked, within(seconds)), tell)), shop };
    others = [];
    return { answer: answerOf(planned), kept: search.pool.kept };
  },
  /** The same with the next best plans, and why; undefined where nothing was planned yet. */
  async reasons(seconds: number, tell?: (told: Told) => void): Promise<PlanAnswer | undefined> {
    if (!planned) return undefined;
    const now = planned;
    const limits = within(seconds);
    others = await run(othersOf(now, limits), tell);
    const reasons = await run(reasonsOf(now, now.shop, await solverOf(), limits), tell);
    return answerOf(now, others, reasons);
  },
  /** Stops what is under way: the best so far is answered. */
  finish(): void {
    enough = true;
  },
  /** What might go into a seat, by its tag. */
  options({ jobId, seat, stage }: SlotRef): Pick<Part, 'id' | 'name'>[] {
    if (!planned) return [];
    const { open, pool } = planned.search;
    const slot = open.slots.find(
      (each) => open.jobs[each.job]?.job.id === jobId && each.seat === seat && each.stage === stage,
    );
    return (slot ? (pool.options[slot.at] ?? []) : []).flatMap((pick) =>
      (pool.stock[pick]?.parts ?? []).slice(0, 1).map(({ id, name }) => ({ id, name })),
    );
  },
  /** The best plan that has this part there. */
  async move(
    to: SlotRef & { partId: string | undefined },
    seconds: number,
  ): Promise<MovedPlan | undefined> {
    if (!planned) return undefined;
    const { search, asked } = planned;
    const moved = await run(withMove(planned, to, within(seconds)));
    return (
      moved && {
        proposal: proposalOf(search, moved.found, asked.wishes.leave),
        costs: moved.costs,
        proven: moved.proven,
      }
    );
  },
  /** Further machines out of what is left, with at most this much added, minor units. */
  async further(
    shop: Shop,
    most: number,
    seconds: number,
  ): Promise<{ proposal: Proposal; proven: boolean } | undefined> {
    const found = await run(furtherMachines(shop, most, await solverOf(), within(seconds)));
    return found && { proposal: found.proposal, proven: found.proven };
  },
};

export type AllocateWorker = typeof api;
expose(api);
