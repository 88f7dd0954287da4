import type { Climate, Paint } from '../model/types/finishTypes.ts';
import { ABOVE_DEW_K, paintTimes, SPRAY } from '../standards/coatings.ts';
import { trim } from '../units/length.ts';
import { range, type Range } from '../units/range.ts';

/** What a room does to drying. */

/**
 * °C at which air of `airC` and `humidity` percent is saturated: Magnus formula over water, coefficients of Sonntag
 * (1990), good to 0.1 K between -45 and 60 °C. Throws RangeError for no humidity.
 */
export function dewPointC(airC: number, humidity: number): number {
  if (!(humidity > 0 && humidity <= 100)) throw new RangeError(`invalid humidity: ${humidity}`);
  const [a, b] = [17.62, 243.12];
  const gamma = Math.log(humidity / 100) + (a * airC) / (b + airC);
  return (b * gamma) / (a - gamma);
}

/** A heated room where nobody looked (common practice, no source). */
const USUAL_C = range(17, 23);
const USUAL_HUMIDITY = range(40, 65);

/** °C and percent as ranges: a figure, or what rooms usually have. */
export const roomOf = ({ roomC, humidity }: Climate): { c: Range; humidity: Range } => ({
  c: roomC === undefined ? USUAL_C : range(roomC),
  humidity: humidity === undefined ? USUAL_HUMIDITY : range(humidity),
});

/** Times as long as at 20 °C and 50 %: twice for each 10 K less; damp air slows water most (common practice, no source). */
export function slower(c: number, humidity: number, family: string): number {
  const cold = 2 ** ((20 - c) / 10);
  const damp =
    family === 'water' ? Math.max(0, humidity - 50) / 25 : Math.max(0, humidity - 65) / 35;
  return cold * (1 + damp);
}

/** A time of the data sheet in this room, in the unit it is given in. */
export function inRoom(time: Range, climate: Climate, paint: Paint): Range {
  const { family } = paintTimes[paint];
  const { c, humidity } = roomOf(climate);
  return range(
    time.lo * slower(c.hi, humidity.lo, family),
    time.hi * slower(c.lo, humidity.hi, family),
  );
}

/** Why this room bears no spraying; undefined where it does or nobody looked. */
export function noSpraying({ roomC, humidity }: Climate): string | undefined {
  if (roomC !== undefined && roomC < SPRAY.coldest)
    return `${trim(roomC, 1)} °C is too cold to spray: ${SPRAY.coldest} °C at least`;
  if (roomC !== undefined && roomC > SPRAY.warmest)
    return `${trim(roomC, 1)} °C is too warm to spray: it dries before it lies, ${SPRAY.warmest} °C at most`;
  if (humidity !== undefined && humidity > SPRAY.dampest)
    return `${humidity} % is too damp to spray: ${SPRAY.dampest} % at most`;
  return undefined;
}

/** Why no piece as warm as the air bears spraying in it; undefined where it does or too little is known. */
export function badWeather(climate: Climate): string | undefined {
  const not = noSpraying(climate);
  if (not !== undefined) return not;
  const coldest = coldestPiece(climate);
  return coldest !== undefined && climate.roomC !== undefined && climate.roomC < coldest
    ? `${trim(climate.roomC, 1)} °C is less than ${ABOVE_DEW_K} K over the dew point: water settles on it`
    : undefined;
}

/** °C the piece itself must have: 3 K over the dew point. Undefined where the room is not known. */
export const coldestPiece = ({ roomC, humidity }: Climate): number | undefined =>
  roomC === undefined || humidity === undefined
    ? undefined
    : dewPointC(roomC, humidity) + ABOVE_DEW_K;
