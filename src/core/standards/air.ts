import { range, type Range } from '../units/range.ts';
import type { Source } from './source.ts';
import { table } from '../units/table.ts';

/** Heat, air and sound. */

/** Dry air at 20 °C and sea level: kg/m³ and J/(kg K) (handbook values, from memory). */
export const air = { density: 1.204, heat: 1006 };
export const airSource: Source = {
  title: 'ASHRAE Handbook, Fundamentals: sensible heat of an air stream, P = rho cp Q dT',
  memory: true,
};

/** m³/s of one cubic foot a minute: 0.3048 m cubed over 60 s. */
export const CFM = 0.3048 ** 3 / 60;
/** m³/h of one cubic foot a minute. */
export const M3H_PER_CFM = CFM * 3600;

/** Kelvin an air stream warms by so many watts. Throws RangeError for no air. */
export function warmsK(watts: number, cfm: number): number {
  if (!(cfm > 0)) throw new RangeError(`invalid flow: ${cfm}`);
  return watts / (air.density * air.heat * cfm * CFM);
}

/** Sum of levels, dB: 10 log10 of the sum of 10^(L/10); quiet where there is none. */
export function levelsAdded(levels: readonly number[]): number {
  if (levels.length === 0) return 0;
  return 10 * Math.log10(levels.reduce((sum, each) => sum + 10 ** (each / 10), 0));
}

/** Change of a fan's level with its speed: 50 to 55 log10 of the ratio (fan laws, from memory). */
export function levelChange(ratio: number): Range {
  if (!(ratio > 0)) throw new RangeError(`invalid speed ratio: ${ratio}`);
  const log = Math.log10(ratio);
  return log < 0 ? range(55 * log, 50 * log) : range(50 * log, 55 * log);
}

/** Free flow of a fan of that size flat out, cfm, and its level at a metre, dB (common practice, no source). */
const fans: Readonly<Record<number, { cfm: Range; level: Range }>> = {
  /* 28 mm thick ones move 10 to 25. */
  40: { cfm: range(4, 25), level: range(24, 45) },
  60: { cfm: range(12, 25), level: range(26, 38) },
  80: { cfm: range(20, 40), level: range(22, 35) },
  92: { cfm: range(28, 50), level: range(22, 34) },
  120: { cfm: range(35, 75), level: range(20, 32) },
  140: { cfm: range(55, 95), level: range(20, 32) },
  200: { cfm: range(80, 150), level: range(18, 32) },
};

/** The fan nearest in size. */
export function fanOf(sizeMm: number): { cfm: Range; level: Range } {
  const size = Object.keys(fans)
    .map(Number)
    .reduce((best, each) => (Math.abs(each - sizeMm) < Math.abs(best - sizeMm) ? each : best), 120);
  return fans[size] ?? { cfm: range(40, 75), level: range(20, 32) };
}

/** Share of its free flow a fan moves through grilles, filters and leads of a case (common practice, no source). */
export const IN_A_CASE = range(0.35, 0.65);
/** What the fan of a supply draws out of a case, cfm (common practice, no source). */
export const SUPPLY_CFM = range(12, 30);
/** What holes alone let out when hot air rises, cfm for a litre under fifteen and up (common practice, no source). */
export const RISING_CFM = range(3, 10);

/** Kelvin a watt from the processor's lid to the air, by cooler; the paste between (common practice; makers' tables). */
export const coolerKW: Readonly<Record<string, Range>> = table({
  low: range(0.25, 0.8),
  tower: range(0.12, 0.25),
  radiator: range(0.08, 0.2),
});
export const anyCoolerKW = range(0.12, 0.8);
/** A low cooler by its height: more fin carries off more (common practice, no source). */
export function lowCoolerKW(heightMm: Range | undefined): Range {
  if (!heightMm) return range(0.25, 0.8);
  const sorts = [
    { from: 0, to: 42, kw: range(0.4, 0.8) },
    { from: 42, to: 56, kw: range(0.3, 0.65) },
    { from: 56, to: Infinity, kw: range(0.25, 0.55) },
  ].filter(({ from, to }) => heightMm.hi >= from && heightMm.lo < to);
  return range(
    Math.min(...sorts.map(({ kw }) => kw.lo)),
    Math.max(...sorts.map(({ kw }) => kw.hi)),
  );
}
export const pasteKW = range(0.05, 0.1);

/**
 * Kelvin a watt from the die to the lid, by what lies between: a cooler's figure begins at the lid, the sensor lies in
 * the die (common practice, no source; makers' papers, from memory).
 */
export const lidKW = {
  soldered: range(0.08, 0.15),
  pasted: range(0.2, 0.4),
  chiplets: range(0.2, 0.4),
} as const;
export const anyLidKW = range(0.08, 0.4);
/** What lies under the lid of most CPUs of a socket, where nobody said (common practice, no source). */
export const lidOfSocket: Readonly<Record<string, keyof typeof lidKW>> = table({
  LGA775: 'soldered',
  LGA1156: 'soldered',
  LGA1366: 'soldered',
  LGA2011: 'soldered',
  LGA1150: 'pasted',
  LGA1151: 'pasted',
  LGA1700: 'soldered',
  LGA1851: 'soldered',
  AM5: 'chiplets',
});

/** What a CPU should stay under, °C; those made to run at 95 to 100, ten under that (common practice, no source). */
export const aimC = range(85);
export const hotAimC = range(85, 90);
/** Room of a workshop or an office, °C (common practice, no source). */
export const roomC = range(18, 28);
/** Kelvin the air of a case may be warmer than the room and still be called well aired (common practice, no source). */
export const CASE_K = 15;

/** °C at which prints soften (makers' data sheets, from memory). */
export const softensC: Readonly<Record<string, Range>> = table({
  PLA: range(55, 60),
  PETG: range(75, 80),
  ABS: range(95, 105),
  ASA: range(95, 105),
  PC: range(110, 145),
});
/** °C of what a printed part may stand beside under load (common practice, no source). */
export const besideC: Readonly<Record<string, Range>> = table({
  processor: range(55, 80),
  card: range(60, 85),
  drive: range(40, 70),
  supply: range(40, 65),
  'nothing hot': range(25, 45),
});
