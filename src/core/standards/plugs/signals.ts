import { range, type Range } from '../../units/range.ts';

/**
 * What a contact carries. Volts are nominal against the return; tolerances are shares: at the
 * supply from the ATX12V and EPS12V guides, at the load from the slot, card and socket specifications.
 * Colours are a hint, never proof.
 */
export type Direction =
  'feeds' | 'return' | 'to the PSU' | 'from the PSU' | 'data' | 'open' | 'key';

export interface Signal {
  name: string;
  direction: Direction;
  /** Nominal volts while running; undefined for data and contacts without a level of their own. */
  volts?: number;
  /** Volts in standby, where they differ from nothing. */
  standbyVolts?: number;
  /** Allowed at the supply, V. */
  atSupply?: Range;
  colour?: string;
}

const within = (volts: number, share: number): Range =>
  range(volts * (1 - share), volts * (1 + share));

const feed = (name: string, volts: number, colour: string, share = 0.05): Signal => ({
  name,
  direction: 'feeds',
  volts,
  atSupply: within(volts, share),
  colour,
});

/** Every signal with a level or a part of its own. */
export const levels: readonly Signal[] = [
  { name: 'COM', direction: 'return', volts: 0, standbyVolts: 0, colour: 'black' },
  feed('+3.3V', 3.3, 'orange'),
  feed('+5V', 5, 'red'),
  feed('+12V', 12, 'yellow'),
  feed('-12V', -12, 'blue', 0.1),
  feed('-5V', -5, 'white', 0.1),
  { ...feed('+5VSB', 5, 'purple'), standbyVolts: 5 },
  { ...feed('+12VSB', 12, 'purple'), standbyVolts: 12 },
  feed('+19V', 19, 'red'),
  { name: 'VBUS', direction: 'feeds', volts: 5, atSupply: within(5, 0.05), colour: 'red' },
  /* Low is on: pulled up in the supply, below 0.8 V starts it. */
  { name: 'PS_ON#', direction: 'to the PSU', volts: 0, standbyVolts: 5, colour: 'green' },
  /* High is on: some makers' supplies; the adapter needs a stage that turns it round. */
  { name: 'PS_ON', direction: 'to the PSU', volts: 5, standbyVolts: 0, colour: 'green' },
  { name: 'PWR_OK', direction: 'from the PSU', volts: 5, standbyVolts: 0, colour: 'grey' },
  /* Tied to return on the piece it belongs to: the board asks whether it is there. */
  { name: 'PRESENT#', direction: 'to the PSU', volts: 0, standbyVolts: 3.3 },
  { name: 'FAN_ID', direction: 'data' },
  { name: 'LED_A', direction: 'data' },
  { name: 'LED_B', direction: 'data' },
  { name: 'open', direction: 'open' },
  { name: 'key', direction: 'key' },
];

const known = new Map(levels.map((signal) => [signal.name, signal]));

/** A signal by its name; names without a level of their own are data. */
export function signal(name: string): Signal {
  return known.get(name) ?? { name, direction: 'data' };
}

/** Signals with a level a meter can tell, for naming pins. */
export const measurable: readonly Signal[] = levels.filter((each) => each.direction !== 'key');

/** Allowed at the load, as shares of the nominal volts (PCIe CEM, M.2; from memory). */
export const atLoad = {
  slot12: 0.08,
  slot33: 0.09,
  cardPlug: { over: 0.05, under: 0.08 },
  m2: 0.05,
} as const;

/**
 * Amps a 4.2 mm contact of brass carries, by the ways of its housing (2 to 3, 4 to 6, 7 to 10, more) and the gauge
 * it is crimped on: the plain contact takes AWG 16 to 28. From memory of the manufacturers' tables; for an odd gauge
 * the next thinner one counts.
 */
const brass: readonly (readonly [awg: number, amps: readonly [number, number, number, number]])[] =
  [
    [18, [9, 8, 7, 6]],
    [20, [7, 6, 5, 5]],
    [22, [5, 4, 4, 4]],
    [24, [4, 3, 3, 3]],
    [26, [3, 2, 2, 2]],
    [28, [2, 1.5, 1.5, 1.5]],
  ];

export function contactA(ways: number, awg = 18): number {
  const column = ways <= 3 ? 0 : ways <= 6 ? 1 : ways <= 10 ? 2 : 3;
  const row = brass.find(([gauge]) => awg <= gauge) ?? brass.at(-1);
  return row?.[1][column] ?? 1;
}
