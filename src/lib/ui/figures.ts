import type { Finding } from '$core/findings/finding.ts';
import { toFahrenheit, type Spoken } from '$core/units/degrees.ts';
import type { Range } from '$core/units/range.ts';
import { MM_PER_INCH, trim } from '$core/units/length.ts';

const usual: Spoken = { unit: 'mm' };

/**
 * A range as the eye reads it: true minus, an en dash between bounds ("to" where one is negative), inches and °F where
 * wished. Degrees are differences; temperatures of a sum are shown by `showTerm`.
 */
export function show(
  value: Range,
  unit: string,
  { unit: length, degrees }: Spoken = usual,
): string {
  const inches = unit === 'mm' && length === 'in';
  const fahrenheit = unit === 'K' && degrees === 'F';
  const digits = inches ? 2 : unit === 'A' ? 1 : unit === 'W' || unit === '' || fahrenheit ? 0 : 1;
  const factor = inches ? 1 / MM_PER_INCH : fahrenheit ? 1.8 : 1;
  return between(value, (n) => trim(n * factor, digits));
}

function between(value: Range, figure: (n: number) => string): string {
  const [lo, hi] = [figure(value.lo), figure(value.hi)].map((text) => text.replace('-', '−'));
  if (lo === hi) return lo ?? '';
  return value.lo < 0 ? `${lo} to ${hi}` : `${lo}–${hi}`;
}

type Term = Pick<Finding['terms'][number], 'label' | 'value'>;

/** A temperature stands in a sum of degrees: as such it is shown, not as a difference. */
const isTemperature = (label: string, unit: string): boolean =>
  unit === 'K' && label.endsWith(', °C');

/** The figure of a term; a word stays one. */
export function showTerm({ value, label }: Term, unit: string, units: Spoken = usual): string {
  if (typeof value === 'string') return value;
  return units.degrees === 'F' && isTemperature(label, unit)
    ? between(value, (n) => trim(toFahrenheit(n), 0))
    : show(value, unit, units);
}

export const unitWord = (unit: string, { unit: length, degrees }: Spoken = usual): string =>
  unit === 'mm' ? length : unit === 'K' && degrees === 'F' ? '°F' : unit;
