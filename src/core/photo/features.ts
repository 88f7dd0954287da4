import { project } from './camera.ts';
import { sample, type Light } from './picture.ts';
import { circleRim, edgeRim } from './rim.ts';
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

const lightAt = ({ light, view, height }: Plane, x: number, y: number): number => {
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

interface Peak {
  /** From the start of the profile, mm. */
  at: number;
  /** Light gained or lost per smear; its sign tells dark to bright. */
  step: number;
}

/** Edges along a profile: where smoothed light changes fastest. `pitch`: mm between readings; `smooth`: readings. */
function peaksOf(profile: Float64Array, pitch: number, smooth: number): Peak[] {
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

function profileOf(plane: Plane, from: At, dx: number, dy: number, long: number, pitch: number) {
  const n = Math.max(3, Math.round(long / pitch) + 1);
  const out = new Float64Array(n);
  for (let i = 0; i < n; i += 1)
    out[i] = lightAt(plane, from.x + dx * i * pitch, from.y + dy * i * pitch);
  return out;
}

export interface Circle extends At {
  /** Diameter, mm. */
  mm: number;
  /** What its middle may be off by, mm, one standard deviation, by the scatter of its rim. */
  off: number;
  /** The same of its diameter. */
  mmOff: number;
  /** Whether it is darker inside. */
  dark: boolean;
}

const RAYS = 72;
/** Holes are no smaller than this, mm. */
const LEAST_RADIUS = 0.5;

/** A seeded row of numbers from 0 to 1. */
function dice(): () => number {
  let seed = 20_261;
  return () => (seed = (seed * 48_271) % 2_147_483_647) / 2_147_483_647;
}

/** A round hole, peg or disc round a tap; undefined where there is none. `most`: its largest radius, mm. */
export function circleNear(plane: Plane, tap: At, most = 9): Circle | undefined {
  const mm = pixelMm(plane, tap);
  if (!(mm > 0)) return undefined;
  const pitch = mm / 2;
  const smooth = Math.max(2, plane.blur * 2 * 0.8);
  const rim: (Peak & At & { ray: number })[] = [];
  for (let ray = 0; ray < RAYS; ray += 1) {
    const angle = (2 * Math.PI * ray) / RAYS;
    const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
    const profile = profileOf(plane, tap, dx, dy, most * 2, pitch);
    for (const peak of peaksOf(profile, pitch, smooth))
      rim.push({ ...peak, ray, x: tap.x + dx * peak.at, y: tap.y + dy * peak.at });
  }
  if (rim.length < RAYS / 2) return undefined;
  /* Most of what a profile does is noise: what stands out of it is looked at. */
  const sizes = rim.map(({ step }) => Math.abs(step)).sort((a, b) => b - a);
  const strong = sizes[Math.min(sizes.length - 1, RAYS)] ?? 0;
  const usual = sizes[Math.floor(sizes.length / 2)] ?? 0;
  const bar = Math.max(0.012, strong * 0.07, Math.min(usual * 1.6, strong * 0.25));
  const edges = rim.filter(({ step }) => Math.abs(step) >= bar);
  const rough = voted(edges, tap, most, Math.max(1.3 * mm, 0.05));
  const circle = rough && settled(plane, rough, mm, smooth);
  return circle && byItsRim(plane, circle, mm);
}

/** Sight's lean across a plane at a place: toward the camera's foot, and mm seen per mm of depth. */
function leanAt({ view, height }: Plane, { x, y }: At): { x: number; y: number; lean: number } {
  const [dx, dy] = [view.stands.x - x, view.stands.y - y];
  const far = Math.hypot(dx, dy);
  return {
    x: far === 0 ? 1 : dx / far,
    y: far === 0 ? 0 : dy / far,
    lean: far / Math.max(1, view.stands.z - height),
  };
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

/** A circle by a model of its light: upper rim, wall below it, what lies under it. */
function byItsRim(plane: Plane, circle: Circle, mm: number): Circle | undefined {
  const r = circle.mm / 2;
  const { lean, ...toward } = leanAt(plane, circle);
  const sigma = Math.max(0.5, plane.blur) * mm;
  const [inside, outside] = [
    Math.max(0, r - Math.max(3.2 * sigma, 2 * sigma + 2 * lean)),
    r + 3.2 * sigma,
  ];
  const pitch = Math.max(mm * 0.7, (outside - inside) / 40);
  const rays = Array.from({ length: 48 }, (_, i) => {
    const angle = (2 * Math.PI * i) / 48;
    const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
    const readings: { at: number; light: number }[] = [];
    for (let at = inside; at <= outside; at += pitch) {
      const light = lightAt(plane, circle.x + dx * at, circle.y + dy * at);
      if (!Number.isNaN(light)) readings.push({ at, light });
    }
    return { dx, dy, readings };
  });
  const under = median(
    rays
      .flatMap(({ readings }) => readings.filter(({ at }) => at < r - 2 * sigma))
      .map((e) => e.light),
  );
  const face = median(
    rays
      .flatMap(({ readings }) => readings.filter(({ at }) => at > r + 2 * sigma))
      .map((e) => e.light),
  );
  if (Number.isNaN(under) || Number.isNaN(face)) return circle;
  const fit = circleRim(rays, { r, toward, lean, sigma, under, face });
  if (!fit) return circle;
  /* Most of a rim is told from what lies round it, or it is none. */
  const told = rays.filter(({ readings }) => {
    const of = (from: number, to: number) =>
      readings.filter(({ at }) => at - r >= from && at - r <= to).map(({ light }) => light);
    const [inner, outer] = [of(-3 * sigma, -1.2 * sigma), of(1.2 * sigma, 3.2 * sigma)];
    const apart = Math.abs(mean(inner) - mean(outer));
    return (
      apart >
      Math.max(0.01, 0.05 * face, 3 * fit.noise * Math.sqrt(2 / Math.max(1, inner.length / 2)))
    );
  });
  if (told.length < rays.length * 0.7) return undefined;
  const [a = 0, b = 0, c = 0] = fit.figures;
  /* What the model moves further than its own wall could is no better than what the rim said. */
  if (Math.hypot(a, b) > 0.4 * r + 2 * lean || r + c < LEAST_RADIUS * 0.8) return circle;
  return {
    ...circle,
    x: circle.x + a,
    y: circle.y + b,
    mm: 2 * (r + c),
    off: Math.hypot(Math.sqrt((fit.spread(0, 0) + fit.spread(1, 1)) / 2), RIM_PX * mm),
    mmOff: 2 * Math.hypot(Math.sqrt(fit.spread(2, 2)), RIM_PX * mm),
  };
}

interface Rough extends At {
  r: number;
}

const BINS = 36;

/**
 * The circle most directions bear out, whether it turns brighter or darker there: a hole's wall shows on one side,
 * what lies under it on the other. A clearly smaller one nearly as well borne out is the hole in a ring or pad.
 */
function voted(
  edges: readonly (Peak & At & { ray: number })[],
  tap: At,
  most: number,
  near: number,
): Rough | undefined {
  const roll = dice();
  const found: (Rough & { score: number })[] = [];
  if (edges.length < 12) return undefined;
  for (let i = 0; i < 900; i += 1) {
    const pick = () => edges[Math.floor(roll() * edges.length)]!;
    const circle = through(pick(), pick(), pick());
    if (!circle || circle.r < LEAST_RADIUS || circle.r > most) continue;
    if (Math.hypot(circle.x - tap.x, circle.y - tap.y) > circle.r * 0.9 + 0.3) continue;
    const bins = new Float32Array(BINS);
    for (const { x, y } of edges) {
      const [dx, dy] = [x - circle.x, y - circle.y];
      const away = Math.abs(Math.hypot(dx, dy) - circle.r);
      if (away > near) continue;
      const bin = Math.floor(((Math.atan2(dy, dx) / (2 * Math.PI) + 1) % 1) * BINS);
      bins[bin] = Math.max(bins[bin]!, 1 - 0.5 * (away / near) ** 2);
    }
    const score = bins.reduce((sum, bin) => sum + bin, 0);
    if (score >= BINS * 0.5) found.push({ ...circle, score });
  }
  found.sort((a, b) => b.score - a.score);
  const [best] = found;
  if (!best) return undefined;
  return found.find(({ r, score }) => r < best.r * 0.75 && score >= best.score * 0.93) ?? best;
}

function through(a: At, b: At, c: At): { x: number; y: number; r: number } | undefined {
  const [bx, by, cx, cy] = [b.x - a.x, b.y - a.y, c.x - a.x, c.y - a.y];
  const d = 2 * (bx * cy - by * cx);
  if (Math.abs(d) < 1e-6) return undefined;
  const [b2, c2] = [bx * bx + by * by, cx * cx + cy * cy];
  const [x, y] = [(cy * b2 - by * c2) / d, (bx * c2 - cx * b2) / d];
  return { x: a.x + x, y: a.y + y, r: Math.hypot(x, y) };
}

/** Rim readings of a circle are this many times fewer than they look: neighbours share their pixels. */
const SHARED = 3;
/** What shading, halo and the rim itself add to scatter, px, one standard deviation (by the rendered pictures of the bench). */
const RIM_PX = 0.18;

/** A circle drawn tight: its rim read again along its own rays, three times. */
function settled(plane: Plane, rough: Rough, mm: number, smooth: number): Circle | undefined {
  let { x, y, r } = rough;
  const count = 96;
  let good: { angle: number; at: number; up: number }[] = [];
  let rms = 0;
  for (let round = 0; round < 4; round += 1) {
    const pitch = mm / 2;
    const near = Math.max(0.12, 1.6 * mm) * (round === 0 ? 2 : 1);
    const half = Math.max(3.2 * smooth * pitch + 2.5 * mm, Math.min(0.5 * r, 0.6));
    const readings: { angle: number; at: number; up: number }[] = [];
    for (let i = 0; i < count; i += 1) {
      const angle = (2 * Math.PI * i) / count;
      const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
      const from = r - half - 3 * smooth * pitch;
      const profile = profileOf(
        plane,
        { x: x + dx * from, y: y + dy * from },
        dx,
        dy,
        2 * (half + 3 * smooth * pitch),
        pitch,
      );
      const peaks = peaksOf(profile, pitch, smooth)
        .map(({ at, step }) => ({ at: from + at, step }))
        .map((peak) => ({
          ...peak,
          weight: Math.sqrt(Math.abs(peak.step)) * Math.exp(-(((peak.at - r) / near) ** 2)),
        }))
        .sort((a, b) => b.weight - a.weight);
      const [best] = peaks;
      if (best && Math.abs(best.step) > 0.012)
        readings.push({ angle, at: best.at, up: Math.sign(best.step) });
    }
    if (readings.length < count * 0.5) return undefined;
    /* Off the middle by (a, b), wider by c: at = r + c + a cos + b sin. */
    good = readings;
    let fit = { a: 0, b: 0, c: 0 };
    for (let trim = 0; trim < 4; trim += 1) {
      fit = wave(good, r);
      const away = (each: { angle: number; at: number }) =>
        each.at - r - fit.c - fit.a * Math.cos(each.angle) - fit.b * Math.sin(each.angle);
      const sizes = good.map((each) => Math.abs(away(each))).sort((p, q) => p - q);
      const typical = (sizes[Math.floor(sizes.length / 2)] ?? 0) * 1.4826;
      const next = readings.filter(
        (each) => Math.abs(away(each)) <= Math.max(0.25 * mm, 2.5 * typical),
      );
      rms = Math.sqrt(good.reduce((sum, each) => sum + away(each) ** 2, 0) / good.length);
      if (next.length < count * 0.4) return undefined;
      if (next.length === good.length) break;
      good = next;
    }
    x += fit.a;
    y += fit.b;
    r += fit.c;
    if (!(r >= LEAST_RADIUS * 0.8)) return undefined;
  }
  if (good.length < count * 0.5 || widestGap(good.map(({ angle }) => angle)) > 1.8)
    return undefined;
  if (rms > Math.max(0.9 * mm, 0.07 * r)) return undefined;
  const each = rms / Math.sqrt(good.length / SHARED);
  return {
    x,
    y,
    mm: 2 * r,
    off: Math.hypot(each * Math.SQRT2, RIM_PX * mm),
    mmOff: 2 * Math.hypot(each, RIM_PX * mm),
    dark: good.reduce((sum, { up }) => sum + up, 0) > 0,
  };
}

/** The best a, b, c of at - r = c + a cos + b sin. */
function wave(readings: readonly { angle: number; at: number }[], r: number) {
  let [n, c1, s1, cc, cs, ss, y0, yc, ys] = [0, 0, 0, 0, 0, 0, 0, 0, 0];
  for (const { angle, at } of readings) {
    const [c, s, y] = [Math.cos(angle), Math.sin(angle), at - r];
    n += 1;
    c1 += c;
    s1 += s;
    cc += c * c;
    cs += c * s;
    ss += s * s;
    y0 += y;
    yc += y * c;
    ys += y * s;
  }
  const det3 = (m: readonly number[]) =>
    m[0]! * (m[4]! * m[8]! - m[5]! * m[7]!) -
    m[1]! * (m[3]! * m[8]! - m[5]! * m[6]!) +
    m[2]! * (m[3]! * m[7]! - m[4]! * m[6]!);
  const all = det3([n, c1, s1, c1, cc, cs, s1, cs, ss]) || 1;
  return {
    c: det3([y0, c1, s1, yc, cc, cs, ys, cs, ss]) / all,
    a: det3([n, y0, s1, c1, yc, cs, s1, ys, ss]) / all,
    b: det3([n, c1, y0, c1, cc, yc, s1, cs, ys]) / all,
  };
}

function widestGap(angles: readonly number[]): number {
  const sorted = [...angles].sort((a, b) => a - b);
  return Math.max(
    ...sorted.map((angle, i) =>
      i === 0 ? angle + 2 * Math.PI - (sorted.at(-1) ?? 0) : angle - (sorted[i - 1] ?? 0),
    ),
  );
}

/** A straight edge: a point on it, the direction it runs, mm. */
export interface Edge extends At {
  dx: number;
  dy: number;
  /** How far it is borne out to each side of its point, mm. */
  back: number;
  on: number;
  /** What it may be off across, mm, one standard deviation, by its own scatter. */
  off: number;
}

const WINDOW_MM = 5;
/** A tap lies about so near to what it means, mm. */
const TAP_MM = 1;

/** The straight edge nearest to a tap; undefined where there is none. */
export function edgeNear(plane: Plane, tap: At): Edge | undefined {
  const mm = pixelMm(plane, tap);
  if (!(mm > 0)) return undefined;
  const pitch = Math.max(mm, WINDOW_MM / 40);
  const n = Math.round((2 * WINDOW_MM) / pitch);
  const grid = Array.from({ length: n * n }, (_, i) =>
    lightAt(
      plane,
      tap.x - WINDOW_MM + (i % n) * pitch,
      tap.y - WINDOW_MM + Math.floor(i / n) * pitch,
    ),
  );
  const TURNS = 180;
  const REACH = Math.ceil(WINDOW_MM / pitch);
  const votes = new Float64Array(TURNS * (2 * REACH + 1));
  for (let j = 2; j < n - 2; j += 1)
    for (let i = 2; i < n - 2; i += 1) {
      const k = j * n + i;
      const gx = grid[k + 1]! - grid[k - 1]! + (grid[k + 2]! - grid[k - 2]!) * 0.5;
      const gy = grid[k + n]! - grid[k - n]! + (grid[k + 2 * n]! - grid[k - 2 * n]!) * 0.5;
      const size = Math.hypot(gx, gy);
      if (!(size > 0.01)) continue;
      const [x, y] = [i * pitch - WINDOW_MM, j * pitch - WINDOW_MM];
      if (Math.hypot(x, y) > WINDOW_MM) continue;
      const angle = (Math.atan2(gy, gx) + 2 * Math.PI) % Math.PI;
      const turn = Math.round((angle / Math.PI) * TURNS) % TURNS;
      for (let d = -2; d <= 2; d += 1) {
        const t = (turn + d + TURNS) % TURNS;
        const a = (t * Math.PI) / TURNS;
        const rho = Math.round((x * Math.cos(a) + y * Math.sin(a)) / pitch);
        if (Math.abs(rho) > REACH) continue;
        votes[t * (2 * REACH + 1) + rho + REACH]! += Math.sqrt(size) / (1 + Math.abs(d));
      }
    }
  let best = { score: 0, angle: 0, rho: 0 };
  for (let t = 0; t < TURNS; t += 1)
    for (let rho = -REACH; rho <= REACH; rho += 1) {
      const near = Math.exp(-(((rho * pitch) / TAP_MM) ** 2));
      const score = votes[t * (2 * REACH + 1) + rho + REACH]! * near;
      if (score > best.score) best = { score, angle: (t * Math.PI) / TURNS, rho: rho * pitch };
    }
  if (best.score === 0) return undefined;
  const [nx, ny] = [Math.cos(best.angle), Math.sin(best.angle)];
  return edgeAlong(
    plane,
    { x: tap.x + nx * best.rho, y: tap.y + ny * best.rho },
    { dx: -ny, dy: nx },
    WINDOW_MM,
    Math.max(2.5 * mm, 0.5),
    TAP_MM,
  );
}

/** What edges add to their scatter, px, one standard deviation (by the rendered pictures of the bench). */
const EDGE_PX = 0.35;
/** Sheet and boards are about so thick, mm: behind an edge on the camera's side its lower rim shows. */
const THICK_MM = 2.2;

/** An edge drawn tight about a guess: read across every few tenths of a millimetre along it. */
export function edgeAlong(
  plane: Plane,
  from: At,
  along: { dx: number; dy: number },
  half: number,
  across: number,
  tapMm = Infinity,
): Edge | undefined {
  const mm = pixelMm(plane, from);
  if (!(mm > 0)) return undefined;
  const pitch = mm / 2;
  const smooth = Math.max(2, plane.blur * 2 * 0.8);
  let at = { ...from };
  let { dx, dy } = along;
  let reach = Math.max(
    across,
    Math.abs(awayFromCamera(plane, from, -along.dy, along.dx)) * 1.05 + mm,
  );
  let result: Edge | undefined;
  let doubt = 0;
  for (let round = 0; round < 3; round += 1) {
    const [nx, ny] = [-dy, dx];
    const count = Math.max(24, Math.min(160, Math.round((2 * half) / mm)));
    const pad = 3.2 * smooth * pitch;
    const rows: { t: number; peaks: Peak[] }[] = [];
    for (let i = 0; i < count; i += 1) {
      const t = -half + (2 * half * (i + 0.5)) / count;
      const start = {
        x: at.x + dx * t - nx * (reach + pad),
        y: at.y + dy * t - ny * (reach + pad),
      };
      const profile = profileOf(plane, start, nx, ny, 2 * (reach + pad), pitch);
      rows.push({
        t,
        peaks: peaksOf(profile, pitch, smooth).map((peak) => ({
          ...peak,
          at: peak.at - reach - pad,
        })),
      });
    }
    const away = awayFromCamera(plane, at, nx, ny);
    const line = steadiest(rows, reach, mm, round === 0 ? away : 0, tapMm);
    if (!line) return undefined;
    const angle = Math.atan(line.slope);
    at = { x: at.x + nx * line.at, y: at.y + ny * line.at };
    [dx, dy] = [
      dx * Math.cos(angle) + nx * Math.sin(angle),
      dy * Math.cos(angle) + ny * Math.sin(angle),
    ];
    const size = Math.hypot(dx, dy);
    [dx, dy] = [dx / size, dy / size];
    const ts = line.on.map(({ t }) => t);
    result = {
      ...at,
      dx,
      dy,
      back: -Math.min(...ts),
      on: Math.max(...ts),
      off: Math.hypot(line.rms / Math.sqrt(line.on.length / SHARED), EDGE_PX * mm),
    };
    if (round === 0) doubt = line.doubt;
    reach = Math.max(2.2 * mm, 0.25);
  }
  if (!result) return undefined;
  const edge = edgeByItsRim(plane, result, mm);
  return { ...edge, off: Math.hypot(edge.off, doubt) };
}

/** An edge by a model of its light: upper rim, wall below it where that shows. */
function edgeByItsRim(plane: Plane, edge: Edge, mm: number): Edge {
  const [nx, ny] = [-edge.dy, edge.dx];
  const toward = leanAt(plane, edge);
  const lean = (toward.x * nx + toward.y * ny) * toward.lean;
  const sigma = Math.max(0.5, plane.blur) * mm;
  const to = (side: number) => 3.5 * sigma + Math.max(0, lean * side) * 2.4;
  const pitch = Math.max(mm * 0.7, (to(1) + to(-1)) / 40);
  const rows = Array.from({ length: 40 }, (_, i) => {
    const t = -edge.back + ((edge.back + edge.on) * (i + 0.5)) / 40;
    const readings: { at: number; light: number }[] = [];
    for (let at = -to(-1); at <= to(1); at += pitch) {
      const light = lightAt(plane, edge.x + edge.dx * t + nx * at, edge.y + edge.dy * t + ny * at);
      if (!Number.isNaN(light)) readings.push({ at, light });
    }
    return { t, readings };
  });
  const all = rows.flatMap(({ readings }) => readings);
  const before = median(all.filter(({ at }) => at < -to(-1) + sigma).map(({ light }) => light));
  const behind = median(all.filter(({ at }) => at > to(1) - sigma).map(({ light }) => light));
  if (Number.isNaN(before) || Number.isNaN(behind)) return edge;
  const fit = edgeRim(rows, { lean, sigma, before, behind });
  if (!fit) return edge;
  const [a = 0, slope = 0] = fit.figures;
  if (Math.abs(a) > Math.abs(lean) * 3 + 2 * mm || Math.abs(slope) > 0.05) return edge;
  const size = Math.hypot(1, slope);
  return {
    ...edge,
    x: edge.x + nx * a,
    y: edge.y + ny * a,
    dx: (edge.dx + nx * slope) / size,
    dy: (edge.dy + ny * slope) / size,
    off: Math.hypot(Math.sqrt(fit.spread(0, 0)), EDGE_PX * mm),
  };
}

/** Which way across an edge leads away from the camera's foot, and by how much a lower rim would show, mm. */
function awayFromCamera({ view, height }: Plane, at: At, nx: number, ny: number): number {
  const up = Math.max(1, view.stands.z - height);
  const lean = ((at.x - view.stands.x) * nx + (at.y - view.stands.y) * ny) / up;
  return lean * THICK_MM;
}

interface Row {
  t: number;
  peaks: readonly Peak[];
}

/** The line through peaks of most rows: at = a + slope t. Of two alike, the one away from the camera's foot: the upper rim. */
function steadiest(
  rows: readonly Row[],
  reach: number,
  mm: number,
  away: number,
  tapMm: number,
): { at: number; slope: number; rms: number; on: { t: number }[]; doubt: number } | undefined {
  const near = Math.max(1.2 * mm, 0.06);
  const roll = dice();
  const all = rows.flatMap(({ t, peaks }) =>
    peaks.filter(({ at }) => Math.abs(at) <= reach).map((peak) => ({ ...peak, t })),
  );
  if (all.length < rows.length / 2) return undefined;
  const long = Math.max(...rows.map(({ t }) => Math.abs(t))) * 2;
  const tried: { at: number; slope: number; score: number; count: number }[] = [];
  for (let i = 0; i < 240; i += 1) {
    const [p, q] = [all[Math.floor(roll() * all.length)]!, all[Math.floor(roll() * all.length)]!];
    if (Math.abs(p.t - q.t) < long / 5 || Math.sign(p.step) !== Math.sign(q.step)) continue;
    const slope = (q.at - p.at) / (q.t - p.t);
    if (Math.abs(slope) > 0.15) continue;
    const at = p.at - slope * p.t;
    let [score, count] = [0, 0];
    for (const { t, peaks } of rows) {
      const hit = peaks.find(
        (peak) =>
          Math.sign(peak.step) === Math.sign(p.step) && Math.abs(peak.at - at - slope * t) <= near,
      );
      if (!hit) continue;
      count += 1;
      score += Math.sqrt(Math.abs(hit.step));
    }
    score *= Math.exp(-((at / tapMm) ** 2));
    tried.push({ at, slope, score, count });
  }
  const best = tried.sort((a, b) => b.score - a.score)[0];
  if (!best || best.count < rows.length * 0.55) return undefined;
  let chosen = best;
  if (Math.abs(away) > near) {
    /* A second line beside it, as far as a rim below would show: the upper one lies away from the camera. */
    const upper = tried
      .filter(
        (each) =>
          each.count >= rows.length * 0.55 &&
          each.score >= best.score * 0.2 &&
          (each.at - best.at) * Math.sign(away) > near * 1.5 &&
          (each.at - best.at) * Math.sign(away) < Math.abs(away),
      )
      .sort((a, b) => b.score - a.score)[0];
    if (upper) chosen = upper;
  }
  /* Another line close by may be the one that was meant. */
  const twins = tried
    .filter(
      ({ count, at: other }) =>
        count >= rows.length * 0.55 && Math.abs(other - chosen.at) > near * 1.5,
    )
    .map(({ at: other }) => Math.abs(other - chosen.at));
  const twin = Math.min(...twins, Infinity);
  const sign = Math.sign(
    all.reduce(
      (sum, peak) =>
        Math.abs(peak.at - chosen.at - chosen.slope * peak.t) <= near ? sum + peak.step : sum,
      0,
    ),
  );
  let on = rows.flatMap(({ t, peaks }) => {
    const own = peaks
      .filter((peak) => Math.sign(peak.step) === sign)
      .map((peak) => ({ t, at: peak.at, away: Math.abs(peak.at - chosen.at - chosen.slope * t) }))
      .filter((peak) => peak.away <= near * 1.5)
      .sort((a, b) => a.away - b.away)[0];
    return own ? [own] : [];
  });
  let { at, slope } = chosen;
  let rms = 0;
  for (let trim = 0; trim < 3 && on.length >= 8; trim += 1) {
    const mt = on.reduce((sum, { t }) => sum + t, 0) / on.length;
    const ma = on.reduce((sum, each) => sum + each.at, 0) / on.length;
    const tt = on.reduce((sum, { t }) => sum + (t - mt) ** 2, 0) || 1;
    slope = on.reduce((sum, each) => sum + (each.t - mt) * (each.at - ma), 0) / tt;
    at = ma - slope * mt;
    rms = Math.sqrt(
      on.reduce((sum, each) => sum + (each.at - at - slope * each.t) ** 2, 0) / on.length,
    );
    const next = on.filter(
      (each) => Math.abs(each.at - at - slope * each.t) <= Math.max(0.2 * mm, 2.5 * rms),
    );
    if (next.length === on.length) break;
    on = next;
  }
  if (on.length < rows.length * 0.5) return undefined;
  return { at, slope, rms, on, doubt: twin < 1.6 ? twin * DOUBT : 0 };
}

/** A line close beside another is the wrong one of the two so often, as a share of what lies between (by the rendered pictures of the bench). */
const DOUBT = 0.22;

export interface Rectangle {
  /** Its four corners where its edges would meet, round it, mm; its sides' own deviations. */
  corners: At[];
  width: number;
  height: number;
  /** How far it is turned, degrees, -45 to 45. */
  turned: number;
  /** What a side may be off by, mm, one standard deviation. */
  off: number;
}

/** The rectangle round a tap, its four edges each drawn tight; undefined where they do not close. */
export function rectangleRound(plane: Plane, tap: At, most = 260): Rectangle | undefined {
  const mm = pixelMm(plane, tap);
  if (!(mm > 0)) return undefined;
  const pitch = Math.max(mm, 0.1);
  const smooth = Math.max(1.5, plane.blur);
  const count = 120;
  const firsts: { angle: number; peaks: Peak[] }[] = [];
  for (let i = 0; i < count; i += 1) {
    const angle = (2 * Math.PI * i) / count;
    const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
    const whole = profileOf(plane, tap, dx, dy, most, pitch);
    const end = whole.findIndex(Number.isNaN);
    const profile = end < 0 ? whole : whole.subarray(0, end);
    firsts.push({ angle, peaks: peaksOf(profile, pitch, smooth) });
  }
  const strengths = firsts
    .map(({ peaks }) => Math.max(0, ...peaks.map(({ step }) => Math.abs(step))))
    .sort((a, b) => a - b);
  const bar = Math.max(0.025, (strengths[Math.floor(count / 2)] ?? 0) * 0.15);
  const hits = firsts.flatMap(({ angle, peaks }, ray) =>
    peaks
      .filter(({ step }) => Math.abs(step) >= bar)
      .slice(0, 4)
      .map(({ at }) => ({ ray, x: Math.cos(angle) * at, y: Math.sin(angle) * at })),
  );
  if (new Set(hits.map(({ ray }) => ray)).size < count * 0.6) return undefined;
  const near = Math.max(2 * mm, 0.4);
  let best: { score: number; turn: number; sides: number[] } = { score: 0, turn: 0, sides: [] };
  for (let turn = -45; turn < 45; turn += 0.5) {
    const found = closed(plane, tap, hits, (turn * Math.PI) / 180, near);
    if (found && found.score > best.score) best = { ...found, turn };
  }
  if (best.score < count * 0.5) return undefined;
  const a = (best.turn * Math.PI) / 180;
  const [right = 0, left = 0, down = 0, up = 0] = best.sides;
  const place = (u: number, v: number): At => ({
    x: tap.x + u * Math.cos(a) - v * Math.sin(a),
    y: tap.y + u * Math.sin(a) + v * Math.cos(a),
  });
  const [midU, midV] = [(left + right) / 2, (up + down) / 2];
  const span = (long: number) => Math.max(1, long / 2 - Math.max(1, long * 0.15));
  const [du, dv] = [
    { dx: Math.cos(a), dy: Math.sin(a) },
    { dx: -Math.sin(a), dy: Math.cos(a) },
  ];
  const edges = [
    edgeAlong(plane, place(midU, up), du, span(right - left), near * 2),
    edgeAlong(plane, place(right, midV), dv, span(down - up), near * 2),
    edgeAlong(plane, place(midU, down), du, span(right - left), near * 2),
    edgeAlong(plane, place(left, midV), dv, span(down - up), near * 2),
  ].flatMap((edge) => edge ?? []);
  if (edges.length < 4) return undefined;
  const corners = edges.map((edge, i) => meeting(edges[(i + 3) % 4] as Edge, edge));
  const [c0, c1, c2, c3] = corners;
  if (!c0 || !c1 || !c2 || !c3) return undefined;
  const far = (p: At, q: At) => Math.hypot(p.x - q.x, p.y - q.y);
  return {
    corners: [c0, c1, c2, c3],
    width: (far(c0, c1) + far(c3, c2)) / 2,
    height: (far(c1, c2) + far(c0, c3)) / 2,
    turned: (Math.atan2(c1.y - c0.y, c1.x - c0.x) * 180) / Math.PI,
    off: Math.max(...edges.map(({ off }) => off)),
  };
}

/** Sides are looked for among so many on each hand. */
const SIDES = 4;

/**
 * Four sides round a tap at one turn: those most rays end at, whose outside is of one light all round; a shadow's
 * edge inside an opening has another light behind it than its rim. Of two alike the inner one.
 */
function closed(
  plane: Plane,
  tap: At,
  hits: readonly At[],
  turn: number,
  near: number,
): { score: number; sides: number[] } | undefined {
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const turned = hits.map(({ x, y }) => ({ u: x * c + y * s, v: -x * s + y * c }));
  const light = (u: number, v: number) =>
    lightAt(plane, tap.x + u * c - v * s, tap.y + u * s + v * c);
  const hands = (['u', 'v'] as const).flatMap((axis) =>
    [1, -1].map((sign) => {
      const own = turned
        .filter((hit) => hit[axis] * sign > 0.5)
        .sort((p, q) => p[axis] * sign - q[axis] * sign);
      const all: { at: number; n: number }[] = [];
      let [from, to] = [0, 0];
      for (const hit of own) {
        const at = hit[axis] * sign;
        while ((own[from]?.[axis] ?? 0) * sign < at - near) from += 1;
        while (to < own.length && (own[to]?.[axis] ?? 0) * sign <= at + near) to += 1;
        all.push({ at, n: to - from });
      }
      const top: { at: number; n: number; behind: number }[] = [];
      for (const each of all.sort((p, q) => q.n - p.n)) {
        if (each.n < 4 || top.length === SIDES) break;
        if (top.some(({ at }) => Math.abs(at - each.at) < near * 2)) continue;
        const out = sign * (each.at + Math.max(1.6, near * 3));
        top.push({ ...each, behind: axis === 'u' ? light(out, 0) : light(0, out) });
      }
      return top;
    }),
  );
  const [rights = [], lefts = [], downs = [], ups = []] = hands;
  let best: { score: number; sides: number[] } | undefined;
  for (const right of rights)
    for (const left of lefts)
      for (const down of downs)
        for (const up of ups) {
          const four = [right, left, down, up];
          const mean = four.reduce((sum, { behind }) => sum + behind, 0) / 4;
          const apart = Math.max(...four.map(({ behind }) => Math.abs(behind - mean))) / mean;
          const even = Number.isNaN(apart) ? 0.3 : 1 / (1 + (apart / 0.15) ** 2);
          const size = (right.at + left.at) * (down.at + up.at);
          const score =
            four.reduce((sum, { n }) => sum + n, 0) * (0.3 + 0.7 * even) - Math.log(size);
          if (!best || score > best.score)
            best = { score, sides: [right.at, -left.at, down.at, -up.at] };
        }
  return best;
}

function meeting(one: Edge, two: Edge): At | undefined {
  const by = one.dx * two.dy - one.dy * two.dx;
  if (Math.abs(by) < 1e-6) return undefined;
  const k = ((two.x - one.x) * two.dy - (two.y - one.y) * two.dx) / by;
  return { x: one.x + one.dx * k, y: one.y + one.dy * k };
}
