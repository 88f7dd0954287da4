import { detect } from './aruco.ts';
import type { Pixel } from './camera.ts';
import { sample, type Light, type Pixels } from './picture.ts';

/** A code found in a picture: its corners, px, from its upper left clockwise. */
export interface Seen {
  id: number;
  corners: Pixel[];
  /** How wide its edges are smeared, px, one standard deviation. */
  blur: number;
  /** How far its corners may be off, px, one standard deviation. */
  off: number;
}

/** Codes are looked for in a picture no longer than this, px; their corners are read off the whole one. */
const SEARCH_PX = 1800;

/** A picture made smaller by a whole number, each pixel the mean of those it covers. */
function smaller({ width, height, data }: Pixels, by: number): Pixels {
  if (by <= 1) return { width, height, data };
  const [w, h] = [Math.floor(width / by), Math.floor(height / by)];
  const out = new Uint8ClampedArray(w * h * 4);
  for (let y = 0; y < h; y += 1)
    for (let x = 0; x < w; x += 1) {
      let sum = 0;
      for (let dy = 0; dy < by; dy += 1) {
        let k = ((y * by + dy) * width + x * by) * 4;
        for (let dx = 0; dx < by; dx += 1, k += 4)
          sum += 0.3 * data[k]! + 0.59 * data[k + 1]! + 0.11 * data[k + 2]!;
      }
      const k = (y * w + x) * 4;
      out[k] = out[k + 1] = out[k + 2] = sum / (by * by);
      out[k + 3] = 255;
    }
  return { width: w, height: h, data: out };
}

function flipped({ width, height, data }: Pixels): Pixels {
  const out = new Uint8ClampedArray(data.length);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const [from, to] = [(y * width + x) * 4, (y * width + width - 1 - x) * 4];
      for (let c = 0; c < 4; c += 1) out[to + c] = data[from + c]!;
    }
  return { width, height, data: out };
}

/** Codes of a picture with their corners to a part of a pixel. `mirrored`: they are only found in its mirror image. */
export function codesIn(pixels: Pixels, light: Light): { seen: Seen[]; mirrored: boolean } {
  const by = Math.max(1, Math.ceil(Math.max(pixels.width, pixels.height) / SEARCH_PX));
  const small = smaller(pixels, by);
  const found = detect(small);
  if (found.length < 2 && detect(flipped(small)).length > found.length + 1)
    return { seen: [], mirrored: true };
  const seen = found.flatMap(({ id, corners }) => {
    const rough = corners.map(({ x, y }) => ({
      u: (x + 0.5) * by - 0.5,
      v: (y + 0.5) * by - 0.5,
    }));
    const fine = quadNear(light, rough);
    return fine ? [{ id, ...fine }] : [];
  });
  return { seen: onceEach(seen), mirrored: false };
}

/** The search may come upon one square twice, by its rim's two sides: the better read of them is the code. */
function onceEach(seen: readonly Seen[]): Seen[] {
  const middle = ({ corners }: Seen): Pixel => ({
    u: corners.reduce((sum, { u }) => sum + u, 0) / 4,
    v: corners.reduce((sum, { v }) => sum + v, 0) / 4,
  });
  const kept: Seen[] = [];
  for (const each of [...seen].sort((a, b) => a.off - b.off)) {
    const at = middle(each);
    const near = Math.sqrt(areaOf(each.corners)) / 2;
    const there = kept.some(
      (one) => one.id === each.id && Math.hypot(middle(one).u - at.u, middle(one).v - at.v) < near,
    );
    if (!there) kept.push(each);
  }
  return kept.sort((a, b) => a.id - b.id);
}

interface Line {
  /** Normal and distance: a u + b v = c. */
  a: number;
  b: number;
  c: number;
}

/** Corners where the lines along four edges meet, each line laid through some dozens of readings of its edge. */
export function quadNear(
  light: Light,
  rough: readonly Pixel[],
): Pick<Seen, 'corners' | 'blur' | 'off'> | undefined {
  let now: readonly Pixel[] = rough;
  let result: Pick<Seen, 'corners' | 'blur' | 'off'> | undefined;
  for (let round = 0; round < 3; round += 1) {
    const area = areaOf(now);
    const edges = now.map((from, i) => edgeLine(light, from, now[(i + 1) % 4] as Pixel, area));
    if (edges.some((edge) => edge === undefined)) return undefined;
    const lines = edges.flatMap((edge) => edge ?? []);
    const corners = lines.map((line, i) => crossing(lines[(i + 3) % 4]!.line, line.line));
    if (corners.some((corner) => corner === undefined)) return undefined;
    const mean = (of: (edge: (typeof lines)[number]) => number) =>
      lines.reduce((sum, each) => sum + of(each), 0) / lines.length;
    now = corners.flatMap((corner) => corner ?? []);
    result = {
      corners: [...now],
      blur: mean(({ blur }) => blur),
      off: mean(({ off }) => off),
    };
  }
  return result;
}

const areaOf = (corners: readonly Pixel[]): number =>
  Math.abs(
    corners.reduce((sum, { u, v }, i) => {
      const next = corners[(i + 1) % corners.length] as Pixel;
      return sum + u * next.v - next.u * v;
    }, 0) / 2,
  );

const READINGS = 28;

function edgeLine(
  light: Light,
  from: Pixel,
  to: Pixel,
  area: number,
): { line: Line; blur: number; off: number } | undefined {
  const [du, dv] = [to.u - from.u, to.v - from.v];
  const long = Math.hypot(du, dv);
  if (long < 10) return undefined;
  const [nu, nv] = [-dv / long, du / long];
  /* Black frame and white margin are an eighth of the code across, seen foreshortened: stay on them. */
  const reach = Math.max(2.5, Math.min(14, area / long / 10));
  const steps = Math.ceil(reach * 2);
  const points: { u: number; v: number; blur: number }[] = [];
  for (let k = 0; k < READINGS; k += 1) {
    const along = 0.1 + (0.8 * (k + 0.5)) / READINGS;
    const [u0, v0] = [from.u + du * along, from.v + dv * along];
    const profile = Array.from({ length: 2 * steps + 1 }, (_, i) => {
      const t = ((i - steps) * reach) / steps;
      return sample(light, u0 + nu * t, v0 + nv * t);
    });
    const edge = stepIn(profile, reach / steps);
    if (edge)
      points.push({
        u: u0 + nu * (edge.at - reach),
        v: v0 + nv * (edge.at - reach),
        blur: edge.blur,
      });
  }
  if (points.length < READINGS / 2) return undefined;
  const fit = lineThrough(points);
  if (!fit) return undefined;
  const blurs = points.map(({ blur }) => blur).sort((a, b) => a - b);
  return {
    line: fit.line,
    blur: blurs[Math.floor(blurs.length / 2)] ?? 0,
    off: Math.max(0.02, (fit.rms / Math.sqrt(points.length)) * 2),
  };
}

/**
 * Where a profile steps from one plateau to another, in its own length from its start: by what lies between, which
 * blur does not shift; undefined where there is no such step. `blur`: one standard deviation of how it is smeared.
 */
export function stepIn(
  profile: readonly number[],
  pitch: number,
): { at: number; blur: number; high: number } | undefined {
  if (profile.some((value) => Number.isNaN(value))) return undefined;
  const n = profile.length;
  const end = Math.max(1, Math.floor(n / 5));
  const mean = (of: readonly number[]) => of.reduce((a, b) => a + b, 0) / of.length;
  const [low, high] = [mean(profile.slice(0, end)), mean(profile.slice(n - end))];
  const step = high - low;
  if (Math.abs(step) < 0.02) return undefined;
  const done = profile.map((value) => (value - low) / step);
  /* The step lies where its area says: n - Σ done from the start. */
  const area = done.reduce((sum, value, i) => sum + value * (i === 0 || i === n - 1 ? 0.5 : 1), 0);
  const at = (n - 1 - area) * pitch;
  if (at < 0 || at > (n - 1) * pitch) return undefined;
  /* From 16 to 84 %: two standard deviations. */
  const cross = (level: number) => {
    for (let i = 1; i < n; i += 1) {
      const [a, b] = [done[i - 1]!, done[i]!];
      if (a < level && b >= level) return i - 1 + (level - a) / (b - a);
    }
    return NaN;
  };
  const wide = ((cross(0.84) - cross(0.16)) * pitch) / 2;
  return Number.isNaN(wide) ? undefined : { at, blur: Math.max(0, wide), high: Math.abs(step) };
}

/** The line nearest to points, those far off left out. */
function lineThrough(points: readonly Pixel[]): { line: Line; rms: number } | undefined {
  let kept = points;
  for (let round = 0; round < 3; round += 1) {
    const mu = kept.reduce((sum, { u }) => sum + u, 0) / kept.length;
    const mv = kept.reduce((sum, { v }) => sum + v, 0) / kept.length;
    let [suu, suv, svv] = [0, 0, 0];
    for (const { u, v } of kept) {
      suu += (u - mu) ** 2;
      suv += (u - mu) * (v - mv);
      svv += (v - mv) ** 2;
    }
    const angle = Math.atan2(2 * suv, suu - svv) / 2;
    const [a, b] = [-Math.sin(angle), Math.cos(angle)];
    const line = { a, b, c: a * mu + b * mv };
    const away = (p: Pixel) => Math.abs(a * p.u + b * p.v - line.c);
    const rms = Math.sqrt(kept.reduce((sum, p) => sum + away(p) ** 2, 0) / kept.length);
    const next = points.filter((p) => away(p) <= Math.max(0.1, 2.5 * rms));
    if (next.length < 6) return undefined;
    if (next.length === kept.length) return { line, rms };
    kept = next;
    if (round === 2) return { line, rms };
  }
  return undefined;
}

function crossing(one: Line, two: Line): Pixel | undefined {
  const by = one.a * two.b - two.a * one.b;
  if (Math.abs(by) < 1e-6) return undefined;
  return {
    u: (one.c * two.b - two.c * one.b) / by,
    v: (one.a * two.c - two.a * one.c) / by,
  };
}
