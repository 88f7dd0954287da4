import type { Plan } from '../model/lookup/plan.ts';
import type { Schools, Tick } from '../model/types/types.ts';
import { withOwn } from './ownSteps.ts';
import { stepsOf } from './steps.ts';
import { blockedSteps, type Blockage } from './blockages.ts';
import type { Phase, Step } from '../model/types/step.ts';

const phases: readonly Phase[] = [
  'before',
  'open',
  'out',
  'prepare',
  'bench start',
  'shell',
  'finish',
  'in',
  'gate',
  'close',
  'hand over',
];

/**
 * The work list: every step after what it needs, phases in the order of the trade. `blocked`
 * says what stands in whose way in this case: it overrules the school where they differ.
 */
export function workOrder(plan: Plan, schools: Schools, blocked: readonly Blockage[] = []): Step[] {
  const ordered = sorted(
    blockedSteps(stepsOf(plan, schoolsIn(schools, blocked), blocked), blocked),
  );
  return withOwn(ordered, plan.job?.own ?? []);
}

/** The school of the supply gives way where the space surely asks for the other order. */
function schoolsIn(schools: Schools, blocked: readonly Blockage[]): Schools {
  const sure = (first: string, later: string) =>
    blocked.some((block) => block.sure && block.first === first && block.later === later);
  if (sure('supply', 'board')) return { ...schools, supply: 'first' };
  if (sure('board', 'supply')) return { ...schools, supply: 'last' };
  return schools;
}

/**
 * Topological order, the earliest phase first among those free (Kahn).
 * Throws when steps wait for each other in a ring: then the rules contradict themselves.
 */
export function sorted(steps: readonly Step[]): Step[] {
  const left = [...steps];
  const done = new Set<string>();
  const result: Step[] = [];
  while (left.length > 0) {
    const free = left.filter((step) => step.after.every((id) => done.has(id)));
    if (free.length === 0)
      throw new Error(`steps wait for each other: ${left.map((s) => s.id).join(', ')}`);
    const next = free.reduce((best, step) =>
      phases.indexOf(step.phase) < phases.indexOf(best.phase) ? step : best,
    );
    result.push(next);
    done.add(next.id);
    left.splice(left.indexOf(next), 1);
  }
  return result;
}

export interface Progress {
  done: Step[];
  next: Step | undefined;
  /** Minutes of hands left. */
  minutesLeft: number;
}

export function progress(steps: readonly Step[], ticks: readonly Tick[]): Progress {
  const passed = new Set(ticks.filter((tick) => !tick.failed).map((tick) => tick.stepId));
  const left = steps.filter((step) => !passed.has(step.id));
  return {
    done: steps.filter((step) => passed.has(step.id)),
    next: left[0],
    minutesLeft: left.reduce((sum, step) => sum + step.minutes, 0),
  };
}
