import { plugs } from '../../standards/plugs/index.ts';
import { boardProperties } from './board.ts';
import {
  cardProperties,
  coolerProperties,
  driveProperties,
  fanProperties,
  memoryProperties,
  processorProperties,
} from './inside.ts';
import { leadsProperties, smallProperties, supplyProperties } from './power.ts';
import type { NumberMeasure, Property as Described } from './property.ts';
import { caseProperties } from './shell.ts';
import type { Item, Shape } from '../types/shapes.ts';
import type { Kind } from '../types/types.ts';

/** What can be known of a part: every figure the checks use, with its unit and where it is measured from. */

export { driveForms } from './inside.ts';
export { drivePlaces } from '../types/shapes.ts';
export { caseClasses, supplyPlaces } from './shell.ts';
export type { Measure } from './property.ts';

const byKind = {
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
} satisfies Record<Kind, readonly Described[]>;

type Any = (typeof byKind)[Kind][number];
/** Names of facts that are figures, words and lists: a misspelt one does not compile. */
export type NumberKey = Extract<Any, { measure: NumberMeasure }>['key'];
export type TextKey = Extract<Any, { measure: 'text' }>['key'] | (typeof machineKeys)[number];
export type ListKey = Extract<Any, { measure: 'list' }>['key'];
/** What the items of a list are: words, or what its shape says. */
export type ItemOf<K extends ListKey> = (Extract<Any, { key: K; measure: 'list' }> extends {
  shape: Shape<infer T>;
}
  ? T
  : string) &
  Item;
export type FactKey = NumberKey | TextKey | ListKey;

export type Property = Described<FactKey>;

export const properties: Record<Kind, readonly Property[]> = byKind;

/** Figures that are a span by nature, not a value that is known less well: what an input stands. */
export const spans: readonly string[] = ['inVolts'];

/** Facts a machine carries itself (firmware, what the machine was). */
export const machineKeys = ['model', 'serial', 'firmware', 'chassis', 'biosDate'] as const;

export function property(kind: Kind, key: string): Property | undefined {
  return properties[kind].find((one) => one.key === key);
}

const numberKeys = new Set<string>(
  Object.values(properties).flatMap((list) =>
    list.flatMap(({ key, measure }) => (measure === 'text' || measure === 'list' ? [] : [key])),
  ),
);

/** Whether a fact of this name is a figure. */
export const isNumberKey = (key: string): key is NumberKey => numberKeys.has(key);

const shapes = new Map(
  Object.values(properties).flatMap((list) =>
    list.flatMap(({ key, shape }) => (shape ? [[key as string, shape] as const] : [])),
  ),
);

/** The shape of a list's items; undefined where they are words. */
export const shapeOf = (key: string): Shape | undefined => shapes.get(key);

/** Items of a list as text, each as it is typed. */
export const itemTexts = (key: string, items: readonly Item[]): string[] => {
  const shape = shapeOf(key);
  return items.map((item) => (typeof item === 'string' ? item : (shape?.write(item) ?? '')));
};

export const allKeys: readonly string[] = [
  ...new Set([
    ...Object.values(properties).flatMap((list) => list.map((one) => one.key)),
    ...machineKeys,
  ]),
].sort();

export const knownPlugIds: readonly string[] = plugs.map((one) => one.id);
