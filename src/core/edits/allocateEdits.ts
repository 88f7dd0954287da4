import { takenUp, type Proposal } from '../allocate/proposal.ts';
import type { Edit } from '../model/types/edit.ts';

/** Takes a plan of the whole shop: every job's changes, remedies and wants in one step. */
export const takePlan =
  (proposal: Pick<Proposal, 'jobs' | 'leave'>): Edit =>
  (shop) =>
    takenUp(shop, proposal);
