import { HOLE_DIAMETER_MM, holes, isHole } from '../../standards/boards.ts';
import { threads } from '../../standards/threads.ts';
import { distance, placed, type Point } from './placement.ts';
import type { Candidate } from './register.ts';

/** The board over one case's tray: which standoffs serve, which short, where to drill. Board frame, mm. */
export interface TrayMatch {
  used: string[];
  /** Holes of the board with no standoff under them. */
  unsupported: { name: string; x: number; y: number }[];
  /** Standoffs under the board and under no hole: they touch its back and short it. */
  touching: string[];
  /** Corners of the outline with the distance to the nearest supported hole. */
  corners: { corner: string; freeMm: number }[];
  /** How far a new hole may be off and still take its screw. */
  toleranceMm: number;
}

/** Half the play of the widest common screw in a standard hole. */
export function drillToleranceMm(): number {
  const screw = Math.max(
    ...threads.filter((each) => ['6-32', 'M3'].includes(each.name)).map((each) => each.diameterMm),
  );
  return (HOLE_DIAMETER_MM - screw) / 2;
}

export function trayMatch(
  candidate: Candidate,
  points: readonly Point[],
  standoffs: readonly string[],
  outline: { widthMm: number; depthMm: number },
): TrayMatch {
  const boardHoles = [
    ...candidate.pairs.map((pair) => ({
      name: pair.hole,
      ...placed(candidate.placement, points[pair.measured] as Point),
    })),
    ...candidate.extra.map((i) => ({
      name: String(i + 1),
      ...placed(candidate.placement, points[i] as Point),
    })),
  ];
  const stands = standoffs.filter(isHole).map((name) => ({ name, ...holes[name] }));
  const meets = (a: Point, b: Point) => distance(a, b) <= drillToleranceMm() + 0.6;
  const used = stands.filter((stand) => boardHoles.some((hole) => meets(hole, stand)));
  const under = (point: Point) =>
    point.x >= 0 && point.x <= outline.widthMm && point.y >= 0 && point.y <= outline.depthMm;
  const supported = boardHoles.filter((hole) => used.some((stand) => meets(hole, stand)));
  return {
    used: used.map((stand) => stand.name),
    unsupported: boardHoles.filter((hole) => !supported.includes(hole)),
    touching: stands
      .filter((stand) => !used.includes(stand) && under(stand))
      .map((stand) => stand.name),
    corners: cornersOf(outline).map(({ corner, ...at }) => ({
      corner,
      freeMm:
        supported.length === 0
          ? Infinity
          : Math.min(...supported.map((hole) => distance(hole, at))),
    })),
    toleranceMm: drillToleranceMm(),
  };
}

function cornersOf({ widthMm, depthMm }: { widthMm: number; depthMm: number }) {
  return [
    { corner: 'rear, port end', x: 0, y: 0 },
    { corner: 'rear, far end', x: widthMm, y: 0 },
    { corner: 'front, port end', x: 0, y: depthMm },
    { corner: 'front, far end', x: widthMm, y: depthMm },
  ];
}
