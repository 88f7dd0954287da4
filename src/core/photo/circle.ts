import {
  dice,
  leanAt,
  lightAt,
  median,
  peaksOf,
  pixelMm,
  profileOf,
  SHARED,
  type At,
  type Peak,
  type Plane,
} from './plane.ts';
import { circleRim } from './rim.ts';

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

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

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
    off: Math.hypot(Math.sqrt((fit.spread(0, 0) + fit.spread(1, 1)) / 2), MIDDLE_PX * mm),
    mmOff: 2 * Math.hypot(Math.sqrt(fit.spread(2, 2)), RADIUS_PX * mm),
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

/**
 * What shading, halo and the rim itself add to scatter, px, one standard deviation (by eighty drawn pictures the bench
 * does not use): to a rim's readings; by the model of its light to its middle, where both sides of it outweigh each
 * other, and to its radius.
 */
const RIM_PX = 0.18;
const MIDDLE_PX = 0.09;
const RADIUS_PX = 0.13;

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
