import { expect } from 'chai';
import fc from 'fast-check';
import {
  add,
  isExact,
  intersection,
  range,
  scale,
  shareBelow,
  subtract,
  total,
} from '../../../src/core/units/range.ts';

const bounded = fc.double({ min: -1e6, max: 1e6, noNaN: true });
const anyRange = fc.tuple(bounded, bounded).map(([a, b]) => range(a, b));
/** A range and a value inside it. */
const withInside = fc
  .tuple(anyRange, fc.double({ min: 0, max: 1, noNaN: true }))
  .map(([r, t]) => ({ r, x: Math.min(r.hi, Math.max(r.lo, r.lo + t * (r.hi - r.lo))) }));

describe('units/range', () => {
  it('puts the bounds in order and refuses what is no number', () => {
    expect(range(5, 2)).to.deep.equal({ lo: 2, hi: 5 });
    expect(range(3)).to.deep.equal({ lo: 3, hi: 3 });
    expect(() => range(NaN)).to.throw(RangeError, 'invalid range');
    expect(() => range(0, Infinity)).to.throw(RangeError);
  });

  it('holds every sum and difference its parts could take', () => {
    fc.assert(
      fc.property(withInside, withInside, (a, b) => {
        const sum = add(a.r, b.r);
        const difference = subtract(a.r, b.r);
        expect(a.x + b.x).to.be.within(sum.lo - 1e-6, sum.hi + 1e-6);
        expect(a.x - b.x).to.be.within(difference.lo - 1e-6, difference.hi + 1e-6);
      }),
    );
  });

  it('turns its bounds round when scaled by less than nothing', () => {
    fc.assert(
      fc.property(
        withInside,
        fc.double({ min: -100, max: 100, noNaN: true }),
        ({ r, x }, factor) => {
          const scaled = scale(r, factor);
          expect(scaled.lo).to.be.at.most(scaled.hi);
          expect(x * factor).to.be.within(scaled.lo - 1e-3, scaled.hi + 1e-3);
        },
      ),
    );
  });

  it('adds a list up as it adds one by one', () => {
    expect(total([range(1, 2), range(10), range(-3, 4)])).to.deep.equal({ lo: 8, hi: 16 });
    expect(total([])).to.deep.equal({ lo: 0, hi: 0 });
  });

  it('tells which share of a range lies below a limit', () => {
    expect(shareBelow(range(-10, 30), 0)).to.equal(0.25);
    expect(shareBelow(range(5), 5)).to.equal(0);
    expect(shareBelow(range(5), 5.1)).to.equal(1);
    fc.assert(
      fc.property(anyRange, bounded, (r, limit) => {
        expect(shareBelow(r, limit)).to.be.within(0, 1);
      }),
    );
  });

  it('meets another range in what both allow, or not at all', () => {
    expect(intersection(range(0, 10), range(5, 20))).to.deep.equal(range(5, 10));
    expect(intersection(range(0, 1), range(2, 3))).to.equal(undefined);
    expect(isExact(range(7))).to.equal(true);
    expect(isExact(range(7, 7.1))).to.equal(false);
  });
});
