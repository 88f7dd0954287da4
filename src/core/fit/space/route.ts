/**
 * The shortest rectilinear path between two points round axis-parallel rectangles, mm: exact in
 * the L1 metric, by Dijkstra on the grid of all rectangle edges (shortest paths among such
 * obstacles bend only on those lines: de Rezende, Lee and Wu, 1989, from memory).
 */
export interface Rect {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

export interface Spot {
  x: number;
  y: number;
}

/** Path length, mm, and its corners; undefined when the obstacles close the way. */
export function route(
  from: Spot,
  to: Spot,
  rects: readonly Rect[],
  bounds: Rect,
): { mm: number; path: Spot[] } | undefined {
  const inside = (rect: Rect, x: number, y: number) =>
    x > rect.x0 + 1e-9 && x < rect.x1 - 1e-9 && y > rect.y0 + 1e-9 && y < rect.y1 - 1e-9;
  /* A lead may start or end within the part it belongs to. */
  const walls = rects.filter((rect) => !inside(rect, from.x, from.y) && !inside(rect, to.x, to.y));
  const straight = corner(from, to, walls, bounds);
  if (straight) return straight;
  const xs = lines(
    [from.x, to.x, ...walls.flatMap((rect) => [rect.x0, rect.x1])],
    bounds.x0,
    bounds.x1,
  );
  const ys = lines(
    [from.y, to.y, ...walls.flatMap((rect) => [rect.y0, rect.y1])],
    bounds.y0,
    bounds.y1,
  );
  const cols = xs.length;
  const dist = new Float64Array(cols * ys.length).fill(Infinity);
  const came = new Int32Array(cols * ys.length).fill(-1);
  const done = new Uint8Array(cols * ys.length);
  const start = ys.indexOf(from.y) * cols + xs.indexOf(from.x);
  const goal = ys.indexOf(to.y) * cols + xs.indexOf(to.x);
  if (start < 0 || goal < 0) return undefined;
  dist[start] = 0;
  const edge = [start];
  for (;;) {
    let nearest = 0;
    for (let i = 1; i < edge.length; i += 1)
      if (dist[edge[i]!]! < dist[edge[nearest]!]!) nearest = i;
    const at = edge[nearest];
    if (at === undefined) return undefined;
    if (at === goal) break;
    edge[nearest] = edge[edge.length - 1]!;
    edge.pop();
    if (done[at]) continue;
    done[at] = 1;
    const i = at % cols;
    const j = Math.floor(at / cols);
    for (const [di, dj] of neighbours) {
      const ni = i + di;
      const nj = j + dj;
      if (ni < 0 || nj < 0 || ni >= cols || nj >= ys.length) continue;
      const mx = (xs[i]! + xs[ni]!) / 2;
      const my = (ys[j]! + ys[nj]!) / 2;
      if (walls.some((rect) => inside(rect, mx, my))) continue;
      const next = nj * cols + ni;
      const mm = dist[at]! + Math.abs(xs[ni]! - xs[i]!) + Math.abs(ys[nj]! - ys[j]!);
      if (mm < dist[next]! - 1e-9) {
        dist[next] = mm;
        came[next] = at;
        edge.push(next);
      }
    }
  }
  const path: Spot[] = [];
  for (let at = goal; at >= 0; at = came[at]!)
    path.unshift({ x: xs[at % cols]!, y: ys[Math.floor(at / cols)]! });
  return { mm: dist[goal]!, path };
}

const neighbours = [
  [1, 0],
  [-1, 0],
  [0, 1],
  [0, -1],
] as const;

/** No way is shorter than one corner: where nothing stands in its way the grid need not be looked at. */
function corner(
  from: Spot,
  to: Spot,
  walls: readonly Rect[],
  { x0, y0, x1, y1 }: Rect,
): { mm: number; path: Spot[] } | undefined {
  const within = ({ x, y }: Spot) => x >= x0 && x <= x1 && y >= y0 && y <= y1;
  if (!within(from) || !within(to)) return undefined;
  const free = (a: Spot, b: Spot) =>
    !walls.some(
      (rect) =>
        Math.max(a.x, b.x) > rect.x0 + 1e-9 &&
        Math.min(a.x, b.x) < rect.x1 - 1e-9 &&
        Math.max(a.y, b.y) > rect.y0 + 1e-9 &&
        Math.min(a.y, b.y) < rect.y1 - 1e-9,
    );
  const mm = Math.abs(from.x - to.x) + Math.abs(from.y - to.y);
  for (const bend of [
    { x: to.x, y: from.y },
    { x: from.x, y: to.y },
  ])
    if (free(from, bend) && free(bend, to)) return { mm, path: [from, bend, to] };
  return undefined;
}

const lines = (values: number[], least: number, most: number) =>
  [...new Set(values.filter((value) => value >= least && value <= most))].sort((a, b) => a - b);
