import { expect } from 'chai';
import fc from 'fast-check';
import { priceBundle } from '../../../src/core/edits/edits.ts';
import { splitBundle, type BundlePiece } from '../../../src/core/donors/index.ts';
import { jobWith } from '../../helpers/build.ts';

const piece = (partId: string, weight: number, dead = false): BundlePiece => ({
  partId,
  weight,
  dead,
});
const minors = (minor: number, pieces: BundlePiece[]) =>
  [...splitBundle({ minor, currency: 'EUR' }, pieces).values()].map((each) => each.minor);

describe('donors/bundle', () => {
  it('parts a price by weight, what is dead costs nothing', () => {
    expect(minors(4000, [piece('a', 3), piece('b', 1)])).to.deep.equal([3000, 1000]);
    expect(minors(4000, [piece('a', 3), piece('b', 1), piece('c', 4, true)])).to.deep.equal([
      3000, 1000, 0,
    ]);
    expect(minors(1000, [piece('a', 1), piece('b', 1), piece('c', 1)])).to.deep.equal([
      334, 333, 333,
    ]);
  });
  it('never loses or makes a cent, and none is off its share by one', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 10_000_000 }),
        fc.array(fc.record({ weight: fc.integer({ min: 0, max: 1000 }), dead: fc.boolean() }), {
          minLength: 1,
          maxLength: 12,
        }),
        (minor, drawn) => {
          const pieces = [...drawn, { weight: 1, dead: false }].map(({ weight, dead }, i) =>
            piece(`p${i}`, weight, dead),
          );
          const whole = pieces.reduce((sum, each) => sum + (each.dead ? 0 : each.weight), 0);
          const split = minors(minor, pieces);
          expect(split.reduce((sum, each) => sum + each, 0)).to.equal(minor);
          split.forEach((each, i) =>
            expect(
              Math.abs(each - (minor * (pieces[i]!.dead ? 0 : pieces[i]!.weight)) / whole),
            ).to.be.below(1),
          );
        },
      ),
    );
  });
  it('refuses one that nothing bears', () => {
    expect(() => minors(100, [piece('a', 0)])).to.throw(RangeError);
    expect(() => minors(100, [piece('a', 5, true)])).to.throw(RangeError);
    expect(() => minors(100, [piece('a', NaN), piece('b', 1)])).to.throw(RangeError);
  });
  it('prices the parts of a shop in one step', () => {
    const { shop } = jobWith({ card1: {}, memory1: {} });
    const after = priceBundle({ minor: 2000, currency: 'EUR' }, [
      piece('T-card1', 1),
      piece('T-memory1', 1, true),
    ])(shop);
    expect(after.parts.map((part) => [part.price?.minor, part.condition])).to.deep.equal([
      [2000, undefined],
      [0, 'dead'],
    ]);
  });
});
