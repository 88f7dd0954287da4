import { byMark, worst, type Finding, type Mark } from '../findings/finding.ts';
import { askedFor, byPrice, toPay, type Priced } from '../donors/index.ts';
import { indexOf, standingOf } from '../model/lookup/lookup.ts';
import type { Placed, Plan } from '../model/lookup/plan.ts';
import { isText } from '../model/types/fact.ts';
import { freeSeat, kindOfSeat } from '../model/types/seats.ts';
import { withChange } from '../model/types/stages.ts';
import type { Job, Machine, Part, Shop } from '../model/types/types.ts';
import { planOf } from '../plan/planOf.ts';
import { sameSort } from './otherParts.ts';
import { ofThePiece, ofTheSort } from '../plan/checks.ts';
import { checksOf, runSome, tightest } from '../plan/run.ts';

/** A part for a seat, run through all checks of all stations. */
export interface Candidate {
  part: Part;
  /** Worst of its own sums, and the tightest of them. */
  mark: Mark;
  tight: Finding | undefined;
  /** Why not this one: Stops and Mends it brings that were not there before. */
  against: Finding[];
  /** Stops and Mends of the plan it settles. */
  settles: Finding[];
  /** The machine it would leave. */
  from: string | undefined;
  /** What is still to be spent for it: an offered machine costs all that is asked for it. */
  pays: Priced;
}

/** A candidate as a list shows it. */
export interface Listed extends Pick<Candidate, 'tight' | 'pays'> {
  partId: string;
  /** What speaks most against it. */
  against: string | undefined;
}

/** Only what is shown goes out of a worker: hundreds of sums with all their remedies take longer to hand over than to read. */
export const listed = ({ part, tight, against, pays }: Candidate): Listed => ({
  partId: part.id,
  tight: tight && { ...tight, remedies: [] },
  against: against[0]?.title,
  pays,
});

/** Parts of shelf, donors and lists for a seat, best first: worst mark, what it brings, then its price. */
export function candidatesFor(shop: Shop, job: Job, seat: string, stage?: number): Candidate[] {
  const judge = judging(shop, job, seat, stage);
  return pool(shop, job, seat).map(judge).sort(byWorth);
}

/** Judges one part after another for a seat: for callers that show progress. */
export function judging(
  shop: Shop,
  job: Job,
  seat: string,
  stage?: number,
): (part: Part) => Candidate {
  const before = checksOf(shop, job).filter(({ mark }) => mark === 'stop' || mark === 'mend');
  const had = new Set(before.map(({ id, mark }) => `${id} ${mark}`));
  const index = indexOf(shop);
  const within = new Set(
    job.machineId === undefined
      ? []
      : index.machines.get(job.machineId)?.seats.map(({ partId }) => partId),
  );
  let first: { plan: Plan; part: Part } | undefined;
  const planWith = (part: Part): Plan => {
    const changes = withChange(job.changes, { seat, partId: part.id, stage });
    const own = { ...job, changes };
    if (within.has(part.id)) return planOf(shop, own);
    /* With one part or another from outside, plans differ in that part alone. */
    const plan = (first ??= { plan: planOf(shop, own), part }).plan;
    const placedIn = (placed: Placed) =>
      placed.seat === seat && placed.part === first?.part ? { ...placed, part } : placed;
    return { ...plan, job: own, seats: plan.seats.map(placedIn) };
  };
  /* Parts of one sort are judged once, under a name that stands for theirs; the piece itself each time. */
  const sorts = new Map<string, Judged & { of: string }>();
  const standing = planOf(shop, job);
  const spoken = spokenOf(standing);
  /* What was found together with parts of the plan needs no measuring against them. */
  const homes = new Set(standing.seats.map((placed) => index.homeOf.get(placed.part.id)?.id));
  const judged = (found: readonly Finding[]): Judged => {
    const own = found.filter((finding) => finding.seats.includes(seat));
    return {
      mark: worst(own),
      tight: tightest(own),
      against: found
        .filter(({ id, mark }) => (mark === 'stop' || mark === 'mend') && !had.has(`${id} ${mark}`))
        .sort(byMark),
      marks: new Map(found.map(({ id, mark }) => [id, mark])),
    };
  };
  return (part) => {
    const home = index.homeOf.get(part.id);
    const plan = planWith(part);
    const key = `${home && homes.has(home.id) ? home.id : ''} ${spoken.has(part.id) ? part.id : ''} ${sortKey(part)}`;
    let sort = sorts.get(key);
    if (!sort)
      sorts.set(key, (sort = { ...judged(runSome(unnamed(plan, seat), ofTheSort)), of: part.id }));
    const { of } = sort;
    const said = (finding: Finding) => named(finding, spotsOf(finding, of), of, part);
    const piece = judged(runSome(plan, ofThePiece));
    return {
      part,
      mark: worst([sort, piece]),
      tight: tightest([sort.tight && said(sort.tight), piece.tight].flatMap((own) => own ?? [])),
      against: [...sort.against.map(said), ...piece.against].sort(byMark),
      settles: before.filter(({ id }) => {
        const now = piece.marks.get(id) ?? sort.marks.get(id);
        return now === undefined || now === 'clear' || now === 'watch';
      }),
      from: home?.id,
      pays: home?.state === 'offered' ? askedFor(shop, home) : toPay(shop, part),
    };
  };
}

/** What some checks found of a plan with a part in its seat. */
interface Judged {
  /** Worst of the seat's own sums, and the tightest of them. */
  mark: Mark;
  tight: Finding | undefined;
  /** Stops and Mends that were not there before. */
  against: Finding[];
  /** Mark of each finding, by its id. */
  marks: ReadonlyMap<string, Mark>;
}

export const byWorth = (a: Candidate, b: Candidate): number =>
  byMark({ mark: b.mark }, { mark: a.mark }) ||
  a.against.length - b.against.length ||
  b.settles.length - a.settles.length ||
  byPrice(a.pays, b.pays) ||
  a.part.id.localeCompare(b.part.id);

/** Stands for a name while all parts of a sort are judged at once: no text has this character. */
const NAME = '\uE000';

/** The plan with the part of this seat under that name. */
const unnamed = (plan: Plan, seat: string): Plan => ({
  ...plan,
  seats: plan.seats.map((placed) =>
    placed.seat === seat ? { ...placed, part: { ...placed.part, name: NAME } } : placed,
  ),
});

/** Where in a finding the part that stood for its sort is named: a text, or what holds such, by its keys. */
type Named = true | { [key: string]: Named };

const spots = new WeakMap<Finding, Named | undefined>();

function spotsOf(finding: Finding, of: string): Named | undefined {
  if (!spots.has(finding)) spots.set(finding, spotsIn(finding, of));
  return spots.get(finding);
}

function spotsIn(value: unknown, of: string): Named | undefined {
  if (typeof value === 'string') return value === of || value.includes(NAME) ? true : undefined;
  if (typeof value !== 'object' || value === null) return undefined;
  const own = Object.entries(value).flatMap(([key, each]): [string, Named][] => {
    const inside = spotsIn(each, of);
    return inside ? [[key, inside]] : [];
  });
  return own.length > 0 ? Object.fromEntries(own) : undefined;
}

/** What was found of a sort, said of one of its parts: a copy of what names it, the rest as it is. */
function named<T>(value: T, at: Named | undefined, of: string, part: Part): T {
  if (at === undefined) return value;
  if (at === true) {
    const text = value as string;
    return (text === of ? part.id : text.replaceAll(NAME, part.name)) as T;
  }
  const copy = (Array.isArray(value) ? [...(value as unknown[])] : { ...value }) as Record<
    string,
    unknown
  >;
  for (const [key, inside] of Object.entries(at)) copy[key] = named(copy[key], inside, of, part);
  return copy as T;
}

/** Alike in everything the checks of a sort look at. */
const sortKey = ({ kind, modelId, facts, place }: Part): string =>
  JSON.stringify([kind, modelId, facts, place === 'buy']);

/** Words facts of the plan's parts hold: a lead belongs to a PSU by its tag. */
const spokenOf = ({ seats }: Plan): ReadonlySet<string> =>
  new Set(
    seats.flatMap(({ part }) =>
      Object.values(part.facts).flatMap((fact) => (fact && isText(fact) ? fact.text : [])),
    ),
  );

/**
 * What could go into a seat: parts of its kind on the shelf, on price lists, in donors, in machines in use and
 * what other jobs take out. Who else has a say in them is for the checks to tell.
 */
export function pool(shop: Shop, job: Job, seat: string): Part[] {
  const kind = kindOfSeat(seat);
  const index = indexOf(shop);
  const { seats, goes } = planOf(shop, job);
  const planned = new Set(seats.map((placed) => placed.part.id));
  const own = new Set(goes.map((placed) => placed.part.id));
  const like = sameSort(shop, seats.find((placed) => placed.seat === seat)?.part);
  const open = ({ state }: Machine) =>
    state === 'donor' || state === 'in use' || state === 'offered';
  return shop.parts.filter((part) => {
    if (part.kind !== kind || planned.has(part.id) || part.place === 'gone') return false;
    if (!like(part) || standingOf(shop, part).condition === 'dead') return false;
    const home = index.homeOf.get(part.id);
    return !home || open(home) || own.has(part.id) || leavingOf(shop).has(part.id);
  });
}

const leaving = new WeakMap<Shop, Set<string>>();

/** Parts that open jobs take out of their machines. */
function leavingOf(shop: Shop): Set<string> {
  let set = leaving.get(shop);
  if (!set) {
    set = new Set();
    for (const job of shop.jobs) {
      if (job.handedOver || job.changes.length === 0) continue;
      for (const { part } of planOf(shop, job).goes) set.add(part.id);
    }
    leaving.set(shop, set);
  }
  return set;
}

/** A seat a part could serve in. */
export interface Service extends Candidate {
  jobId: string;
  seat: string;
  /** What sits or is planned there now. */
  instead: Part | undefined;
}

/** Where a part could serve: every seat of its kind in every open job and one more where several may be; most settled first. */
export function servicesOf(shop: Shop, part: Part): Service[] {
  return shop.jobs.flatMap((job) => servicesIn(shop, job, part)).sort(bySettled);
}

export const bySettled = (a: Service, b: Service): number =>
  Number(b.settles.length > 0) - Number(a.settles.length > 0) ||
  byMark({ mark: b.mark }, { mark: a.mark }) ||
  a.against.length - b.against.length ||
  b.settles.length - a.settles.length ||
  a.jobId.localeCompare(b.jobId, 'en', { numeric: true });

export function servicesIn(shop: Shop, job: Job, part: Part): Service[] {
  if (job.handedOver) return [];
  const { seats } = planOf(shop, job);
  if (seats.length === 0 || seats.some((placed) => placed.part.id === part.id)) return [];
  const taken = seats.filter(
    (placed) => placed.kind === part.kind && sameSort(shop, placed.part)(part),
  );
  const free = freeSeat(
    part.kind,
    seats.map((placed) => placed.seat),
  );
  const places = [
    ...taken.map(({ seat, part: instead }) => ({ seat, instead })),
    ...(free && !taken.some(({ seat }) => seat === free)
      ? [{ seat: free, instead: undefined }]
      : []),
  ];
  return places.map(({ seat, instead }): Service => ({
    ...judging(shop, job, seat)(part),
    jobId: job.id,
    seat,
    instead,
  }));
}
