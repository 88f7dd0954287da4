import { Matrix, inverse, SingularValueDecomposition } from 'ml-matrix';
import {
  axisOf,
  meet,
  project,
  standsAt,
  turnOf,
  type Lens,
  type Pixel,
  type Point3,
  type Pose,
  type Turn,
} from './camera.ts';
import { derivatives, descend } from './leastSquares.ts';

/** A picture as the solver sees it: corners of codes whose place on the mat is known. */
export interface View {
  width: number;
  height: number;
  /** x, y: on the mat, mm; u, v: in the picture, px; off: one standard deviation, px; of: which code they are of. */
  corners: { x: number; y: number; u: number; v: number; off: number; of: number }[];
  /** Focal length as the camera wrote it: as on 35 mm film. */
  film?: number | undefined;
}

/** What the drawn millimetres of the mat may be off by, as shares, one standard deviation, and the place that stays. */
export interface ScaleOff {
  across: number;
  down: number;
  middle: { x: number; y: number };
}

/** A point to be found, seen in one picture or several; its height above the mat as far as it is known, mm. */
export interface Mark {
  height: number;
  heightOff: number;
  seen: { view: number; u: number; v: number; off: number }[];
}

export interface Found {
  at: Point3;
  /** Variances and covariance of x, y and height, mm². */
  xx: number;
  xy: number;
  yy: number;
  zz: number;
}

export interface Solved {
  lens: Lens;
  turn: Turn;
  pose: Pose;
  /** Where the camera stood, mm over the mat. */
  stands: Point3;
}

export interface Solution {
  views: Solved[];
  marks: Found[];
  /** What corners are off by once all is solved, px, and how many codes were left out. */
  rms: number;
  leftOut: number;
  /** Variances of a point of a picture on a plane above the mat, by what is not known of camera and height, mm². */
  spread(view: number, at: Pixel, height: number, heightOff: number): Omit<Found, 'at' | 'zz'>;
}

/** Diagonal of 35 mm film, mm. */
const FILM_MM = 43.267;
/** Main cameras of phones, as on film, and how far they lie apart; what a camera writes itself is better (common practice, no source). */
const USUAL_FILM = { mm: 26, share: 0.15 };
const WRITTEN_SHARE = 0.06;
/** Priors of the rest, one standard deviation: middle as a share of the diagonal, distortion. */
const MIDDLE_SHARE = 0.01;
const K1_OFF = 0.1;
const K2_OFF = 0.06;
/** Nothing on paper is nearer than this, px. */
const LEAST_OFF = 0.05;

const LENS = 5;
const POSE = 6;
const SCALE = 2;

/**
 * All pictures and marks by least squares at once: lens, poses, points, and the mat's own millimetre as far as `scale`
 * leaves it open, for a picture tells how long its two directions are to each other. Throws RangeError where a picture
 * has fewer than four corners.
 */
export function solve(
  views: readonly View[],
  marks: readonly Mark[] = [],
  scale?: ScaleOff,
): Solution {
  const kept = views.map(({ corners }) => corners.map(() => true));
  let state = adjusted(views, marks, kept, scale);
  const leftOut = new Set<string>();
  for (let round = 0; round < 6; round += 1) {
    /* A code half covered has corners far from where it belongs: the worst go, and all is solved again. */
    const codes = views.flatMap(({ corners }, view) =>
      [...new Set(corners.map(({ of }) => of))].map((of) => {
        const own = corners.flatMap((each, i) => (each.of === of && kept[view]![i] ? [i] : []));
        return { view, of, own, off: Math.max(0, ...own.map((i) => state.cornersOff[view]![i]!)) };
      }),
    );
    const worst = Math.max(...codes.map(({ off }) => off));
    const all = codes.map(({ off }) => off).sort((p, q) => p - q);
    const usual = all[Math.floor(all.length / 2)] ?? 0;
    if (worst < Math.max(0.5, 3.5 * usual)) break;
    const far = codes.filter(({ off }) => off > Math.max(0.5, worst * 0.6));
    let dropped = false;
    for (const { view, of, own } of far) {
      const left = new Set(
        views[view]!.corners.flatMap((each, i) => (kept[view]![i] ? [each.of] : [])),
      );
      if (left.size <= 3) continue;
      for (const i of own) kept[view]![i] = false;
      leftOut.add(`${view} ${of}`);
      dropped = true;
    }
    if (!dropped) break;
    state = adjusted(views, marks, kept, scale);
  }
  return { ...state, leftOut: leftOut.size };
}

/** Same camera, same size: one lens for all. */
const sharing = (views: readonly View[]): number[] =>
  views.map((view) =>
    views.findIndex(
      (other) =>
        Math.max(other.width, other.height) === Math.max(view.width, view.height) &&
        other.width === view.width &&
        other.film === view.film,
    ),
  );

interface Start {
  lenses: Lens[];
  focals: { px: number; off: number }[];
  lensOf: number[];
  poses: Pose[];
}

function startOf(views: readonly View[]): Start {
  const first = sharing(views);
  const own = [...new Set(first)];
  const focals = own.map((i) => {
    const { width, height, film } = views[i] as View;
    const px = ((film ?? USUAL_FILM.mm) / FILM_MM) * Math.hypot(width, height);
    return { px, off: px * (film === undefined ? USUAL_FILM.share : WRITTEN_SHARE) };
  });
  const lenses = own.map((i, k): Lens => {
    const { width, height } = views[i] as View;
    return { f: focals[k]!.px, cx: (width - 1) / 2, cy: (height - 1) / 2, k1: 0, k2: 0 };
  });
  const lensOf = first.map((i) => own.indexOf(i));
  const poses = views.map((view, i) => poseOf(view, lenses[lensOf[i]!] as Lens));
  return { lenses, focals, lensOf, poses };
}

/** A first pose from the plane's homography. */
function poseOf({ corners }: View, lens: Lens): Pose {
  if (corners.length < 4) throw new RangeError(`${corners.length} corners: four are the least`);
  const mean = (of: (c: (typeof corners)[number]) => number) =>
    corners.reduce((sum, c) => sum + of(c), 0) / corners.length;
  const [mx, my] = [mean((c) => c.x), mean((c) => c.y)];
  const SIZE = 100;
  const rows = corners.flatMap(({ x, y, u, v }) => {
    const [a, b] = [(x - mx) / SIZE, (y - my) / SIZE];
    const [p, q] = [(u - lens.cx) / lens.f, (v - lens.cy) / lens.f];
    return [
      [a, b, 1, 0, 0, 0, -p * a, -p * b, -p],
      [0, 0, 0, a, b, 1, -q * a, -q * b, -q],
    ];
  });
  let h = leastOf(rows);
  if ((h[8] ?? 0) < 0) h = h.map((value) => -value);
  const column = (k: number) => [h[k]! / SIZE, h[k + 3]! / SIZE, h[k + 6]! / SIZE];
  const [c1, c2] = [column(0), column(1)];
  const size = (Math.hypot(...c1) + Math.hypot(...c2)) / 2;
  const r1 = unit(c1);
  const dot = c2.reduce((sum, value, i) => sum + value * r1[i]!, 0);
  const r2 = unit(c2.map((value, i) => value - dot * r1[i]!));
  const r3 = [
    r1[1]! * r2[2]! - r1[2]! * r2[1]!,
    r1[2]! * r2[0]! - r1[0]! * r2[2]!,
    r1[0]! * r2[1]! - r1[1]! * r2[0]!,
  ];
  const turn: Turn = [r1[0]!, r2[0]!, r3[0]!, r1[1]!, r2[1]!, r3[1]!, r1[2]!, r2[2]!, r3[2]!];
  const at = [h[2]! / size, h[5]! / size, h[8]! / size];
  const shift = [0, 1, 2].map((i) => at[i]! - (turn[3 * i]! * mx + turn[3 * i + 1]! * my));
  return { turn: axisOf(turn), shift: [shift[0]!, shift[1]!, shift[2]!] };
}

const unit = (v: readonly number[]) => v.map((value) => value / (Math.hypot(...v) || 1));

/** The direction rows say least of: that of the smallest singular value. */
function leastOf(rows: readonly (readonly number[])[]): number[] {
  const m = new Matrix(rows.map((row) => [...row]));
  const { rightSingularVectors } = new SingularValueDecomposition(m.transpose().mmul(m));
  return rightSingularVectors.getColumn(8);
}

interface Unpacked {
  lenses: Lens[];
  poses: Pose[];
  turns: Turn[];
  points: Point3[];
}

interface Adjusted extends Omit<Solution, 'leftOut'> {
  /** What each corner is off by, px. */
  cornersOff: number[][];
}

function adjusted(
  views: readonly View[],
  marks: readonly Mark[],
  kept: readonly boolean[][],
  scale: ScaleOff | undefined,
): Adjusted {
  const start = startOf(views);
  const { focals, lensOf } = start;
  const nLens = start.lenses.length * LENS;
  const nPose = views.length * POSE;
  const nScale = scale ? SCALE : 0;
  const sizes = start.lenses.map((lens) => lens.f);
  /* Figures of about one: focal length as a share, middle in shares of it, shifts in hundreds of mm. */
  const packLens = (lens: Lens, k: number) => [
    lens.f / sizes[k]!,
    lens.cx / sizes[k]!,
    lens.cy / sizes[k]!,
    lens.k1,
    lens.k2,
  ];
  const params = [
    ...start.lenses.flatMap(packLens),
    ...start.poses.flatMap(({ turn, shift }) => [...turn, ...shift.map((value) => value / 100)]),
    ...(scale ? [0, 0] : []),
  ];
  const ofLens = start.lenses.flatMap((lens, k) => {
    const diagonal = Math.hypot(lens.cx, lens.cy) * 2;
    const middle = (MIDDLE_SHARE * diagonal) / sizes[k]!;
    return [
      { at: 1, off: focals[k]!.off / sizes[k]! },
      { at: lens.cx / sizes[k]!, off: middle },
      { at: lens.cy / sizes[k]!, off: middle },
      { at: 0, off: K1_OFF },
      { at: 0, off: K2_OFF },
    ];
  });
  const priors = [
    ...ofLens.map((prior, i) => ({ ...prior, i })),
    ...(scale ? [scale.across, scale.down] : []).map((off, i) => ({
      at: 0,
      off,
      i: nLens + nPose + i,
    })),
  ];
  /** Where a drawn place of the mat lies. */
  const onPaper = (p: readonly number[], x: number, y: number): Point3 => {
    if (!scale) return { x, y, z: 0 };
    const { middle } = scale;
    const [a = 0, d = 0] = p.slice(nLens + nPose, nLens + nPose + SCALE);
    return { x: x + (x - middle.x) * a, y: y + (y - middle.y) * d, z: 0 };
  };
  const unpack = (p: readonly number[]): Unpacked => {
    const lenses = sizes.map((size, k): Lens => {
      const [f = 1, cx = 0, cy = 0, k1 = 0, k2 = 0] = p.slice(k * LENS, k * LENS + LENS);
      return { f: f * size, cx: cx * size, cy: cy * size, k1, k2 };
    });
    const poses = views.map((_, i): Pose => {
      const [a = 0, b = 0, c = 0, x = 0, y = 0, z = 0] = p.slice(nLens + i * POSE);
      return { turn: [a, b, c], shift: [x * 100, y * 100, z * 100] };
    });
    const points = marks.map((_, i): Point3 => {
      const [x = 0, y = 0, z = 0] = p.slice(nLens + nPose + nScale + i * 3);
      return { x: x * 100, y: y * 100, z: z * 100 };
    });
    return { lenses, poses, turns: poses.map(({ turn }) => turnOf(turn)), points };
  };
  const FAR = 1e4;
  const residuals = (p: readonly number[], withMarks: boolean): number[] => {
    const { lenses, poses, turns, points } = unpack(p);
    const out: number[] = [];
    const seen = (view: number, at: Point3, u: number, v: number, off: number) => {
      const lens = lenses[lensOf[view]!] as Lens;
      const to = project(lens, turns[view] as Turn, poses[view] as Pose, at);
      out.push(to ? (to.u - u) / off : FAR, to ? (to.v - v) / off : FAR);
    };
    views.forEach(({ corners }, i) => {
      corners.forEach(({ x, y, u, v, off }, k) => {
        if (kept[i]![k]) seen(i, onPaper(p, x, y), u, v, Math.max(LEAST_OFF, off));
      });
    });
    for (const { at, off, i } of priors) out.push(((p[i] ?? 0) - at) / off);
    if (withMarks)
      marks.forEach((mark, i) => {
        const at = points[i] as Point3;
        for (const { view, u, v, off } of mark.seen) seen(view, at, u, v, off);
        out.push((at.z - mark.height) / Math.max(1e-3, mark.heightOff));
      });
    return out;
  };
  const cameras = descend(params, (p) => residuals(p, false));
  /* How far corners lie off, in their own deviations: paper that is not flat counts as noise. */
  const cornerResiduals = residuals(cameras, false).slice(0, -priors.length);
  const chi2 =
    cornerResiduals.reduce((sum, value) => sum + value * value, 0) /
    Math.max(1, cornerResiduals.length - nPose - 1);
  const wider = Math.sqrt(Math.max(1, chi2));
  const placed = unpack(cameras);
  const points = marks.flatMap(({ seen, height }) => {
    const [first] = seen;
    const lens = placed.lenses[lensOf[first?.view ?? 0] ?? 0] as Lens;
    const at =
      first &&
      meet(lens, placed.turns[first.view] as Turn, placed.poses[first.view] as Pose, first, height);
    return [(at?.x ?? 0) / 100, (at?.y ?? 0) / 100, height / 100];
  });
  const scaled = (p: readonly number[]) => {
    const all = residuals(p, true);
    for (let i = 0; i < cornerResiduals.length; i += 1) all[i] = all[i]! / wider;
    return all;
  };
  const every = marks.length > 0 ? descend([...cameras, ...points], scaled) : cameras;
  const jacobian = derivatives(every, scaled);
  const covariance = inverse(jacobian.transpose().mmul(jacobian), true);
  const end = unpack(every);
  const cornersOff = views.map(({ corners }, i) =>
    corners.map(({ x, y, u, v }) => {
      const lens = end.lenses[lensOf[i]!] as Lens;
      const to = project(lens, end.turns[i] as Turn, end.poses[i] as Pose, onPaper(every, x, y));
      return to ? Math.hypot(to.u - u, to.v - v) : Infinity;
    }),
  );
  const used = cornersOff.flatMap((list, i) => list.filter((_, k) => kept[i]![k]));
  const rms = Math.sqrt(used.reduce((sum, off) => sum + off * off, 0) / Math.max(1, used.length));
  return {
    views: views.map((_, i) => ({
      lens: end.lenses[lensOf[i]!] as Lens,
      turn: end.turns[i] as Turn,
      pose: end.poses[i] as Pose,
      stands: standsAt(end.turns[i] as Turn, end.poses[i] as Pose),
    })),
    marks: end.points.map((at, i) => {
      const k = nLens + nPose + nScale + i * 3;
      const of = (a: number, b: number) => covariance.get(k + a, k + b) * 1e4;
      return { at, xx: of(0, 0), xy: of(0, 1), yy: of(1, 1), zz: of(2, 2) };
    }),
    rms,
    cornersOff,
    spread: (view, pixel, height, heightOff) => {
      const lensAt = lensOf[view]! * LENS;
      const poseAt = nLens + view * POSE;
      const own = [
        ...Array.from({ length: LENS }, (_, i) => lensAt + i),
        ...Array.from({ length: POSE }, (_, i) => poseAt + i),
      ];
      const where = (p: readonly number[], high: number) => {
        const u = unpack(p);
        const lens = u.lenses[lensOf[view]!] as Lens;
        return (
          meet(lens, u.turns[view] as Turn, u.poses[view] as Pose, pixel, high) ?? {
            x: NaN,
            y: NaN,
          }
        );
      };
      const D = 1e-6;
      const mid = where(every, height);
      const slopes = own.map((i) => {
        const p = every.slice();
        p[i] = p[i]! + D;
        const to = where(p, height);
        return [(to.x - mid.x) / D, (to.y - mid.y) / D] as const;
      });
      const up = where(every, height + 0.01);
      const [hx, hy] = [((up.x - mid.x) / 0.01) * heightOff, ((up.y - mid.y) / 0.01) * heightOff];
      let [xx, xy, yy] = [hx * hx, hx * hy, hy * hy];
      own.forEach((i, a) => {
        own.forEach((k, b) => {
          const c = covariance.get(i, k);
          xx += slopes[a]![0] * slopes[b]![0] * c;
          xy += slopes[a]![0] * slopes[b]![1] * c;
          yy += slopes[a]![1] * slopes[b]![1] * c;
        });
      });
      return { xx, xy, yy };
    },
  };
}
