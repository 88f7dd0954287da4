import { inId } from '../model/types/step.ts';
import { indexOf, numberOf, standingOf, textOf } from '../model/lookup/lookup.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { wantedBy } from '../model/lookup/wanted.ts';
import { freeSeat, kindOfSeat, seatName } from '../model/types/seats.ts';
import { stageOf } from '../model/types/stages.ts';
import {
  countOf,
  type Change,
  type Job,
  type Kind,
  type Part,
  type SeatId,
  type Shop,
} from '../model/types/types.ts';
import { sameSort } from '../resolve/otherParts.ts';
import { planOf } from '../plan/planOf.ts';
import { runChecks } from '../plan/run.ts';
import { isAgainst, vitalKinds, vitalOf } from '../plan/runs.ts';

/** A seat of a job, at one stage, that may get any part fit for it. */
export interface Slot {
  /** Its place in the list of all slots. */
  at: number;
  job: number;
  seat: SeatId;
  kind: Kind;
  stage: number;
  /** What today's plan puts there. */
  now: Part | undefined;
  /** What is there when nothing is put: as found, or nothing. */
  found: Part | undefined;
  /** What was found goes whatever comes: today's plan takes it out, or it is dead. */
  mustGo: boolean;
  /** The machine does not run while it is empty. */
  vital: boolean;
  /** The job asks for something here: leaving it as it is gives that up. */
  asked: boolean;
  /** The slot of the same seat one stage earlier. */
  before: number | undefined;
}

export interface OpenJob {
  job: Job;
  /** Changes that stand: seats emptied, small parts, and what the work has begun with. */
  kept: Change[];
  slots: Slot[];
}

/** A shop with the plans of the chosen jobs lifted together, so that they do not block themselves. */
export interface Opened {
  shop: Shop;
  /** As it was given. */
  today: Shop;
  jobs: OpenJob[];
  slots: Slot[];
  /** The jobs' machines may be broken up for one another: whatever does not run gives its parts. */
  spare: boolean;
  /** Seats that stay as they are planned, and why. */
  notes: string[];
}

/**
 * Kinds of which one part is mostly as good as another that fits. The case and the board are the machine itself; fans,
 * leads and small parts go with what they were chosen for: of these only what is wanted twice, dead or gone opens.
 */
const swapped: readonly Kind[] = ['processor', 'cooler', 'memory', 'card', 'drive', 'supply'];

/** Opens the seats of these jobs. `leave`: what may be used although somebody has a say in it. */
export function opened(
  today: Shop,
  jobIds: readonly string[],
  leave: readonly string[] = [],
  spare = false,
): Opened {
  const chosen = today.jobs.filter(({ id, handedOver }) => jobIds.includes(id) && !handedOver);
  const notes: string[] = [];
  const { parts } = indexOf(today);
  const jobs = chosen.map((job): OpenJob => {
    const done = new Set(job.ticks.flatMap(({ stepId, failed }) => (failed ? [] : [stepId])));
    const [lifted, kept] = parted(job.changes, ({ seat, partId }) => {
      const part = partId === null ? undefined : parts.get(partId);
      if (!part || done.has(inId(seat))) return false;
      return swapped.includes(part.kind) || contested(today, part);
    });
    const inside = job.changes.filter(({ seat }) => done.has(inId(seat)));
    if (inside.length > 0)
      notes.push(
        `Job ${job.id}: ${inside.map(({ seat }) => seatName(seat)).join(', ')} ${inside.length === 1 ? 'is in already and stays' : 'are in already and stay'}.`,
      );
    return { job: { ...job, changes: kept }, kept, slots: slotsOf(today, job, kept, lifted) };
  });
  const byId = new Map(jobs.map(({ job }) => [job.id, job]));
  const may = new Set(leave);
  const shop: Shop = {
    ...today,
    jobs: today.jobs.map((job) => byId.get(job.id) ?? job),
    machines: today.machines.map((machine) =>
      may.has(machine.id)
        ? { ...machine, keepWhole: undefined, loan: undefined, state: freed(machine.state) }
        : machine,
    ),
    parts: today.parts.map((part) =>
      may.has(part.id) ? { ...part, reserved: undefined, loan: undefined } : part,
    ),
  };
  const slots = jobs.flatMap((each, j) => each.slots.map((slot) => ({ ...slot, job: j })));
  slots.forEach((slot, at) => (slot.at = at));
  for (const [j, each] of jobs.entries()) each.slots = slots.filter(({ job }) => job === j);
  for (const slot of slots)
    slot.before = slots
      .filter(
        ({ job, seat, stage }) => job === slot.job && seat === slot.seat && stage < slot.stage,
      )
      .at(-1)?.at;
  return { shop, today, jobs, slots, spare, notes };
}

/** Wanted more often than it is there, or not to be had. */
const contested = (shop: Shop, part: Part): boolean =>
  (wantedBy(shop).get(part.id)?.length ?? 0) > countOf(part) ||
  part.place === 'gone' ||
  standingOf(shop, part).condition === 'dead';

const freed = (state: Shop['machines'][number]['state']) => (state === 'in use' ? 'donor' : state);

function parted<T>(list: readonly T[], first: (each: T) => boolean): [T[], T[]] {
  return [list.filter(first), list.filter((each) => !first(each))];
}

function slotsOf(shop: Shop, job: Job, kept: readonly Change[], lifted: readonly Change[]): Slot[] {
  const { parts } = indexOf(shop);
  const bare = planOf(shop, { ...job, changes: [...kept] });
  const asFound = planOf(shop, { ...job, changes: [] });
  const foundAt = (seat: SeatId) => asFound.seats.find((placed) => placed.seat === seat)?.part;
  const slot = (
    seat: SeatId,
    kind: Kind,
    stage: number,
    more: Pick<Slot, 'now' | 'asked'>,
  ): Slot => {
    const found = foundAt(seat);
    const out = kept.some((change) => change.seat === seat && change.partId === null);
    return {
      at: 0,
      job: 0,
      seat,
      kind,
      stage,
      found: out ? undefined : found,
      mustGo: out || (found !== undefined && standingOf(shop, found).condition === 'dead'),
      vital:
        (vitalKinds as readonly Kind[]).includes(kind) &&
        vitalOf(bare, kind) !== 'there' &&
        (vitalOf(bare, kind) === 'lacks' || more.asked),
      before: undefined,
      ...more,
    };
  };
  const planned = lifted.flatMap((change): Slot[] => {
    const kind = kindOfSeat(change.seat);
    const now = change.partId === null ? undefined : parts.get(change.partId);
    return kind ? [slot(change.seat, kind, stageOf(change), { now, asked: true })] : [];
  });
  const seats = new Set(planned.map(({ seat }) => seat));
  const free = (seat: SeatId) => !seats.has(seat);
  const lacking = vitalKinds
    .filter(
      (kind) => vitalOf(bare, kind) === 'lacks' && !planned.some((each) => each.kind === kind),
    )
    .map((kind) => slot(kind === 'memory' ? 'memory1' : kind, kind, 1, notAsked));
  const more = wanting(bare, planned).map(({ seat, kind }) => slot(seat, kind, 1, notAsked));
  const inTrouble = troubled(bare, free).map(({ seat, kind }) => slot(seat, kind, 1, notAsked));
  const bySeat = new Map(
    [...inTrouble, ...more, ...lacking]
      .filter(({ seat }) => !seats.has(seat))
      .map((each) => [each.seat, each]),
  );
  return [...planned, ...bySeat.values()].sort((a, b) => a.stage - b.stage);
}

const notAsked: Pick<Slot, 'now' | 'asked'> = { now: undefined, asked: false };

/** More seats of one kind than are opened for one want. */
const MOST_MORE = 3;

/** Seats for what the machine lacks, or has too few of for what the job asks, where today's plan brings none of the kind. */
function wanting(plan: Plan, planned: readonly Slot[]): { seat: SeatId; kind: Kind }[] {
  const taken = plan.seats.map(({ seat }) => seat);
  return runChecks(plan).flatMap((finding) => {
    const { about, mark, margin } = finding;
    const short = about?.of === 'requirement' && mark === 'mend';
    if (!about || !('kind' in about) || !(short || isAgainst(finding))) return [];
    const { kind } = about;
    if (planned.some((each) => each.kind === kind)) return [];
    const count = kind === 'card' ? 1 : kind === 'memory' ? 2 : Math.ceil(-(margin?.hi ?? -1));
    return Array.from({ length: Math.min(MOST_MORE, Math.max(1, count)) }, () => {
      const seat = freeSeat(kind, taken);
      taken.push(seat);
      return { seat, kind };
    });
  });
}

/** Seats whose found parts stand in a Stop or a Mend. */
function troubled(plan: Plan, free: (seat: SeatId) => boolean) {
  const seats = new Set(
    runChecks(plan)
      .filter(isAgainst)
      .flatMap((finding) => finding.seats),
  );
  return plan.seats.filter(
    ({ seat, kind, state }) =>
      state === 'stays' && swapped.includes(kind) && seats.has(seat) && free(seat),
  );
}

/**
 * Whether a part is at least what today's plan puts there: RAM and drives as large, a card with as many screens,
 * a CPU as new and with graphics where that one has them. A figure nobody knows gives up nothing.
 */
export function serves(shop: Shop, slot: Slot, part: Part): boolean {
  const { now } = slot;
  if (!now || now.id === part.id) return true;
  const least = (key: 'size' | 'screens' | 'generation') => {
    const [asked, has] = [numberOf(shop, now, key), numberOf(shop, part, key)];
    return !asked || !has || has.hi >= asked.lo;
  };
  const graphics = (one: Part) => textOf(shop, one, 'graphics')?.text;
  switch (slot.kind) {
    case 'memory':
      return least('size');
    case 'drive':
      return least('size') && sameDrive(shop, now, part);
    case 'card':
      return least('screens');
    case 'processor':
      return least('generation') && !(graphics(now) === 'yes' && graphics(part) === 'no');
    default:
      return true;
  }
}

/** Kinds of which figures tell whether what is there is as good as what was planned. */
const measurable: readonly Kind[] = ['processor', 'memory', 'drive'];

/** Whether what was found is as good as what today's plan puts there, by figures somebody knows. */
export function staysServing(shop: Shop, slot: Slot): boolean {
  const { found, now, kind } = slot;
  if (!found || !now || slot.mustGo || !measurable.includes(kind)) return false;
  const key = kind === 'processor' ? 'generation' : 'size';
  const [has, asked] = [numberOf(shop, found, key), numberOf(shop, now, key)];
  if (!has || !asked || has.how === 'class' || asked.how === 'class') return false;
  return has.lo >= asked.hi && serves(shop, slot, found);
}

/** A drive that turns stands in for one that turns only. */
function sameDrive(shop: Shop, now: Part, part: Part): boolean {
  const turns = (one: Part) => textOf(shop, one, 'form')?.text === '3.5 in';
  return turns(now) || !turns(part);
}

/** Parts that may go into a slot: of its kind and sort, not what is found there. */
export function fitsSlot(shop: Shop, slot: Slot): (part: Part) => boolean {
  const like = sameSort(shop, slot.now);
  return (part) => part.kind === slot.kind && part.id !== slot.found?.id && like(part);
}
