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
  /** What such a run does not tell; undefined at full load. */
  caveat: string | undefined;
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

/** Only full load proves cooling: what the others leave open. */
const caveats: Readonly<Partial<Record<HeatRun['load'], string>>> = {
  idle: 'Idle says nothing of its cooling: run it at full load.',
  'real use': 'As warm as this use made it: full load goes further.',
};

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
    caveat: caveats[run.load],
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
/** Limits processors are held at by design, °C; and how near a flat top lies to one (common practice, no source). */
const LIMITS_C = { at: [90, 95, 100, 105], nearK: 1 };

/**
 * A temperature that stands flat for the later half while the clock gives way is held by throttling; one that
 * stands flat while the fan still rises, by the fan. One that comes to a usual limit at once and stays there is
 * held by it from the start: its clock gave way before the first third was over.
 */
function pinnedBy(run: HeatRun, heat: Course): Pinned | undefined {
  const half = heat.v.slice(Math.floor(heat.v.length / 2));
  if (half.length < 4 || spread(half) > HELD.wandersK) return undefined;
  const atC = Math.round(mean(half) * 10) / 10;
  const falls = (what: Course['what'], share: number) =>
    change(run, what) < -share || fromPeak(run, what) < -2 * share;
  const throttling = (say: string): Pinned => ({ by: 'throttling', atC, say });
  if (falls('clock', HELD.clockFalls) || falls('watts', 2 * HELD.clockFalls))
    return throttling(
      `Held at ${atC} °C by throttling: it gives way in clock. Compare the clock, not the temperature.`,
    );
  const spinsUp = change(run, 'fan', 0.5);
  if (spinsUp > HELD.fanRises)
    return {
      by: 'fan',
      atC,
      say: `Held at ${atC} °C by its fan, which rose by ${Math.round(spinsUp * 100)} %: compare turns and noise, not the temperature.`,
    };
  /* A clock that was logged and held proves that nothing gave way. */
  if (courseOf(run, 'clock')) return undefined;
  const limit = LIMITS_C.at.find((each) => Math.abs(each - atC) <= LIMITS_C.nearK);
  const flat = heat.v.slice(Math.floor(heat.v.length * 0.15));
  if (limit !== undefined && spread(flat) <= HELD.wandersK)
    return throttling(
      `It came to ${atC} °C at once and stays there: held, it seems, at its limit of ${limit} °C. Log the clock and compare that.`,
    );
  return undefined;
}

/** K between the lower and the upper twentieth. */
function spread(v: readonly number[]): number {
  const sorted = [...v].sort((a, b) => a - b);
  const inner = (share: number) => sorted[Math.floor((sorted.length - 1) * share)] ?? 0;
  return inner(0.95) - inner(0.05);
}

/** Of a course from its first third to its last, as a share; `from` leaves out what came before. */
function change(run: HeatRun, what: Course['what'], from = 0): number {
  const v = courseOf(run, what)?.v ?? [];
  const own = v.slice(Math.floor(v.length * from));
  const third = Math.floor(own.length / 3);
  if (third < 2) return 0;
  const [early, late] = [mean(own.slice(0, third)), mean(own.slice(-third))];
  return early > 0 ? late / early - 1 : 0;
}

/** Of a course from the best of its first tenth to its last third: what gave way in the first seconds. */
function fromPeak(run: HeatRun, what: Course['what']): number {
  const v = courseOf(run, what)?.v ?? [];
  const first = v.slice(0, Math.max(2, Math.ceil(v.length / 10)));
  const third = Math.floor(v.length / 3);
  if (third < 2) return 0;
  const peak = Math.max(...first);
  return peak > 0 ? mean(v.slice(-third)) / peak - 1 : 0;
}
