import type { Shop } from '../model/types/types.ts';
import { dims, type Counts, type Dim } from './dims.ts';
import type { Proposal, Summary } from './proposal.ts';
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
import type { Wishes } from './wishes.ts';

/** What is asked of a shop, what is answered, and the best plan between them. */

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

/** A row that holds for every plan: the empty plan is no start where something is forbidden. */
export const ANY = [{ terms: new Map<string, number>(), most: 0 }];

/** Lines in which plans are told apart for people; ties are no difference. */
const told: readonly Dim[] = dims.filter(
  (dim) => !['opened', 'moved', 'untested', 'rank'].includes(dim),
);

/** The first line in which `b` is not as `a`. */
export function difference(order: readonly Dim[], a: Counts, b: Counts): Difference | undefined {
  const dim = order.find((each) => told.includes(each) && a[each] !== b[each]);
  return dim && { dim, by: a[dim] - b[dim] };
}
