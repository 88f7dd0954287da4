/** The names everything else is written in: kinds, seats, conditions, marks, stations. */

export const FORMAT = 'nutshell-swap';
export const VERSION = 11;

export const kinds = [
  'case',
  'board',
  'processor',
  'cooler',
  'memory',
  'card',
  'drive',
  'supply',
  'fan',
  'leads',
  'small',
] as const;
export type Kind = (typeof kinds)[number];

/** Kinds of which a machine may have several; the others have one seat each. */
export const manyKinds: readonly Kind[] = ['memory', 'card', 'drive', 'fan', 'small'];

/** Kinds of which a machine has one, and a server more: `processor`, then `processor2`. */
export const doubledKinds: readonly Kind[] = ['processor', 'cooler', 'supply'];

/** `board`, or `memory1`, `memory2` for kinds of which there are several. */
export type SeatId = string;

export type Condition = 'good' | 'worn' | 'damaged' | 'mended' | 'dead' | 'unknown';
export const conditions: readonly Condition[] = [
  'good',
  'worn',
  'damaged',
  'mended',
  'dead',
  'unknown',
];

/** Stop: would not work or would do harm. Mend: a way exists. Watch: thin or not measured. Clear. */
export const marks = ['stop', 'mend', 'watch', 'clear'] as const;
export type Mark = (typeof marks)[number];

export const stationIds = [
  'take-in',
  'fit',
  'make',
  'plugs',
  'watts',
  'links',
  'donors',
  'order',
  'power-up',
  'heat',
  'hand-over',
] as const;
export type StationId = (typeof stationIds)[number];
