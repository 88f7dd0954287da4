import { expect } from 'chai';
import fc from 'fast-check';
import { limits } from '../../../src/core/fit/limits.ts';
import { measuredPlaces } from '../../../src/lib/fit/places.ts';
import { rowsOf } from '../../../src/lib/print/limitStrip.ts';
import { planWith } from '../../helpers/build.ts';

describe('fit/places, hole places kept with the board', () => {
  it('never take an unmeasured figure for zero', () => {
    const places = [{ x: 10, y: 20 }, { y: 30 }, { x: 40 }, {}, { x: 0, y: 0 }];
    const { points, numbers } = measuredPlaces(places);
    expect(points).to.deep.equal([
      { x: 10, y: 20 },
      { x: 0, y: 0 },
    ]);
    expect(numbers).to.deep.equal([1, 5]);
  });
});

describe('fit/limits, what one case takes at most', () => {
  it('gives the least of a range: what fits the strip surely fits', () => {
    const list = limits(
      planWith({ case: { cardRoom: [240, 250], cageGain: [50, 60], coolerRoom: 56 } }),
    );
    const card = list.filter((limit) => limit.label === 'card length');
    expect(card.map((limit) => [limit.mm, limit.with])).to.deep.equal([
      [240, undefined],
      [290, 'cage out'],
      [185, 'radiator at the front'],
      [205, 'plugs at its end'],
    ]);
    expect(list.find((limit) => limit.label === 'cooler height')?.mm).to.equal(56);
  });
  it("says what is only its class's", () => {
    const list = limits(planWith({ case: { class: 'tower' } }));
    expect(list.length).to.be.above(2);
    for (const limit of list) expect(limit.how).to.equal('class');
  });
  it('has nothing to print without a case or without room', () => {
    expect(limits(planWith({ board: {} }))).to.deep.equal([]);
    const none = limits(planWith({ case: { class: 'micro', cardRoom: 0 } }));
    expect(none.some((limit) => limit.label === 'card length')).to.equal(false);
  });
  it('folds a bar longer than the sheet without losing a millimetre', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 900 }), (mm) => {
        const rows = rowsOf([{ label: 'card length', datum: 'bracket', mm, how: 'measured' }]);
        expect(rows.reduce((sum, row) => sum + row.toMm - row.fromMm, 0)).to.equal(mm);
        expect(new Set(rows.map((row) => row.y)).size).to.equal(rows.length);
      }),
    );
  });
});
