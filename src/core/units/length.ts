import { table } from './table.ts';

/** Lengths are millimetres inside; inches exist only in what people type and read. */

export type LengthUnit = 'mm' | 'in';

/** Exact by definition since 1959. */
export const MM_PER_INCH = 25.4;

const MM_PER: Record<string, number> = table({
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  '″': MM_PER_INCH,
  ft: 304.8,
});

export const lengthPattern = String.raw`(\d+(?:[.,]\d+)?(?:\s+\d+\s*\/\s*\d+)?|\d+\s*\/\s*\d+)\s*(mm|cm|m|inches|inch|in|"|″|ft)?`;

const whole = new RegExp(`^${lengthPattern}$`, 'i');

export interface ParsedLength {
  mm: number;
  /** The unit that was typed, if one was. */
  unit?: LengthUnit;
}

/**
 * Reads a length as people type it: `158`, `15,8 cm`, `6.25"`, `6 1/4 in`, `3/8 in`.
 * A bare number is in `bare`. Returns undefined when the text is no length.
 */
export function parseLength(text: string, bare: LengthUnit = 'mm'): ParsedLength | undefined {
  const match = whole.exec(text.trim());
  if (!match) return undefined;
  const value = parseNumber(match[1] ?? '');
  if (value === undefined) return undefined;
  const typed = match[2]?.toLowerCase();
  const mm = value * (MM_PER[typed ?? bare] ?? 1);
  if (!typed) return { mm };
  return { mm, unit: MM_PER[typed] === MM_PER_INCH || typed === 'ft' ? 'in' : 'mm' };
}

/** `6 1/4`, `1/4`, `6.25` or `6,25` as a number; undefined when it is none. */
export function parseNumber(text: string): number | undefined {
  const match = /^(?:(\d+(?:[.,]\d+)?)(?:\s+(?=\d+\s*\/)|$))?(?:(\d+)\s*\/\s*(\d+))?$/.exec(
    text.trim(),
  );
  if (!match || (match[1] === undefined && match[2] === undefined)) return undefined;
  const base = match[1] === undefined ? 0 : Number(match[1].replace(',', '.'));
  if (match[2] === undefined) return base;
  const below = Number(match[3]);
  return below === 0 ? undefined : base + Number(match[2]) / below;
}

/** Rounded as the eye wants it: tenths of a millimetre; hundredths of an inch, thousandths below a tenth. */
export function formatLength(mm: number, unit: LengthUnit = 'mm'): string {
  return unit === 'in' ? inches(mm) : trim(mm, 1);
}

const inches = (mm: number) => {
  const value = mm / MM_PER_INCH;
  return trim(value, Math.abs(value) < 0.1 ? 3 : 2);
};

/**
 * A length on a drawing: whole millimetres, which need no unit there, or hundredths of an inch with their mark.
 * `floor` for what a part may measure at most, `ceil` for what it stands over.
 */
export function drawnLength(
  mm: number,
  unit: LengthUnit,
  rounded: 'round' | 'floor' | 'ceil' = 'round',
): string {
  return unit === 'mm'
    ? String(Math[rounded](mm))
    : `${trim(Math[rounded]((mm / MM_PER_INCH) * 100) / 100, 2)}″`;
}

/** A length to read in words, with its unit: `247 mm`, `9.72 in`. */
export const lengthWithUnit = (mm: number, unit: LengthUnit): string =>
  `${formatLength(mm, unit)} ${unit}`;

/** At most `digits` decimals, no trailing zeros, a true minus sign left to the caller. */
export function trim(value: number, digits: number): string {
  const text = value.toFixed(digits);
  return digits === 0 ? text : text.replace(/\.?0+$/, '').replace(/^-0$/, '0');
}

/** Sizes that are names: a 120 mm fan is called so in every shop. */
const nominal = /^(?:40|50|60|70|80|92|120|140|200)$/;
const inText =
  /([-−]?\d+(?:\.\d+)?)(?:( to |–| x )([-−]?\d+(?:\.\d+)?))? ?mm\b(?! ?\/)( (?:fan|mount|radiator|module))?/g;

/** A sentence with its lengths in the shop's unit; what is called by its millimetres keeps them. */
export function lengthsIn(text: string, unit: LengthUnit): string {
  if (unit === 'mm') return text;
  const converted = (figure: string) => inches(Number(figure.replace('−', '-'))).replace('-', '−');
  return text.replace(
    inText,
    (whole: string, a: string, between?: string, b?: string, named?: string) =>
      named || (b === undefined && nominal.test(a) && /\bfan\b/i.test(text))
        ? whole
        : `${converted(a)}${b === undefined ? '' : `${between}${converted(b)}`} in`,
  );
}
