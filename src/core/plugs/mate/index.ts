export { mate, matingOf, matings, type Contact, type Mating, type Verdict } from './mate.ts';
export { placements, type Keys, type Placement } from './placements.ts';
export { isReturn, touch, type Effect, type Touch } from './touch.ts';
