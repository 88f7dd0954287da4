import type { Identified, PinAnswer } from './answer.ts';
import type { Common } from './beliefs.ts';
import {
  beepChance,
  beeped,
  classes,
  effort,
  likelihood,
  type Meter,
  type Reading,
  type ReadingKind,
  type SignalClass,
} from './evidence.ts';

/** Which reading to take next, and why none is left. */

/** What a reading may come out as: chance of each outcome by class, and the bits left in each row. */
interface Trial {
  kind: ReadingKind;
  rows: readonly (readonly number[])[];
  left: readonly number[];
}

const entropy = (row: readonly number[]): number =>
  row.reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0);

function trial(kind: ReadingKind, outcomes: readonly ((of: SignalClass) => number)[]): Trial {
  const rows = classes.map((each) => {
    const row = outcomes.map((likely) => likely(each));
    const total = row.reduce((sum, one) => sum + one, 0);
    return row.map((one) => one / total);
  });
  return { kind, rows, left: rows.map(entropy) };
}

/** Every reading that could be taken of a pin, whichever it is. */
function trialsOf(meter: Meter, mayRun: boolean): Trial[] {
  const of = (kind: ReadingKind, readings: readonly Reading[]) =>
    trial(
      kind,
      readings.map((reading) => (carries) => likelihood(reading, carries, meter)),
    );
  const pin = 1;
  const volts = (kind: 'standby' | 'running', list: readonly number[]) =>
    of(
      kind,
      list.map((each) => ({ kind, pin, volts: each })),
    );
  return [
    of(
      'chassis',
      [true, false].map((beeps) => ({ kind: 'chassis', pin, beeps })),
    ),
    of(
      'ohms',
      OHM_TRIES.map((ohms) => ({ kind: 'ohms', pin, ohms })),
    ),
    of(
      'gauge',
      [18, 20, 22].map((awg) => ({ kind: 'gauge', pin, awg })),
    ),
    volts('standby', [0, 3.3, 5, 12]),
    ...(mayRun ? [volts('running', [0, 3.3, 5, 12, -12])] : []),
  ];
}

/** The first sure pin of each rail, to beep against. */
function knownRails(pins: readonly PinAnswer[], meter: Meter): { pin: number; trial: Trial }[] {
  const sure = pins.filter(
    (pin) => pin.word === 'sure' && beepChance(pin.best, pin.best, meter) > 0.5,
  );
  return sure
    .filter((known, i) => sure.findIndex((each) => each.best === known.best) === i)
    .map(({ pin, best }) => {
      const beeps = (carries: SignalClass) => beepChance(carries, best, meter);
      return { pin, trial: trial('common', [beeps, (each) => 1 - beeps(each)]) };
    });
}

/** Ohms tried, a decade apart. */
const OHM_TRIES = [0.3, 3, 30, 300, 3000, 30_000, 1e7];

/** Bits below which a reading is not worth the walk to the pin. */
const LEAST_BITS = 0.001;

/**
 * The reading that tells most for its seconds and danger: what it tells of its own pin is all it
 * tells, for given the pin's signal the reading hangs on nothing else. Unplugged before standby
 * before running; running only when it may be. Where no reading tells more and a pin is all but ground, ohms
 * are asked for as proof; last a pin whose readings cannot both be right is read again, at another point of the
 * contact, for a bad one repeats.
 */
export function nextReading(
  perPin: readonly (readonly Reading[])[],
  pins: readonly PinAnswer[],
  commons: readonly Common[],
  meter: Meter,
  mayRun: boolean,
): Identified['next'] {
  const trials = trialsOf(meter, mayRun);
  const rails = knownRails(pins, meter);
  let best: (NonNullable<Identified['next']> & { worth: number }) | undefined;
  const weigh = (pin: PinAnswer, { kind, rows, left }: Trial, other?: number) => {
    const bits = tells(pin.chances, rows, left);
    const worth = bits / (effort[kind].seconds * effort[kind].danger);
    if (bits > LEAST_BITS && (!best || worth > best.worth))
      best = { pin: pin.pin, kind, bits, worth, ...(other !== undefined && { with: other }) };
  };
  for (const pin of pins) {
    if (pin.word === 'sure' || pin.contradiction !== undefined) continue;
    const done = new Set((perPin[pin.pin - 1] ?? []).map((reading) => reading.kind));
    for (const each of trials) if (!done.has(each.kind)) weigh(pin, each);
    for (const rail of rails) {
      const tried = commons.some(
        (each) =>
          (each.pin === pin.pin && each.with === rail.pin) ||
          (each.with === pin.pin && each.pin === rail.pin),
      );
      if (!tried) weigh(pin, rail.trial, rail.pin);
    }
  }
  if (best) {
    const { worth: _, ...next } = best;
    return next;
  }
  /* What is left to say of them is not bits but proof: a beep, and ohms no rail has. */
  for (const pin of pins) {
    if (pin.word === 'sure' || pin.contradiction !== undefined || pin.best !== 'COM') continue;
    const done = new Set((perPin[pin.pin - 1] ?? []).map((reading) => reading.kind));
    const kind = ([...(beeped(pin.kinds) ? [] : (['chassis'] as const)), 'ohms'] as const).find(
      (each) => !done.has(each),
    );
    if (kind) return { pin: pin.pin, kind, bits: 0 };
  }
  const torn = pins.find((pin) => pin.contradiction !== undefined);
  const last = torn && (perPin[torn.pin - 1] ?? []).filter(isMetered).at(-1);
  return torn && last && { pin: torn.pin, kind: last.kind, bits: 0, again: true };
}

const isMetered = (reading: Reading) =>
  !['colour', 'gauge', 'empty', 'common'].includes(reading.kind);

/** Why nothing more is asked: all is sure, or what would tell more may not be taken yet. */
export function whyStopped(
  pins: readonly PinAnswer[],
  next: Identified['next'],
  loadSet: boolean,
  mayRun: boolean,
): string | undefined {
  if (next) return undefined;
  const open = pins.filter((pin) => pin.word !== 'sure').map((pin) => pin.pin);
  if (open.length === 0) return 'Every pin is sure.';
  const which = open.length === 1 ? `Pin ${open[0]} stays` : `Pins ${open.join(', ')} stay`;
  if (mayRun)
    return `${which} open: every reading has been taken. Leave ${open.length === 1 ? 'it' : 'them'} unjoined.`;
  return loadSet
    ? `${which} open: only running volts would tell, and not enough is sure to switch it on. Leave ${open.length === 1 ? 'it' : 'them'} unjoined.`
    : `${which} open: unplugged and in standby nothing tells more. Running volts would, with a load set and the enable tied.`;
}

/** Mutual information between a pin's signal and a reading's outcome, bits. */
function tells(
  chances: readonly number[],
  rows: readonly (readonly number[])[],
  left: readonly number[],
): number {
  const whole = (rows[0] ?? []).map((_, o) =>
    chances.reduce((sum, chance, c) => sum + chance * (rows[c]?.[o] ?? 0), 0),
  );
  return entropy(whole) - chances.reduce((sum, chance, c) => sum + chance * (left[c] ?? 0), 0);
}
