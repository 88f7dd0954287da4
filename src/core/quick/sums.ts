import { lengthsIn, type LengthUnit } from '../units/length.ts';
import { fastenerSum } from './readings/fasteners.ts';
import { phraseOf, type QuickSum, type SumReader } from './line/phrase.ts';
import { convert } from './readings/convert.ts';
import { power, wire } from './readings/electric.ts';
import { linkRate } from './readings/linkRate.ts';
import {
  boardSize,
  driveInBay,
  litresTo,
  m2InRoom,
  partInRoom,
  plusAndMinus,
  volume,
} from './readings/space.ts';

export type { QuickSum } from './line/phrase.ts';

const readers: readonly SumReader[] = [
  ({ text }) => fastenerSum(text),
  m2InRoom,
  driveInBay,
  boardSize,
  plusAndMinus,
  convert,
  partInRoom,
  volume,
  litresTo,
  wire,
  power,
  linkRate,
];

/**
 * Reads the text as a sum; undefined when it is none. Lengths without a unit are in `unit`, which a kept
 * sum keeps; the answer is in `shown`.
 */
export function quickSum(
  text: string,
  unit: LengthUnit = 'mm',
  shown: LengthUnit = unit,
): QuickSum | undefined {
  const phrase = phraseOf(text.trim().replace(/\s+/g, ' '), unit);
  for (const read of readers) {
    const sum = read(phrase);
    if (sum) return { ...sum, say: lengthsIn(sum.say, shown) };
  }
  return undefined;
}
