export { handsNeeded, type Hands } from './hands.ts';
export { progress, sorted, workOrder, type Progress } from './order.ts';
export type { Phase, Step } from '../model/types/step.ts';
export { windowOf, type Window } from './recoat.ts';
export { nextOwnId } from './ownSteps.ts';
export { ownId } from '../model/types/step.ts';
