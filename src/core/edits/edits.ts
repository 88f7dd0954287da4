import { create } from 'mutative';
import type { Remedy } from '../findings/finding.ts';
import type { Fact, Facts } from '../model/types/fact.ts';
import { emptyJob } from '../model/types/empty.ts';
import { standingOf } from '../model/lookup/lookup.ts';
import type { FactKey } from '../model/properties/index.ts';
import type { RemedyValue } from '../model/types/remedyValue.ts';
import { seatBeside } from '../model/types/seats.ts';
import { inStages, stageOf, withChange } from '../model/types/stages.ts';
import {
  countOf,
  type Job,
  type Kind,
  type Machine,
  type Part,
  type SeatId,
  type Shop,
  type Tick,
} from '../model/types/types.ts';
import type { DraftPart, Inventory } from '../intake/inventory.ts';
import { compareInventory } from '../intake/compare.ts';
import { splitBundle, type BundlePiece } from '../donors/bundle.ts';
import { mergeFacts } from '../intake/merge.ts';
import type { Money } from '../units/money.ts';
import { servedBy } from '../record/served.ts';
import { recordOf } from '../record/sheet.ts';
import type { Incomplete } from '../model/types/recordTypes.ts';
import { hangOn } from '../remedies/hangOn.ts';
import { sameRemedy } from '../remedies/index.ts';
import { withoutUndefined } from '../model/types/plainData.ts';
import { giveTag, type TagEdit, type Untagged } from '../shop/items.ts';
import type { Edit } from '../model/types/edit.ts';

export type { Edit } from '../model/types/edit.ts';

const draft =
  (change: (shop: Shop) => void): Edit =>
  (shop) =>
    create(shop, change);

const job = (id: string, change: (job: Job, shop: Shop) => void): Edit =>
  draft((shop) => {
    const found = shop.jobs.find((each) => each.id === id);
    if (found) change(found, shop);
  });

/** The next free tag number over all jobs and machines. */
export function nextNumber(shop: Shop): string {
  const used = [...shop.jobs, ...shop.machines].map(
    (each) => Number(each.id.replace(/\D/g, '')) || 0,
  );
  return String(Math.max(0, ...used) + 1);
}

/** The next free part tag: a letter for the shelf, then a number. */
export function nextPartId(shop: Shop, letter = 'P'): string {
  let most = 0;
  for (const part of shop.parts) {
    if (part.id.startsWith(letter))
      most = Math.max(most, Number(part.id.slice(letter.length)) || 0);
  }
  return `${letter}${String(most + 1).padStart(2, '0')}`;
}

export const addJob = (id: string, name: string, becomes: string): Edit =>
  draft((shop) => {
    if (!shop.jobs.some((each) => each.id === id)) shop.jobs.push(emptyJob(id, name, becomes));
  });

/** A new job under the next free number. */
export const newJob = (name: string, becomes: string): TagEdit =>
  giveTag(nextNumber, (id) => addJob(id, name, becomes));

/** A new part under the next free tag; `then` goes on with that tag in the same step. */
export const newPart = (part: Untagged, then?: (id: string) => Edit): TagEdit =>
  giveTag(
    (shop) => nextPartId(shop),
    (id) => (shop) => {
      const added = addPart({ ...part, id })(shop);
      return then ? then(id)(added) : added;
    },
  );

/** A machine somebody offers, under the next free number. */
export const newOffer = (): TagEdit =>
  giveTag(
    (shop) => `M${nextNumber(shop)}`,
    (id) => (shop) => ({
      ...shop,
      machines: [
        ...shop.machines,
        { id, name: `Offer ${id}`, state: 'offered', facts: {}, seats: [] },
      ],
    }),
  );

export const editSchools = (id: string, fields: Partial<Job['schools']>): Edit =>
  job(id, (found) => {
    Object.assign(found.schools, fields);
  });

export const editJob = (id: string, fields: Partial<Omit<Job, 'id'>>): Edit =>
  job(id, (found) => Object.assign(found, fields));

export const editMachine = (id: string, fields: Partial<Omit<Machine, 'id' | 'seats'>>): Edit =>
  draft((shop) => {
    const found = shop.machines.find((each) => each.id === id);
    if (found) Object.assign(found, fields);
  });

export const editPart = (id: string, fields: Partial<Omit<Part, 'id' | 'kind'>>): Edit =>
  draft((shop) => {
    const found = shop.parts.find((each) => each.id === id);
    if (found) Object.assign(found, fields);
  });

/** One price for several parts, parted by weight; what is dead is marked so and costs nothing. */
export const priceBundle = (price: Money, pieces: readonly BundlePiece[]): Edit =>
  draft((shop) => {
    const split = splitBundle(price, pieces);
    for (const { partId, dead } of pieces) {
      const part = shop.parts.find((each) => each.id === partId);
      if (!part) continue;
      part.price = split.get(partId);
      if (dead) part.condition = 'dead';
    }
  });

export const renameShop = (name: string): Edit =>
  draft((shop) => {
    shop.name = name.slice(0, 200);
  });

export const editSettings = (fields: Partial<Shop['settings']>): Edit =>
  draft((shop) => {
    Object.assign(shop.settings, fields);
  });

/** A fact of a part, or of its model so that every piece of its kind has it. */
export const setFact = (
  partId: string,
  key: FactKey,
  fact: Fact | undefined,
  onModel = false,
): Edit =>
  draft((shop) => {
    const part = shop.parts.find((each) => each.id === partId);
    const model = onModel && shop.models.find((each) => each.id === part?.modelId);
    const facts = (model || part)?.facts;
    if (!facts) return;
    if (fact) facts[key] = fact;
    else delete facts[key];
  });

export const addPart = (part: Part): Edit =>
  draft((shop) => {
    if (!shop.parts.some((each) => each.id === part.id)) shop.parts.push(part);
  });

/**
 * Puts a part into a seat of the plan; `null` leaves it empty; what the machine had there before goes.
 * In a stage of its own, or in place of the seat's last change.
 */
export const putPart = (jobId: string, seat: SeatId, partId: string | null, stage?: number): Edit =>
  job(jobId, (found, shop) => {
    const machine = shop.machines.find((each) => each.id === found.machineId);
    const was = machine?.seats.find((each) => each.seat === seat)?.partId ?? null;
    found.changes = withChange(found.changes, { seat, partId, stage });
    const own = inStages(found.changes.filter((change) => change.seat === seat));
    const idle = own.filter(
      (change, i) => change.partId === (own[i - 1] ? own[i - 1]?.partId : was),
    );
    found.changes = found.changes.filter((change) => !idle.includes(change));
  });

/** Moves the change of a seat from one stage to another; what stood there for the seat goes. */
export const stageSeat = (jobId: string, seat: SeatId, from: number, to: number): Edit =>
  job(jobId, (found) => {
    const moved = found.changes.find((each) => each.seat === seat && stageOf(each) === from);
    if (!moved || from === to) return;
    found.changes = withChange(
      found.changes.filter((each) => each !== moved),
      { seat, partId: moved.partId, stage: to },
    );
  });

/** Everything in this seat stays as found. */
export const keepSeat = (jobId: string, seat: SeatId): Edit =>
  job(jobId, (found) => {
    found.changes = found.changes.filter((change) => change.seat !== seat);
  });

/** One change of a seat no longer: what was planned before it stands again. */
export const dropChange = (jobId: string, seat: SeatId, partId: string, stage: number): Edit =>
  job(jobId, (found) => {
    found.changes = found.changes.filter(
      (each) => each.seat !== seat || each.partId !== partId || stageOf(each) !== stage,
    );
  });

/** Applies a remedy: another part for a seat, or work and things to get. */
export const applyRemedy = (jobId: string, { value, get }: Pick<Remedy, 'value' | 'get'>): Edit =>
  value.do === 'put'
    ? putPart(jobId, value.seat, value.partId)
    : job(jobId, (found) => {
        if (found.applied.some((each) => sameRemedy(each, value))) return;
        found.applied.push(value);
        if (get) found.wants.push({ ...get, remedy: value });
      });

/** A whole set of changes in one step: parts put, remedies applied, what has to be got on the list. */
export const applyResolution = (
  jobId: string,
  way: {
    puts: readonly { seat: SeatId; partId: string }[];
    applies: readonly RemedyValue[];
    gets: readonly { what: string; remedy: RemedyValue }[];
  },
): Edit => {
  const edits: Edit[] = [
    ...way.puts.map((put) => putPart(jobId, put.seat, put.partId)),
    ...way.applies.map((value) => {
      const got = way.gets.find((each) => each.remedy === value);
      return applyRemedy(jobId, { value, ...(got && { get: { what: got.what, count: 1 } }) });
    }),
  ];
  return (shop) => edits.reduce((now, edit) => edit(now), shop);
};

/** Moves a part to another of its places: gives one remedy back and applies another. */
export const takeChoice = (
  jobId: string,
  choice: { take?: RemedyValue | undefined; drop?: RemedyValue | undefined },
): Edit =>
  job(jobId, (found) => {
    const { take, drop } = choice;
    if (drop) found.applied = found.applied.filter((each) => !sameRemedy(each, drop));
    if (take && !found.applied.some((each) => sameRemedy(each, take))) found.applied.push(take);
  });

/** Hangs a part on another lead of the supply; what was said of it before goes. */
export const hangPart = (jobId: string, seat: SeatId, lead: string | undefined): Edit =>
  job(jobId, (found) => {
    found.applied = found.applied.filter((each) => each.do !== 'hangOn' || each.seat !== seat);
    if (lead !== undefined) found.applied.push(hangOn({ seat, lead }));
  });

/** Gives a remedy back; what it put on the list goes too, unless it is bought already. */
export const dropRemedy = (jobId: string, value: RemedyValue): Edit =>
  job(jobId, (found) => {
    found.applied = found.applied.filter((each) => !sameRemedy(each, value));
    found.wants = found.wants.filter(
      ({ remedy, bought }) => !remedy || !sameRemedy(remedy, value) || bought === true,
    );
  });

/** Stamps a step; `waitUntil` leaves the machine alone that long. */
export const tickStep = (jobId: string, tick: Tick, wait?: { why: string; until: string }): Edit =>
  job(jobId, (found) => {
    found.ticks = found.ticks.filter((each) => each.stepId !== tick.stepId);
    const begun = found.started.find((each) => each.stepId === tick.stepId);
    const minutes = begun && handsBetween(begun.at, tick.at);
    found.ticks.push({ ...tick, ...(minutes !== undefined && { minutes }) });
    found.started = found.started.filter((each) => each.stepId !== tick.stepId);
    if (wait) found.waits.push(wait);
  });

/** A shift: a timer that ran on longer was forgotten, and teaches nothing. */
const LONGEST_HANDS_MIN = 480;

/** Minutes a timer ran; undefined where it was forgotten or the clock was set. */
function handsBetween(from: string, to: string): number | undefined {
  const minutes = Math.round((Date.parse(to) - Date.parse(from)) / 60_000);
  return minutes >= 0 && minutes <= LONGEST_HANDS_MIN ? minutes : undefined;
}

/** The timer of a step begins, or stops without a word. */
export const timeStep = (jobId: string, stepId: string, at: string | undefined): Edit =>
  job(jobId, (found) => {
    found.started = found.started.filter((each) => each.stepId !== stepId);
    if (at !== undefined) found.started.push({ stepId, at });
  });

export const untickStep = (jobId: string, stepId: string): Edit =>
  job(jobId, (found) => {
    found.ticks = found.ticks.filter((each) => each.stepId !== stepId);
  });

/**
 * A machine taken in by its inventories, with its parts in their seats, hung on the job if one is given.
 * A reading that contradicts what is known of the machine waits beside it until somebody chooses.
 */
export const takeIn = (machineId: string, inventory: Inventory, at: string, jobId?: string): Edit =>
  draft((shop) => {
    const machine = machineFor(shop, machineId, inventory);
    const found = jobId ? shop.jobs.find((each) => each.id === jobId) : undefined;
    if (found) found.machineId = machine.id;
    if (compareInventory(shop, machine, inventory).differences.length > 0) {
      const { tool, name, facts, parts, ignored } = inventory;
      machine.unsettled = [
        ...(machine.unsettled ?? []),
        withoutUndefined({ at, tool, name, facts, parts, ignored }),
      ].slice(-MOST_UNSETTLED);
    } else fitInventory(shop, machine, inventory, at, () => 'old');
  });

/** The machines of one paste taken in: the first at the machine of the job, each other as one of its own. */
export const takeInAll = (
  machineId: string,
  inventories: readonly Inventory[],
  at: string,
  jobId?: string,
): Edit => {
  const [first, ...others] = inventories;
  return (shop) =>
    others.reduce(
      (now, inventory) => takeIn(`M${nextNumber(now)}`, inventory, at)(now),
      first ? takeIn(machineId, first, at, jobId)(shop) : shop,
    );
};

/** Readings that wait at one machine. */
export const MOST_UNSETTLED = 5;

/** What holds where a reading differs from what was known. */
export type Holds = 'old' | 'new';
/** One answer for all that differs, one for each by its id (unsaid: what was known), or two machines. */
export type Settling = Holds | 'apart' | Readonly<Record<string, Holds>>;

/** Chooses what becomes of a reading that waits, known by its time. */
export const settleIntake = (machineId: string, at: string, choice: Settling): Edit =>
  draft((shop) => {
    const machine = shop.machines.find((each) => each.id === machineId);
    const waiting = machine?.unsettled?.find((each) => each.at === at);
    if (!machine || !waiting) return;
    machine.unsettled = machine.unsettled?.filter((each) => each !== waiting);
    if (machine.unsettled?.length === 0) delete machine.unsettled;
    const goal = choice === 'apart' ? machineFor(shop, `M${nextNumber(shop)}`, waiting) : machine;
    fitInventory(shop, goal, waiting, at, (id) =>
      choice === 'apart' ? 'new' : typeof choice === 'string' ? choice : (choice[id] ?? 'old'),
    );
  });

function machineFor(shop: Shop, id: string, inventory: Inventory): Machine {
  const known = shop.machines.find((each) => each.id === id);
  if (known) {
    if (inventory.name && known.seats.length === 0) known.name = inventory.name;
    return known;
  }
  shop.machines.push({
    id,
    name: inventory.name ?? `Machine ${id}`,
    state: 'here',
    starts: true,
    facts: {},
    seats: [],
  });
  return shop.machines[shop.machines.length - 1] as Machine;
}

/**
 * Every part of the inventory joins the piece it is or gets a seat; a piece no longer there goes to the shelf.
 * `holds`: whose word counts for each thing that differs.
 */
function fitInventory(
  shop: Shop,
  machine: Machine,
  inventory: Inventory,
  at: string,
  holds: (id: string) => Holds,
): void {
  const { pairs, differences } = compareInventory(shop, machine, inventory);
  const refused = new Set(differences.filter(({ id }) => holds(id) === 'old').map(({ id }) => id));
  const differs = new Set(differences.map(({ id }) => id));
  /* Where both say the same, or only one says anything, the better source stays. */
  const merged = (was: Facts, now: Facts, idOf: (key: string) => string): Facts => ({
    ...mergeFacts(was, stamped(now, at)),
    ...Object.fromEntries(
      Object.entries(now).flatMap(([key, fact]) =>
        differs.has(idOf(key))
          ? [[key, refused.has(idOf(key)) ? (was[key] ?? fact) : { at, ...fact }]]
          : [],
      ),
    ),
  });
  machine.facts = merged(machine.facts, inventory.facts, (key) => `machine:${key}`);
  if (inventory.name && differs.has('machine:model') && !refused.has('machine:model'))
    machine.name = inventory.name;
  for (const { id, sort, partId } of differences)
    if (sort === 'gone' && !refused.has(id)) takeOut(shop, machine, partId);
  for (const { drafted, known, id } of pairs) {
    if (known) {
      known.facts = merged(known.facts, drafted.facts, (key) => `fact:${known.id}:${key}`);
      const name = `name:${known.id}`;
      if (differs.has(name) && !refused.has(name)) known.name = drafted.name;
    } else if (!refused.has(id)) addDrafted(shop, machine, inventory.name, drafted, at);
  }
}

/** A piece that a reading no longer found: off the machine, onto the shelf, with where it came from. */
function takeOut(shop: Shop, machine: Machine, partId: string | undefined): void {
  const part = shop.parts.find((each) => each.id === partId);
  machine.seats = machine.seats.filter((each) => each.partId !== partId);
  if (part) Object.assign(part, { place: 'shelf', from: machine.id });
}

/** A new piece gets the next seat of its kind; where a machine has but one and has it, it lies on the shelf. */
function addDrafted(
  shop: Shop,
  machine: Machine,
  model: string | undefined,
  drafted: DraftPart,
  at: string,
): void {
  const id = nextPartId(shop, `M${machine.id.replace(/\D/g, '')}-`);
  const seat = seatBeside(
    drafted.kind,
    machine.seats.map((each) => each.seat),
  );
  const modelId = modelFor(shop, model, drafted);
  shop.parts.push({
    ...drafted,
    facts: stamped(drafted.facts, at),
    id,
    ...(seat ? { place: 'machine' } : { place: 'shelf', from: machine.id }),
    ...(modelId ? { modelId } : {}),
  });
  if (seat) machine.seats.push({ seat, partId: id });
}

/** Parts that are alike in every machine of a model: measured once, known of each. */
const alike: readonly Kind[] = ['case', 'board', 'supply', 'cooler'];

function modelFor(shop: Shop, machine: string | undefined, part: DraftPart): string | undefined {
  const slug = machine
    ?.toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 28);
  if (!slug || !alike.includes(part.kind)) return undefined;
  const id = `${slug}-${part.kind}`;
  if (!shop.models.some((model) => model.id === id)) {
    shop.models.push({ id, kind: part.kind, name: `${machine} ${part.kind}`, facts: {} });
  }
  return id;
}

function stamped(facts: Record<string, Fact>, at: string): Record<string, Fact> {
  return Object.fromEntries(Object.entries(facts).map(([key, fact]) => [key, { at, ...fact }]));
}

/**
 * Hand-over: the sheet is frozen as it stands, then the machine becomes what was planned; what leaves it
 * keeps the condition and origin it had.
 */
export const handOver =
  (jobId: string, at: string, incomplete?: Incomplete): Edit =>
  (shop) =>
    create(shop, (next) => {
      const before = shop.jobs.find((each) => each.id === jobId);
      const found = next.jobs.find((each) => each.id === jobId);
      if (!before || !found || found.handedOver) return;
      found.handedOver = at;
      found.record = withoutUndefined(recordOf(shop, before, at, incomplete));
      for (const [partId, lines] of servedBy(shop, before, at)) {
        const part = next.parts.find((each) => each.id === partId);
        if (part) part.service = [...(part.service ?? []), ...lines];
      }
      for (const change of inStages(found.changes))
        applyChange(shop, next, found, change.seat, change.partId);
    });

function applyChange(
  before: Shop,
  next: Shop,
  found: Job,
  seat: SeatId,
  partId: string | null,
): void {
  const machine = next.machines.find((each) => each.id === found.machineId);
  const leaving = machine?.seats.find((each) => each.seat === seat)?.partId;
  if (machine) machine.seats = machine.seats.filter((each) => each.seat !== seat);
  if (leaving) leave(before, next, leaving, found.machineId);
  if (!partId) return;
  const many = next.parts.find((each) => each.id === partId);
  if (many && countOf(many) > 1) {
    /* One of several goes in under a tag of its own; the others stay where they lie. */
    const id = nextPartId(next);
    const known = before.parts.find((each) => each.id === partId);
    if (known) {
      const { count: _, ...one } = known;
      next.parts.push({ ...one, id, place: 'machine' });
    }
    many.count = countOf(many) - 1;
    machine?.seats.push({ seat, partId: id });
    return;
  }
  for (const other of next.machines) {
    if (!other.seats.some((each) => each.partId === partId)) continue;
    leave(before, next, partId, other.id);
    other.seats = other.seats.filter((each) => each.partId !== partId);
  }
  const part = next.parts.find((each) => each.id === partId);
  if (part) part.place = 'machine';
  machine?.seats.push({ seat, partId });
}

function leave(before: Shop, next: Shop, partId: string, from: string | undefined): void {
  const was = before.parts.find((each) => each.id === partId);
  const part = next.parts.find((each) => each.id === partId);
  if (!was || !part) return;
  const { condition, origin, inheritedFrom } = standingOf(before, was);
  part.place = 'shelf';
  if (from !== undefined) part.from = from;
  delete part.reserved;
  part.condition = condition;
  if (origin ?? inheritedFrom?.name) part.origin = origin ?? inheritedFrom?.name;
}
