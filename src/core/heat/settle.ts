import { errorWithEnd, twoParts } from './twoParts.ts';

/**
 * The settled value of a run: how far a temperature would rise, and how sure that is.
 *
 *   T(t) = T_end - (T_end - T_0) exp(-t / tau)          (first order, lumped capacitance:
 *                                                         Incropera, Fundamentals of Heat and Mass
 *                                                         Transfer, ch. 5, from memory)
 *
 * Points close together err together, so a run is first brought to means of longer stretches; then
 * T_end and T_0 follow from tau by linear least squares and tau by search. The span is the profile
 * of the squared error over T_end, which also tells of runs far too short.
 */
export interface Settling {
  /** Settled value and the span that holds it in 95 of 100 runs, °C. */
  end: number;
  lo: number;
  hi: number;
  start: number;
  /** The slower time constant, where the run shows two. */
  tauS: number;
  /** What falls short of the end at the start, and how fast each part of it goes: one, or the chip's and the case's. */
  parts: readonly { shortK: number; tauS: number }[];
  /** Where the run stood at its end. */
  lastC: number;
  /** Scatter of the means about the curve, K. */
  scatter: number;
  /** Seconds the fit rests on, and how many means. */
  spanS: number;
  points: number;
  /** Within a kelvin of its end, and that end known to two. */
  settled: boolean;
  /** Seconds more until it is; 0 when it is. */
  moreS: number;
}

/** The fitted course so many seconds after its start, °C. */
export const courseAt = ({ end, parts }: Settling, s: number): number =>
  parts.reduce((sum, { shortK, tauS }) => sum - shortK * Math.exp(-s / tauS), end);

export class SettleError extends Error {}

export interface Points {
  s: readonly number[];
  v: readonly number[];
}

/** Stretches a run is brought to, and the least of them. */
const STRETCHES = 48;
const LEAST = 6;
/** Runs rise and fall with time constants between these shares of what was seen. */
const TAU = { least: 0.02, most: 4 };
/** K within which a run counts as settled, and to which its end must be known either way. */
const NEAR_K = 1;
const KNOWN_K = 2;

/** Fits a run; throws SettleError where there are too few points or nothing but one figure in no time. */
export function settle(points: Points): Settling {
  const means = stretches(points, STRETCHES);
  if (means.s.length < LEAST)
    throw new SettleError(
      `At least ${LEAST} points in time are wanted; there are ${means.s.length}.`,
    );
  const first = points.s[0] ?? 0;
  const span = (points.s.at(-1) ?? 0) - first;
  if (!(span > 0)) throw new SettleError('The run has no length.');
  const s = means.s.map((each) => each - first);
  const at = (tau: number) => linear(s, means.v, tau);
  const tau = search((each) => at(each).ssr, span);
  const best = at(tau);
  const n = s.length;
  const free = Math.max(1, n - 3);
  /* A sensor that counts in whole degrees errs by at least its step over root twelve in every mean. */
  const floor = (quantum(points.v) ** 2 / 12) * n * QUANTUM_SHARE;
  const noise = (Math.max(best.ssr, floor, 1e-9) / free) * hangsTogether(s, means.v, best, tau);
  const limit = best.ssr + noise * student(free) ** 2;
  const outer = (end: number) => bestFor(s, means.v, end, span);
  const two = slowerToo(s, means.v, span, { noise, floor });
  const end = two?.fit.end ?? best.end;
  const lo = two ? edge(two.outer, end, two.limit, -1) : edge(outer, end, limit, -1);
  const hi = two ? edge(two.outer, end, two.limit, 1) : edge(outer, end, limit, 1);
  const slow = two?.fit.tau2 ?? tau;
  const lastC = two
    ? end - two.fit.a * Math.exp(-span / two.fit.tau1) - two.fit.b * Math.exp(-span / two.fit.tau2)
    : end - best.drop * Math.exp(-span / tau);
  const away = Math.abs(end - lastC);
  const settled = away <= NEAR_K && hi - lo <= 2 * KNOWN_K;
  const more = away > NEAR_K ? slow * Math.log(away / NEAR_K) : settled ? 0 : span * 0.25;
  return {
    end,
    lo,
    hi,
    start: two ? end - two.fit.a - two.fit.b : end - best.drop,
    tauS: slow,
    parts: two
      ? [
          { shortK: two.fit.a, tauS: two.fit.tau1 },
          { shortK: two.fit.b, tauS: two.fit.tau2 },
        ]
      : [{ shortK: best.drop, tauS: tau }],
    lastC,
    scatter: Math.sqrt((two?.fit.ssr ?? best.ssr) / free),
    spanS: span,
    points: n,
    settled,
    moreS: settled ? 0 : more,
  };
}

/** A second part is believed only where it takes this much of what one curve leaves, and both parts are more than noise. */
const TAKES = 0.5;
const PART_K = 1;
/** Two time constants bend the error's valley: its edge lies further out (measured on made-up runs). */
const WIDER = 1.5;

/** The run as two parts, where one curve alone does not say it; its error over the end, and the limit of the span. */
function slowerToo(
  s: readonly number[],
  v: readonly number[],
  span: number,
  one: { noise: number; floor: number },
) {
  const fit = s.length >= 3 * LEAST ? twoParts(s, v, span) : undefined;
  if (!fit || Math.min(Math.abs(fit.a), Math.abs(fit.b)) < PART_K) return undefined;
  const free = s.length - 5;
  const left = s.map(
    (each, i) =>
      (v[i] ?? 0) -
      fit.end +
      fit.a * Math.exp(-each / fit.tau1) +
      fit.b * Math.exp(-each / fit.tau2),
  );
  const noise = (Math.max(fit.ssr, one.floor, 1e-9) / free) * lessBy(left);
  if (noise > one.noise * TAKES) return undefined;
  return {
    fit,
    limit: fit.ssr + WIDER * noise * student(free) ** 2,
    outer: (end: number) => errorWithEnd(s, v, end, fit),
  };
}

/**
 * How much less the means tell than as many free ones would: (1 + r) / (1 - r) for neighbours that
 * correlate by r (first-order autoregression: Box and Jenkins, Time Series Analysis, from memory),
 * r put right for what the fit takes of it.
 */
function hangsTogether(
  s: readonly number[],
  v: readonly number[],
  { end, drop }: { end: number; drop: number },
  tau: number,
): number {
  return lessBy(s.map((each, i) => (v[i] ?? 0) - end + drop * Math.exp(-each / tau)));
}

function lessBy(left: readonly number[]): number {
  let [own, next] = [0, 0];
  for (let i = 0; i < left.length; i += 1) {
    own += (left[i] ?? 0) ** 2;
    if (i > 0) next += (left[i] ?? 0) * (left[i - 1] ?? 0);
  }
  if (!(own > 0)) return 1;
  const n = left.length;
  const r = next / own;
  const true_ = Math.min(0.85, Math.max(0, r + (2 + 3 * r) / n));
  return (1 + true_) / (1 - true_);
}

/** Rounding errors of means of many readings partly cancel; this share of their square is left (measured on made-up runs). */
const QUANTUM_SHARE = 0.15;

/** The step a sensor counts in, as far as its figures tell: the least difference between neighbours that differ. */
function quantum(v: readonly number[]): number {
  let least = Infinity;
  for (let i = 1; i < v.length; i += 1) {
    const step = Math.abs((v[i] ?? 0) - (v[i - 1] ?? 0));
    if (step > 1e-6 && step < least) least = step;
  }
  return Number.isFinite(least) && least <= 2 ? least : 0;
}

/** Means of so many stretches of equal time; empty ones fall away. */
function stretches({ s, v }: Points, most: number): { s: number[]; v: number[] } {
  const [first, last] = [s[0] ?? 0, s.at(-1) ?? 0];
  if (s.length <= most) return { s: [...s], v: [...v] };
  const width = (last - first) / most || 1;
  const sums = Array.from({ length: most }, () => ({ s: 0, v: 0, n: 0 }));
  for (let i = 0; i < s.length; i += 1) {
    const own = sums[Math.min(most - 1, Math.floor(((s[i] ?? 0) - first) / width))];
    if (!own) continue;
    own.s += s[i] ?? 0;
    own.v += v[i] ?? 0;
    own.n += 1;
  }
  const full = sums.filter(({ n }) => n > 0);
  return { s: full.map((each) => each.s / each.n), v: full.map((each) => each.v / each.n) };
}

/** End and drop by least squares for one tau: v = end - drop exp(-s / tau). */
function linear(s: readonly number[], v: readonly number[], tau: number) {
  let [n, e, ee, y, ey] = [0, 0, 0, 0, 0];
  for (let i = 0; i < s.length; i += 1) {
    const x = Math.exp(-(s[i] ?? 0) / tau);
    n += 1;
    e += x;
    ee += x * x;
    y += v[i] ?? 0;
    ey += x * (v[i] ?? 0);
  }
  const det = n * ee - e * e;
  const drop = det > 1e-12 ? -(n * ey - e * y) / det : 0;
  const end = (y + drop * e) / n;
  let ssr = 0;
  for (let i = 0; i < s.length; i += 1)
    ssr += (end - drop * Math.exp(-(s[i] ?? 0) / tau) - (v[i] ?? 0)) ** 2;
  return { end, drop, ssr };
}

/** The least squared error with the end held, over tau. */
function bestFor(s: readonly number[], v: readonly number[], end: number, span: number): number {
  return errorAt(
    s,
    v,
    end,
    search((tau) => errorAt(s, v, end, tau), span),
  );
}

function errorAt(s: readonly number[], v: readonly number[], end: number, tau: number): number {
  let [ee, ey] = [0, 0];
  for (let i = 0; i < s.length; i += 1) {
    const x = Math.exp(-(s[i] ?? 0) / tau);
    ee += x * x;
    ey += x * (end - (v[i] ?? 0));
  }
  const drop = ee > 0 ? ey / ee : 0;
  let ssr = 0;
  for (let i = 0; i < s.length; i += 1)
    ssr += (end - drop * Math.exp(-(s[i] ?? 0) / tau) - (v[i] ?? 0)) ** 2;
  return ssr;
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** Least of an error over tau: the best of a coarse grid, then closed in on by the golden section. */
function search(error: (tau: number) => number, span: number): number {
  const [least, most] = [Math.log(span * TAU.least), Math.log(span * TAU.most)];
  const steps = 14;
  let best = { at: least, error: Infinity };
  for (let i = 0; i <= steps; i += 1) {
    const at = least + ((most - least) * i) / steps;
    const own = error(Math.exp(at));
    if (own < best.error) best = { at, error: own };
  }
  const step = (most - least) / steps;
  let [a, b] = [Math.max(least, best.at - step), Math.min(most, best.at + step)];
  let [c, d] = [b - GOLDEN * (b - a), a + GOLDEN * (b - a)];
  let [fc, fd] = [error(Math.exp(c)), error(Math.exp(d))];
  for (let i = 0; i < 26; i += 1) {
    if (fc < fd) {
      [b, d, fd] = [d, c, fc];
      c = b - GOLDEN * (b - a);
      fc = error(Math.exp(c));
    } else {
      [a, c, fc] = [c, d, fd];
      d = a + GOLDEN * (b - a);
      fd = error(Math.exp(d));
    }
  }
  return Math.exp((a + b) / 2);
}

/** Farthest a sensor could be from the end found and still be believed, K. */
const FARTHEST_K = 150;

/** Where the error passes its limit on one side of the best end. */
function edge(error: (end: number) => number, end: number, limit: number, side: -1 | 1): number {
  let [inside, outside] = [0, 0.05];
  while (outside < FARTHEST_K && error(end + side * outside) <= limit) {
    inside = outside;
    outside *= 2;
  }
  if (outside >= FARTHEST_K) return end + side * FARTHEST_K;
  for (let i = 0; i < 22; i += 1) {
    const middle = (inside + outside) / 2;
    if (error(end + side * middle) <= limit) inside = middle;
    else outside = middle;
  }
  return end + side * outside;
}

/** Student's t for 95 of 100, both sides (Abramowitz and Stegun 26.7.5, from memory). */
export function student(free: number): number {
  const z = 1.959964;
  const [z3, z5, z7] = [z ** 3, z ** 5, z ** 7];
  return (
    z +
    (z3 + z) / (4 * free) +
    (5 * z5 + 16 * z3 + 3 * z) / (96 * free ** 2) +
    (3 * z7 + 19 * z5 + 17 * z3 - 15 * z) / (384 * free ** 3)
  );
}
