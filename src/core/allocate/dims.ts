import type { Goal } from './wishes.ts';

/** What is counted, each a line of whole numbers to be made small. */
export const dims = [
  'run',
  'late',
  'asks',
  'unpriced',
  'money',
  'minutes',
  'spoils',
  'rest',
  'opened',
  'moved',
  'untested',
  'rank',
] as const;
export type Dim = (typeof dims)[number];
export type Counts = Record<Dim, number>;

const ofGoal: Record<Goal, readonly Dim[]> = {
  run: ['run'],
  deadlines: ['late'],
  asks: ['asks'],
  money: ['unpriced', 'money'],
  minutes: ['minutes'],
  spoils: ['spoils'],
  rest: ['rest'],
};

/** Ties are broken openly and always alike: fewest donors opened, fewest parts moved from today's plan, untested parts last, then by tag. */
const ties: readonly Dim[] = ['opened', 'moved', 'untested', 'rank'];

export const dimsOf = (order: readonly Goal[]): Dim[] => [
  ...order.flatMap((goal) => ofGoal[goal]),
  ...ties,
];
