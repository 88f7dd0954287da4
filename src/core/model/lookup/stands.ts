import { isSort, partsOfKind, textAt, type Placed, type Plan } from './plan.ts';
import type { SmallSort } from '../properties/smallSorts.ts';

/** How a card stands: in its slot, flat on a rigid riser, or elsewhere on a ribbon. */
export interface Stand {
  way: 'slot' | 'riser' | 'ribbon';
  /** What carries it. */
  on?: Placed | undefined;
}

const rigid: readonly SmallSort[] = ['riser'];
const ribbons: readonly SmallSort[] = ['ribbon riser', 'powered riser'];
const risers = [...rigid, ...ribbons];

/** The seat a riser carries: as it was said, else the only card there is; undefined where it may be any of several. */
export function carriedBy(plan: Plan, riser: Placed): string | undefined {
  const said = textAt(plan, riser, 'carries')?.text;
  if (said !== undefined) return said;
  const cards = partsOfKind(plan, 'card');
  return cards.length > 1 ? undefined : (cards[0]?.seat ?? 'card1');
}

/** The risers of a plan, rigid ones and ribbons. */
export const risersOf = (plan: Plan): Placed[] =>
  partsOfKind(plan, 'small').filter((each) => isSort(plan, each, risers));

/** By the riser of the plan that carries its seat; of several cards one that names none is taken to carry the first, and that is asked. */
export function standOf(plan: Plan, card: Placed): Stand {
  const on = partsOfKind(plan, 'small').find(
    (each) => isSort(plan, each, risers) && (carriedBy(plan, each) ?? 'card1') === card.seat,
  );
  if (!on) return { way: 'slot' };
  return { way: isSort(plan, on, rigid) ? 'riser' : 'ribbon', on };
}
