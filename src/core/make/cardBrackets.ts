import type { Source } from '../standards/source.ts';

/** Brackets of cards and the openings they stand in, mm. */
export const cardBracketSource: Source = {
  title: 'PCI Express card electromechanical specification, brackets and openings',
  memory: true,
};

export const bracketSizes = ['full height', 'low profile'] as const;
export type BracketSize = (typeof bracketSizes)[number];

/** How long a bracket is from its bend, how wide, how far its tab stands over the edge of the case. */
export const bracketLong: Readonly<Record<BracketSize, number>> = {
  'full height': 120.02,
  'low profile': 79.2,
};
export const BRACKET_WIDE = 18.42;
export const BRACKET_TAB = 11.43;

/** From slot to slot, and the opening of one: across, and along by its size. */
export const SLOT_PITCH = 20.32;
export const OPENING_WIDE = 12.06;
export const openingLong: Readonly<Record<BracketSize, number>> = {
  'full height': 89.9,
  'low profile': 54.5,
};
/** From the upper end of the opening to its screw. */
export const SCREW_OVER = 8;
