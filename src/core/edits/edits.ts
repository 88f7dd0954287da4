import { create } from 'mutative';
import { thingPrices } from '../model/lookup/thingPrices.ts';
import { plainName } from '../units/plainName.ts';
import type { Remedy } from '../findings/finding.ts';
import type { Fact } from '../model/types/fact.ts';
import { emptyJob } from '../model/types/empty.ts';
import type { FactKey } from '../model/properties/index.ts';
import type { RemedyValue } from '../model/types/remedyValue.ts';
import { inStages, stageOf, withChange } from '../model/types/stages.ts';
import {
  type Job,
  type Machine,
  type Part,
  type SeatId,
  type Shop,
  type Tick,
} from '../model/types/types.ts';
import { splitBundle, type BundlePiece } from '../donors/bundle.ts';
import type { Money } from '../units/money.ts';
import { hangOn } from '../remedies/hangOn.ts';
import { sameRemedy } from '../remedies/index.ts';
import { giveTag, type TagEdit, type Untagged } from '../shop/items.ts';
import type { Edit } from '../model/types/edit.ts';

export type { Edit } from '../model/types/edit.ts';

/** An edit written as a change of the shop in hand. */
export const draft =
  (change: (shop: Shop) => void): Edit =>
  (shop) =>
    create(shop, change);

export const job = (id: string, change: (job: Job, shop: Shop) => void): Edit =>
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

/**
 * One price for several parts, parted by weight; what is dead is marked so and costs nothing. What of it is still to
 * buy is one lot from now on: bought whole or not at all.
 */
export const priceBundle = (price: Money, pieces: readonly BundlePiece[]): Edit =>
  draft((shop) => {
    const split = splitBundle(price, pieces);
    const lot = pieces.map(({ partId }) => partId).join(' ');
    for (const { partId, dead } of pieces) {
      const part = shop.parts.find((each) => each.id === partId);
      if (!part) continue;
      part.price = split.get(partId);
      if (dead) part.condition = 'dead';
      if (part.place === 'buy' && pieces.length > 1) part.lot = lot.slice(0, 200);
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
    : (shop) => {
        const price = get && thingPrices(shop).get(plainName(get.what));
        return job(jobId, (found) => {
          if (found.applied.some((each) => sameRemedy(each, value))) return;
          found.applied.push(value);
          if (!get) return;
          const cost = price && { price: { ...price, minor: price.minor * get.count } };
          found.wants.push({ ...get, ...cost, remedy: value });
        })(shop);
      };

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
