import { edgeAlong, THICK_MM, type Edge } from './edge.ts';
import {
  leanAt,
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
  /** What the less sure of its sides may be off by, mm, one standard deviation: by the two edges it lies between. */
  off: number;
}

/** The rectangle round a tap, its four edges each drawn tight; undefined where they do not close. */
export function rectangleRound(plane: Plane, tap: At, most = 260): Rectangle | undefined {
  const mm = pixelMm(plane, tap);
  if (!(mm > 0)) return undefined;
  const pitch = Math.max(mm, 0.1);
  const smooth = Math.max(1.5, plane.blur);
  const lead = (Math.ceil(smooth * 3) + 2) * pitch;
  const firsts: { angle: number; peaks: Peak[] }[] = [];
  for (let i = 0; i < RAYS; i += 1) {
    const angle = (2 * Math.PI * i) / RAYS;
    const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
    /* From behind the tap: a rim close before it is smoothed with what lies there. */
    const from = { x: tap.x - dx * lead, y: tap.y - dy * lead };
    const whole = profileOf(plane, from, dx, dy, most + lead, pitch);
    const end = whole.findIndex(Number.isNaN);
    const profile = end < 0 ? whole : whole.subarray(0, end);
    const peaks = peaksOf(profile, pitch, smooth).map((peak) => ({ ...peak, at: peak.at - lead }));
    firsts.push({ angle, peaks: peaks.filter(({ at }) => at > 0) });
  }
  const strengths = firsts
    .map(({ peaks }) => Math.max(0, ...peaks.map(({ step }) => Math.abs(step))))
    .sort((a, b) => a - b);
  const bar = Math.max(0.025, (strengths[Math.floor(RAYS / 2)] ?? 0) * 0.15);
  const hits = firsts.flatMap(({ angle, peaks }, ray) =>
    peaks
      .filter(({ step }) => Math.abs(step) >= bar)
      .slice(0, 4)
      .map(({ at }) => ({ ray, x: Math.cos(angle) * at, y: Math.sin(angle) * at })),
  );
  if (new Set(hits.map(({ ray }) => ray)).size < RAYS * 0.6) return undefined;
  const near = Math.max(2 * mm, 0.4);
  let best: Sides & { turn: number } = { score: 0, ends: 0, turn: 0, sides: [] };
  for (let turn = -45; turn < 45; turn += 0.5) {
    const found = closed(plane, tap, hits, (turn * Math.PI) / 180, near, best.score);
    if (found) best = { ...found, turn };
  }
  if (best.ends < RAYS * 0.5) return undefined;
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
    off: Math.max(
      Math.hypot(edges[0]!.off, edges[2]!.off),
      Math.hypot(edges[1]!.off, edges[3]!.off),
    ),
  };
}

/** So many rays are looked along. */
const RAYS = 120;
/** No nearer to a side is tapped, mm. */
const TAP_MM = 0.2;
/** How much the smaller of two nearly alike is preferred (by the rendered pictures of the bench). */
const INNER = 5;
/** Light falls off by so much of itself per mm at the most. */
const FALL = 0.003;
/** Light beyond a side is read at so many places along it, mm from its middle: a hole or a scratch there says nothing. */
const BESIDE_MM = [-3, -1.5, 0, 1.5, 3];

/** Sides are looked for among so many on each hand. */
const SIDES = 4;

interface Sides {
  /** Of two the better has the higher one. */
  score: number;
  /** How many rays end at them, fewer where their outside is of unlike light. */
  ends: number;
  /** Right, left, down, up, mm from the tap. */
  sides: number[];
}

/**
 * Four sides round a tap at one turn: those most rays end at, whose outside is of one light all round; a shadow's
 * edge inside an opening has another light behind it than its rim. Of two alike the inner one.
 */
function closed(
  plane: Plane,
  tap: At,
  hits: readonly (At & { ray: number })[],
  turn: number,
  near: number,
  over: number,
): Sides | undefined {
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const turned = hits.map(({ ray, x, y }) => ({ ray, u: x * c + y * s, v: -x * s + y * c }));
  const lean = leanAt(plane, tap);
  const light = (u: number, v: number) =>
    lightAt(plane, tap.x + u * c - v * s, tap.y + u * s + v * c);
  const hands = (['u', 'v'] as const).flatMap((axis) =>
    [1, -1].map((sign) => {
      /* A wall shows on the side away from the camera's foot: light is read beyond it. */
      const away = -sign * (axis === 'u' ? c * lean.x + s * lean.y : c * lean.y - s * lean.x);
      const wall = Math.max(0, away) * lean.lean * THICK_MM;
      const own = turned
        .filter((hit) => hit[axis] * sign > TAP_MM)
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
        const out = sign * (each.at + Math.max(1.6, near * 3) + wall);
        const beyond = BESIDE_MM.map((by) => (axis === 'u' ? light(out, by) : light(by, out)));
        top.push({ ...each, behind: median(beyond) });
      }
      return top;
    }),
  );
  const [rights = [], lefts = [], downs = [], ups = []] = hands;
  let best: Sides | undefined;
  for (const right of rights)
    for (const left of lefts)
      for (const down of downs)
        for (const up of ups) {
          const four = [right, left, down, up];
          const mean = four.reduce((sum, { behind }) => sum + behind, 0) / 4;
          const apart = Math.max(
            ...four.map(({ at, behind }) => Math.abs(behind / mean - 1) - FALL * at),
            0,
          );
          const even = Number.isNaN(apart) ? 0.3 : 1 / (1 + (apart / 0.15) ** 2);
          const small = INNER * Math.log((right.at + left.at) * (down.at + up.at));
          const light = 0.3 + 0.7 * even;
          const most = Math.min(
            RAYS,
            four.reduce((sum, { n }) => sum + n, 0),
          );
          if (most * light - small <= (best?.score ?? over)) continue;
          const sides = [right.at, -left.at, down.at, -up.at];
          const ends = endingAt(turned, sides, near) * light;
          const score = ends - small;
          if (score > (best?.score ?? over)) best = { score, ends, sides };
        }
  return best;
}

/** How many rays end, once or more, at a rectangle: at the side they meet first. */
function endingAt(
  turned: readonly { ray: number; u: number; v: number }[],
  [right = 0, left = 0, down = 0, up = 0]: readonly number[],
  near: number,
): number {
  let count = 0;
  let last = -1;
  for (const { ray, u, v } of turned) {
    if (ray === last) continue;
    const [wide, tall] = [u > 0 ? right : -left, v > 0 ? down : -up];
    const across =
      Math.abs(u) * tall > Math.abs(v) * wide ? Math.abs(u) - wide : Math.abs(v) - tall;
    if (Math.abs(across) > near) continue;
    count += 1;
    last = ray;
  }
  return count;
}

function meeting(one: Edge, two: Edge): At | undefined {
  const by = one.dx * two.dy - one.dy * two.dx;
  if (Math.abs(by) < 1e-6) return undefined;
  const k = ((two.x - one.x) * two.dy - (two.y - one.y) * two.dx) / by;
  return { x: one.x + one.dx * k, y: one.y + one.dy * k };
}
