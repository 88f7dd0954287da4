import { indexOf } from '../model/lookup/lookup.ts';
import { appliedOf, type Plan } from '../model/lookup/plan.ts';
import { minutesOf, stepIdOf, titleOf } from '../remedies/index.ts';
import { type Step, step } from '../model/types/step.ts';

/** New firmware on the bench, with an older processor in the socket or without one. */
export function firmwareSteps(plan: Plan): Step[] {
  return appliedOf(plan, 'firmwareFirst').map((value) => {
    const older = indexOf(plan.shop).parts.get(value.older);
    const title = titleOf(value, plan);
    return step({
      id: stepIdOf(value),
      phase: 'prepare',
      title: older ? `${title}, then take it out` : title,
      minutes: minutesOf(value),
      seats: ['board'],
      tools: ['stick with the firmware', ...(older ? ['paste'] : [])],
      after: ['out'],
      why: 'the firmware on the board is older than the CPU that comes; no mains off while it writes',
    });
  });
}
