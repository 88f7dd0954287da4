/**
 * A pinhole with radial distortion, as cameras are described in the literature (Brown's model, two terms):
 * x' = X/Z, d = 1 + k1 r² + k2 r⁴, u = cx + f d x'. Pixels count from the middle of the upper left one; y runs down.
 */
export interface Lens {
  /** Focal length, px. */
  f: number;
  cx: number;
  cy: number;
  k1: number;
  k2: number;
}

/** Where the camera stands: a turn (axis times angle, rad) and a shift, mm, from mat to camera. */
export interface Pose {
  turn: readonly [number, number, number];
  shift: readonly [number, number, number];
}

/** On the mat: x to the right, y down the sheet, z up toward the eye, mm. */
export interface Point3 {
  x: number;
  y: number;
  z: number;
}
export interface Pixel {
  u: number;
  v: number;
}

export type Turn = readonly [
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
];

/** The matrix of a turn, row by row (Rodrigues). */
export function turnOf([a, b, c]: Pose['turn']): Turn {
  const angle = Math.hypot(a, b, c);
  if (angle < 1e-12) return [1, -c, b, c, 1, -a, -b, a, 1];
  const [x, y, z] = [a / angle, b / angle, c / angle];
  const [s, k] = [Math.sin(angle), Math.cos(angle)];
  const t = 1 - k;
  return [
    k + x * x * t,
    x * y * t - z * s,
    x * z * t + y * s,
    y * x * t + z * s,
    k + y * y * t,
    y * z * t - x * s,
    z * x * t - y * s,
    z * y * t + x * s,
    k + z * z * t,
  ];
}

/** Axis times angle of a matrix, row by row. */
export function axisOf(m: Turn): Pose['turn'] {
  const cos = Math.max(-1, Math.min(1, (m[0] + m[4] + m[8] - 1) / 2));
  const angle = Math.acos(cos);
  if (angle < 1e-9) return [0, 0, 0];
  if (Math.PI - angle < 1e-4) {
    const axis = [m[0], m[4], m[8]].map((d) => Math.sqrt(Math.max(0, (d + 1) / 2)));
    const [x = 0, y = 0, z = 0] = axis;
    const big = x >= y && x >= z ? 0 : y >= z ? 1 : 2;
    const sign = (value: number, with_: number) => (with_ < 0 ? -value : value);
    if (big === 0) return [x * angle, sign(y, m[1]) * angle, sign(z, m[2]) * angle];
    if (big === 1) return [sign(x, m[1]) * angle, y * angle, sign(z, m[5]) * angle];
    return [sign(x, m[2]) * angle, sign(y, m[5]) * angle, z * angle];
  }
  const by = angle / (2 * Math.sin(angle));
  return [(m[7] - m[5]) * by, (m[2] - m[6]) * by, (m[3] - m[1]) * by];
}

/** Where a point of the mat lands in the picture, px; undefined behind the camera. */
export function project(lens: Lens, turn: Turn, { shift }: Pose, at: Point3): Pixel | undefined {
  /* The mat's z points to the eye; the camera's away from it. */
  const [X, Y, Z] = [at.x, at.y, -at.z];
  const z = turn[6] * X + turn[7] * Y + turn[8] * Z + shift[2];
  if (z <= 1e-6) return undefined;
  const x = (turn[0] * X + turn[1] * Y + turn[2] * Z + shift[0]) / z;
  const y = (turn[3] * X + turn[4] * Y + turn[5] * Z + shift[1]) / z;
  const r2 = x * x + y * y;
  const d = 1 + r2 * (lens.k1 + r2 * lens.k2);
  return { u: lens.cx + lens.f * d * x, v: lens.cy + lens.f * d * y };
}

/** A pixel without the lens's distortion: x', y' of the pinhole. */
export function straight(lens: Lens, { u, v }: Pixel): { x: number; y: number } {
  const [dx, dy] = [(u - lens.cx) / lens.f, (v - lens.cy) / lens.f];
  const far = Math.hypot(dx, dy);
  if (far < 1e-12) return { x: dx, y: dy };
  /* r (1 + k1 r² + k2 r⁴) = far, by Newton. */
  let r = far;
  for (let i = 0; i < 12; i += 1) {
    const r2 = r * r;
    const at = r * (1 + r2 * (lens.k1 + r2 * lens.k2)) - far;
    const slope = 1 + r2 * (3 * lens.k1 + 5 * r2 * lens.k2);
    if (Math.abs(slope) < 1e-6) break;
    r -= at / slope;
    if (Math.abs(at) < 1e-13) break;
  }
  return { x: (dx * r) / far, y: (dy * r) / far };
}

/** Where the ray through a pixel meets the plane at a height above the mat, mm; undefined where it does not. */
export function meet(
  lens: Lens,
  turn: Turn,
  { shift }: Pose,
  pixel: Pixel,
  height: number,
): { x: number; y: number } | undefined {
  const ray = straight(lens, pixel);
  const [sx, sy, sz] = shift;
  /* Direction and origin back in the mat's frame: Rᵀ d and -Rᵀ t. */
  const d = [0, 1, 2].map((i) => turn[i]! * ray.x + turn[i + 3]! * ray.y + turn[i + 6]!);
  const o = [0, 1, 2].map((i) => -(turn[i]! * sx + turn[i + 3]! * sy + turn[i + 6]! * sz));
  const [dx = 0, dy = 0, dz = 0] = d;
  const [ox = 0, oy = 0, oz = 0] = o;
  if (Math.abs(dz) < 1e-9) return undefined;
  const k = (-height - oz) / dz;
  return k > 0 ? { x: ox + k * dx, y: oy + k * dy } : undefined;
}

/** The camera's place over the mat, mm. */
export function standsAt(turn: Turn, { shift: [x, y, z] }: Pose): Point3 {
  const at = (i: number) => -((turn[i] ?? 0) * x + (turn[i + 3] ?? 0) * y + (turn[i + 6] ?? 0) * z);
  return { x: at(0), y: at(1), z: -at(2) };
}
