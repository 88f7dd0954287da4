import { boardFormats, holes, type HoleName } from '../../standards/boards.ts';
import { chiSquareLimit } from './chiSquare.ts';
import { checkHoles } from './measured.ts';
import { distance, fitPlacement, placed, type Placement, type Point } from './placement.ts';

/** A set of holes a board may have: a published format, or one the shop measured before. */
export interface Pattern {
  name: string;
  holes: readonly { name: string; x: number; y: number }[];
  /** Outline, mm: along the rear, and from the rear. */
  widthMm?: number | undefined;
  depthMm?: number | undefined;
  /** Formats of another outline with these same holes. */
  others?: readonly { name: string; widthMm: number; depthMm: number }[] | undefined;
}

/** Every hole pattern once; formats with the same holes are told apart by their outline. */
export const standardPatterns: readonly Pattern[] = boardFormats.reduce<Pattern[]>(
  (list, format) => {
    const sides = { name: format.name, widthMm: format.widthMm, depthMm: format.depthMm };
    const same = list.find(
      ({ holes: known }) => known.map(({ name }) => name).join() === format.holes.join(),
    );
    if (same)
      return list.map((each) =>
        each === same ? { ...each, others: [...(each.others ?? []), sides] } : each,
      );
    return [
      ...list,
      { ...sides, holes: format.holes.map((name: HoleName) => ({ name, ...holes[name] })) },
    ];
  },
  [],
);

/** The measured board laid on one pattern. */
export interface Candidate {
  pattern: Pattern;
  placement: Placement;
  /** Measured holes (counted from 0) that lie on a hole of the pattern, with what is left, mm. */
  pairs: { measured: number; hole: string; dx: number; dy: number }[];
  rmsMm: number;
  worstMm: number;
  /** Sum of squares over the accuracy, and the limit one good board in a thousand exceeds. */
  chi2: number;
  chi2Limit: number;
  /** Measured holes the pattern has none for. */
  extra: number[];
  /** Holes of the pattern that were not measured. */
  missing: string[];
  /** Against the measured outline, if one was given: within 2 mm both ways. */
  outlineAgrees?: boolean | undefined;
}

export interface RegisterInput {
  points: readonly Point[];
  /** Standard error of each figure, mm. */
  accuracyMm: number;
  /** Are these all the holes the board has? */
  all?: boolean | undefined;
  outline?: { widthMm: number; depthMm: number } | undefined;
}

/** Within how many standard errors a measured hole is the pattern's. */
const REACH = 5;

/**
 * The best placement on a pattern: every pair of measured holes is tried on every pair of the
 * pattern's of that distance, both ways up; the one that matches most holes, then with the least
 * squares, wins. Undefined when fewer than three holes can be matched.
 */
export function registerOn(pattern: Pattern, input: RegisterInput): Candidate | undefined {
  const { points, accuracyMm } = input;
  const reach = Math.max(0.6, REACH * accuracyMm);
  let best: Candidate | undefined;
  for (const [i, k] of basePairs(points)) {
    const [a, b] = [points[i] as Point, points[k] as Point];
    const length = distance(a, b);
    for (const p of pattern.holes) {
      for (const q of pattern.holes) {
        if (p === q || Math.abs(distance(p, q) - length) > reach) continue;
        for (const mirrored of [false, true]) {
          const candidate = refined(pattern, input, fitPlacement([a, b], [p, q], mirrored), reach);
          if (candidate && (!best || isBetter(candidate, best))) best = candidate;
        }
      }
    }
    /* Every hole matched well: no other pair can do better. */
    if (best && best.extra.length === 0 && best.chi2 <= best.chi2Limit) break;
  }
  return best;
}

/** Pairs of measured holes, the widest first: a wide base turns least with noise. */
function basePairs(points: readonly Point[]): [number, number][] {
  const pairs: [number, number, number][] = [];
  for (let i = 0; i < points.length; i += 1) {
    for (let k = i + 1; k < points.length; k += 1) {
      pairs.push([i, k, distance(points[i] as Point, points[k] as Point)]);
    }
  }
  return pairs.sort((a, b) => b[2] - a[2]).map(([i, k]) => [i, k]);
}

function isBetter(a: Candidate, b: Candidate): boolean {
  if (a.pairs.length !== b.pairs.length) return a.pairs.length > b.pairs.length;
  return a.chi2 < b.chi2 - 1e-12;
}

/** Assigns by the first placement, fits again on all that matched, assigns once more. */
function refined(
  pattern: Pattern,
  input: RegisterInput,
  first: Placement,
  reach: number,
): Candidate | undefined {
  let placement = first;
  let matched = assign(pattern, input.points, placement, reach * 2);
  for (let round = 0; round < 2; round += 1) {
    if (matched.length < 3) return undefined;
    placement = fitPlacement(
      matched.map((pair) => input.points[pair.measured] as Point),
      matched.map((pair) => pair.hole),
      placement.mirrored,
    );
    matched = assign(pattern, input.points, placement, reach);
  }
  return matched.length < 3 ? undefined : judged(pattern, input, placement, matched);
}

type Match = { measured: number; hole: Pattern['holes'][number]; at: Point };

function assign(
  pattern: Pattern,
  points: readonly Point[],
  placement: Placement,
  reach: number,
): Match[] {
  const free = new Set(pattern.holes);
  return points.flatMap((point, measured) => {
    const at = placed(placement, point);
    let nearest: Pattern['holes'][number] | undefined;
    for (const hole of free) {
      if (distance(hole, at) <= reach && (!nearest || distance(hole, at) < distance(nearest, at))) {
        nearest = hole;
      }
    }
    if (!nearest) return [];
    free.delete(nearest);
    return [{ measured, hole: nearest, at }];
  });
}

function judged(
  pattern: Pattern,
  input: RegisterInput,
  placement: Placement,
  matched: Match[],
): Candidate {
  const pairs = matched.map(({ measured, hole, at }) => ({
    measured,
    hole: hole.name,
    dx: at.x - hole.x,
    dy: at.y - hole.y,
  }));
  const squares = pairs.map((pair) => pair.dx ** 2 + pair.dy ** 2);
  const sum = squares.reduce((total, each) => total + each, 0);
  const used = new Set(pairs.map((pair) => pair.hole));
  const met = new Set(pairs.map((pair) => pair.measured));
  const other =
    input.outline && pattern.others?.find((each) => outlineAgrees(each, input.outline!));
  return {
    pattern: other ? { ...pattern, ...other } : pattern,
    placement,
    pairs,
    rmsMm: Math.sqrt(sum / pairs.length),
    worstMm: Math.sqrt(Math.max(...squares)),
    chi2: sum / input.accuracyMm ** 2,
    /* Two figures a hole, less the three of the placement. */
    chi2Limit: chiSquareLimit(2 * pairs.length - 3),
    extra: input.points.flatMap((_, i) => (met.has(i) ? [] : [i])),
    missing: pattern.holes.flatMap((hole) => (used.has(hole.name) ? [] : [hole.name])),
    outlineAgrees: input.outline && outlineAgrees(other ?? pattern, input.outline),
  };
}

function outlineAgrees(
  pattern: Pick<Pattern, 'widthMm' | 'depthMm'>,
  outline: { widthMm: number; depthMm: number },
): boolean | undefined {
  if (pattern.widthMm === undefined || pattern.depthMm === undefined) return undefined;
  const near = (a: number, b: number) => Math.abs(a - b) <= 2;
  return near(pattern.widthMm, outline.widthMm) && near(pattern.depthMm, outline.depthMm);
}

/** The best placement on each pattern, most matched holes and least residual first. Throws HolesError. */
export function registerAll(
  input: RegisterInput,
  patterns: readonly Pattern[] = standardPatterns,
): Candidate[] {
  checkHoles(input.points, input.accuracyMm);
  return patterns
    .flatMap((pattern) => registerOn(pattern, input) ?? [])
    .sort((a, b) => (isBetter(a, b) ? -1 : isBetter(b, a) ? 1 : 0));
}
