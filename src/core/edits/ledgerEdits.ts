import { create } from 'mutative';
import { indexOf } from '../model/lookup/lookup.ts';
import type { Entry, Loan, Machine, Offer, Part, Rate, Shop } from '../model/types/types.ts';
import type { Money } from '../units/money.ts';
import { editMachine, editPart, editSettings, type Edit } from './edits.ts';

/** The next free number of the book: `L0001`. */
export function nextEntryId({ ledger }: Pick<Shop, 'ledger'>): string {
  const most = ledger.reduce((top, { id }) => Math.max(top, Number(id.slice(1)) || 0), 0);
  return `L${String(most + 1).padStart(4, '0')}`;
}

const withoutEmpty = <T extends object>(fields: T): T =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as T;

/** Writes a line into the book. What is sold leaves the house. */
export const writeEntry =
  (entry: Omit<Entry, 'id'>): Edit =>
  (shop) =>
    create(shop, (next) => {
      next.ledger.push({ id: nextEntryId(next), ...withoutEmpty(entry) });
      if (entry.kind !== 'sale') return;
      const part = next.parts.find((each) => each.id === entry.partId);
      if (part) letGo(next, part);
      const machine = next.machines.find((each) => each.id === entry.machineId);
      if (machine) machine.state = 'gone';
    });

/** A part that leaves the house keeps the donor it came out of, so that its price counts there. */
function letGo(shop: Shop, part: Part): void {
  part.place = 'gone';
  for (const machine of shop.machines) {
    if (!machine.seats.some((seat) => seat.partId === part.id)) continue;
    machine.seats = machine.seats.filter((seat) => seat.partId !== part.id);
    part.from ??= machine.id;
  }
}

/** Strikes a line; what it said of a thing's whereabouts stays. */
export const dropEntry =
  (id: string): Edit =>
  (shop) => ({ ...shop, ledger: shop.ledger.filter((entry) => entry.id !== id) });

export const editEntry =
  (id: string, fields: Partial<Omit<Entry, 'id'>>): Edit =>
  (shop) => ({
    ...shop,
    ledger: shop.ledger.map((entry) =>
      entry.id === id ? withoutEmpty({ ...entry, ...fields }) : entry,
    ),
  });

/** Puts a part of the shelf somewhere else; one that sits in a machine stays where it is. */
export const movePart =
  (id: string, where: string): Edit =>
  (shop) =>
    indexOf(shop).homeOf.has(id) ? shop : editPart(id, { where, place: 'shelf' })(shop);

/** What is said of a loan; `way` undefined: it is none any more. */
export type LoanFields = { [K in keyof Loan]?: Loan[K] | undefined };

/** Another way of loan, or none, or something more about it. */
export const lend =
  (id: string, fields: LoanFields): Edit =>
  (shop) => {
    const before = shop.parts.find((each) => each.id === id)?.loan;
    const way = 'way' in fields ? fields.way : before?.way;
    return editPart(id, { loan: way ? { ...before, ...fields, way } : undefined })(shop);
  };

export const reserve = (id: string, jobId: string | undefined): Edit =>
  editPart(id, { reserved: jobId });

/** Takes parts out of a donor and lays them on the shelf: condition and origin go with them. */
export const strip =
  (machineId: string, partIds: readonly string[], where: string, note?: string): Edit =>
  (shop) =>
    create(shop, (next) => {
      const machine = next.machines.find((each) => each.id === machineId);
      if (!machine) return;
      const taken = machine.seats.filter((seat) => partIds.includes(seat.partId));
      machine.seats = machine.seats.filter((seat) => !taken.includes(seat));
      if (note) machine.note = [machine.note, note].filter(Boolean).join(' ');
      for (const { partId } of taken) {
        const part = next.parts.find((each) => each.id === partId);
        if (!part) continue;
        part.place = 'shelf';
        part.where = where;
        part.from = machine.id;
        part.condition ??= machine.condition ?? 'unknown';
        part.origin ??= machine.origin ?? machine.name;
      }
    });

export const keepWhole = (machineId: string, keep: boolean): Edit =>
  editMachine(machineId, { keepWhole: keep ? true : undefined } as Partial<Machine>);

export const setOffer = (machineId: string, offer: Offer | undefined): Edit =>
  editMachine(machineId, { offer });

/** The rate of a currency in the shop's own; an empty one takes it out. */
export const setRate =
  (rate: Rate): Edit =>
  (shop) =>
    editSettings({
      rates: [
        ...shop.settings.rates.filter((each) => each.currency !== rate.currency),
        ...(rate.rate === '' ? [] : [rate]),
      ],
    })(shop);

export const setHour = (anHour: Money | undefined): Edit => editSettings({ anHour });
