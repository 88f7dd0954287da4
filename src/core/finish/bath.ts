import type { BathWork } from '../model/types/finishTypes.ts';
import { finishId, step, type Step } from '../model/types/step.ts';
import type { Source } from '../standards/source.ts';
import { range, type Range } from '../units/range.ts';
import { finishCautions } from './cautions.ts';
import { roomOf } from './climate.ts';

/** The bath against yellowing: hydrogen peroxide and light. */

/** Percent by mass the public may buy without a licence. */
export const MOST_PERCENT = 12;
export const lawSource: Source = {
  title: 'Regulation (EU) 2019/1148, Annex I: hydrogen peroxide 12 % w/w for the public',
  memory: true,
};
/** Warmer baths run away. */
export const HOTTEST_C = 50;

/**
 * Density of a solution, g/ml at 20 °C, from its percent by mass: a parabola through handbook values (0 % 0.998,
 * 10 % 1.032, 35 % 1.132, 50 % 1.195; unverified figures), within 0.3 % up to 50 %.
 */
export function density(percent: number): number {
  if (!(percent >= 0 && percent <= 60)) throw new RangeError(`invalid strength: ${percent}`);
  return 0.9982 + 0.00345 * percent + 0.0000098 * percent * percent;
}

/** An opened bottle weakens: kept well one percent a year, badly a third (common practice, no source). */
function strengthOf({ bottlePercent, openMonths = 0 }: BathWork): Range {
  const years = openMonths / 12;
  return range(
    bottlePercent * (1 - Math.min(0.6, 0.33 * years)),
    bottlePercent * (1 - Math.min(0.2, 0.01 * years)),
  );
}

export interface Mixture {
  /** Solution the vessel takes, ml. */
  solutionMl: number;
  /** Out of the bottles, and water, ml: mixed by what the bottle says. */
  bottleMl: number;
  waterMl: number;
  /** Percent by mass it may have, for a bottle that has stood open. */
  percent: Range;
}

/**
 * By mass: what is in the solution came out of the bottle, m p = m1 p1. Undefined where the wanted strength is more
 * than the bottle's, or nothing is left to fill.
 */
export function mixtureOf(bath: BathWork): Mixture | undefined {
  const { bottlePercent, wantedPercent, vesselMl, displacedMl = 0 } = bath;
  const solutionMl = vesselMl - displacedMl;
  if (!(solutionMl > 0) || wantedPercent > bottlePercent || !(wantedPercent > 0)) return undefined;
  const mass = solutionMl * density(wantedPercent);
  const bottleMass = (mass * wantedPercent) / bottlePercent;
  const strength = strengthOf(bath);
  return {
    solutionMl,
    bottleMl: bottleMass / density(bottlePercent),
    waterMl: (mass - bottleMass) / density(0),
    percent: range((strength.lo * bottleMass) / mass, (strength.hi * bottleMass) / mass),
  };
}

/** Hours of a 12 % bath at 25 °C by its light (common practice, no source). */
const HOURS: Readonly<Record<BathWork['light'], Range>> = {
  sun: range(4, 10),
  lamp: range(10, 24),
  shade: range(24, 72),
};

/** Hours until it is white again: weaker and colder takes longer, twice for 10 K (common practice, no source). */
export function bathHours(bath: BathWork): Range {
  const { c } = roomOf(bath);
  const strength =
    bath.school === 'cream'
      ? range(bath.bottlePercent)
      : (mixtureOf(bath)?.percent ?? range(bath.wantedPercent));
  const times = (percent: number, at: number) =>
    (12 / Math.max(1, percent)) * 2 ** ((25 - at) / 10);
  const hours = HOURS[bath.light];
  return range(hours.lo * times(strength.hi, c.hi), hours.hi * times(strength.lo, c.lo));
}

const litres = (ml: number): string => `${(ml / 1000).toFixed(ml < 10_000 ? 2 : 1)} l`;

export function bathSteps(bath: BathWork): Step[] {
  const id = (what: string) => finishId(bath.id, what);
  const mixture = mixtureOf(bath);
  const hours = bathHours(bath);
  const half = Math.max(60, Math.round((hours.lo * 60) / 2));
  const rest = Math.max(60, Math.round(hours.hi * 60 - half));
  const cream = bath.school === 'cream';
  const by = `${Math.round(hours.lo)} to ${Math.round(hours.hi)} h in all`;
  return [
    step({
      id: id('strip'),
      phase: 'finish',
      title: `Strip the ${bath.piece}: no metal, springs, labels, rubber, paint or clear windows in the bath`,
      minutes: 15,
      tools: ['driver', 'soap'],
    }),
    step({
      id: id('start'),
      phase: 'finish',
      title:
        cream || !mixture
          ? `Brush ${bath.bottlePercent} % cream on evenly, wrap it in clear film`
          : `Mix ${litres(mixture.bottleMl)} of ${bath.bottlePercent} % with ${litres(mixture.waterMl)} of water: ${litres(mixture.solutionMl)} at ${bath.wantedPercent} %; the ${bath.piece} under, weighed down`,
      minutes: 20,
      leaveMinutes: half,
      uses: 'bath',
      tools: ['goggles', 'nitrile gloves', cream ? 'brush' : 'measuring jug'],
      cautions: [finishCautions.peroxide],
      why: by,
      after: [id('strip')],
    }),
    step({
      id: id('turn'),
      phase: 'finish',
      title: cream
        ? 'Spread the cream anew so that it leaves no streaks; look against an unfaded place'
        : 'Turn it, push bubbles off; look against an unfaded place',
      minutes: 10,
      leaveMinutes: rest,
      uses: 'bath',
      tools: ['goggles', 'nitrile gloves'],
      cautions: [finishCautions.peroxide],
      gate: 'lighter than it was; stop as soon as it matches, at the latest when it turns chalky',
      after: [id('start')],
    }),
    step({
      id: id('rinse'),
      phase: 'finish',
      title: `Rinse the ${bath.piece} well; what is left goes where the local waste rules say`,
      minutes: 15,
      leaveMinutes: 12 * 60,
      tools: ['goggles', 'nitrile gloves'],
      cautions: [finishCautions.peroxide],
      after: [id('turn')],
    }),
  ];
}
