import { orderFromSpace } from '../fit/insertionPaths.ts';
import type { Plan } from '../model/lookup/plan.ts';
import type { Schools } from '../model/types/types.ts';
import { workOrder, type Step } from '../order/index.ts';
import { withLearned } from './learned.ts';

/** The work order of a plan in its case: the school's order unless the space asks for another, with the minutes this shop takes. */
export const workOrderOf = (plan: Plan, schools: Schools): Step[] =>
  withLearned(plan, workOrder(plan, schools, orderFromSpace(plan)));
