import type { Money } from '../units/money.ts';

/** One piece of a bundle: what it counts against the others, and whether it is dead. */
export interface BundlePiece {
  partId: string;
  /** Weight against the others; by its worth, by grams, or by hand. */
  weight: number;
  dead: boolean;
}

/**
 * One price for several pieces, parted by weight to the cent: what is dead costs nothing and the others carry
 * it; the cents left over go to the largest remainders. Throws RangeError where nothing bears the price.
 */
export function splitBundle(price: Money, pieces: readonly BundlePiece[]): Map<string, Money> {
  const bears = pieces.map(({ weight, dead }) => (dead ? 0 : weight));
  const whole = bears.reduce((sum, each) => sum + each, 0);
  if (!(whole > 0) || bears.some((each) => !(each >= 0) || !Number.isFinite(each)))
    throw new RangeError(
      'One piece that works, with a weight above nothing, has to bear the price.',
    );
  const shares = bears.map((each) => (price.minor * each) / whole);
  const minors = shares.map(Math.floor);
  const left = price.minor - minors.reduce((sum, each) => sum + each, 0);
  const byRest = [...shares.keys()]
    .filter((i) => (bears[i] ?? 0) > 0)
    .sort((a, b) => rest(shares[b]) - rest(shares[a]) || a - b);
  for (const i of byRest.slice(0, left)) minors[i] = (minors[i] ?? 0) + 1;
  return new Map(
    pieces.map(({ partId }, i) => [partId, { minor: minors[i] ?? 0, currency: price.currency }]),
  );
}

const rest = (share: number | undefined): number => (share ?? 0) - Math.floor(share ?? 0);
