import { indexOf } from '../model/lookup.ts';
import type { Plan } from '../model/plan.ts';
import { step } from './draft.ts';
import type { Step } from './step.ts';

/** Remedies by which new firmware is written before the processor goes in. */
export const firmwareIds = (plan: Plan): string[] =>
  [...plan.taken].filter((id) => id.startsWith('firmware-first:'));

/** New firmware on the bench, with an older processor in the socket or without one. */
export function firmwareSteps(plan: Plan): Step[] {
  return firmwareIds(plan).map((id) => {
    const how = id.split(':')[1] ?? '';
    const older = indexOf(plan.shop).parts.get(how);
    return step({
      id: `remedy:${id}`,
      phase: 'prepare',
      title: older
        ? `Write the new firmware with ${older.name} (${older.id}) in the socket, then take it out`
        : 'Write the new firmware without a processor, from a stick',
      minutes: older ? 35 : 15,
      seats: ['board'],
      tools: ['stick with the firmware', ...(older ? ['paste'] : [])],
      after: ['out'],
      why: 'the firmware on the board is older than the processor that comes; no mains off while it writes',
    });
  });
}
