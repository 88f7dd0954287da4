import { mid } from '../units/range.ts';
import { levelChange, levelsAdded } from '../standards/air.ts';
import { seededNoise } from './simulate.ts';

/**
 * Fan thresholds that do not hunt. Going up cools the machine; if it then falls below where the fan
 * goes down again, it goes up and down for ever. At speed i it settles at room + W R_i. It goes up
 * at U when W R_i = U - room; one step up it settles at room + (U - room) R_j / R_i, so it must go
 * down only below that:
 *
 *   D = room + (U - room) R_j / R_i - margin            (coldest room: the lowest D)
 */
export interface FanMachine {
  tauS: number;
  /** K a watt over the room with the fans flat out. */
  kwFull: number;
  /** Watts idle, usual and flat out. */
  watts: { idle: number; usual: number; full: number };
  roomC: { lo: number; hi: number };
  /** Wander of the sensor, K. */
  noiseK: number;
}

export interface FanStep {
  /** Share of full speed, 0 to 1. */
  speed: number;
  /** °C at which this speed begins, going up; undefined for the lowest. */
  upC: number | undefined;
  /** °C at which it falls back to the one before. */
  downC: number | undefined;
  /** °C it settles at usual and full load in the warmest room. */
  usualC: number;
  fullC: number;
  /** Level against flat out, dB, middle of the span. */
  level: number;
}

export interface FanPlan {
  steps: FanStep[];
  /** Changes of speed in a simulated hour of usual work with bursts, and with thresholds without a gap. */
  changesAnHour: number;
  changesWithoutGap: number;
  /** °C flat out in the warmest room at the lowest and highest speed. */
  withoutProgramC: { lowest: number; highest: number };
  say: string;
}

export class FanError extends Error {}

/** Share of a cooler's kelvins a watt that more air does not change (common practice, no source). */
const SOLID = 0.45;
/** Kelvins a watt of a finned sink fall with the flow to this power (textbook span 0.5 to 0.8; common practice). */
const FLOW = 0.7;

/** K a watt at a share of full speed. */
export const kwAt = (kwFull: number, speed: number): number =>
  kwFull * (SOLID + (1 - SOLID) * speed ** -FLOW);

/** Thresholds for a board with these speeds so that the processor stays under `aimC`. Throws FanError. */
export function fanPlan(
  machine: FanMachine,
  speeds: readonly number[],
  aimC: number,
  levelsFull: readonly number[],
): FanPlan {
  check(machine, speeds, aimC);
  const sorted = [...speeds].sort((a, b) => a - b);
  const margin = 2 + 2 * machine.noiseK;
  const top = aimC - 3;
  const low =
    machine.roomC.hi + machine.watts.usual * kwAt(machine.kwFull, sorted[0] ?? 1) + margin;
  const first = Math.min(Math.max(low, machine.roomC.hi + 15), top - (sorted.length - 1) * 3);
  const ups = sorted
    .slice(1)
    .map((_, i, list) =>
      list.length === 1
        ? Math.min(top, first + 5)
        : first + ((top - first) * i) / Math.max(1, list.length - 1),
    );
  const steps = sorted.map((speed, i): FanStep => {
    const upC = i === 0 ? undefined : Math.round(ups[i - 1] ?? top);
    const ratio =
      i === 0 ? 1 : kwAt(machine.kwFull, speed) / kwAt(machine.kwFull, sorted[i - 1] ?? speed);
    const downC =
      upC === undefined
        ? undefined
        : Math.floor(machine.roomC.lo + (upC - machine.roomC.lo) * ratio - margin);
    const settles = (watts: number) => machine.roomC.hi + watts * kwAt(machine.kwFull, speed);
    const { lo, hi } = levelChange(speed);
    return {
      speed,
      upC,
      downC,
      usualC: settles(machine.watts.usual),
      fullC: settles(machine.watts.full),
      level: levelsAdded(levelsFull.map((each) => each + (lo + hi) / 2)),
    };
  });
  const flat = (speed: number) =>
    machine.roomC.hi + machine.watts.full * kwAt(machine.kwFull, speed);
  const withoutProgramC = { lowest: flat(sorted[0] ?? 1), highest: flat(sorted.at(-1) ?? 1) };
  const tight = steps.map((step) => ({
    ...step,
    downC: step.upC === undefined ? undefined : step.upC - 1,
  }));
  return {
    steps,
    changesAnHour: changesIn(machine, steps),
    changesWithoutGap: changesIn(machine, tight),
    withoutProgramC,
    say: sayOf(withoutProgramC, aimC),
  };
}

function sayOf({ lowest, highest }: FanPlan['withoutProgramC'], aimC: number): string {
  if (highest > aimC)
    return `Even at full load it would settle at ${highest.toFixed(0)} °C: fans are not what lacks.`;
  return lowest <= aimC
    ? `Without the program that steers them, at the lowest speed, it stays at ${lowest.toFixed(0)} °C at full load: safe.`
    : `Without the program, at the lowest speed, it would reach ${lowest.toFixed(0)} °C at full load: set the board's own lower limit higher, so that it holds before the program starts.`;
}

function check(
  { tauS, kwFull, watts, roomC, noiseK }: FanMachine,
  speeds: readonly number[],
  aimC: number,
): void {
  if (!(tauS > 0)) throw new FanError('The time constant must be above nothing: fit a run first.');
  if (!(kwFull > 0)) throw new FanError('Kelvins a watt must be above nothing.');
  if (!(watts.full >= watts.usual && watts.usual >= watts.idle && watts.idle >= 0))
    throw new FanError('Watts rise from idle to usual to full load.');
  if (!(roomC.lo <= roomC.hi)) throw new FanError('The room is the wrong way round.');
  if (!(noiseK >= 0)) throw new FanError('The wander cannot be negative.');
  if (speeds.length < 2 || speeds.some((each) => !(each > 0 && each <= 1)))
    throw new FanError('Two speeds or more, each above 0 and at most 100 %.');
  if (!(aimC > roomC.hi + 10)) throw new FanError('The aim lies too near the room.');
}

/** Changes of speed in an hour of usual work with bursts, in a room between its ends. */
export function changesIn(machine: FanMachine, steps: readonly FanStep[]): number {
  const { random, normal } = seededNoise(11);
  const room = mid(machine.roomC);
  let at = 0;
  let temperature = room + machine.watts.idle * kwAt(machine.kwFull, steps[0]?.speed ?? 1);
  let changes = 0;
  let watts = machine.watts.usual;
  const second = 1 - Math.exp(-1 / machine.tauS);
  for (let s = 0; s < 3600; s += 1) {
    if (s % 60 === 0) {
      const dice_ = random();
      watts =
        dice_ < 0.25 ? machine.watts.full : dice_ < 0.8 ? machine.watts.usual : machine.watts.idle;
    }
    const speed = steps[at]?.speed ?? 1;
    temperature += second * (room + watts * kwAt(machine.kwFull, speed) - temperature);
    const seen = temperature + machine.noiseK * normal();
    const up = steps[at + 1]?.upC;
    const down = steps[at]?.downC;
    if (up !== undefined && seen >= up) [at, changes] = [at + 1, changes + 1];
    else if (down !== undefined && seen <= down) [at, changes] = [at - 1, changes + 1];
  }
  return changes;
}
