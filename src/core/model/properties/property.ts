/** What can be known of a part: every figure the checks use, with its unit and where it is measured from. */

export type Measure =
  'mm' | 'W' | 'A' | 'V' | 'mΩ' | 'GB' | 'MT/s' | 'count' | 'h' | 'years' | '%' | 'text' | 'list';

export interface Property {
  key: string;
  label: string;
  measure: Measure;
  /** The question put to the technician; names the datum. */
  ask: string;
  /** Seconds it takes to find out at the bench (common practice, no source). */
  seconds: number;
  options?: readonly string[];
  /** Largest figure that can be meant, in its unit. */
  most?: number;
}

export const mm = (key: string, label: string, ask: string, seconds = 20): Property => ({
  key,
  label,
  measure: 'mm',
  ask,
  seconds,
  most: 1000,
});
export const text = (
  key: string,
  label: string,
  ask: string,
  options?: readonly string[],
): Property => ({
  key,
  label,
  measure: 'text',
  ask,
  seconds: 10,
  ...(options ? { options } : {}),
});
export const list = (
  key: string,
  label: string,
  ask: string,
  options?: readonly string[],
): Property => ({
  key,
  label,
  measure: 'list',
  ask,
  seconds: 30,
  ...(options ? { options } : {}),
});
export const num = (
  key: string,
  label: string,
  measure: Measure,
  ask: string,
  most: number,
  seconds = 10,
): Property => ({ key, label, measure, ask, seconds, most });
