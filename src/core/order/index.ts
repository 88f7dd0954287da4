export { handsNeeded, type Hands } from './hands.ts';
export { progress, sorted, workOrder, type Progress } from './order.ts';
export type { Phase, Step } from './step.ts';
