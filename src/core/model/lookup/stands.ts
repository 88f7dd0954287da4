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

/** By the riser of the plan that carries its seat; one that names none carries the first card. */
export function standOf(plan: Plan, card: Placed): Stand {
  const on = partsOfKind(plan, 'small').find(
    (each) =>
      isSort(plan, each, risers) && (textAt(plan, each, 'carries')?.text ?? 'card1') === card.seat,
  );
  if (!on) return { way: 'slot' };
  return { way: isSort(plan, on, rigid) ? 'riser' : 'ribbon', on };
}
