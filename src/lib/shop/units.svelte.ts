import { celsiusOf, degreesIn, degreesOf, degreesSign, spoken } from '$core/units/degrees.ts';
import { MM_PER_INCH, trim } from '$core/units/length.ts';
import { shopStore } from './shopStore.svelte.ts';

/** Words and figures in the units of the shop that is open. */

const degrees = () => shopStore.shop.settings.degrees;
const inches = () => shopStore.shop.settings.unit === 'in';

export const say = (text: string): string => spoken(text, shopStore.shop.settings);
/** `°C` or `°F`; a label that names °C in the shop's unit. */
export const sign = (): string => degreesSign(degrees());
export const labelled = (text: string): string =>
  degreesIn(text, degrees())
    .replaceAll('°C', sign())
    .replace(/, mm$/, inches() ? ', in' : ', mm');
/** A temperature as a figure of the shop's unit, and back to °C. */
export const shownDegrees = (celsius: number): number => degreesOf(celsius, degrees());
export const celsius = (figure: number): number => celsiusOf(figure, degrees());
/** As it is typed again: no more digits than it needs. */
export const degreesField = (celsius: number | undefined): string =>
  celsius === undefined ? '' : trim(shownDegrees(celsius), 1);
/** A typed figure of whatever unit: °C and mm are others in a shop that reads °F or inches. */
export const fromUnitOf = (unit: string, figure: number): number =>
  unit === '°C' ? celsius(figure) : unit === 'mm' && inches() ? figure * MM_PER_INCH : figure;
/** A kept figure as it is typed in the shop's unit. */
export const inUnitOf = (unit: string, figure: number): string =>
  unit === '°C'
    ? degreesField(figure)
    : unit === 'mm' && inches()
      ? trim(figure / MM_PER_INCH, 3)
      : String(figure);
