import type { Costs, Taken, Way } from './verdict.ts';
import type { Goal } from './wishes.ts';

/** No costs. */
export const NOTHING: Costs = { minutes: 0, minor: 0, unpriced: 0, spoils: 0 };

/** Remedies taken together, and what they cost. */
export interface Bundle extends Costs {
  ids: string[];
  taken: Taken[];
}

export const EMPTY: Bundle = { ...NOTHING, ids: [], taken: [] };

export const together = (bundle: Bundle, way: Way): Bundle => ({
  minutes: bundle.minutes + way.minutes,
  minor: bundle.minor + way.minor,
  unpriced: bundle.unpriced + way.unpriced,
  spoils: bundle.spoils + way.spoils,
  ids: [...bundle.ids, way.id],
  taken: [...bundle.taken, ...way.taken],
});

export const costsOf = ({ minutes, minor, unpriced, spoils }: Costs): Costs => ({
  minutes,
  minor,
  unpriced,
  spoils,
});

export const minus = (a: Costs, b: Costs): Costs => ({
  minutes: a.minutes - b.minutes,
  minor: a.minor - b.minor,
  unpriced: a.unpriced - b.unpriced,
  spoils: a.spoils - b.spoils,
});

/** Which of two sets of remedies is dearer, by what the plan is wanted for. */
export function dearer(order: readonly Goal[], a: Costs, b: Costs): number {
  for (const goal of order) {
    const by =
      goal === 'money'
        ? a.unpriced - b.unpriced || a.minor - b.minor
        : goal === 'minutes'
          ? a.minutes - b.minutes
          : goal === 'spoils'
            ? a.spoils - b.spoils
            : 0;
    if (by !== 0) return by;
  }
  return 0;
}

/** The cheapest set with one way for each need. */
export function leastFor(needs: readonly (readonly Way[])[], order: readonly Goal[]): Bundle {
  let best: Bundle | undefined;
  const add = (so: Bundle, rest: readonly (readonly Way[])[]): void => {
    if (best && dearer(order, so, best) >= 0) return;
    const [next, ...after] = rest;
    if (!next) {
      best = so;
      return;
    }
    if (next.some(({ id }) => so.ids.includes(id))) return add(so, after);
    for (const way of next) add(together(so, way), after);
  };
  add(EMPTY, needs);
  return best ?? EMPTY;
}
