import { lengthsIn, trim, type LengthUnit } from './length.ts';

/** Temperatures are °C inside, differences K; °F exists only in what people type and read. */

export type Degrees = 'C' | 'F';

/** Units a shop reads its figures in; °C where nobody said. */
export interface Spoken {
  unit: LengthUnit;
  degrees?: Degrees | undefined;
}

/** Degrees Celsius to Fahrenheit and back; exact by definition. */
export const toFahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32;
export const toCelsius = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;

/** Does a unit of a header name Fahrenheit? */
export const isFahrenheit = (unit: string): boolean =>
  /°\s*F\b|\bdeg\s*F\b|^\s*F\s*$|℉/i.test(unit);

/** A temperature as a figure of the shop's unit, and back. */
export const degreesOf = (celsius: number, degrees: Degrees = 'C'): number =>
  degrees === 'F' ? toFahrenheit(celsius) : celsius;
export const celsiusOf = (figure: number, degrees: Degrees = 'C'): number =>
  degrees === 'F' ? toCelsius(figure) : figure;

/** `°C` or `°F`. */
export const degreesSign = (degrees: Degrees = 'C'): string => `°${degrees}`;

/** A temperature to read, with its unit: `71 °C`, `160 °F`. */
export const degreesText = (celsius: number, degrees: Degrees = 'C', digits = 0): string =>
  `${trim(degreesOf(celsius, degrees), digits)} ${degreesSign(degrees)}`;

const absolute = /([-−]?\d{1,6}(?:\.\d{1,6})?)(?:( to |–| or )([-−]?\d{1,6}(?:\.\d{1,6})?))? ?°C/g;
const apart = /([-−]?\d{1,6}(?:\.\d{1,6})?)(?:( to |–)(\d{1,6}(?:\.\d{1,6})?))? ?K\b(?! ?\/)/g;

/** A sentence with its temperatures, and differences of them, in °F where the shop reads those. */
export function degreesIn(text: string, degrees: Degrees = 'C'): string {
  if (degrees === 'C') return text;
  const said = (figure: string, by: (value: number) => number) =>
    trim(
      by(Number(figure.replace('−', '-'))),
      /\.\d{2}/.test(figure) ? 2 : figure.includes('.') ? 1 : 0,
    ).replace('-', '−');
  const both =
    (by: (value: number) => number) => (_: string, a: string, between?: string, b?: string) =>
      `${said(a, by)}${b === undefined ? '' : `${between}${said(b, by)}`} °F`;
  return text
    .replace(
      apart,
      both((kelvin) => kelvin * 1.8),
    )
    .replace(absolute, both(toFahrenheit))
    .replaceAll(', °C', ', °F');
}

/** A sentence in the units the shop reads. */
export const spoken = (text: string, { unit, degrees }: Spoken): string =>
  degreesIn(lengthsIn(text, unit), degrees);
