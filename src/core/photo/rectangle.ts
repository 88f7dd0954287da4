import { edgeAlong, type Edge } from './edge.ts';
import {
  lightAt,
  median,
  peaksOf,
  pixelMm,
  profileOf,
  type At,
  type Peak,
  type Plane,
} from './plane.ts';

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

/** How much the smaller of two nearly alike is preferred (by the rendered pictures of the bench). */
const INNER = 3;
/** Light beyond a side is read at so many places along it, mm from its middle: a hole or a scratch there says nothing. */
const BESIDE_MM = [-3, -1.5, 0, 1.5, 3];

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
        const beyond = BESIDE_MM.map((by) => (axis === 'u' ? light(out, by) : light(by, out)));
        top.push({ ...each, behind: median(beyond) });
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
            four.reduce((sum, { n }) => sum + n, 0) * (0.3 + 0.7 * even) - INNER * Math.log(size);
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
