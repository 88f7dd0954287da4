import type { Option } from './variables.ts';

/**
 * What counts, in minor units of the shop's currency. The figures are a reasoned start (common
 * practice, no source): they are the user's to change.
 */
export interface Weights {
  /** What an hour of hands is worth. */
  hour: number;
  /** What spoiling the looks counts. */
  looks: number;
  /** What cannot be undone counts. */
  forGood: number;
  /** Giving up something of the goal counts. */
  givesUp: number;
  /** A part nobody has priced yet is taken to cost this. */
  unpriced: number;
}

export const usualWeights: Weights = {
  hour: 1500,
  looks: 1000,
  forGood: 1500,
  givesUp: 2000,
  unpriced: 1000,
};

/** The cost of one option: money, minutes, looks, what it gives up, whether it can be undone. */
export function costOf(option: Option, weights: Weights): number {
  return (
    (option.minutes / 60) * weights.hour +
    option.money.minor +
    option.unpriced * weights.unpriced +
    option.spoils.length * weights.looks +
    option.givesUp.length * weights.givesUp +
    (option.undoable ? 0 : weights.forGood)
  );
}
