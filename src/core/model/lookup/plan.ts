import {
  listOf,
  numberOf,
  textOf,
  type ResolvedList,
  type ResolvedNumber,
  type ResolvedText,
} from './lookup.ts';
import type { ItemOf, ListKey, NumberKey, TextKey } from '../properties/index.ts';
import { smallMachineWatts } from '../classes/classes.ts';
import { smallSorts, type SmallSort } from '../properties/smallSorts.ts';
import { appliedFor, behind, seatsFor } from './reads.ts';
import { isLike, type RemedyName, type RemedyValue } from '../types/remedyValue.ts';
import type { Placed, Plan } from '../types/plan.ts';
import { kindOfSeat } from '../types/seats.ts';
import type { Kind, SeatId } from '../types/types.ts';

export type { Placed, Plan } from '../types/plan.ts';

/** Whether a remedy like this is applied: fields the pattern leaves out may be anything. */
export const isApplied = (plan: Plan, pattern: RemedyValue): boolean =>
  appliedFor(plan, pattern.do).some((value) => isLike(value, pattern));

/** The remedies of one sort that are applied. */
export const appliedOf = <K extends RemedyName>(plan: Plan, name: K): RemedyValue<K>[] =>
  appliedFor(plan, name).filter(
    (value) => value.do === name,
  ) as readonly RemedyValue[] as RemedyValue<K>[];

/** The seats of a plan sorted by kind, kept as long as their list lives. */
const sorted = new WeakMap<readonly Placed[], Map<Kind, readonly Placed[]>>();
const none: readonly Placed[] = [];

export function partsOfKind(plan: Plan, kind: Kind): readonly Placed[] {
  const seats = seatsFor(plan, kind);
  let byKind = sorted.get(seats);
  if (!byKind) sorted.set(seats, (byKind = byKindOf(seats)));
  return byKind.get(kind) ?? none;
}

function byKindOf(seats: readonly Placed[]): Map<Kind, readonly Placed[]> {
  const byKind = new Map<Kind, Placed[]>();
  for (const placed of seats) {
    const own = byKind.get(placed.kind);
    if (own) own.push(placed);
    else byKind.set(placed.kind, [placed]);
  }
  return byKind;
}

/** What sits in a seat. */
export const partAt = (plan: Plan, seat: SeatId | undefined): Placed | undefined => {
  const kind = seat === undefined ? undefined : kindOfSeat(seat);
  return kind && partsOfKind(plan, kind).find((placed) => placed.seat === seat);
};

/** Whether a part of one of these kinds comes. */
export const comesAny = (plan: Plan, kinds: readonly Kind[]): boolean =>
  kinds.some((kind) => partsOfKind(plan, kind).some(({ state }) => state === 'comes'));

export const partOfKind = (plan: Plan, kind: Kind): Placed | undefined =>
  partsOfKind(plan, kind)[0];

/**
 * A number of a part as the plan has it: said of it or its model, else its class's range, which for watts is that
 * of the sort of machine it sits in.
 */
export function numberAt(plan: Plan, placed: Placed, key: NumberKey): ResolvedNumber | undefined {
  const told = numberOf(behind(plan), placed.part, key);
  if (key !== 'watts' || told?.level !== 'class') return told;
  const shell = partOfKind(plan, 'case');
  const sort = shell && textOf(behind(plan), shell.part, 'class')?.text;
  const watts = sort === undefined ? undefined : smallMachineWatts(sort, placed.kind);
  return watts ? { ...told, ...watts, source: sort } : told;
}
export const textAt = (plan: Plan, placed: Placed, key: TextKey): ResolvedText | undefined =>
  textOf(behind(plan), placed.part, key);
export const listAt = <K extends ListKey>(
  plan: Plan,
  placed: Placed,
  key: K,
): ResolvedList<ItemOf<K>> | undefined => listOf(behind(plan), placed.part, key);

/** The sort of a small part; undefined where nobody said and its name does not tell. */
export const sortOf = (plan: Plan, placed: Placed): SmallSort | undefined =>
  smallSorts.find((sort) => sort === textAt(plan, placed, 'sort')?.text);

/** Whether a small part is of one of these sorts. */
export const isSort = (plan: Plan, placed: Placed, sorts: readonly SmallSort[]): boolean => {
  const sort = sortOf(plan, placed);
  return sort !== undefined && sorts.includes(sort);
};

/** A brick, a battery or a bench supply: one voltage over one lead, and the board makes its own rails. */
export function fedByOneVoltage(plan: Plan, supply: Placed): boolean {
  const said = textAt(plan, supply, 'feeds')?.text;
  return said !== undefined && said !== 'supply';
}
