import { inverse, Matrix } from 'ml-matrix';
import { derivatives, descend } from './leastSquares.ts';

/**
 * The upper rim of a hole or an edge, where its wall shows below it: on the side away from the camera's foot the
 * wall lies between the upper rim and the lower one, which is seen shifted toward the foot by thickness times lean.
 * Light along each reading is a step, or two, smeared: what is under it, wall, face.
 */

/** Sheet and boards are so thick, mm, one standard deviation about it (common practice, no source). */
const THICK_MM = 1.4;
const THICK_OFF = 0.8;
/** Light of a wall is as that beside it until the picture says otherwise, weakly. */
const WALL_OFF = 0.25;

/** An upper rim between two of one light, within so much, is held to be so many deviations from likely (by the rendered pictures of the bench). */
const HIDDEN = 3;
const HIDDEN_LIGHT = 0.08;

/** A smeared step: how much of it is done at x, by its deviation (logistic in place of the error function: 0.01 off at the most). */
const step = (x: number, sigma: number): number => 1 / (1 + Math.exp((-1.702 * x) / sigma));

export interface Reading {
  /** Along the ray from its start, mm. */
  at: number;
  light: number;
}

export interface RimFit {
  /** What the picture shows of it beyond the guess. */
  figures: number[];
  /** Covariance of the figures. */
  spread: (i: number, k: number) => number;
  cost: number;
  /** Left over, light, one standard deviation. */
  noise: number;
}

/** Neighbouring readings share their pixels: so many are worth one. */
const SHARED = 4;

function fitted(
  starts: readonly (readonly number[])[],
  /** What is left of each reading, light; how it changes with each figure, where that is known. */
  model: (p: readonly number[]) => number[],
  priors: (p: readonly number[]) => number[],
  slopes?: (p: readonly number[]) => Float64Array[],
): RimFit | undefined {
  const square = (values: readonly number[]) =>
    values.reduce((sum, value) => sum + value * value, 0);
  /* Light to its scatter: found once, from the closest fit. */
  let sigma = 0.02;
  const residuals = (p: readonly number[]) => [
    ...model(p).map((value) => huber(value / sigma / Math.sqrt(SHARED))),
    ...priors(p),
  ];
  const changes =
    slopes &&
    ((p: readonly number[]) => {
      const pull = model(p).map(
        (value) => huberSlope(value / sigma / Math.sqrt(SHARED)) / sigma / Math.sqrt(SHARED),
      );
      const weak = derivatives(p, priors);
      const out = Matrix.zeros(pull.length + weak.rows, p.length);
      slopes(p).forEach((own, i) => {
        own.forEach((slope, k) => out.set(k, i, slope * pull[k]!));
        for (let k = 0; k < weak.rows; k += 1) out.set(pull.length + k, i, weak.get(k, i));
      });
      return out;
    });
  const cost = (p: readonly number[]) => square(residuals(p));
  const tried = starts
    .map((start) => descend(start, residuals, 14, changes, 1e-4))
    .map((p) => ({ p, cost: cost(p) }))
    .sort((one, two) => one.cost - two.cost);
  const [first, ...others] = tried;
  if (!first) return undefined;
  const left = model(first.p);
  sigma = Math.max(0.004, Math.sqrt(square(left) / Math.max(1, left.length - 8)));
  const p = descend(first.p, residuals, 12, changes);
  const jacobian = changes?.(p) ?? derivatives(p, residuals);
  const covariance = inverse(jacobian.transpose().mmul(jacobian), true);
  /* Another answer nearly as close may be the true one: as likely as its cost says. */
  const best = cost(p);
  const doubts = others.flatMap((other) => {
    const likely = Math.exp((first.cost - other.cost) / 2);
    const far = Math.abs(other.p[0]! - p[0]!) > 3 * Math.sqrt(covariance.get(0, 0));
    return far && likely > 0.005
      ? [{ share: likely / (1 + likely), by: other.p.map((v, i) => v - p[i]!) }]
      : [];
  });
  const doubt = doubts.sort((one, two) => two.share - one.share)[0];
  return {
    figures: p,
    spread: (i, k) =>
      covariance.get(i, k) + (doubt ? doubt.share * doubt.by[i]! * doubt.by[k]! : 0),
    cost: best,
    noise: sigma,
  };
}

/** Far-off readings pull no harder than three deviations would. */
const huber = (value: number): number => {
  const size = Math.abs(value);
  return size <= 3 ? value : Math.sign(value) * Math.sqrt(6 * size - 9);
};

const huberSlope = (value: number): number => {
  const size = Math.abs(value);
  return size <= 3 ? 1 : 3 / Math.sqrt(6 * size - 9);
};

export interface CircleGuess {
  r: number;
  /** Toward the camera's foot, and how far sight leans from upright: mm seen per mm of thickness. */
  toward: { x: number; y: number };
  lean: number;
  /** Smear, mm, one standard deviation. */
  sigma: number;
  /** Light under it, and of the face round it. */
  under: number;
  face: number;
}

/** A circle by the light along rays from its guessed middle. Figures: middle x, y and radius beyond the guess, mm. */
export function circleRim(
  rays: readonly { dx: number; dy: number; readings: readonly Reading[] }[],
  guess: CircleGuess,
): RimFit | undefined {
  const { lean, toward } = guess;
  const count = rays.reduce((sum, { readings }) => sum + readings.length, 0);
  if (count < 100) return undefined;
  /* What lies under it and round it may be of another light on each ray: both follow from the ray's own readings. */
  const model = (p: readonly number[]): number[] => {
    const [a = 0, b = 0, c = 0, thick = 0, wall = 0, wide = 1] = p;
    const r = guess.r + c;
    const seen = Math.abs(thick) * lean;
    const [sx, sy] = [a + toward.x * seen, b + toward.y * seen];
    const sigma = guess.sigma * Math.max(0.3, wide);
    const out: number[] = [];
    for (const { dx, dy, readings } of rays) {
      const upper = along(a, b, r, dx, dy);
      const end = Math.min(upper, along(sx, sy, r, dx, dy));
      let [ii, io, oo, iy, oy] = [1 / LOOSE, 0, 1 / LOOSE, guess.under / LOOSE, guess.face / LOOSE];
      const shares = readings.map(({ at, light }) => {
        const [first, second] = [step(at - end, sigma), step(at - upper, sigma)];
        const [inner, outer] = [1 - first, second];
        const rest = light - wall * (first - second);
        ii += inner * inner;
        io += inner * outer;
        oo += outer * outer;
        iy += inner * rest;
        oy += outer * rest;
        return { inner, outer, rest };
      });
      const det = ii * oo - io * io || 1;
      const [under, face] = [(iy * oo - oy * io) / det, (oy * ii - iy * io) / det];
      for (const { inner, outer, rest } of shares) out.push(under * inner + face * outer - rest);
    }
    return out;
  };
  const priors = (p: readonly number[]) => [
    (Math.abs(p[3] ?? 0) - THICK_MM) / THICK_OFF,
    ((p[4] ?? 0) - guess.under) / WALL_OFF,
    ((p[5] ?? 1) - 1) / 0.25,
  ];
  const { under, face } = guess;
  const starts =
    lean < 0.03
      ? [[0, 0, 0, THICK_MM, under, 1]]
      : [0.4, 1.6].flatMap((thick) =>
          [under, (under + face) / 2, Math.min(under, face) * 0.4].map((wall) => [
            0,
            0,
            0,
            thick,
            wall,
            1,
          ]),
        );
  return fitted(starts, model, priors);
}

/** A ray's own light is held to that of all so loosely: as so many readings would. */
const LOOSE = 2;

/** How far along a ray from the origin a circle about (a, b) ends. */
function along(a: number, b: number, r: number, dx: number, dy: number): number {
  const t = a * dx + b * dy;
  const square = r * r - (a * a + b * b - t * t);
  return square <= 0 ? 0 : t + Math.sqrt(square);
}

export interface EdgeGuess {
  /** Toward the camera's foot across the edge, mm seen per mm of thickness: its sign says to which side. */
  lean: number;
  sigma: number;
  /** Light before and behind it. */
  before: number;
  behind: number;
  /** Whether the guess may be the rim below as well. */
  lower: boolean;
}

/** An edge by the light across it. Figures: where it is beyond the guess, mm, and its slope. */
export function edgeRim(
  rows: readonly { t: number; readings: readonly Reading[] }[],
  guess: EdgeGuess,
): RimFit | undefined {
  const count = rows.reduce((sum, { readings }) => sum + readings.length, 0);
  if (count < 100) return undefined;
  const size = Math.abs(guess.lean);
  const side = Math.sign(guess.lean);
  const model = (p: readonly number[]): number[] => {
    const [a = 0, slope = 0, thick = 0, wall = 0, before = 0, behind = 0, wide = 1] = p;
    const seen = Math.abs(thick) * size;
    const sigma = guess.sigma * Math.max(0.3, wide);
    const out: number[] = [];
    for (const { t, readings } of rows) {
      const upper = a + slope * t;
      const lower = upper + side * seen;
      const [first, second] = lower < upper ? [lower, upper] : [upper, lower];
      for (const { at, light } of readings)
        out.push(
          before +
            (wall - before) * step(at - first, sigma) +
            (behind - wall) * step(at - second, sigma) -
            light,
        );
    }
    return out;
  };
  /* The model's own changes: a smeared step's is as high as it is undone times done. */
  const slopes = (p: readonly number[]): Float64Array[] => {
    const [a = 0, slope = 0, thick = 0, wall = 0, before = 0, behind = 0, wide = 1] = p;
    const shift = side * Math.abs(thick) * size;
    const sigma = guess.sigma * Math.max(0.3, wide);
    const lowerFirst = shift < 0;
    const out = p.map(() => new Float64Array(count));
    let k = 0;
    for (const { t, readings } of rows) {
      const upper = a + slope * t;
      const [first, second] = lowerFirst ? [upper + shift, upper] : [upper, upper + shift];
      for (const { at } of readings) {
        const [s1, s2] = [step(at - first, sigma), step(at - second, sigma)];
        const rise1 = ((wall - before) * s1 * (1 - s1) * 1.702) / sigma;
        const rise2 = ((behind - wall) * s2 * (1 - s2) * 1.702) / sigma;
        out[0]![k] = -(rise1 + rise2);
        out[1]![k] = -(rise1 + rise2) * t;
        out[2]![k] = -(lowerFirst ? rise1 : rise2) * side * size * (thick < 0 ? -1 : 1);
        out[3]![k] = s1 - s2;
        out[4]![k] = 1 - s1;
        out[5]![k] = s2;
        out[6]![k] =
          wide > 0.3 ? (-(rise1 * (at - first) + rise2 * (at - second)) / sigma) * guess.sigma : 0;
        k += 1;
      }
    }
    return out;
  };
  /* The wall lies toward the foot: beside what is there. */
  const beside = (p: readonly number[]) => (side < 0 ? (p[4] ?? 0) : (p[5] ?? 0));
  const across = (p: readonly number[]) => (side < 0 ? (p[5] ?? 0) : (p[4] ?? 0));
  const priors = (p: readonly number[]) => [
    (Math.abs(p[2] ?? 0) - THICK_MM) / THICK_OFF,
    ((p[3] ?? 0) - beside(p)) / WALL_OFF,
    ((p[6] ?? 1) - 1) / 0.25,
    /* One step in sight is the upper rim's: a wall of the face's own light would hide that one. */
    HIDDEN * Math.exp(-((((p[3] ?? 0) - across(p)) / HIDDEN_LIGHT) ** 2)),
  ];
  const { before, behind } = guess;
  const near = side < 0 ? before : behind;
  const starts =
    size < 0.03
      ? [[0, 0, THICK_MM, near, before, behind, 1]]
      : [0.6, 1.6].flatMap((thick) =>
          (guess.lower && thick * size >= guess.sigma ? [0, -side * thick * size] : [0]).flatMap(
            (a) =>
              [near, (before + behind) / 2, Math.min(before, behind) * 0.4].map((wall) => [
                a,
                0,
                thick,
                wall,
                before,
                behind,
                1,
              ]),
          ),
        );
  return fitted(starts, model, priors, slopes);
}
