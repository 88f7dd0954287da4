import { project } from './camera.ts';
import { sample, type Light } from './picture.ts';
import type { Solved } from './solve.ts';

/** A plane above the mat as one picture shows it: light at a place in mm. */
export interface Plane {
  light: Light;
  view: Solved;
  /** Above the mat, mm. */
  height: number;
  /** How edges of the picture are smeared, px, one standard deviation. */
  blur: number;
}

export interface At {
  x: number;
  y: number;
}

export const lightAt = ({ light, view, height }: Plane, x: number, y: number): number => {
  const pixel = project(view.lens, view.turn, view.pose, { x, y, z: height });
  return pixel ? sample(light, pixel.u, pixel.v) : NaN;
};

/** What a pixel covers at a place, mm: the mean of its two directions; NaN outside the picture. */
export function pixelMm({ view, height }: Plane, { x, y }: At): number {
  const at = (dx: number, dy: number) =>
    project(view.lens, view.turn, view.pose, { x: x + dx, y: y + dy, z: height });
  const [o, a, b] = [at(0, 0), at(1, 0), at(0, 1)];
  if (!o || !a || !b) return NaN;
  const area = Math.abs((a.u - o.u) * (b.v - o.v) - (a.v - o.v) * (b.u - o.u));
  return 1 / Math.sqrt(area);
}

export interface Peak {
  /** From the start of the profile, mm. */
  at: number;
  /** Light gained or lost per smear; its sign tells dark to bright. */
  step: number;
}

/** Edges along a profile: where smoothed light changes fastest. `pitch`: mm between readings; `smooth`: readings. */
export function peaksOf(profile: Float64Array, pitch: number, smooth: number): Peak[] {
  const half = Math.ceil(smooth * 3);
  const kernel: number[] = [];
  let norm = 0;
  for (let i = -half; i <= half; i += 1) {
    const k = i * Math.exp((-i * i) / (2 * smooth * smooth));
    kernel.push(k);
    norm += i * k;
  }
  const n = profile.length;
  /* A step of one gives at its peak: Σ k over one side; scaled to that. */
  const full = kernel.slice(half + 1).reduce((sum, k) => sum + k, 0);
  const slope = new Float64Array(n);
  for (let i = half; i < n - half; i += 1) {
    let sum = 0;
    for (let k = -half; k <= half; k += 1) sum += kernel[k + half]! * profile[i + k]!;
    slope[i] = norm === 0 || Number.isNaN(sum) ? 0 : sum / full;
  }
  const peaks: Peak[] = [];
  for (let i = half + 1; i < n - half - 1; i += 1) {
    const [a, b, c] = [Math.abs(slope[i - 1]!), Math.abs(slope[i]!), Math.abs(slope[i + 1]!)];
    if (b < a || b <= c || b < 0.01) continue;
    const bend = a - 2 * b + c;
    const shift = bend === 0 ? 0 : (0.5 * (a - c)) / bend;
    peaks.push({ at: (i + shift) * pitch, step: slope[i]! });
  }
  return peaks;
}

export function profileOf(
  plane: Plane,
  from: At,
  dx: number,
  dy: number,
  long: number,
  pitch: number,
) {
  const n = Math.max(3, Math.round(long / pitch) + 1);
  const out = new Float64Array(n);
  for (let i = 0; i < n; i += 1)
    out[i] = lightAt(plane, from.x + dx * i * pitch, from.y + dy * i * pitch);
  return out;
}

/** A seeded row of numbers from 0 to 1. */
export function dice(): () => number {
  let seed = 20_261;
  return () => (seed = (seed * 48_271) % 2_147_483_647) / 2_147_483_647;
}

/** Sight's lean across a plane at a place: toward the camera's foot, and mm seen per mm of depth. */
export function leanAt(
  { view, height }: Plane,
  { x, y }: At,
): { x: number; y: number; lean: number } {
  const [dx, dy] = [view.stands.x - x, view.stands.y - y];
  const far = Math.hypot(dx, dy);
  return {
    x: far === 0 ? 1 : dx / far,
    y: far === 0 ? 0 : dy / far,
    lean: far / Math.max(1, view.stands.z - height),
  };
}

export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

/** Rim readings are this many times fewer than they look: neighbours share their pixels. */
export const SHARED = 3;
