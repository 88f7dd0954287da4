import { project } from './camera.ts';
import type { Box } from './flatten.ts';
import { cornersOf, matPapers, matScale, placeOfCode, type MatRules } from './mat.ts';
import { pixelMm, type At, type Plane } from './plane.ts';
import type { Shot } from './shot.ts';
import { solve, type Solution, type ScaleOff, type View } from './solve.ts';

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

/** What is off by lens, stand, height and the mat's own millimetre at a place of a picture; `off`: what finding it adds; all one deviation, mm. */
export function spreadAt(survey: Survey, shot: number, at: At, height: Height, off: number) {
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
