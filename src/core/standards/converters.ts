import { commonPractice, type Source } from './source.ts';
import { table } from '../units/table.ts';

/** Small converter boards by family: what they make of what (common practice, no source; efficiencies as ranges). */
export interface Converter {
  id: string;
  name: string;
  from: string;
  to: string;
  /** Most amps out. */
  mostA: number;
  /** Share of the power that comes out, least and best. */
  efficiency: { lo: number; hi: number };
  /** What it costs to get and fit, in minutes of work. */
  minutes: number;
  /** Works in standby: draws little by itself. */
  standby?: boolean;
  source: Source;
}

/** What standby gives when its label was not read, A (common practice, no source). */
export const standbyA: Record<string, number> = table({ '+5VSB': 2, '+12VSB': 1.5 });

const made = (
  from: string,
  to: string,
  mostA: number,
  minutes: number,
  efficiency = { lo: 0.85, hi: 0.93 },
): Converter => ({
  id: `${from}>${to} ${mostA} A`,
  name: `converter ${from} to ${to}, ${mostA} A`,
  from,
  to,
  mostA,
  efficiency,
  minutes,
  ...(from in standbyA ? { standby: true } : {}),
  source: commonPractice,
});

export const converters: readonly Converter[] = [
  made('+12V', '+5V', 3, 14),
  made('+12V', '+5V', 8, 20),
  made('+12V', '+5V', 15, 30),
  made('+12V', '+3.3V', 3, 14),
  made('+12V', '+3.3V', 8, 20),
  made('+12V', '+3.3V', 15, 30),
  made('+5V', '+3.3V', 3, 12),
  made('+12VSB', '+5VSB', 3, 14),
  made('+5VSB', '+12VSB', 1, 16, { lo: 0.8, hi: 0.9 }),
  made('+19V', '+12V', 8, 25),
  made('+19V', '+12V', 15, 35),
  made('+12V', '-12V', 0.3, 18, { lo: 0.7, hi: 0.85 }),
];

/** What a board draws over its main plug when nobody measured it, A (common practice, no source). */
export const usualA: Record<string, number> = table({
  '+12V': 4,
  '+5V': 3,
  '+3.3V': 3,
  '+5VSB': 1,
  '+12VSB': 0.5,
  '-12V': 0.05,
  VBUS: 1,
});
