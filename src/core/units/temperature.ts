/** Degrees Celsius to Fahrenheit and back; exact by definition. */
export const toFahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32;
export const toCelsius = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;
