import { conditionOf } from '../model/lookup/condition.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { seatName } from '../model/types/seats.ts';
import type { Kind } from '../model/types/types.ts';
import { outId, type Step, step } from '../model/types/step.ts';

/** How a part is tried by itself, and the minutes of hands it takes (common practice, no source). */
const trials: Partial<Record<Kind, readonly [how: string, minutes: number]>> = {
  memory: ['one full pass of a memory test in a machine that is known good', 10],
  drive: ['its own long test, then its record again', 5],
  supply: ['on a load outside the case: every rail read, then smell and listen', 10],
  fan: ['on a bench supply, an hour', 5],
  leads: ['each lead buzzed out from end to end', 5],
};

/** The step that tries the part of a seat again. */
export const retestId = (seat: string): string => `retest:${seat}`;

/** Is there a part here that was damaged or mended and not tried since? Each is tried before the machine is trusted. */
export function retestSteps(plan: Plan): Step[] {
  return plan.seats
    .filter((placed) => {
      const { untested, inherited } = conditionOf(plan, placed);
      return untested && !inherited;
    })
    .map(({ seat, kind, part, state }) => {
      const [how, minutes] = trials[kind] ?? ['in a machine that is known good', 15];
      return step({
        id: retestId(seat),
        phase: state === 'comes' ? 'prepare' : 'gate',
        title: `Test the ${seatName(seat)} again: ${part.name} (${part.id})`,
        minutes,
        seats: [seat],
        gate: how,
        why: 'it was damaged or mended and not tried since',
        after: state === 'comes' ? [outId(seat)] : ['in'],
      });
    });
}
