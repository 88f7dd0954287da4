import {
  fedByOneVoltage,
  isSort,
  partOfKind,
  partsOfKind,
  textAt,
  type Placed,
  type Plan,
  partAt,
} from '../../model/lookup/plan.ts';
import { converters } from '../../model/properties/smallSorts.ts';
import { cardsOwnSupply } from './second.ts';

/**
 * A converter tapped beside the main board: it hangs on the same source by a lead of its own and feeds one card or
 * drive, which it names.
 *
 *   brick --[lead]-- board
 *     └----[lead, fuse]--[step-down]-- card1
 */
export function tapsOf(plan: Plan): { placed: Placed; seat: string }[] {
  const supply = partOfKind(plan, 'supply');
  if (!supply || !fedByOneVoltage(plan, supply)) return [];
  return partsOfKind(plan, 'small').flatMap((placed) => {
    if (!isSort(plan, placed, converters)) return [];
    const seat = textAt(plan, placed, 'carries')?.text;
    const fed = partAt(plan, seat);
    return fed && (fed.kind === 'card' || fed.kind === 'drive') ? [{ placed, seat: fed.seat }] : [];
  });
}

/** Does this card take its plugs' power from elsewhere than the first feed: a second supply, a tapped converter? */
export const isFedApart = (plan: Plan, seat: string): boolean =>
  cardsOwnSupply(plan) !== undefined || tapsOf(plan).some((tap) => tap.seat === seat);
