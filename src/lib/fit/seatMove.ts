/** A part in hand moves only along the lines from where it is to where it may go; px. */
export interface Rect {
  x: number;
  y: number;
  w: number;
  h: number;
}

export interface Moved {
  x: number;
  y: number;
}

const middle = (rect: Rect) => ({ x: rect.x + rect.w / 2, y: rect.y + rect.h / 2 });

/** How far along the line from home to a place the hand went: 0 at home, 1 there. */
export function share(home: Rect, place: Rect, moved: Moved): number {
  const [a, b] = [middle(home), middle(place)];
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const length = dx * dx + dy * dy;
  if (length === 0) return 0;
  return Math.min(1, Math.max(0, (moved.x * dx + moved.y * dy) / length));
}

/** The place whose line the hand follows best; undefined while it has not left home. The first rect is home. */
export function nearestWay(rects: readonly Rect[], moved: Moved): number | undefined {
  const home = rects[0];
  if (!home) return undefined;
  let best: { i: number; off: number } | undefined;
  rects.forEach((rect, i) => {
    if (i === 0) return;
    const t = share(home, rect, moved);
    if (t === 0) return;
    const [a, b] = [middle(home), middle(rect)];
    const off = Math.hypot(moved.x - (b.x - a.x) * t, moved.y - (b.y - a.y) * t);
    if (!best || off < best.off) best = { i, off };
  });
  return best?.i;
}

/** The part on its way: between home and the place, its size changing with it. */
export function along(home: Rect, place: Rect, moved: Moved): Rect {
  const t = share(home, place, moved);
  const mix = (a: number, b: number) => a + (b - a) * t;
  return {
    x: mix(home.x, place.x),
    y: mix(home.y, place.y),
    w: mix(home.w, place.w),
    h: mix(home.h, place.h),
  };
}

/** The place it drops into when let go: more than half way there, else home. */
export function dropsInto(rects: readonly Rect[], moved: Moved): number {
  const way = nearestWay(rects, moved);
  const home = rects[0];
  const place = way === undefined ? undefined : rects[way];
  return way !== undefined && home && place && share(home, place, moved) > 0.5 ? way : 0;
}
