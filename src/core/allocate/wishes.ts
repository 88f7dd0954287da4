/** What a plan of the whole shop is wanted for. */

export const goals = ['run', 'deadlines', 'asks', 'money', 'minutes', 'spoils', 'rest'] as const;

/** What counts before what: jobs that run, promised days, what each job asks for, money still to be spent, minutes of hands, what is spoiled, what the rest is worth. */
export type Goal = (typeof goals)[number];

export interface Wishes {
  /** First what counts most; goals left out come behind, in the usual order. */
  order: readonly Goal[];
  /** Prices that are ranges: cheapest for sure, or cheapest in the middle. */
  prices: 'sure' | 'middle';
  /** Tags of machines and parts there is leave to use: in use, kept whole, reserved, lent, another job's. */
  leave: readonly string[];
}

export const usualWishes: Wishes = { order: goals, prices: 'sure', leave: [] };

/** All goals, first what counts most. */
export const ordered = (order: readonly Goal[]): Goal[] => [...new Set([...order, ...goals])];
