import type { Plan } from '../../model/plan.ts';

/**
 * A function of a plan's parts alone, whatever remedies it takes: worked out once for the same
 * seats of the same shop. Plans are values, so what was found of them stays true.
 */
export function keptBySeats<T>(work: (plan: Plan) => T): (plan: Plan) => T {
  const kept = new WeakMap<Plan['seats'], { shop: Plan['shop']; value: T }>();
  return (plan) => {
    const before = kept.get(plan.seats);
    if (before?.shop === plan.shop) return before.value;
    const value = work(plan);
    kept.set(plan.seats, { shop: plan.shop, value });
    return value;
  };
}
