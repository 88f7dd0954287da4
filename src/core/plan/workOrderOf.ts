import { orderFromSpace } from '../fit/insertionPaths.ts';
import type { Plan } from '../model/lookup/plan.ts';
import type { Schools } from '../model/types/types.ts';
import { workOrder, type Step } from '../order/index.ts';

/** The work order of a plan in its case: the school's order, unless the space asks for another. */
export const workOrderOf = (plan: Plan, schools: Schools): Step[] =>
  workOrder(plan, schools, orderFromSpace(plan));
