import { formatLength, parseLength, parseNumber, trim, type LengthUnit } from './length.ts';

/** How a figure that answers a question must look. */
export interface FigureRules {
  /** Unit of the value: `mm` for lengths, which may be typed in any unit of length; `count` for whole numbers. */
  unit: string;
  /** Unit of a length that is typed bare. */
  lengths?: LengthUnit | undefined;
  /** Largest value that can be meant, in `unit`. */
  most?: number | undefined;
  /** A place or a count may be zero; a size may not. */
  zero?: boolean | undefined;
}

/** `why` a text is refused: it has not the shape of a figure, is too much, or is zero. */
export type FigureRead = { value: number } | { fault: string; why: 'shape' | 'most' | 'zero' };

/** Reads a typed figure, or says in one sentence what is wrong with it. */
export function readFigure(text: string, rules: FigureRules): FigureRead {
  const { unit, lengths = 'mm', most, zero = unit !== 'mm' } = rules;
  const value = unit === 'mm' ? parseLength(text, lengths)?.mm : withoutUnit(text, unit);
  if (value === undefined || !Number.isFinite(value))
    return {
      fault: unit === 'mm' ? 'A length, like 158 or 6 1/4 in.' : 'A number.',
      why: 'shape',
    };
  if (unit === 'count' && !Number.isInteger(value))
    return { fault: 'A whole number.', why: 'shape' };
  if (most !== undefined && value > most) {
    const limit = unit === 'mm' ? `${formatLength(most, lengths)} ${lengths}` : limitOf(most, unit);
    return { fault: `More than ${limit} cannot be meant.`, why: 'most' };
  }
  if (value <= 0 && !zero) return { fault: 'Zero is no length.', why: 'zero' };
  return { value };
}

const limitOf = (most: number, unit: string) =>
  unit === 'count' ? trim(most, 0) : `${trim(most, 1)} ${unit}`;

/** `65`, `65 W`, `65w`: a number, with or without the unit that is asked for. */
function withoutUnit(text: string, unit: string): number | undefined {
  const clean = text.trim();
  const tail = unit === 'count' ? '' : unit.toLowerCase();
  const bare =
    tail !== '' && clean.toLowerCase().endsWith(tail) ? clean.slice(0, -tail.length) : clean;
  return parseNumber(bare);
}
