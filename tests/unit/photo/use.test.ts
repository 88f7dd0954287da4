import { expect } from 'chai';
import fc from 'fast-check';
import { standardOpening } from '../../../src/core/fit/pickPort.ts';
import { holes, type HoleName } from '../../../src/core/standards/boards.ts';
import type { Area } from '../../../src/core/model/types/shapes.ts';
import type { At } from '../../../src/core/photo/plane.ts';
import type { MeasuredHole, MeasuredRectangle } from '../../../src/core/photo/measured.ts';
import {
  likePattern,
  openingsOf,
  pitchOf,
  placesOf,
  standoffsOf,
  turnedBy,
} from '../../../src/core/photo/use.ts';

const hole = (x: number, y: number, within = 0.2): MeasuredHole => ({
  is: 'hole',
  x,
  y,
  mm: 4,
  within,
  mmWithin: 0.2,
  shots: 1,
});

/** A rectangle as the picture gives it: its corners from the upper left on, turned less than an eighth. */
function rectangle(corners: readonly At[]): MeasuredRectangle {
  const [x, y] = [
    corners.reduce((sum, at) => sum + at.x, 0) / 4,
    corners.reduce((sum, at) => sum + at.y, 0) / 4,
  ];
  const all = [...corners].sort(
    (a, b) => Math.atan2(a.y - y, a.x - x) - Math.atan2(b.y - y, b.x - x),
  );
  const far = (a: At, b: At) => Math.hypot(a.x - b.x, a.y - b.y);
  const side = (i: number) =>
    Math.atan2(all[(i + 1) % 4]!.y - all[i]!.y, all[(i + 1) % 4]!.x - all[i]!.x);
  const first = [0, 1, 2, 3].find((i) => Math.abs(side(i)) < Math.PI / 4)!;
  const four = [0, 1, 2, 3].map((i) => all[(first + i) % 4]!);
  return {
    is: 'rectangle',
    corners: four,
    width: far(four[0]!, four[1]!),
    height: far(four[1]!, four[2]!),
    turned: (side(first) * 180) / Math.PI,
    within: 0.4,
  };
}

/** A rear wall as a camera sees it: from outside or from inside, leaning a little, the mat turned by quarters. */
const seen = (
  { x0, x1, y0, y1 }: Area,
  outside: boolean,
  quarters: number,
  lean: number,
): MeasuredRectangle =>
  rectangle(
    [
      [x0, y0],
      [x1, y0],
      [x1, y1],
      [x0, y1],
    ].map(([across = 0, up = 0]) => {
      const [x, y] = [outside ? -across : across, -up];
      const leant = {
        x: x * Math.cos(lean) - y * Math.sin(lean) + 90,
        y: x * Math.sin(lean) + y * Math.cos(lean) - 40,
      };
      return turnedBy(leant, 4 - quarters);
    }),
  );

const area = (name: string, x0: number, x1: number, y0: number, y1: number): Area => ({
  name,
  x0,
  x1,
  y0,
  y1,
});

/** The whole port opening: its lower rim lies below the board. */
const io = (): Area => {
  const whole = standardOpening();
  return { ...whole, y0: whole.y1 - 44.45 };
};

describe('photo/use', () => {
  it('openings come back in the board’s own figures, from outside or inside, whichever way the mat lies', () => {
    fc.assert(
      fc.property(
        fc.boolean(),
        fc.integer({ min: 0, max: 3 }),
        fc.double({ min: -0.5, max: 0.5, noNaN: true }),
        fc.integer({ min: 170, max: 260 }),
        fc.integer({ min: -30, max: 60 }),
        (outside, quarters, lean, x, y) => {
          const truth = [io(), area('opening 2', x, x + 24, y, y + 12)];
          const found = openingsOf(
            truth.map((each) => seen(each, outside, quarters, lean)),
            outside,
            quarters,
          );
          if ('lacks' in found) throw new Error(found.lacks);
          found.openings.forEach((each, i) => {
            expect(each.name).to.equal(truth[i]!.name);
            for (const key of ['x0', 'x1', 'y0', 'y1'] as const)
              expect(each[key]).to.be.closeTo(truth[i]![key], 0.02);
          });
        },
      ),
      { numRuns: 200 },
    );
  });
  it('without the port opening, or with it standing upright, none has a place', () => {
    const slot = area('slot', 170, 194, 0, 12);
    const alone = openingsOf([seen(slot, true, 0, 0)], true);
    expect('lacks' in alone && alone.lacks).to.match(/None of them is the port opening/);
    const upright = openingsOf([seen(io(), true, 1, 0)], true, 0);
    expect('lacks' in upright && upright.lacks).to.match(/Turn the picture/);
    const turned = openingsOf([seen(io(), true, 1, 0)], true, 1);
    expect('openings' in turned).to.equal(true);
  });
  /* An old shell has no port opening: what was measured by hand once says where the board is. */
  it('counts from an opening whose place is known, and keeps what the picture does not show', () => {
    const gauge = area('gauge hole', 22, 64, -2, 34);
    const slot = area('cable slot', 80, 104, -2, 16);
    const third = area('', 116, 140, 2, 14);
    for (const outside of [true, false])
      for (const quarters of [0, 1, 2, 3]) {
        const found = openingsOf(
          [third, { ...gauge, x1: 64.3 }].map((each) => seen(each, outside, quarters, 0.1)),
          outside,
          quarters,
          [gauge, slot],
        );
        if ('lacks' in found) throw new Error(found.lacks);
        expect(found.openings.map(({ name }) => name)).to.deep.equal([
          'cable slot',
          'opening 2',
          'gauge hole',
        ]);
        expect(found.openings[0]).to.equal(slot);
        expect(found.openings[1]!.x0).to.be.closeTo(116 - 0.15, 0.02);
        expect(found.openings[1]!.y1).to.be.closeTo(14, 0.02);
      }
    const askew = openingsOf([seen(gauge, true, 1, 0)], true, 0, [gauge, slot]);
    expect('lacks' in askew && askew.lacks).to.match(/Turn the picture until the gauge hole/);
    /* Two alike in size: neither says which it is. */
    const twins = [gauge, area('other', 122, 164, -2, 34)];
    const neither = openingsOf(
      twins.map((each) => seen(each, true, 0, 0)),
      true,
      0,
      twins,
    );
    expect('lacks' in neither && neither.lacks).to.match(/one whose place is known/);
  });
  it('an opening on the wrong side of the port opening is told from one on the right', () => {
    const left = area('opening 2', 170, 194, 0, 12);
    const outside = openingsOf(
      [io(), left].map((each) => seen(each, true, 0, 0)),
      false,
    );
    if ('lacks' in outside) throw new Error(outside.lacks);
    expect(outside.openings[1]!.x1).to.be.lessThan(io().x0);
  });
  it('four quarters are none, one turns the right-hand way', () => {
    expect(turnedBy({ x: 3, y: 1 }, 1)).to.deep.equal({ x: -1, y: 3 });
    expect(turnedBy(turnedBy({ x: 3, y: 1 }, 3), 1)).to.deep.equal({ x: 3, y: 1 });
    expect(turnedBy({ x: 3, y: 1 }, 4)).to.deep.equal({ x: 3, y: 1 });
  });
  it('holes are counted from the upper left', () => {
    expect(placesOf([hole(12.345, 40), hole(2, 8.5), hole(30, 9)])).to.deep.equal([
      { x: 10.35, y: 31.5 },
      { x: 0, y: 0 },
      { x: 28, y: 0.5 },
    ]);
  });

  /* Distances of fan holes: common practice; drives: SFF-8201 and SFF-8301, from memory. */
  const turned = (points: readonly (readonly [number, number])[], by: number) =>
    points.map(([x, y]) =>
      hole(x * Math.cos(by) - y * Math.sin(by) + 40, x * Math.sin(by) + y * Math.cos(by) + 9),
    );
  const four = (w: number, h: number) =>
    [
      [0, 0],
      [w, h],
      [w, 0],
      [0, h],
    ] as const;
  it('knows four holes however they lie: fans, drives', () => {
    for (const [w, h, name] of [
      [105, 105, 'fan 120'],
      [124.5, 124.5, 'fan 140'],
      [32, 32, 'fan 40'],
      [95.25, 44.45, '3.5 in drive'],
      [61.72, 76.6, '2.5 in drive'],
    ] as const)
      expect(likePattern(turned(four(w, h), 0.7))?.name).to.equal(name);
  });
  it('a pattern off by more than its accuracy is nobody’s, three holes are none', () => {
    expect(likePattern(turned(four(105, 103), 0))).to.equal(undefined);
    expect(likePattern(turned(four(105, 105), 0).slice(1))).to.equal(undefined);
    const found = likePattern(turned(four(105.5, 105), 0));
    expect([found?.name, Math.round((found?.offMm ?? 0) * 10)]).to.deep.equal(['fan 120', 5]);
  });
  /* Places of the published formats: ATX 2.x, from memory (standards/boards.ts). */
  it('standoffs of a tray come by their letters, whichever way it lies', () => {
    const at = (letters: string, by: number) =>
      [...letters].map((letter) => {
        const { x, y } = holes[letter as HoleName];
        return hole(
          x * Math.cos(by) - y * Math.sin(by) - 40 + 0.1 * Math.sin(x),
          x * Math.sin(by) + y * Math.cos(by) + 7 + 0.1 * Math.cos(y),
        );
      });
    for (const letters of ['CFHJ', 'ACFGHJKLM', 'BCFHJLMRS', 'CFHJLM'])
      for (const by of [0, 0.3, Math.PI, -1.6])
        expect(standoffsOf(at(letters, by))).to.deep.equal({
          letters: [...letters].sort(),
          elsewhere: 0,
        });
    expect(standoffsOf([...at('CFHJ', 0.2), hole(5, 5)])).to.deep.include({ elsewhere: 1 });
    const own = standoffsOf([hole(0, 0), hole(100, 3), hole(7, 91), hole(110, 95)]);
    expect('lacks' in own && own.lacks).to.match(/maker’s own tray/);
    expect('lacks' in standoffsOf(at('CF', 0))).to.equal(true);
  });
  it('a row of contacts gives its pitch: so many spaces, one fewer than contacts', () => {
    const main = pitchOf(46.2, 0.3, 12);
    expect(main.mm).to.be.closeTo(4.2, 1e-9);
    expect(main.within).to.be.closeTo(0.3 / 11, 1e-9);
    expect(main.like.map(({ mm }) => mm)).to.deep.equal([4.2]);
    expect(pitchOf(7.62, 0.2, 4).like.map(({ mm }) => mm)).to.deep.equal([2.54]);
    /* Three tenths off tells 3.96 from 4.2 only over many. */
    expect(pitchOf(4.1, 0.3, 2).like.map(({ mm }) => mm)).to.deep.equal([3.96, 4.2]);
    expect(pitchOf(50, 0.1, 3).like).to.deep.equal([]);
    for (const contacts of [1, 0, 2.5, NaN])
      expect(() => pitchOf(10, 0.1, contacts)).to.throw(RangeError, 'two at least');
  });
});
