import {
  beepChance,
  beeped,
  classes,
  handMeter,
  likelihood,
  type Meter,
  type Reading,
  type ReadingKind,
  type SignalClass,
} from './evidence.ts';
import type { Identified, PinAnswer } from './answer.ts';
import { believe, type Beliefs, type Common } from './beliefs.ts';
import { hypothesesFor, type Grid } from './hypotheses.ts';
import { nextReading, whyStopped } from './next.ts';

/**
 * Which pin is which, as honest chances. Given an idea of the plug, its pins are independent, so
 * the posterior over ideas and over every pin is exact within the ideas (a mixture):
 *
 *   P(idea | readings) ~ prior x product over pins of (sum over signals of P(signal | idea) x L(readings | signal))
 *
 * The approximation is in the ideas themselves: an unknown order is taken pin by pin.
 */

/** A reading of a pin the piece has not, or a figure no meter shows. */
export class ReadingError extends Error {}

const SURE = 0.985;
const ALMOST = 0.8;
/** What the whole plug must reach before it is switched on. */
export const RUN_CERTAINTY = 0.99;

export interface IdentifyOptions {
  meter?: Meter;
  /** A load is set and the enable can be tied: running volts may be asked for. */
  loadSet?: boolean;
}

/** Throws ReadingError for a reading of a pin the piece has not, or a figure no meter shows. */
export function identify(
  grid: Grid,
  readings: readonly Reading[],
  options: IdentifyOptions = {},
): Identified {
  const meter = options.meter ?? handMeter;
  const ideas = hypothesesFor(grid);
  for (const reading of readings) checkReading(grid, reading);
  const commons = readings.filter((each): each is Common => each.kind === 'common');
  const perPin = Array.from({ length: grid.ways }, (_, i) =>
    oneOfAKind(readings.filter((reading) => reading.pin === i + 1 && reading.kind !== 'common')),
  );
  const support = perPin.map((list) =>
    classes.map((each) => list.reduce((p, reading) => p * likelihood(reading, each, meter), 1)),
  );
  const beliefs = ideas.map((idea) => believe(idea, support, commons, meter));
  const weights = weigh(beliefs);
  const pins = perPin.map((list, i) => {
    const ties = commons.filter(
      (each) => each.beeps && (each.pin === i + 1 || each.with === i + 1),
    );
    return pinAnswer(i, list, ties.length > 0, beliefs, weights, meter);
  });
  const joint = jointOf(beliefs, weights, pins, (c) => classes[c] ?? 'other');
  const rolesJoint = jointOf(beliefs, weights, pins, (c) => roleOf(classes[c] ?? 'other'));
  const sureOf = (name: SignalClass) =>
    pins.some((pin) => pin.best === name && pin.word === 'sure');
  const mayRun =
    options.loadSet === true && sureOf('COM') && sureOf('PS_ON#') && rolesJoint >= RUN_CERTAINTY;
  const next = nextReading(perPin, pins, commons, meter, mayRun);
  return {
    pins,
    ideas: ideas
      .map((idea, h) => ({ id: idea.id, name: idea.name, chance: weights[h] ?? 0 }))
      .sort((a, b) => b.chance - a.chance),
    joint,
    rolesJoint,
    mayRun,
    next,
    stopped: whyStopped(pins, next, options.loadSet === true, mayRun),
  };
}

function checkReading(grid: Grid, reading: Reading): void {
  if (!Number.isInteger(reading.pin) || reading.pin < 1 || reading.pin > grid.ways)
    throw new ReadingError(`There is no pin ${reading.pin}: the plug has ${grid.ways}.`);
  if (reading.kind === 'common') {
    const other = reading.with;
    if (!Number.isInteger(other) || other < 1 || other > grid.ways)
      throw new ReadingError(`There is no pin ${other}: the plug has ${grid.ways}.`);
    if (other === reading.pin)
      throw new ReadingError(`Pin ${other} with itself tells nothing: take another pin.`);
  }
  if (reading.kind === 'gauge' && !(reading.awg >= 10 && reading.awg <= 30))
    throw new ReadingError(
      `Pin ${reading.pin}: AWG ${reading.awg} is no wire of a plug, 10 to 30.`,
    );
  if (reading.kind === 'ohms' && !(reading.ohms >= 0))
    throw new ReadingError(`Pin ${reading.pin}: ${reading.ohms} ohms is no reading.`);
  if ('volts' in reading && !(Math.abs(reading.volts) <= 60))
    throw new ReadingError(
      `Pin ${reading.pin}: ${reading.volts} V is not a figure of a PSU's plug.`,
    );
}

/** The last reading of each kind: a bad contact repeats, so saying it twice proves no more. */
function oneOfAKind(list: readonly Reading[]): Reading[] {
  return [...new Map(list.map((reading) => [reading.kind, reading])).values()];
}

/** Chances of the ideas, normalised in logs. */
function weigh(beliefs: readonly Beliefs[]): number[] {
  const top = Math.max(...beliefs.map((each) => each.log));
  const raw = beliefs.map((each) => Math.exp(each.log - top));
  const total = raw.reduce((sum, each) => sum + each, 0);
  return raw.map((each) => each / total);
}

function pinAnswer(
  i: number,
  list: readonly Reading[],
  tied: boolean,
  beliefs: readonly Beliefs[],
  weights: readonly number[],
  meter: Meter,
): PinAnswer {
  const chances = classes.map((_, c) =>
    beliefs.reduce((sum, each, h) => sum + (weights[h] ?? 0) * (each.pins[i]?.[c] ?? 0), 0),
  );
  const at = chances.indexOf(Math.max(...chances));
  const best = classes[at] as SignalClass;
  const chance = chances[at] ?? 0;
  const kinds: ReadingKind[] = [
    ...list.filter((reading) => speaksFor(reading, best, meter)).map((reading) => reading.kind),
    /* Beeps with another pin: it is a rail or a return. */
    ...(tied && beepChance(best, best, meter) > 0.5 ? (['common'] as const) : []),
  ];
  const contradiction = contradictionOf(list, meter);
  return {
    pin: i + 1,
    chances,
    best,
    chance,
    word: wordFor(best, chance, kinds, list, contradiction),
    kinds,
    contradiction,
  };
}

/** Ground is less than this from the chassis, ohm; a rail beeps over its bleeder, or at a meter's high threshold. */
const GROUND_OHM = 1;
/** Ground stays within this of the chassis under load, V. */
const GROUND_V = 0.3;

/**
 * Does a reading tell ground from a rail that is off? Black colour, a beep and 0 V in standby do not:
 * every rail that is off shows them on a loom of black wires with bleeders.
 */
const provesGround = (reading: Reading): boolean =>
  (reading.kind === 'ohms' && reading.ohms < GROUND_OHM) ||
  (reading.kind === 'running' && Math.abs(reading.volts) < GROUND_V);

/** Sure takes a meter; ground a beep, and beside it ohms or volts that no rail shows. */
function wordFor(
  best: SignalClass,
  chance: number,
  kinds: readonly ReadingKind[],
  list: readonly Reading[],
  contradiction: string | undefined,
): PinAnswer['word'] {
  if (contradiction) return 'open';
  const metered = kinds.some((kind) => kind !== 'colour' && kind !== 'gauge');
  const enough = best === 'COM' ? beeped(kinds) && list.some(provesGround) : metered;
  if (chance >= SURE && enough) return 'sure';
  return chance >= ALMOST ? 'one more reading' : 'open';
}

/** Does a reading favour this class over the others taken together? */
function speaksFor(reading: Reading, best: SignalClass, meter: Meter): boolean {
  const own = likelihood(reading, best, meter);
  const others = classes
    .filter((each) => each !== best)
    .map((each) => likelihood(reading, each, meter));
  return own > others.reduce((sum, each) => sum + each, 0) / others.length;
}

/** What one reading leaves at most of anything the other allows. */
const NEVER_BOTH = 0.08;

/** Two readings each of which shuts out all that the other allows. */
function contradictionOf(list: readonly Reading[], meter: Meter): string | undefined {
  const meters = list.filter((reading) => reading.kind !== 'colour' && reading.kind !== 'gauge');
  for (let a = 0; a < meters.length; a += 1) {
    for (let b = a + 1; b < meters.length; b += 1) {
      const [first, second] = [meters[a] as Reading, meters[b] as Reading];
      const share = (reading: Reading) => {
        const all = classes.map((each) => likelihood(reading, each, meter));
        const most = Math.max(...all);
        return all.map((each) => each / most);
      };
      const [p, q] = [share(first), share(second)];
      if (Math.max(...p.map((each, c) => Math.min(each, q[c] ?? 0))) < NEVER_BOTH)
        return `${first.kind} and ${second.kind} cannot both be right: look at the contact, read again.`;
    }
  }
  return undefined;
}

const roleOf = (carries: SignalClass) =>
  carries === 'COM' || carries === 'PS_ON#'
    ? carries
    : carries === '+5VSB' || carries === '+12VSB'
      ? 'standby'
      : 'off';

/** Chance that all pins are right at once, alike classes counted as one. */
function jointOf(
  beliefs: readonly Beliefs[],
  weights: readonly number[],
  pins: readonly PinAnswer[],
  alike: (c: number) => string,
): number {
  return beliefs.reduce((sum, belief, h) => {
    const all = pins.reduce((product, pin, i) => {
      const wanted = alike(classes.indexOf(pin.best));
      const row = belief.pins[i] ?? [];
      return product * row.reduce((p, each, c) => (alike(c) === wanted ? p + each : p), 0);
    }, 1);
    return sum + (weights[h] ?? 0) * all;
  }, 0);
}
