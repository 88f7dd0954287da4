import { ValidationError } from 'yup';
import { planShop } from '../core/allocate/answer.ts';
import { NothingToPlan, type PlanAnswer } from '../core/allocate/planned.ts';
import { openJobs } from '../core/allocate/jobs.ts';
import { loadSolver } from '../core/allocate/highs.ts';
import { dimsOf, type Counts } from '../core/allocate/dims.ts';
import type { Proposal, Summary } from '../core/allocate/proposal.ts';
import { readPlanRequest } from '../core/allocate/schema.ts';
import { finished, type Solver } from '../core/allocate/search.ts';
import { ordered } from '../core/allocate/wishes.ts';
import { checkShop, ShopFileError } from '../core/document/read.ts';
import { isPriced } from '../core/donors/index.ts';
import { remedyId } from '../core/remedies/index.ts';
import { ok, refused, type Answer } from './answer.ts';
import { searchSeconds } from './limits.ts';

let solver: Promise<Solver> | undefined;

/** Who gets what: the best plan of the whole shop, others beside it, and why. Money in minor units of the shop's currency. */
export async function donorsPlan(value: unknown): Promise<Answer> {
  try {
    const { document, jobs, wishes, others, reasons, seconds } = readPlanRequest(value);
    const shop = checkShop(document);
    const unknown = jobs?.findIndex((id) => !shop.jobs.some((job) => job.id === id)) ?? -1;
    if (unknown >= 0)
      return refused(
        404,
        `There is no job ${jobs?.[unknown]} in this document.`,
        `jobs[${unknown}]`,
      );
    solver ??= loadSolver();
    const solve = await solver;
    const until = Date.now() + Math.min(seconds ?? Infinity, searchSeconds()) * 1000;
    const asked = { jobIds: jobs ?? openJobs(shop), wishes, others, reasons };
    const answer = finished(planShop(shop, asked, solve, { left: () => until - Date.now() }));
    return ok(published(answer, dimsOf(ordered(wishes.order))));
  } catch (error) {
    if (error instanceof ValidationError) return refused(400, error.message, error.path ?? null);
    if (error instanceof ShopFileError)
      return refused(400, error.message, error.path ? `document.${error.path}` : 'document');
    if (error instanceof NothingToPlan) return refused(400, error.message, 'jobs');
    throw error;
  }
}

/** Plain data for the wire: what the program counts by, and each plan in tags. */
const published = (answer: PlanAnswer, lines: readonly string[]) => ({
  today: summary(answer.today),
  plans: answer.plans.map((plan, i) => ({
    ...proposal(plan),
    counts: Object.fromEntries(
      lines.map((line) => [line, counted(answer.counts[i] as Counts, line)]),
    ),
  })),
  proven: answer.proven,
  gap: answer.gap
    ? { line: answer.gap.dim, has: answer.gap.has, bound: finite(answer.gap.bound) }
    : null,
  why: answer.whys.map(({ costs, insteadId, upTo, partId, ...slot }) => ({
    ...slot,
    part: partId,
    instead: insteadId ?? null,
    costs: costs ?? null,
    upTo: upTo ?? null,
  })),
  gains: answer.gains,
  stuck: answer.stuck,
  notes: answer.notes,
  judged: answer.judged,
});

const finite = (value: number): number | null => (Number.isFinite(value) ? value : null);

/** Money is counted in halves inside: a price in the middle of a range may be one. */
const counted = (counts: Counts, line: string): number =>
  line === 'money' ? counts.money / 2 : ((counts as Record<string, number>)[line] ?? 0);

const proposal = ({ jobs, summary: sum, leave }: Proposal) => ({
  jobs: jobs.map(({ jobId, runs, strands, takes, misses }) => ({
    job: jobId,
    runs,
    puts: strands.map(({ seat, stage, partId, nowId }) => ({
      seat,
      stage,
      part: partId ?? null,
      today: nowId ?? null,
    })),
    remedies: takes.map(({ value, title, get }) => ({
      id: remedyId(value),
      title,
      get: get ?? null,
    })),
    misses,
  })),
  leave,
  ...summary(sum),
});

const summary = ({ jobs, runs, bill, open, minutes, opened, rest, unvalued }: Summary) => ({
  runs,
  standing: jobs.map(({ jobId, runs: does, why, unsaid }) => ({
    job: jobId,
    runs: does,
    why,
    unsaid,
  })),
  bill: {
    currency: bill.currency,
    lo: bill.sum.lo,
    hi: bill.sum.hi,
    lines: bill.lines.map(({ what, price, jobIds }) => ({
      what,
      jobs: jobIds,
      price: isPriced(price) ? price : null,
    })),
    unpriced: bill.unpriced,
    noRate: bill.noRate,
  },
  open,
  minutes,
  opened,
  rest,
  unvalued,
});
