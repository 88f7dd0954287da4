import type { Course, HeatRun } from '../model/types/types.ts';
import { settle, SettleError, type Settling } from './settle.ts';

/** What a run says: where it settles, over which room, and whether anything held it. */
export interface RunFit {
  run: HeatRun;
  settling: Settling;
  /** °C of the room it is reckoned for; undefined where nobody looked. */
  roomC: number | undefined;
  /** K above room, and one deviation; undefined without a room. */
  riseK: number | undefined;
  riseDev: number;
  /** K a hour the room drifted, taken out of the run; undefined where it was not logged. */
  driftKh: number | undefined;
  pinned: Pinned | undefined;
  /** Mean of the last third: MHz, turns a minute, W; undefined where not logged. */
  clockMhz: number | undefined;
  fanRpm: number | undefined;
  watts: number | undefined;
}

/** A temperature held where it is by something: then other figures are to be compared. */
export interface Pinned {
  by: 'throttling' | 'fan';
  atC: number;
  say: string;
}

export const courseOf = (run: HeatRun, what: Course['what']): Course | undefined =>
  run.courses.find((each) => each.what === what && each.s.length > 0);

/** A typed room is right within this, a logged one within that, K (common practice, no source). */
const ROOM_DEV = { typed: 0.7, logged: 0.3 };

/** Fits a run with its room taken out. Throws SettleError where it has no temperature or too little of it. */
export function runFit(run: HeatRun): RunFit {
  const heat = courseOf(run, 'temperature');
  if (!heat) throw new SettleError('This run has no temperature.');
  const room = courseOf(run, 'room');
  const drift = room && room.s.length >= 3 ? slope(room) : undefined;
  const settling = settle({
    s: heat.s,
    v: drift ? heat.v.map((each, i) => each - drift.perS * (heat.s[i] ?? 0)) : heat.v,
  });
  const roomC = drift?.at0 ?? (room ? mean(room.v) : run.roomC);
  const dev = (settling.hi - settling.lo) / 4;
  return {
    run,
    settling,
    roomC,
    riseK: roomC === undefined ? undefined : settling.end - roomC,
    riseDev: Math.hypot(dev, room ? ROOM_DEV.logged : ROOM_DEV.typed),
    driftKh: drift && drift.perS * 3600,
    pinned: pinnedBy(run, heat),
    clockMhz: lastThird(courseOf(run, 'clock')),
    fanRpm: lastThird(courseOf(run, 'fan')),
    watts: lastThird(courseOf(run, 'watts')),
  };
}

/** A straight line through a course by least squares. */
function slope({ s, v }: { s: readonly number[]; v: readonly number[] }) {
  const [x, y] = [mean(s), mean(v)];
  const xx = s.reduce((sum, each) => sum + (each - x) ** 2, 0);
  if (!(xx > 0)) return { at0: y, perS: 0 };
  const perS = s.reduce((sum, each, i) => sum + (each - x) * ((v[i] ?? 0) - y), 0) / xx;
  return { at0: y - perS * x, perS };
}

const mean = (list: readonly number[]) =>
  list.reduce((sum, each) => sum + each, 0) / Math.max(1, list.length);

function lastThird(course: Course | undefined): number | undefined {
  return course && mean(course.v.slice(Math.floor((course.v.length * 2) / 3)));
}

/** K by which a temperature that is held wanders at most; shares by which a clock falls or a fan rises that holds it. */
const HELD = { wandersK: 1.5, clockFalls: 0.03, fanRises: 0.06 };

/**
 * A temperature that stands flat for the later half while the clock gives way is held by throttling;
 * one that stands flat while the fan still rises, by the fan.
 */
function pinnedBy(run: HeatRun, heat: Course): Pinned | undefined {
  const half = heat.v.slice(Math.floor(heat.v.length / 2));
  if (half.length < 4) return undefined;
  const sorted = [...half].sort((a, b) => a - b);
  const inner = (share: number) => sorted[Math.floor((sorted.length - 1) * share)] ?? 0;
  if (inner(0.95) - inner(0.05) > HELD.wandersK) return undefined;
  const atC = Math.round(mean(half) * 10) / 10;
  /* Of a course from its first third to its last; `from` leaves out what came before. */
  const change = (what: Course['what'], from = 0) => {
    const v = courseOf(run, what)?.v ?? [];
    const own = v.slice(Math.floor(v.length * from));
    const third = Math.floor(own.length / 3);
    if (third < 2) return 0;
    const [early, late] = [mean(own.slice(0, third)), mean(own.slice(-third))];
    return early > 0 ? late / early - 1 : 0;
  };
  if (change('clock') < -HELD.clockFalls || change('watts') < -2 * HELD.clockFalls)
    return {
      by: 'throttling',
      atC,
      say: `Held at ${atC} °C by throttling: it gives way in clock. Compare the clock, not the temperature.`,
    };
  const spinsUp = change('fan', 0.5);
  if (spinsUp > HELD.fanRises)
    return {
      by: 'fan',
      atC,
      say: `Held at ${atC} °C by its fan, which rose by ${Math.round(spinsUp * 100)} %: compare turns and noise, not the temperature.`,
    };
  return undefined;
}
