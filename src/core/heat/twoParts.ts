/**
 * A run with two time constants: the chip and its cooler in seconds or a minute, the case and its air in many.
 *
 *   T(t) = T_end - a exp(-t / tau1) - b exp(-t / tau2),  a, b >= 0,  tau1 well below tau2
 *                          (two lumped capacitances in a row: Incropera, Fundamentals of Heat and Mass Transfer,
 *                                                                                 ch. 5, from memory)
 *
 * End, a and b follow from the two time constants by linear least squares, those by a grid and closing in.
 */
export interface TwoParts {
  end: number;
  a: number;
  b: number;
  tau1: number;
  tau2: number;
  ssr: number;
  /** Bounds of the time constants, s. */
  least: number;
  most: number;
}

/** Time constants tried, as shares of what was seen, and how far apart the two are at least. */
const TAU1 = { least: 0.01, most: 0.3 };
const TAU2 = { least: 0.1, most: 1.5 };
const APART = 3;
const GRID = 9;

const grid = (least: number, most: number): number[] =>
  Array.from({ length: GRID }, (_, i) => least * (most / least) ** (i / (GRID - 1)));

/** The best pair of time constants; undefined where no pair brings two rises, or where both falls. */
export function twoParts(
  s: readonly number[],
  v: readonly number[],
  span: number,
): TwoParts | undefined {
  let best: TwoParts | undefined;
  for (const one of grid(TAU1.least, TAU1.most))
    for (const two of grid(TAU2.least, TAU2.most)) {
      const own = two >= APART * one ? fitted(s, v, one * span, two * span) : undefined;
      if (own && (!best || own.ssr < best.ssr))
        best = { ...own, least: TAU1.least * span, most: TAU2.most * span };
    }
  return best && closedIn(s, v, best);
}

/** The least squared error with the end held, the time constants free near those found. */
export function errorWithEnd(
  s: readonly number[],
  v: readonly number[],
  end: number,
  near: TwoParts,
): number {
  return closedIn(s, v, near, end).ssr;
}

/** Closes in on the time constants, each in turn by smaller and smaller steps. */
function closedIn(
  s: readonly number[],
  v: readonly number[],
  from: TwoParts,
  end?: number,
): TwoParts {
  const held = end === undefined ? from : fitted(s, v, from.tau1, from.tau2, end);
  let best: TwoParts = { ...from, ssr: Infinity, ...held };
  for (let step = 2.25; step > 1.02; step = Math.sqrt(step))
    for (let moved = true, rounds = 0; moved && rounds < 6; rounds += 1) {
      moved = false;
      for (const [f, g] of [
        [step, 1],
        [1 / step, 1],
        [1, step],
        [1, 1 / step],
      ] as const) {
        const [one, two] = [best.tau1 * f, best.tau2 * g];
        if (two < APART * one || two > from.most || one < from.least) continue;
        const own = fitted(s, v, one, two, end);
        if (own && own.ssr < best.ssr) {
          best = { ...best, ...own };
          moved = true;
        }
      }
    }
  return best;
}

/** End and both rises by least squares, the end held if said; undefined where they do not both rise or both fall. */
function fitted(
  s: readonly number[],
  v: readonly number[],
  tau1: number,
  tau2: number,
  held?: number,
): Omit<TwoParts, 'least' | 'most'> | undefined {
  const n = s.length;
  let [x, y, xx, xy, yy, z, xz, yz] = [0, 0, 0, 0, 0, 0, 0, 0];
  const ex = s.map((each) => Math.exp(-each / tau1));
  const ey = s.map((each) => Math.exp(-each / tau2));
  for (let i = 0; i < n; i += 1) {
    const [p, q] = [ex[i] ?? 0, ey[i] ?? 0];
    const w = (v[i] ?? 0) - (held ?? 0);
    x += p;
    y += q;
    xx += p * p;
    xy += p * q;
    yy += q * q;
    z += w;
    xz += p * w;
    yz += q * w;
  }
  /* v = end - a x - b y. With the end taken out, two by two. */
  const [cxx, cxy, cyy, cx, cy] =
    held === undefined
      ? [xx - (x * x) / n, xy - (x * y) / n, yy - (y * y) / n, xz - (x * z) / n, yz - (y * z) / n]
      : [xx, xy, yy, xz, yz];
  const det = cxx * cyy - cxy * cxy;
  if (!(Math.abs(det) > 1e-12 * cxx * cyy)) return undefined;
  const a = -(cx * cyy - cy * cxy) / det;
  const b = -(cy * cxx - cx * cxy) / det;
  if (a * b < 0) return undefined;
  const end = held ?? (z + a * x + b * y) / n;
  let ssr = 0;
  for (let i = 0; i < n; i += 1)
    ssr += (end - a * (ex[i] ?? 0) - b * (ey[i] ?? 0) - (v[i] ?? 0)) ** 2;
  return { end, a, b, tau1, tau2, ssr };
}
