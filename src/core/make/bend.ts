import { range, type Range } from '../units/range.ts';

/**
 * A bend in sheet, by the neutral axis:
 *
 *   BA = θ (R + K T)                what the bend itself takes of the flat length
 *   OSSB = (R + T) tan(θ/2)         from the tangent to the outer corner
 *   BD = 2 OSSB − BA                what outside legs together are longer than the flat
 *
 * θ: how far it is bent, radians; R: inside radius, T: thickness, mm; K: share of T, a range.
 */
export interface Bend {
  /** Degrees it is bent; 90 for a right angle. */
  degrees: number;
  radius: number;
  thick: number;
  k: Range;
}

const theta = ({ degrees }: Bend) => (degrees * Math.PI) / 180;

/** Length of the neutral axis round the bend, mm. */
export const bendAllowance = (bend: Bend): Range =>
  range(
    theta(bend) * (bend.radius + bend.k.lo * bend.thick),
    theta(bend) * (bend.radius + bend.k.hi * bend.thick),
  );

/** From the tangent to the outer corner, mm. */
export const setback = (bend: Bend): number =>
  (bend.radius + bend.thick) * Math.tan(theta(bend) / 2);

/** What the outside legs together are longer than the flat, mm. */
export function bendDeduction(bend: Bend): Range {
  const { lo, hi } = bendAllowance(bend);
  const both = 2 * setback(bend);
  return range(both - hi, both - lo);
}

/** A strip bent: flat length and the middle of every bend along it, mm, each as wide as K leaves it open. */
export interface Flat {
  length: Range;
  bends: {
    middle: Range;
    /** Where the bend begins and ends, at the middle of K. */ from: number;
    to: number;
  }[];
}

/** A strip of outside legs with a bend between each two. Throws RangeError where a leg is shorter than its bends. */
export function flatOf(legs: readonly number[], bend: Bend): Flat {
  const [ba, back] = [bendAllowance(bend), setback(bend)];
  let at: Range = range(0);
  const bends: Flat['bends'] = [];
  legs.forEach((leg, i) => {
    const ends = i === 0 || i === legs.length - 1 ? 1 : 2;
    const straight = leg - back * Math.min(ends, legs.length - 1);
    if (straight < 0)
      throw new RangeError(
        `leg ${i + 1} of ${leg} mm is shorter than its bend, ${back.toFixed(1)} mm`,
      );
    at = range(at.lo + straight, at.hi + straight);
    if (i === legs.length - 1) return;
    const from = (at.lo + at.hi) / 2;
    const middle = range(at.lo + ba.lo / 2, at.hi + ba.hi / 2);
    at = range(at.lo + ba.lo, at.hi + ba.hi);
    bends.push({ middle, from, to: (at.lo + at.hi) / 2 });
  });
  return { length: at, bends };
}
