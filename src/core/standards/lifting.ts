import type { Source } from './source.ts';

/** Above this two people lift, kg: the figure for lifting close to the body at waist height. */
export const LIFT_ALONE_KG = 25;
export const liftSource: Source = {
  title: 'Health and Safety Executive, Manual handling at work',
  clause: 'INDG143, guideline weights',
  memory: true,
};
