import type { PinReading } from '../../model/types/shapes.ts';
import { standbyA } from '../../standards/converters.ts';
import { signal } from '../../standards/plugs/signals.ts';

/**
 * What a meter says of one pin, and how likely each signal makes it. Kinds are ordered by danger:
 * unplugged, standby, running. A reading may be wrong by a bad contact, which repeats: two of one
 * kind on one pin are worth one.
 */
export type Reading = PinReading;
export type ReadingKind = Reading['kind'];

/** Classes of signal a supply's plug may carry; `other` is what no meter names. */
export const classes = [
  'COM',
  '+3.3V',
  '+5V',
  '+12V',
  '-12V',
  '+5VSB',
  '+12VSB',
  'PS_ON#',
  'PWR_OK',
  'open',
  'other',
] as const;
export type SignalClass = (typeof classes)[number];

export function classOf(name: string): SignalClass {
  return (classes as readonly string[]).includes(name) ? (name as SignalClass) : 'other';
}

/** Seconds a reading takes and what it weighs for danger (common practice, no source). */
export const effort: Record<ReadingKind, { seconds: number; danger: number }> = {
  colour: { seconds: 3, danger: 1 },
  gauge: { seconds: 3, danger: 1 },
  empty: { seconds: 2, danger: 1 },
  common: { seconds: 10, danger: 1 },
  ohms: { seconds: 12, danger: 1 },
  chassis: { seconds: 8, danger: 1 },
  standby: { seconds: 10, danger: 2 },
  running: { seconds: 10, danger: 4 },
};

export interface Meter {
  /** Share of the reading. */
  share: number;
  /** Digits of the last place, V. */
  digitsV: number;
  /** Chance that a contact was bad and the figure means nothing. */
  badContact: number;
  /** Ohms below which it beeps: 10 to 200 by the meter. */
  beepsTo: number;
}

/** Where nobody said which meter: one that beeps up to 30 ohms (common practice, no source). */
export const handMeter: Meter = { share: 0.01, digitsV: 0.02, badContact: 0.02, beepsTo: 30 };

/** Chance of a wire's colour given what it carries: makers keep to the colours mostly. */
const COLOUR_KEPT = 0.85;
const COLOURS = 12;

/** How likely one reading is when the pin carries this; densities for volts are per volt. */
export function likelihood(
  reading: Reading,
  carries: SignalClass,
  meter: Meter = handMeter,
): number {
  switch (reading.kind) {
    case 'colour': {
      const usual = carries === 'other' || carries === 'open' ? undefined : signal(carries).colour;
      if (usual === undefined) return 1 / COLOURS;
      return usual === reading.colour ? COLOUR_KEPT : (1 - COLOUR_KEPT) / (COLOURS - 1);
    }
    case 'chassis': {
      const chance = carries === 'COM' ? 1 - meter.badContact : falseBeep(carries, meter);
      return reading.beeps ? chance : 1 - chance;
    }
    case 'gauge':
      return gaugeLikelihood(reading.awg, carries);
    case 'empty':
      /* What looks empty is: an overlooked contact is rare. */
      return carries === 'open' ? 0.6 : 2e-4;
    case 'ohms':
      return ohmsLikelihood(reading.ohms, carries, meter);
    case 'common':
      /* Hangs on two pins at once: see beliefs.ts. */
      return 1;
    case 'standby':
      return voltsLikelihood(reading.volts, standbyLevels(carries), meter);
    case 'running':
      return voltsLikelihood(reading.volts, runningLevels(carries), meter);
  }
}

/** Power wires are thick mostly, signals thin (common practice, no source): AWG 18 and thicker, 20, thinner. */
const GAUGES: Record<'power' | 'standby' | 'signal' | 'open', readonly [number, number, number]> = {
  power: [0.75, 0.2, 0.05],
  standby: [0.4, 0.3, 0.3],
  signal: [0.15, 0.2, 0.65],
  open: [1 / 3, 1 / 3, 1 / 3],
};

function gaugeLikelihood(awg: number, carries: SignalClass): number {
  const group =
    carries === 'open'
      ? 'open'
      : carries in standbyA
        ? 'standby'
        : ['COM', '+3.3V', '+5V', '+12V'].includes(carries)
          ? 'power'
          : 'signal';
  return GAUGES[group][awg <= 18 ? 0 : awg <= 20 ? 1 : 2];
}

/** Ohms to return of a discharged supply, as the power of ten they lie about and how far off (common practice, no source). */
const OHMS: Record<SignalClass, readonly [number, number]> = {
  COM: [-0.5, 0.3],
  '+3.3V': [1.2, 0.7],
  '+5V': [1.7, 0.7],
  '+12V': [2.5, 0.8],
  '-12V': [2.8, 0.8],
  '+5VSB': [2.8, 0.8],
  '+12VSB': [3, 0.8],
  'PS_ON#': [4, 0.8],
  PWR_OK: [3.5, 1],
  open: [7, 0.4],
  other: [4, 1.5],
};
/** How often a pin that is not ground beeps to the chassis all the same: its bleeder lies below what the meter beeps at. */
function falseBeep(carries: SignalClass, meter: Meter): number {
  const [mean, spread] = OHMS[carries];
  return Math.max(RARELY, below((Math.log10(meter.beepsTo) - mean) / spread));
}
const RARELY = 0.004;

/** Share of the normal distribution below z (Abramowitz and Stegun 26.2.17, from memory). */
function below(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z >= 0 ? 1 - tail : tail;
}

/** What the meter shows for no way at all. */
export const NO_OHMS = 1e7;

function ohmsLikelihood(ohms: number, carries: SignalClass, meter: Meter): number {
  const at = Math.log10(Math.min(NO_OHMS, Math.max(0.05, ohms)));
  const bell = ([mean, spread]: readonly [number, number]) =>
    Math.exp(-0.5 * ((at - mean) / spread) ** 2) / (spread * Math.sqrt(2 * Math.PI));
  return (
    (1 - meter.badContact) * bell(OHMS[carries]) +
    meter.badContact * (0.8 * bell(OHMS.open) + 0.025)
  );
}

/** Classes whose pins are joined with each other inside the supply. */
const joined = new Set<SignalClass>(['COM', '+3.3V', '+5V', '+12V', '-12V', '+5VSB', '+12VSB']);

/** Pins that are one conductor inside the supply. */
export const joinedInside = (a: SignalClass, b: SignalClass): boolean => a === b && joined.has(a);

/** How likely it is that two pins beep with each other when they carry these. */
export function beepChance(a: SignalClass, b: SignalClass, meter: Meter = handMeter): number {
  if (joinedInside(a, b)) return 1 - meter.badContact;
  /* Between a rail and ground lies its bleeder. */
  if (a === 'COM' || b === 'COM') return falseBeep(a === 'COM' ? b : a, meter);
  return RARELY;
}

interface Level {
  volts: number;
  /** How far the level itself may lie off, V. */
  spread: number;
  weight: number;
}

const level = (volts: number, spread: number, weight = 1): Level => ({ volts, spread, weight });

function standbyLevels(carries: SignalClass): Level[] {
  if (carries === '+5VSB') return [level(5, 0.15)];
  if (carries === '+12VSB') return [level(12, 0.35)];
  /* Pulled up in the supply to standby or to 3.3 V. */
  if (carries === 'PS_ON#') return [level(5, 0.3, 0.6), level(3.3, 0.3, 0.4)];
  if (carries === 'other') return [level(0, 0.2, 0.6), level(3.3, 2.5, 0.4)];
  return [level(0, 0.08)];
}

function runningLevels(carries: SignalClass): Level[] {
  switch (carries) {
    case 'COM':
      return [level(0, 0.03)];
    case '+3.3V':
      return [level(3.3, 0.1)];
    case '+5V':
    case '+5VSB':
      return [level(5, 0.15)];
    case '+12V':
    case '+12VSB':
      return [level(12, 0.35)];
    case '-12V':
      return [level(-12, 0.7)];
    case 'PWR_OK':
      return [level(5, 0.3, 0.8), level(3.3, 0.2, 0.2)];
    case 'PS_ON#':
      return [level(0, 0.2)];
    case 'open':
      return [level(0, 0.15)];
    case 'other':
      return [level(0, 0.3, 0.5), level(3.3, 2.5, 0.5)];
  }
}

/** Widest volts a meter could show of a supply's plug, for a figure that means nothing. */
const ANYWHERE_V = 30;

function voltsLikelihood(volts: number, levels: readonly Level[], meter: Meter): number {
  const good = levels.reduce((sum, each) => {
    const sigma = Math.hypot(each.spread, meter.share * each.volts, meter.digitsV);
    return (
      sum +
      (each.weight * Math.exp(-0.5 * ((volts - each.volts) / sigma) ** 2)) /
        (sigma * Math.sqrt(2 * Math.PI))
    );
  }, 0);
  /* A bad contact shows nothing, or anything. */
  const sigma0 = 0.05;
  const nothing = Math.exp(-0.5 * (volts / sigma0) ** 2) / (sigma0 * Math.sqrt(2 * Math.PI));
  return (1 - meter.badContact) * good + meter.badContact * (0.8 * nothing + 0.2 / ANYWHERE_V);
}

/** Was it heard to beep? */
export const beeped = (kinds: readonly ReadingKind[]) =>
  kinds.includes('chassis') || kinds.includes('common');
