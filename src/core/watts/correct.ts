import { listOfJob } from '../model/lookup/reads.ts';
import { indexOf } from '../model/lookup/lookup.ts';
import { partsOfKind, numberAt, partOfKind, type Placed, type Plan } from '../model/lookup/plan.ts';
import type { Reading } from '../model/types/types.ts';
import { range, total, type Range, mid } from '../units/range.ts';
import {
  cardsOwnSupply,
  drawsOf,
  efficiencyOf,
  shareIn,
  treeOf,
  type State,
} from './tree/index.ts';

/** A part's watts before and after the meter at the wall was heard, as spans of two deviations. */
export interface CorrectedPart {
  seat: string;
  partId: string;
  was: Range;
  is: Range;
}

export interface HeardReading {
  reading: Reading;
  /** Watts the supply gave, from those at the wall; and what the figures before had it give. */
  gave: Range;
  expected: Range;
}

export interface Correction {
  heard: HeardReading[];
  /** How far the figures were off under the heaviest load heard: 0.18 is 18 % too high. */
  off: Range;
  parts: CorrectedPart[];
}

/** A wall meter of the trade is right within this share (common practice, no source). */
const METER = 0.03;
/** One deviation of a figure nobody measured, as a share of it: labels name limits, not draws (common practice, no source). */
const SAID = 0.12;
const MEASURED = 0.02;

const stateFor: Record<Reading['load'], State> = {
  idle: 'idle',
  'real use': 'usual',
  'full load': 'full',
  'until settled': 'full',
};

interface Gauss {
  mean: number;
  dev: number;
}
const gauss = ({ lo, hi }: Range): Gauss => ({ mean: (lo + hi) / 2, dev: (hi - lo) / 4 });
const span = ({ mean, dev }: Gauss): Range => range(Math.max(0, mean - 2 * dev), mean + 2 * dev);

/**
 * What readings at the wall say of the watts that were typed: every part's figure is taken as normal
 * with its range as two deviations either side, every reading as their weighted sum with the
 * meter's, the supply's and the state's uncertainty, and the figures are corrected together
 * (linear least squares with a prior: the Kalman update; Maybeck, Stochastic Models, Estimation and
 * Control, vol. 1, from memory). Readings of the plan's own state only (`when`); of each load the
 * latest. Undefined without a reading, a supply or a part with watts.
 */
export function correctionOf(plan: Plan, when: Reading['when']): Correction | undefined {
  const supply = partOfKind(plan, 'supply');
  const seats = weighed(plan);
  const readings = latest(plan, when);
  if (!supply || seats.length === 0 || readings.length === 0 || cardsOwnSupply(plan))
    return undefined;
  const label = numberAt(plan, supply, 'watts');
  const eta = efficiencyOf(plan, supply);
  const prior = seats.map(({ watts }) => watts);
  let mean = prior.map((each) => each.mean);
  let spread = prior.map((each, i) => prior.map((_, j) => (i === j ? each.dev ** 2 : 0)));
  const heard: HeardReading[] = [];
  for (const reading of readings) {
    const rating = label ? mid(label) : reading.value * 2;
    const share = eta((reading.value * 0.85) / Math.max(1, rating));
    const gave = gauss(
      range(reading.value * (1 - METER) * share.lo, reading.value * (1 + METER) * share.hi),
    );
    const { gains, rest } = weightsOf(plan, seats, stateFor[reading.load]);
    const noise =
      gave.dev ** 2 +
      rest.dev ** 2 +
      gains.reduce((sum, gain, i) => sum + (gain.dev * (mean[i] ?? 0)) ** 2, 0);
    const h = gains.map((gain) => gain.mean);
    const expected = {
      mean: rest.mean + h.reduce((sum, gain, i) => sum + gain * (prior[i]?.mean ?? 0), 0),
      dev: Math.sqrt(
        noise -
          gave.dev ** 2 +
          h.reduce((sum, gain, i) => sum + (gain * (prior[i]?.dev ?? 0)) ** 2, 0),
      ),
    };
    heard.push({ reading, gave: span(gave), expected: span(expected) });
    const told = rest.mean + h.reduce((sum, gain, i) => sum + gain * (mean[i] ?? 0), 0);
    const ph = spread.map((row) => row.reduce((sum, each, j) => sum + each * (h[j] ?? 0), 0));
    const whole = noise + ph.reduce((sum, each, i) => sum + each * (h[i] ?? 0), 0);
    if (!(whole > 0)) continue;
    const gain = ph.map((each) => each / whole);
    mean = mean.map((each, i) => Math.max(0, each + (gain[i] ?? 0) * (gave.mean - told)));
    spread = spread.map((row, i) => row.map((each, j) => each - (gain[i] ?? 0) * (ph[j] ?? 0)));
  }
  const heaviest = [...heard].sort((a, b) => b.reading.value - a.reading.value)[0] as HeardReading;
  const { gave, expected } = heaviest;
  return {
    heard,
    off: range(
      mid(expected) / Math.max(1e-6, gave.hi) - 1,
      mid(expected) / Math.max(1e-6, gave.lo) - 1,
    ),
    parts: seats.map(({ placed, said }, i) => ({
      seat: placed.seat,
      partId: placed.part.id,
      was: said,
      is: span({ mean: mean[i] ?? 0, dev: Math.sqrt(Math.max(0, spread[i]?.[i] ?? 0)) }),
    })),
  };
}

/** Of every load the latest reading at the wall, those of least watts first. */
function latest(plan: Plan, when: Reading['when']): Reading[] {
  const byLoad = new Map<State, Reading>();
  for (const reading of listOfJob(plan, 'readings'))
    if (reading.kind === 'wallW' && reading.when === when && reading.value > 0)
      byLoad.set(stateFor[reading.load], reading);
  return [...byLoad.values()].sort((a, b) => a.value - b.value);
}

const counted = ['board', 'processor', 'card', 'drive'] as const;

interface Weighed {
  placed: Placed;
  kind: (typeof counted)[number];
  said: Range;
  watts: Gauss;
}

/** Parts whose own watts are known as a figure, each as a normal value. */
function weighed(plan: Plan): Weighed[] {
  return counted.flatMap((kind) =>
    partsOfKind(plan, kind).flatMap((placed) => {
      const told = numberAt(plan, placed, 'watts');
      if (!told) return [];
      const said = range(told.lo, told.hi);
      const { mean, dev } = gauss(said);
      const least = mean * (told.how === 'measured' ? MEASURED : SAID);
      return [{ placed, kind, said, watts: { mean, dev: Math.max(dev, least) } }];
    }),
  );
}

/** What one watt of every part makes the supply give in a state, what the others draw, and what is lost on the way. */
function weightsOf(
  plan: Plan,
  seats: readonly Weighed[],
  state: State,
): { gains: Gauss[]; rest: Gauss } {
  const known = new Set(seats.map(({ placed }) => placed.seat));
  const draws = drawsOf(plan);
  const others = draws
    .filter((draw) => !known.has(draw.seat))
    .map((draw) => gauss(draw.watts[state]));
  const drawn = total(draws.map((draw) => draw.watts[state]));
  const given = treeOf(plan, state)?.givenW ?? drawn;
  /* Given over drawn, at both ends: lead, converter and board. */
  const ratio = (end: 'lo' | 'hi') => (drawn[end] > 0 ? given[end] / drawn[end] : 1);
  const way = gauss(range(Math.min(ratio('lo'), ratio('hi')), Math.max(ratio('lo'), ratio('hi'))));
  const through = ({ mean, dev }: Gauss): Gauss => ({
    mean: mean * way.mean,
    dev: Math.hypot(dev * way.mean, mean * way.dev),
  });
  return {
    gains: seats.map(({ kind }) => through(gauss(shareIn(kind, state)))),
    rest: through({
      mean: others.reduce((sum, each) => sum + each.mean, 0),
      dev: Math.hypot(...others.map((each) => each.dev)),
    }),
  };
}

/** What other machines of the same name drew at the wall as they were found. */
export function likeReadings(plan: Plan): { machineId: string; reading: Reading }[] {
  const { machine, shop, job } = plan;
  if (!machine) return [];
  const machines = indexOf(shop).machines;
  return shop.jobs.flatMap((other) => {
    const twin = other.machineId ? machines.get(other.machineId) : undefined;
    if (!twin || other.id === job?.id || twin.id === machine.id || twin.name !== machine.name)
      return [];
    return other.readings
      .filter((each) => each.kind === 'wallW' && each.when === 'before')
      .map((reading) => ({ machineId: twin.id, reading }));
  });
}
