/** Degrees Celsius to Fahrenheit and back; exact by definition. */
export const toFahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32;
export const toCelsius = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;

/** Does a unit of a header name Fahrenheit? */
export const isFahrenheit = (unit: string): boolean =>
  /°\s*F\b|\bdeg\s*F\b|^\s*F\s*$|℉/i.test(unit);
