import { plugs } from '../standards/plugs/index.ts';
import { boardProperties } from './properties/board.ts';
import {
  cardProperties,
  coolerProperties,
  driveProperties,
  fanProperties,
  memoryProperties,
  processorProperties,
} from './properties/inside.ts';
import { leadsProperties, smallProperties, supplyProperties } from './properties/power.ts';
import type { Property } from './properties/property.ts';
import { caseProperties } from './properties/shell.ts';
import type { Kind } from './types.ts';

/** What can be known of a part: every figure the checks use, with its unit and where it is measured from. */

export { driveForms } from './properties/inside.ts';
export { caseClasses, drivePlaces, supplyPlaces } from './properties/shell.ts';
export type { Measure, Property } from './properties/property.ts';

export const properties: Record<Kind, readonly Property[]> = {
  case: caseProperties,
  board: boardProperties,
  processor: processorProperties,
  cooler: coolerProperties,
  memory: memoryProperties,
  card: cardProperties,
  drive: driveProperties,
  supply: supplyProperties,
  fan: fanProperties,
  leads: leadsProperties,
  small: smallProperties,
};

/** Figures that are a span by nature, not a value that is known less well: what an input stands. */
export const spans: readonly string[] = ['inVolts'];

/** Facts a machine carries itself (firmware, what the machine was). */
export const machineKeys = ['model', 'serial', 'firmware', 'chassis', 'biosDate'] as const;

export function property(kind: Kind, key: string): Property | undefined {
  return properties[kind].find((one) => one.key === key);
}

export const allKeys: readonly string[] = [
  ...new Set([
    ...Object.values(properties).flatMap((list) => list.map((one) => one.key)),
    ...machineKeys,
  ]),
].sort();

export const knownPlugIds: readonly string[] = plugs.map((one) => one.id);
