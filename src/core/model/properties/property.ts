import type { Shape } from '../types/shapes.ts';

/** What can be known of a part: every figure the checks use, with its unit and where it is measured from. */

export type Measure =
  | 'mm'
  | 'kg'
  | 'W'
  | 'A'
  | 'V'
  | 'mΩ'
  | 'GB'
  | 'MT/s'
  | 'count'
  | 'h'
  | 'years'
  | '%'
  | 'text'
  | 'list';

/** What is told by a figure. */
export type NumberMeasure = Exclude<Measure, 'text' | 'list'>;

export interface Property<K extends string = string, M extends Measure = Measure> {
  key: K;
  label: string;
  measure: M;
  /** The question put to the technician; names the datum. */
  ask: string;
  /** Seconds it takes to find out at the bench (common practice, no source). */
  seconds: number;
  options?: readonly string[];
  /** Its words are ids of plugs: shown by the plug's name, and plugs the shop has measured are among them. */
  plugs?: true;
  /** Of a list whose words are several each: written apart by commas. */
  phrases?: true;
  /** Of a list whose items are more than words. */
  shape?: Shape;
  /** Largest figure that can be meant, in its unit. */
  most?: number;
}

export const mm = <const K extends string>(
  key: K,
  label: string,
  ask: string,
  seconds = 20,
): Property<K, 'mm'> => ({
  key,
  label,
  measure: 'mm',
  ask,
  seconds,
  most: 1000,
});
export const text = <const K extends string>(
  key: K,
  label: string,
  ask: string,
  options?: readonly string[],
): Property<K, 'text'> => ({
  key,
  label,
  measure: 'text',
  ask,
  seconds: 10,
  ...(options ? { options } : {}),
});
export const list = <const K extends string>(
  key: K,
  label: string,
  ask: string,
  options?: readonly string[],
): Property<K, 'list'> => ({
  key,
  label,
  measure: 'list',
  ask,
  seconds: 30,
  ...(options ? { options } : {}),
});
/** Which plug: one of the options, else any plug there is. */
export const plug = <const K extends string>(
  key: K,
  label: string,
  ask: string,
  options?: readonly string[],
): Property<K, 'text'> => ({ ...text(key, label, ask, options), plugs: true });
/** Which plugs, each as often as it is there. */
export const plugList = <const K extends string>(
  key: K,
  label: string,
  ask: string,
  options?: readonly string[],
): Property<K, 'list'> => ({ ...list(key, label, ask, options), plugs: true });
/** A list whose items have a shape. */
export const shaped = <const K extends string, Item>(
  key: K,
  label: string,
  ask: string,
  shape: Shape<Item>,
): Property<K, 'list'> & { shape: Shape<Item> } => ({
  key,
  label,
  measure: 'list',
  ask,
  seconds: 30,
  shape,
});
export const num = <const K extends string>(
  key: K,
  label: string,
  measure: NumberMeasure,
  ask: string,
  most: number,
  seconds = 10,
): Property<K, NumberMeasure> => ({ key, label, measure, ask, seconds, most });
