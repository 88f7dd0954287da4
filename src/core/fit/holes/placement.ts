/**
 * A rigid placement of measured points on a pattern, mirrored or not, by least squares.
 *
 *   pattern = turn · (mirror) measured + shift
 *
 * In the plane the best turn has a closed form: with both sets about their centroids, the angle
 * is that of Σ conj(p)·q taken as complex numbers. Method: orthogonal Procrustes in two dimensions.
 */
export interface Point {
  x: number;
  y: number;
}

export interface Placement {
  mirrored: boolean;
  /** Radians, counter-clockwise, after mirroring. */
  turn: number;
  shift: Point;
}

export function placed(placement: Placement, point: Point): Point {
  const x = placement.mirrored ? -point.x : point.x;
  const [c, s] = [Math.cos(placement.turn), Math.sin(placement.turn)];
  return {
    x: c * x - s * point.y + placement.shift.x,
    y: s * x + c * point.y + placement.shift.y,
  };
}

/** The placement that brings `from` onto `to`, point by point; both in mm, at least two points. */
export function fitPlacement(
  from: readonly Point[],
  to: readonly Point[],
  mirrored: boolean,
): Placement {
  const sign = mirrored ? -1 : 1;
  const a = centroid(from.map((point) => ({ x: sign * point.x, y: point.y })));
  const b = centroid(to);
  let dot = 0;
  let cross = 0;
  from.forEach((point, i) => {
    const q = to[i] ?? b;
    const [px, py] = [sign * point.x - a.x, point.y - a.y];
    const [qx, qy] = [q.x - b.x, q.y - b.y];
    dot += px * qx + py * qy;
    cross += px * qy - py * qx;
  });
  const turn = Math.atan2(cross, dot);
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return {
    mirrored,
    turn,
    shift: { x: b.x - (c * a.x - s * a.y), y: b.y - (s * a.x + c * a.y) },
  };
}

function centroid(points: readonly Point[]): Point {
  const sum = points.reduce((total, point) => ({ x: total.x + point.x, y: total.y + point.y }), {
    x: 0,
    y: 0,
  });
  return { x: sum.x / points.length, y: sum.y / points.length };
}

export const distance = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);
