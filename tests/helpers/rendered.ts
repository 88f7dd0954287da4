import { codesOf, CODE_MM, matPapers, squaresOf, type MatPaper } from '../../src/core/photo/mat.ts';
import type { Pixels } from '../../src/core/photo/picture.ts';

/**
 * Pictures drawn by rays, with known truth: a mat on a table, a plate over it with round and square holes, seen
 * through a lens that distorts, lit unevenly, smeared, with noise. Written apart from what it tests: rays are
 * thrown from the camera, nothing is projected.
 */
export interface Scene {
  width: number;
  height: number;
  /** Focal length, px; middle, px; distortion as d = 1 + k1 r² + k2 r⁴. */
  f: number;
  cx: number;
  cy: number;
  k1: number;
  k2: number;
  /** Where the camera stands over the mat and what it looks at, mm (x right, y down the sheet, z up), and its roll, rad. */
  eye: readonly [number, number, number];
  target: readonly [number, number];
  roll: number;
  paper: MatPaper;
  /** A printed millimetre, mm. */
  printed?: readonly [number, number];
  plate?: Plate;
  /** Smear, px; noise, of 255 levels, one standard deviation; light falls off by so much across the picture. */
  blur: number;
  noise: number;
  fall: number;
  seed: number;
}

export interface Plate {
  /** Middle, half sizes, mm; how far it is turned, rad. */
  x: number;
  y: number;
  halfX: number;
  halfY: number;
  turned: number;
  /** Its upper face over the mat, and its thickness, mm. */
  top: number;
  thick: number;
  /** In the plate's own frame, from its middle, mm. */
  holes: { x: number; y: number; r: number }[];
  openings: { x0: number; x1: number; y0: number; y1: number; r: number }[];
  /** Brightness of face, wall of holes, and of its sides; shadow on the mat. */
  face: number;
  wall: number;
  shadow: boolean;
  /** A painted stroke, to be mistaken for an edge. */
  strokes: { x0: number; x1: number; y0: number; y1: number; light: number }[];
}

/** What is left of light in shadow, and what paper is there. */
const SHADE = 0.4;
const SHADED = 0.82 * SHADE;

export function seeded(seed: number): {
  even: (lo: number, hi: number) => number;
  normal: () => number;
} {
  let state = seed % 2147483647 || 1;
  const one = () => (state = (state * 48271) % 2147483647) / 2147483647;
  for (let i = 0; i < 5; i += 1) one();
  return {
    even: (lo, hi) => lo + (hi - lo) * one(),
    normal: () => Math.sqrt(-2 * Math.log(one() + 1e-12)) * Math.cos(2 * Math.PI * one()),
  };
}

/** A plate's own place on the mat, mm. */
export const onMat = ({ x, y, turned }: Plate, at: { x: number; y: number }) => ({
  x: x + at.x * Math.cos(turned) - at.y * Math.sin(turned),
  y: y + at.x * Math.sin(turned) + at.y * Math.cos(turned),
});

/** Axes of the camera in the mat's frame: right, down, ahead. */
function axes({ eye, target, roll }: Scene): [number, number, number][] {
  const ahead = [target[0] - eye[0], target[1] - eye[1], -eye[2]];
  const long = Math.hypot(...ahead);
  const [ax, ay, az] = ahead.map((v) => v / long) as [number, number, number];
  /* Down the picture is as near to down the sheet as may be, then rolled. */
  const dot = ay;
  const down = [-dot * ax, 1 - dot * ay, -dot * az];
  const size = Math.hypot(...down);
  const [dx, dy, dz] = down.map((v) => v / size) as [number, number, number];
  /* x right, y down the sheet, z up: left-handed, so right = ahead × down. */
  const right = [ay * dz - az * dy, az * dx - ax * dz, ax * dy - ay * dx] as const;
  const sign = right[0] < 0 ? -1 : 1;
  const r = right.map((v) => v * sign);
  const [c, s] = [Math.cos(roll), Math.sin(roll)];
  const R = [0, 1, 2].map((i) => r[i]! * c + [dx, dy, dz][i]! * s) as [number, number, number];
  const D = [0, 1, 2].map((i) => -r[i]! * s + [dx, dy, dz][i]! * c) as [number, number, number];
  return [R, D, [ax, ay, az]];
}

/** Where a place over the mat lands in the picture, px. */
export function pixelOf(scene: Scene, x: number, y: number, z: number): { u: number; v: number } {
  const d = [x - scene.eye[0], y - scene.eye[1], z - scene.eye[2]];
  const [r = 0, b = 0, a = 1] = axes(scene).map((axis) =>
    axis.reduce((sum, value, i) => sum + value * d[i]!, 0),
  );
  const [p, q] = [r / a, b / a];
  const r2 = p * p + q * q;
  const by = scene.f * (1 + r2 * (scene.k1 + r2 * scene.k2));
  return { u: scene.cx + by * p, v: scene.cy + by * q };
}

function insideRounded(x: number, y: number, o: Plate['openings'][number]): boolean {
  if (x < o.x0 || x > o.x1 || y < o.y0 || y > o.y1) return false;
  const cx = Math.max(o.x0 + o.r, Math.min(o.x1 - o.r, x));
  const cy = Math.max(o.y0 + o.r, Math.min(o.y1 - o.r, y));
  return Math.hypot(x - cx, y - cy) <= o.r || (cx === x && cy === y);
}

/** Brightness along each ray, then smear, noise and the figures of a picture file. */
export function rendered(scene: Scene): Pixels {
  const { width, height, f, cx, cy, k1, k2, eye, paper, plate } = scene;
  const [R = [], D = [], A = []] = axes(scene) as number[][];
  const [px, py] = scene.printed ?? [1, 1];
  const sheet = matPapers[paper];
  const codes = codesOf(paper).map((code) => ({ ...code, squares: squaresOf(code.id) }));
  const rim = 11 + CODE_MM;
  const mat = (mx: number, my: number): number => {
    const [x, y] = [mx / px, my / py];
    if (x < 0 || y < 0 || x > sheet.width || y > sheet.height) return 0.11;
    if (x > rim && x < sheet.width - rim && y > rim && y < sheet.height - rim) return 0.82;
    for (const code of codes) {
      const [a, b] = [x - code.x, y - code.y];
      if (a < 0 || b < 0 || a >= CODE_MM || b >= CODE_MM) continue;
      return code.squares[Math.floor((b / CODE_MM) * 8)]![Math.floor((a / CODE_MM) * 8)]
        ? 0.82
        : 0.035;
    }
    return 0.82;
  };
  const own = plate && { cos: Math.cos(plate.turned), sin: Math.sin(plate.turned) };
  const frame = (x: number, y: number): [number, number] => {
    const [a, b] = [x - plate!.x, y - plate!.y];
    return [a * own!.cos + b * own!.sin, -a * own!.sin + b * own!.cos];
  };
  const inOutline = (a: number, b: number) =>
    Math.abs(a) <= plate!.halfX && Math.abs(b) <= plate!.halfY;
  /* Which gap of the plate a place lies in: none is -1. */
  const gapAt = (a: number, b: number): number => {
    const { holes, openings } = plate!;
    for (let i = 0; i < holes.length; i += 1) {
      const h = holes[i]!;
      if ((a - h.x) ** 2 + (b - h.y) ** 2 <= h.r * h.r) return i;
    }
    for (let i = 0; i < openings.length; i += 1)
      if (insideRounded(a, b, openings[i]!)) return holes.length + i;
    return -1;
  };
  const light = (dx: number, dy: number, dz: number): number => {
    if (plate) {
      const k = (plate.top - eye[2]) / dz;
      const [a, b] = frame(eye[0] + dx * k, eye[1] + dy * k);
      const low = (plate.top - plate.thick - eye[2]) / dz;
      const [la, lb] = frame(eye[0] + dx * low, eye[1] + dy * low);
      if (inOutline(a, b)) {
        const gap = gapAt(a, b);
        if (gap < 0) {
          for (const s of plate.strokes)
            if (a >= s.x0 && a <= s.x1 && b >= s.y0 && b <= s.y1) return s.light;
          return plate.face;
        }
        if (gapAt(la, lb) !== gap) return plate.wall;
      } else if (inOutline(la, lb)) return plate.wall;
    }
    const k = -eye[2] / dz;
    const [x, y] = [eye[0] + dx * k, eye[1] + dy * k];
    let value = mat(x, y);
    if (plate?.shadow) {
      const [a, b] = frame(x + plate.top * 0.5, y + plate.top * 0.3);
      if (inOutline(a, b) && gapAt(a, b) < 0) value *= SHADE;
    }
    return value;
  };
  /* The ray of a far-off pixel: r (1 + k1 r² + k2 r⁴) = far, turned round by halving. */
  const undone = (far: number): number => {
    let r = far;
    for (let i = 0; i < 8; i += 1) {
      const r2 = r * r;
      r = far / (1 + r2 * (k1 + r2 * k2));
    }
    return r;
  };
  const out = new Float32Array(width * height);
  const SUB = [-0.25, 0.25];
  for (let v = 0; v < height; v += 1)
    for (let u = 0; u < width; u += 1) {
      let sum = 0;
      for (const sv of SUB)
        for (const su of SUB) {
          const [a, b] = [(u + su - cx) / f, (v + sv - cy) / f];
          const far = Math.hypot(a, b);
          const by = far < 1e-9 ? 1 : undone(far) / far;
          const [x, y] = [a * by, b * by];
          sum += light(
            R[0]! * x + D[0]! * y + A[0]!,
            R[1]! * x + D[1]! * y + A[1]!,
            R[2]! * x + D[2]! * y + A[2]!,
          );
        }
      out[v * width + u] = sum / 4;
    }
  return developed(scene, smeared(out, width, height, scene.blur));
}

function smeared(from: Float32Array, width: number, height: number, sigma: number): Float32Array {
  if (sigma <= 0.05) return from;
  const half = Math.ceil(sigma * 3);
  const kernel = Array.from({ length: 2 * half + 1 }, (_, i) =>
    Math.exp(-((i - half) ** 2) / (2 * sigma * sigma)),
  );
  const total = kernel.reduce((a, b) => a + b, 0);
  const middle = new Float32Array(from.length);
  const out = new Float32Array(from.length);
  for (let v = 0; v < height; v += 1)
    for (let u = 0; u < width; u += 1) {
      let sum = 0;
      for (let k = -half; k <= half; k += 1)
        sum += kernel[k + half]! * from[v * width + Math.max(0, Math.min(width - 1, u + k))]!;
      middle[v * width + u] = sum / total;
    }
  for (let v = 0; v < height; v += 1)
    for (let u = 0; u < width; u += 1) {
      let sum = 0;
      for (let k = -half; k <= half; k += 1)
        sum += kernel[k + half]! * middle[Math.max(0, Math.min(height - 1, v + k)) * width + u]!;
      out[v * width + u] = sum / total;
    }
  return out;
}

function developed({ width, height, noise, fall, seed }: Scene, light: Float32Array): Pixels {
  const roll = seeded(seed + 17);
  const data = new Uint8ClampedArray(width * height * 4);
  for (let v = 0; v < height; v += 1)
    for (let u = 0; u < width; u += 1) {
      const i = v * width + u;
      const lit = light[i]! * (1 - fall * (0.7 * (u / width) + 0.3 * (v / height)));
      const s = lit <= 0.0031308 ? lit * 12.92 : 1.055 * lit ** (1 / 2.4) - 0.055;
      const value = 255 * s + noise * roll.normal();
      data.set([value, value, value, 255], i * 4);
    }
  return { width, height, data };
}

/** A picture of a plate over an A4 mat at random: tilt to 40 degrees, lens, noise, blur, light, height. */
export function randomScene(seed: number, size = 2000): Scene {
  const roll = seeded(seed * 7919 + 3);
  const { even } = roll;
  const [width, height] = [Math.round(size * 0.75), size];
  const diagonal = Math.hypot(width, height);
  const paper: MatPaper = 'A4';
  const f = (even(23, 29) / 43.267) * diagonal;
  const tilt = (even(0, 40) * Math.PI) / 180;
  const around = even(0, 2 * Math.PI);
  /* Near enough that the sheet fills the picture. */
  const far = (297 * f) / (height * 0.86) + 90 * Math.sin(tilt);
  const target = [105 + even(-6, 6), 148 + even(-8, 8)] as const;
  const thick = even(0.8, 2);
  const holes: Plate['holes'] = [];
  const plate: Plate = {
    x: 105 + even(-4, 4),
    y: 148 + even(-6, 6),
    halfX: even(60, 70),
    halfY: even(80, 105),
    turned: even(-0.12, 0.12),
    top: even(thick, 26),
    thick,
    holes,
    openings: [
      { x0: -45, x1: even(5, 40), y0: -60, y1: even(-40, -28), r: even(0, 2) },
      { x0: -30, x1: -30 + even(6, 14), y0: 44, y1: 44 + even(4, 12), r: even(0, 0.6) },
    ],
    face: even(0.12, 0.65),
    wall: even(0.02, 0.6),
    shadow: even(0, 1) > 0.5,
    strokes: [{ x0: -50, x1: -10, y0: 20, y1: 21, light: even(0.02, 0.8) }],
  };
  /* What is as bright as what lies round it is seen by nobody. */
  if (Math.abs(plate.wall - plate.face) < 0.08) plate.wall = plate.face * 0.4;
  if (Math.abs(plate.face - SHADED) < 0.12 || plate.top < 8) plate.shadow = false;
  for (const [x, y] of [
    [-50, -72],
    [52, -70],
    [50, 0],
    [-52, 10],
    [48, 70],
    [0, 62],
  ] as const)
    holes.push({ x: x + even(-2, 2), y: y + even(-2, 2), r: even(1.4, 3.2) });
  return {
    width,
    height,
    f,
    cx: (width - 1) / 2 + even(-0.01, 0.01) * diagonal,
    cy: (height - 1) / 2 + even(-0.01, 0.01) * diagonal,
    k1: even(-0.12, 0.12),
    k2: even(-0.05, 0.05),
    eye: [
      target[0] + far * Math.sin(tilt) * Math.cos(around),
      target[1] + far * Math.sin(tilt) * Math.sin(around),
      far * Math.cos(tilt),
    ],
    target,
    roll: even(-0.3, 0.3),
    paper,
    plate,
    blur: even(0.5, 1.5),
    noise: even(0.5, 4),
    fall: even(0, 0.5),
    seed,
  };
}
