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
import { edgeRim } from './rim.ts';

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
const EDGE_PX = 0.4;
/** Sheet and boards are about so thick, mm: behind an edge on the camera's side its lower rim shows. */
export const THICK_MM = 2.2;

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
  let halfLit = false;
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
    const of = { rows, reach, mm, away: round === 0 ? away : 0, tapMm };
    const even = steadiest({ ...of, either: false });
    /* A shadow under half of a rim: darker beyond it there, brighter on the other half. Of a tap it would be any line. */
    const line = even ?? (tapMm === Infinity ? steadiest({ ...of, either: true }) : undefined);
    if (!line) return undefined;
    halfLit = even === undefined;
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
  /* One light to each side is what the rim's model knows. */
  const edge = halfLit ? result : edgeByItsRim(plane, result, mm, tapMm === Infinity);
  return { ...edge, off: Math.hypot(edge.off, doubt) };
}

/** An edge by a model of its light: upper rim, wall below it where that shows. */
function edgeByItsRim(plane: Plane, edge: Edge, mm: number, lower: boolean): Edge {
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
  const fit = edgeRim(rows, { lean, sigma, before, behind, lower });
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
function steadiest({
  rows,
  reach,
  mm,
  away,
  tapMm,
  either,
}: {
  rows: readonly Row[];
  reach: number;
  mm: number;
  away: number;
  tapMm: number;
  /** Whether it may turn brighter along one part of it and darker along another. */
  either: boolean;
}): { at: number; slope: number; rms: number; on: { t: number }[]; doubt: number } | undefined {
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
    if (Math.abs(p.t - q.t) < long / 5 || (!either && Math.sign(p.step) !== Math.sign(q.step)))
      continue;
    const slope = (q.at - p.at) / (q.t - p.t);
    if (Math.abs(slope) > 0.15) continue;
    const at = p.at - slope * p.t;
    let [score, count] = [0, 0];
    for (const { t, peaks } of rows) {
      const hit = peaks.find(
        (peak) =>
          (either || Math.sign(peak.step) === Math.sign(p.step)) &&
          Math.abs(peak.at - at - slope * t) <= near,
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
      .filter((peak) => either || Math.sign(peak.step) === sign)
      .map((peak) => ({
        t,
        at: peak.at,
        step: peak.step,
        away: Math.abs(peak.at - chosen.at - chosen.slope * t),
      }))
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
  if (on.length < rows.length * (either ? MOSTLY : 0.5)) return undefined;
  if (either && flips(on.map(({ step }) => step)) > 1) return undefined;
  return { at, slope, rms, on, doubt: twin < 1.6 ? twin * DOUBT : 0 };
}

/** A rim under half of which a shadow lies is borne out by so much of its length, its light turned over once. */
const MOSTLY = 0.85;
const flips = (steps: readonly number[]): number =>
  steps.filter((step, i) => i > 0 && Math.sign(step) !== Math.sign(steps[i - 1] ?? 0)).length;

/** A line close beside another is the wrong one of the two so often, as a share of what lies between (by the rendered pictures of the bench). */
const DOUBT = 0.22;
