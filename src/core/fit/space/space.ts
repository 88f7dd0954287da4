import type { Plan } from '../../model/plan.ts';
import type { Box } from './box.ts';
import { frontBoxes, supplyBoxes } from './inCase.ts';
import { boardBoxes, cardBoxes } from './onBoard.ts';
import { placesOf, type Places } from './places.ts';

export interface Space {
  at: Places;
  boxes: Box[];
}

const known = new WeakMap<Plan, Space | null>();

/** Everything in the plan's case as boxes in the case's frame; undefined without a case. */
export function spaceOf(plan: Plan): Space | undefined {
  const kept = known.get(plan);
  if (kept !== undefined) return kept ?? undefined;
  const at = placesOf(plan);
  const space = at && {
    at,
    boxes: [
      ...boardBoxes(plan, at),
      ...cardBoxes(plan, at),
      ...supplyBoxes(plan, at),
      ...frontBoxes(plan, at),
    ],
  };
  known.set(plan, space ?? null);
  return space;
}
