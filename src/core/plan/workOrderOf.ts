import { remedyMinutes } from '../findings/remedyMinutes.ts';
import { cutsOf } from '../fit/rear.ts';
import { orderFromSpace } from '../fit/ways.ts';
import type { Plan } from '../model/plan.ts';
import type { Schools } from '../model/types.ts';
import { workOrder, type Step } from '../order/index.ts';

/** The work order of a plan in its case: the school's order, unless the space asks for another. */
export function workOrderOf(plan: Plan, schools: Schools): Step[] {
  return workOrder(plan, schools, orderFromSpace(plan)).map((step) =>
    step.id === 'remedy:rear-cut'
      ? { ...step, minutes: remedyMinutes('rear-cut', cutsOf(plan).length) }
      : step,
  );
}
