import { project, type Pixel } from './camera.ts';
import { codesIn, quadNear, type Seen } from './codes.ts';
import { circleNear } from './circle.ts';
import { edgeNear } from './edge.ts';
import type { Box } from './flatten.ts';
import {
  cornersOf,
  matPapers,
  matScale,
  placeOfCode,
  type MatPaper,
  type MatRules,
} from './mat.ts';
import { lightOf, type Light, type Pixels } from './picture.ts';
import { pixelMm, type At, type Plane } from './plane.ts';
import { rectangleRound } from './rectangle.ts';
import { solve, type Solution, type ScaleOff, type View } from './solve.ts';

/** One picture, read: where its codes or its card are, how sharp it is. */
export interface Shot {
  width: number;
  height: number;
  light: Light;
  /** Focal length as on 35 mm film, where the camera wrote it. */
  film?: number | undefined;
  /** The mat it was found on; or the card, mm. */
  on: { paper: MatPaper } | { card: { width: number; height: number } };
  seen: Seen[];
  /** How its edges are smeared, px, one standard deviation. */
  blur: number;
}

/** Fewer whole codes do not tell tilt from lens. */
const LEAST_CODES = 3;
/** Smeared wider than this no rim is found to its tenths, px. */
const MOST_BLUR_PX = 4;

/** A picture on a mat, or why it cannot be measured. */
export function readShot(pixels: Pixels, film?: number): { shot: Shot } | { fault: string } {
  const light = lightOf(pixels);
  const { seen, mirrored } = codesIn(pixels, light);
  if (mirrored)
    return { fault: 'The picture is mirrored: turn mirroring off in the camera, or flip it back.' };
  const placed = seen.flatMap((each) => {
    const place = placeOfCode(each.id);
    return place ? [{ ...each, paper: place.paper }] : [];
  });
  if (placed.length === 0)
    return {
      fault:
        'No code of the mat is seen: the whole mat in the picture, sharp, without glare, whole squares with white round them.',
    };
  const papers = new Set(placed.map(({ paper }) => paper));
  const ids = new Set(placed.map(({ id }) => id));
  if (papers.size > 1 || ids.size < placed.length)
    return { fault: 'Two mats are in the picture: leave one, or cover the other.' };
  if (placed.length < LEAST_CODES)
    return {
      fault: `Only ${placed.length} whole ${placed.length === 1 ? 'code is' : 'codes are'} seen, ${LEAST_CODES} are the least: uncover more of the mat, or step back.`,
    };
  const blurs = placed.map(({ blur }) => blur).sort((a, b) => a - b);
  const blur = blurs[Math.floor(blurs.length / 2)] ?? 1;
  if (blur > MOST_BLUR_PX)
    return {
      fault: `The picture is blurred (${blur.toFixed(1)} px): hold still, tap to focus, more light.`,
    };
  const [paper] = [...papers] as [MatPaper];
  const { width, height } = pixels;
  return { shot: { width, height, light, film, on: { paper }, seen: placed, blur } };
}

/** Cards whose size is known (ISO/IEC 7810 ID-1, ISO 216), mm. */
export const cards = {
  'bank card': { width: 85.6, height: 53.98 },
  'A5 sheet': { width: 210, height: 148 },
  'A4 sheet': { width: 297, height: 210 },
} as const;

/** A picture with a card of known size in it, its four corners tapped one after the other round it. */
export function readCard(
  pixels: Pixels,
  taps: readonly Pixel[],
  card: { width: number; height: number },
  film?: number,
): { shot: Shot } | { fault: string } {
  if (taps.length !== 4) return { fault: 'Tap the four corners of the card, one after the other.' };
  const light = lightOf(pixels);
  const far = (a: number, b: number) =>
    Math.hypot(taps[a]!.u - taps[b]!.u, taps[a]!.v - taps[b]!.v);
  /* Round the card clockwise, and from its upper left along its long side. */
  const area = taps.reduce((sum, p, i) => {
    const q = taps[(i + 1) % 4] as Pixel;
    return sum + p.u * q.v - q.u * p.v;
  }, 0);
  const round = area > 0 ? [...taps] : [...taps].reverse();
  const lies = far(0, 1) + far(2, 3) >= far(1, 2) + far(3, 0);
  const long = card.width >= card.height;
  if (lies !== long) round.push(round.shift() as Pixel);
  const quad = quadNear(light, round);
  if (!quad)
    return {
      fault: 'The card’s edges are not told from what lies round it: another ground, more light.',
    };
  const { width, height } = pixels;
  return {
    shot: {
      width,
      height,
      light,
      film,
      on: { card },
      seen: [{ id: 0, ...quad }],
      blur: Math.min(MOST_BLUR_PX, quad.blur),
    },
  };
}

/** Pictures of one mat or card solved together. */
export interface Survey {
  shots: readonly Shot[];
  views: readonly View[];
  solution: Solution;
  /** What a printed millimetre may be off by. */
  off: ScaleOff;
  measured: boolean;
  /** Nothing at a bench reads the rules finer. */
  fine: boolean;
  /** What the mat or card covers, mm. */
  box: Box;
}

/** All pictures by least squares; why not where they do not go together. */
export function surveyOf(
  shots: readonly Shot[],
  rules: MatRules,
): { survey: Survey } | { fault: string } {
  const [first] = shots;
  if (!first) return { fault: 'No picture yet.' };
  const name = ({ on }: Shot) => ('paper' in on ? on.paper : `${on.card.width} ${on.card.height}`);
  if (shots.some((shot) => name(shot) !== name(first)))
    return { fault: 'The pictures are of different mats: measure each by itself.' };
  const scale = matScale('paper' in first.on ? rules : {});
  const isMat = 'paper' in first.on;
  const views = shots.map(({ width, height, film, seen, on }): View => ({
    width,
    height,
    film,
    corners: seen.flatMap(({ id, corners, off }) => {
      const known =
        'card' in on
          ? cardCorners(on.card)
          : cornersOf(placeOfCode(id)?.code ?? { id, x: 0, y: 0 }).map(({ x, y }) => ({
              x: x * scale.across,
              y: y * scale.down,
            }));
      return corners.map(({ u, v }, i) => ({ ...known[i]!, u, v, off, of: id }));
    }),
  }));
  const { width, height } =
    'paper' in first.on
      ? matPapers[first.on.paper]
      : { width: first.on.card.width, height: first.on.card.height };
  const off: ScaleOff = {
    across: isMat ? scale.acrossOff : CARD_OFF,
    down: isMat ? scale.downOff : CARD_OFF,
    middle: { x: width / 2, y: height / 2 },
  };
  const solution = solve(views, [], off);
  /* Half a millimetre of slack is more than any paper lies hollow. */
  const worst = Math.max(
    ...solution.views.map((view, i) => {
      const shot = shots[i] as Shot;
      return solution.rms * pixelMm({ light: shot.light, view, height: 0, blur: 1 }, middle(first));
    }),
  );
  if (!(worst < 0.6))
    return {
      fault:
        'The codes do not fit one flat mat: press it flat, nothing over the codes, and let no part of it be a second print.',
    };
  const margin = 'paper' in first.on ? 10 : Math.max(width, height);
  return {
    survey: {
      shots,
      views,
      solution,
      off,
      measured: !isMat || rules.across !== undefined || rules.down !== undefined,
      fine: !isMat || rules.with === 'caliper',
      box: { x0: -margin, y0: -margin, x1: width + margin, y1: height + margin },
    },
  };
}

/** Cards are cut true to a tenth on their long side (ISO/IEC 7810). */
const CARD_OFF = 0.0007;

const cardCorners = ({ width, height }: { width: number; height: number }): At[] => [
  { x: 0, y: 0 },
  { x: width, y: 0 },
  { x: width, y: height },
  { x: 0, y: height },
];

function middle({ on }: Shot): At {
  const size = 'paper' in on ? matPapers[on.paper] : on.card;
  return { x: size.width / 2, y: size.height / 2 };
}

/** How high what is measured lies above the mat, mm, and one standard deviation of it. */
export interface Height {
  mm: number;
  off: number;
}

export const planeOf = ({ shots, solution }: Survey, shot: number, height: Height): Plane => ({
  light: (shots[shot] as Shot).light,
  view: solution.views[shot]!,
  height: height.mm,
  blur: (shots[shot] as Shot).blur,
});

/** Two deviations across, in a plane: where 95 % of truth lies, mm, by the larger and the smaller deviation. */
export function within95({ xx, xy, yy }: { xx: number; xy: number; yy: number }): number {
  const half = (xx + yy) / 2;
  const apart = Math.hypot((xx - yy) / 2, xy);
  const [large, small] = [Math.sqrt(half + apart), Math.sqrt(Math.max(0, half - apart))];
  return large * (1.96 + 0.4877 * (large === 0 ? 0 : small / large) ** 2.6);
}

export interface MeasuredHole extends At {
  is: 'hole';
  mm: number;
  /** Where its middle lies with 95 %, and its diameter, mm. */
  within: number;
  mmWithin: number;
  /** In how many pictures it was found. */
  shots: number;
}
export interface MeasuredEdge extends At {
  is: 'edge';
  dx: number;
  dy: number;
  back: number;
  on: number;
  within: number;
}
export interface MeasuredRectangle {
  is: 'rectangle';
  corners: At[];
  width: number;
  height: number;
  turned: number;
  /** Its sides with 95 %, mm. */
  within: number;
}
export type Measured = MeasuredHole | MeasuredEdge | MeasuredRectangle;

/** What is off by lens, stand, height and the mat's own millimetre at a place of a picture; `off`: what finding it adds; all one deviation, mm. */
function spreadAt(survey: Survey, shot: number, at: At, height: Height, off: number) {
  const view = survey.solution.views[shot]!;
  const pixel = project(view.lens, view.turn, view.pose, { ...at, z: height.mm });
  const own = pixel && survey.solution.spread(shot, pixel, height.mm, height.off);
  return {
    xx: (own?.xx ?? NaN) + off * off,
    xy: own?.xy ?? NaN,
    yy: (own?.yy ?? NaN) + off * off,
  };
}

/** The accuracy a picture has at a place, mm with 95 %: what finding a sharp rim there would give. */
export function accuracyAt(survey: Survey, shot: number, at: At, height: Height): number {
  const mm = pixelMm(planeOf(survey, shot, height), at);
  return within95(spreadAt(survey, shot, at, height, 0.2 * mm));
}

/** The same hole in two pictures lies no further apart than this, mm, and is as large within this share. */
const SAME_MM = 2.5;
const SAME_SIZE = 0.2;

/** The hole round a tap, joined over all pictures that show it; undefined where there is none. */
export function holeAt(
  survey: Survey,
  shot: number,
  tap: At,
  height: Height,
  most?: number,
): MeasuredHole | undefined {
  const first = circleNear(planeOf(survey, shot, height), tap, most);
  if (!first) return undefined;
  const found = survey.shots.flatMap((_, i) => {
    const plane = planeOf(survey, i, height);
    const circle = i === shot ? first : circleNear(plane, first, most);
    if (!circle) return [];
    const same =
      Math.hypot(circle.x - first.x, circle.y - first.y) < SAME_MM &&
      Math.abs(circle.mm / first.mm - 1) < SAME_SIZE;
    const pixel = project(plane.view.lens, plane.view.turn, plane.view.pose, {
      ...circle,
      z: height.mm,
    });
    return same && pixel
      ? [{ view: i, ...pixel, off: circle.off / pixelMm(plane, circle), circle }]
      : [];
  });
  const mmOff = Math.min(...found.map(({ circle }) => circle.mmOff));
  const mm =
    found.reduce((sum, { circle }) => sum + circle.mm / circle.mmOff ** 2, 0) /
    found.reduce((sum, { circle }) => sum + 1 / circle.mmOff ** 2, 0);
  const sized = { is: 'hole' as const, mm, mmWithin: 1.96 * mmOff, shots: found.length };
  if (found.length < 2)
    return {
      ...sized,
      x: first.x,
      y: first.y,
      within: within95(spreadAt(survey, shot, first, height, first.off)),
    };
  const [mark] = solve(
    survey.views,
    [{ height: height.mm, heightOff: height.off, seen: found }],
    survey.off,
  ).marks;
  if (!mark) return undefined;
  return { ...sized, x: mark.at.x, y: mark.at.y, within: within95(mark) };
}

/** The straight edge nearest to a tap. */
export function edgeAt(
  survey: Survey,
  shot: number,
  tap: At,
  height: Height,
): MeasuredEdge | undefined {
  const edge = edgeNear(planeOf(survey, shot, height), tap);
  if (!edge) return undefined;
  const { xx, xy, yy } = spreadAt(survey, shot, edge, height, 0);
  const across = xx * edge.dy ** 2 - 2 * xy * edge.dx * edge.dy + yy * edge.dx ** 2;
  const { off, ...rest } = edge;
  return { is: 'edge', ...rest, within: 1.96 * Math.sqrt(across + off * off) };
}

/** The rectangle round a tap. */
export function rectangleAt(
  survey: Survey,
  shot: number,
  tap: At,
  height: Height,
): MeasuredRectangle | undefined {
  const found = rectangleRound(planeOf(survey, shot, height), tap);
  if (!found) return undefined;
  const { off, ...rest } = found;
  const spreads = found.corners.map((corner) => spreadAt(survey, shot, corner, height, 0));
  const own = Math.max(...spreads.map(({ xx, yy }) => Math.max(xx, yy)));
  /* What lens and stand add, both edges of a side have much in common: half of one is left. */
  return { is: 'rectangle', ...rest, within: 1.96 * Math.sqrt(off * off + own / 2) };
}

/** From one to another, mm: middles of holes, a point to an edge; undefined where there is no such figure. */
export function between(one: Measured, two: Measured): { mm: number; within: number } | undefined {
  const within = Math.hypot(one.within, two.within);
  if (one.is === 'hole' && two.is === 'hole')
    return { mm: Math.hypot(one.x - two.x, one.y - two.y), within };
  const [edge, other] = one.is === 'edge' ? [one, two] : two.is === 'edge' ? [two, one] : [];
  if (!edge || !other || other.is === 'rectangle') return undefined;
  const across = (p: At) => Math.abs((p.x - edge.x) * edge.dy - (p.y - edge.y) * edge.dx);
  if (other.is === 'hole') return { mm: across(other), within };
  const turned = Math.abs(edge.dx * other.dy - edge.dy * other.dx);
  return turned > 0.05 ? undefined : { mm: (across(other) + acrossOf(other, edge)) / 2, within };
}

const acrossOf = (edge: MeasuredEdge, p: At): number =>
  Math.abs((p.x - edge.x) * edge.dy - (p.y - edge.y) * edge.dx);

/** What would make a picture better, the most telling first; nothing where it is as good as it gets. */
export function advice(survey: Survey, height: Height): string[] {
  const at = { x: (survey.box.x0 + survey.box.x1) / 2, y: (survey.box.y0 + survey.box.y1) / 2 };
  const edge = { x: at.x + 70, y: at.y + 70 };
  const all = survey.shots.map((shot, i) => {
    const view = survey.solution.views[i]!;
    const own = (high: Height, off: number) => within95(spreadAt(survey, i, edge, high, off));
    const mm = pixelMm(planeOf(survey, i, height), at);
    /* What the rules' own reading makes of it that far from the middle. */
    const [across, down] = [survey.off.across * (edge.x - at.x), survey.off.down * (edge.y - at.y)];
    const ruled = within95({ xx: across ** 2, xy: 0, yy: down ** 2 });
    const whole = own(height, 0.2 * mm);
    const sure = within95({ ...spreadAt(survey, i, edge, { ...height, off: 0 }, 0.2 * mm), xy: 0 });
    const lean =
      Math.hypot(view.stands.x - at.x, view.stands.y - at.y) / Math.max(1, view.stands.z);
    return {
      whole,
      sure,
      ruled,
      mm,
      lean,
      blur: shot.blur,
      codes: shot.seen.length,
    };
  });
  const best = [...all].sort((a, b) => a.whole - b.whole)[0];
  if (!best) return [];
  return [
    ...(!survey.measured ? ['hold a caliper or a ruler to the mat’s two rules and type what they measure'] : []),
    ...(survey.measured && !survey.fine && best.ruled > best.whole * 0.6 && best.whole > 0.2
      ? ['read the mat’s rules with a caliper']
      : []),
    ...(best.sure < best.whole * 0.75
      ? [
          best.lean > 0.25
            ? 'from straight above: then the height matters less'
            : 'measure how high it lies above the mat',
        ]
      : []),
    ...(best.mm > 0.15 ? ['closer, or with more pixels'] : []),
    ...(best.blur > 1.8 ? ['sharper: hold still, more light'] : []),
    ...(best.codes < 6 ? ['more of the mat’s codes in sight'] : []),
    ...(survey.shots.length === 1 && best.whole > 0.25
      ? ['a second picture from the other side']
      : []),
  ];
}
