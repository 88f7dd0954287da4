import type { Range } from '../../units/range.ts';

/** What a class of parts usually is. */
export interface ClassValue {
  value: Range | string | string[];
  /** The class the value is taken from, in words. */
  source: string;
}
