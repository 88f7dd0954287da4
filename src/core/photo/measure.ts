import { project } from './camera.ts';
import { circleNear } from './circle.ts';
import { edgeNear } from './edge.ts';
import type { MeasuredEdge, MeasuredHole, MeasuredRectangle } from './measured.ts';
import { pixelMm, type At } from './plane.ts';
import { rectangleRound } from './rectangle.ts';
import { solve } from './solve.ts';
import { planeOf, spreadAt, within95, type Height, type Survey } from './survey.ts';

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
