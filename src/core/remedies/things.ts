import { listOfJob } from '../model/lookup/reads.ts';
import type { Plan } from '../model/lookup/plan.ts';
import type { Make } from '../model/types/makeTypes.ts';
import type { Printed } from '../model/types/printTypes.ts';

/** What is made for a job, of sheet or printed. */
export type Thing = Make | Printed;

export const thingsOf = (plan: Plan): Thing[] => [
  ...listOfJob(plan, 'makes'),
  ...listOfJob(plan, 'printed'),
];
