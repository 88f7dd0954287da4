import type { Source } from '../source.ts';
import type { Plug } from './plug.ts';

/**
 * What the side contacts of a 12V-2x6 promise the card: SENSE0 and SENSE1, each to ground or open (PCI Express CEM
 * 5.0 and 5.1, from memory). Both open says nothing at all to a newer card, so that 150 W is coded there by
 * joining the two to each other.
 */
export interface SenseCode {
  watts: number;
  grounded: readonly ('S3' | 'S4')[];
  /** The two sense contacts joined to each other. */
  joined?: boolean;
}

const grounded: readonly SenseCode[] = [
  { watts: 600, grounded: ['S3', 'S4'] },
  { watts: 450, grounded: ['S4'] },
  { watts: 300, grounded: ['S3'] },
];
const codes: Readonly<Record<string, readonly SenseCode[]>> = {
  card16: [...grounded, { watts: 150, grounded: [], joined: true }],
  card16old: [...grounded, { watts: 150, grounded: [] }],
};

export const senseSource: Source = {
  title: 'PCI Express Card Electromechanical specification 5.1',
  clause: 'sideband of the 12V-2x6',
  memory: true,
};

/** The side contacts by their numbers on the housing. */
export const senseNames = {
  S1: 'CARD_PWR_STABLE',
  S2: 'CARD_CBL_PRES#',
  S3: 'SENSE0',
  S4: 'SENSE1',
} as const;
export type SenseContact = keyof typeof senseNames;

export const hasSense = (plug: Plug): boolean => codes[plug.id] !== undefined;

/** The most a plug may be coded to say when so many watts feed it; none where that is less than the least code. */
export const codeFor = (plug: Plug, watts: number): SenseCode | undefined =>
  codes[plug.id]?.find((code) => code.watts <= watts);
