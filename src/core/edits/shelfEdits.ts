import { create } from 'mutative';
import { splitBundle } from '../donors/bundle.ts';
import { indexOf } from '../model/lookup/lookup.ts';
import { seatBeside } from '../model/types/seats.ts';
import type { Edit } from '../model/types/edit.ts';
import type { Condition, Part, Shop } from '../model/types/types.ts';
import type { Money } from '../units/money.ts';
import { putPart } from './edits.ts';
import { nextEntryId } from './ledgerEdits.ts';
import { deletePart, whyKept } from './partEdits.ts';

/** Edits of several parts at once, each one step with one undo. */

const each =
  (ids: readonly string[], change: (part: Part, shop: Shop) => void): Edit =>
  (shop) =>
    create(shop, (next) => {
      for (const part of next.parts) if (ids.includes(part.id)) change(part, shop);
    });

/** Lays parts in a place; those that sit in a machine stay there. */
export const moveParts = (ids: readonly string[], where: string): Edit =>
  each(ids, (part, shop) => {
    if (indexOf(shop).homeOf.has(part.id) || part.place === 'gone') return;
    part.place = 'shelf';
    part.where = where;
  });

export const priceParts = (ids: readonly string[], price: Money | undefined): Edit =>
  each(ids, (part) => {
    part.price = price;
  });

export const markParts = (ids: readonly string[], condition: Condition): Edit =>
  each(ids, (part) => {
    part.condition = condition;
  });

export const reserveParts = (ids: readonly string[], jobId: string | undefined): Edit =>
  each(ids, (part) => {
    part.reserved = jobId;
  });

/** Puts parts into the next free seats of their kinds; a kind a machine has but one of takes its place. */
export const sendToJob =
  (ids: readonly string[], jobId: string): Edit =>
  (shop) =>
    ids.reduce((now, id) => {
      const part = now.parts.find((one) => one.id === id);
      const job = now.jobs.find((one) => one.id === jobId);
      if (!part || !job || job.changes.some(({ partId }) => partId === id)) return now;
      const machine = now.machines.find((one) => one.id === job.machineId);
      const taken = [
        ...(machine?.seats ?? []).map(({ seat }) => seat),
        ...job.changes.map(({ seat }) => seat),
      ];
      return putPart(jobId, seatBeside(part.kind, taken) ?? part.kind, id)(now);
    }, shop);

/** Takes out what nothing rests on; the others stay. */
export const deleteParts =
  (ids: readonly string[]): Edit =>
  (shop) =>
    ids.reduce((now, id) => deletePart(id)(now), shop);

/** Which of some parts cannot be deleted, each with why. */
export const whyPartsKept = (shop: Shop, ids: readonly string[]): string[] =>
  ids.flatMap((id) => whyKept(shop, id) ?? []);

/** How things leave the house. */
export type Leaving = 'sold' | 'given away' | 'scrapped';

export interface LeavingTerms {
  how: Leaving;
  /** ISO time. */
  at: string;
  /** Got for all together, or what a gift is worth; split by what each is worth. */
  money?: Money | undefined;
  /** To whom. */
  who?: string | undefined;
}

/**
 * Parts leave the house: out of the machine they sat in, out of no plan (a job that wanted one says so), and the
 * book has a line for each where money moves. What is scrapped moves none.
 */
export const partsLeave =
  (ids: readonly string[], terms: LeavingTerms): Edit =>
  (shop) =>
    create(shop, (next) => {
      const going = next.parts.filter((part) => ids.includes(part.id) && part.place !== 'gone');
      const shares = sharesOf(going, terms.money);
      for (const part of going) {
        for (const machine of next.machines) {
          if (!machine.seats.some((seat) => seat.partId === part.id)) continue;
          machine.seats = machine.seats.filter((seat) => seat.partId !== part.id);
          part.from ??= machine.id;
        }
        part.place = 'gone';
        delete part.reserved;
        writeLine(next, terms, `${part.name} (${part.id})`, shares.get(part.id), {
          partId: part.id,
        });
      }
    });

/** A machine leaves with what sits in it, under one line of the book. */
export const machineLeaves =
  (id: string, terms: LeavingTerms): Edit =>
  (shop) =>
    create(shop, (next) => {
      const machine = next.machines.find((one) => one.id === id);
      if (!machine || machine.state === 'gone') return;
      machine.state = 'gone';
      for (const { partId } of machine.seats) {
        const part = next.parts.find((one) => one.id === partId);
        if (part) part.place = 'gone';
      }
      writeLine(next, terms, machine.name, terms.money, { machineId: id });
    });

function sharesOf(parts: readonly Part[], money: Money | undefined): Map<string, Money> {
  if (!money || parts.length === 0) return new Map();
  const known = parts.every(({ worth, price }) => (worth ?? price)?.minor);
  return splitBundle(
    money,
    parts.map(({ id, worth, price }) => ({
      partId: id,
      weight: known ? ((worth ?? price)?.minor ?? 1) : 1,
      dead: false,
    })),
  );
}

function writeLine(
  shop: Shop,
  { how, at, who }: LeavingTerms,
  name: string,
  money: Money | undefined,
  of: { partId?: string; machineId?: string },
): void {
  if (how === 'scrapped') return;
  shop.ledger.push({
    id: nextEntryId(shop),
    at,
    kind: how === 'sold' ? 'sale' : 'gift',
    what: `${name} ${how}`.slice(0, 200),
    ...of,
    ...(money && { money }),
    ...(who && { who }),
  });
}

/** Why a machine cannot be deleted: something rests on it. */
export function whyMachineKept(shop: Shop, id: string): string | undefined {
  const job = shop.jobs.find((one) => one.machineId === id);
  if (job) return `${id} is the machine of job ${job.id}.`;
  if (shop.ledger.some((entry) => entry.machineId === id))
    return `${id} stands in the book: it was paid or sold. Sell, give away or scrap it instead.`;
  const machine = shop.machines.find((one) => one.id === id);
  const planned = machine?.seats.find(({ partId }) =>
    shop.jobs.some((one) => one.changes.some((change) => change.partId === partId)),
  );
  return planned && `${planned.partId} in it is planned for a job: take it out of the plan first.`;
}

/** Takes out a machine that was put in by mistake, with the parts that sit in it. */
export const deleteMachine =
  (id: string): Edit =>
  (shop) => {
    if (whyMachineKept(shop, id) !== undefined) return shop;
    const inside = new Set(
      shop.machines.find((one) => one.id === id)?.seats.map(({ partId }) => partId),
    );
    return {
      ...shop,
      machines: shop.machines.filter((one) => one.id !== id),
      parts: shop.parts.filter((part) => !inside.has(part.id)),
      photos: shop.photos.filter(
        (photo) => photo.machineId !== id && !(photo.partId && inside.has(photo.partId)),
      ),
    };
  };

/** Why a job cannot be deleted: it went out, or the book knows it. */
export function whyJobKept(shop: Shop, id: string): string | undefined {
  const job = shop.jobs.find((one) => one.id === id);
  if (job?.handedOver) return `Job ${id} was handed over: its record stays.`;
  const lines = shop.ledger.filter((entry) => entry.jobId === id).length;
  return lines > 0
    ? `The book has ${lines} ${lines === 1 ? 'line' : 'lines'} about job ${id}: strike or move them first.`
    : undefined;
}

/** Takes a job away: its machine and parts stay as they are, what was kept for it is free. */
export const deleteJob =
  (id: string): Edit =>
  (shop) =>
    whyJobKept(shop, id) === undefined && shop.jobs.some((one) => one.id === id)
      ? {
          ...shop,
          jobs: shop.jobs.filter((one) => one.id !== id),
          parts: shop.parts.map((part) => {
            if (part.reserved !== id) return part;
            const { reserved: _, ...free } = part;
            return free;
          }),
          photos: shop.photos.filter((photo) => photo.jobId !== id),
        }
      : shop;
