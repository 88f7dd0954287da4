import { seatName } from '../model/types/seats.ts';
import { inId, type Step } from '../model/types/step.ts';

/** `first` has to be in before `later` is, or there is no way in for it. */
export interface Blockage {
  first: string;
  later: string;
  sure: boolean;
}

/** Steps with what the space adds: a part goes in after whatever it would block, unless that makes a ring. */
export function blockedSteps(steps: readonly Step[], blocked: readonly Blockage[]): Step[] {
  const after = new Map(steps.map((step) => [step.id, new Set(step.after)]));
  const why = new Map<string, string>();
  for (const { first, later, sure } of blocked) {
    const [a, b] = [inId(first), inId(later)];
    const waits = after.get(b);
    if (!waits || !after.has(a) || needs(after, a, b)) continue;
    if (waits.has(a)) {
      if (sure) why.set(b, reason(first, sure));
      continue;
    }
    waits.add(a);
    why.set(b, reason(first, sure));
  }
  return steps.map((step) => ({
    ...step,
    after: [...(after.get(step.id) ?? step.after)],
    why: why.get(step.id) ?? step.why,
  }));
}

const reason = (first: string, sure: boolean) =>
  `after the ${seatName(first)}: it ${sure ? 'stands' : 'may stand'} in its way in`;

/** Does `from` wait for `to`, directly or through others? */
function needs(after: ReadonlyMap<string, ReadonlySet<string>>, from: string, to: string): boolean {
  const seen = new Set<string>();
  const walk = (id: string): boolean => {
    if (id === to) return true;
    if (seen.has(id)) return false;
    seen.add(id);
    return [...(after.get(id) ?? [])].some(walk);
  };
  return walk(from);
}
