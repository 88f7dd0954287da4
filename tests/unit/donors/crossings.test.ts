import { expect } from 'chai';
import fc from 'fast-check';
import { crossings, laid, type Ends } from '../../../src/core/donors/index.ts';
import { allocationsPicture } from '../../../src/lib/donors/allocationsPicture.ts';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { allocationsOf } from '../../../src/core/shop/allocations.ts';

const names = (letter: string, count: number) =>
  Array.from({ length: count }, (_, i) => `${letter}${i}`);

function orders<T>(list: readonly T[]): T[][] {
  if (list.length < 2) return [[...list]];
  return list.flatMap((each, i) => orders(list.toSpliced(i, 1)).map((rest) => [each, ...rest]));
}

/** The least number over every order of both columns. */
const fewest = (left: string[], right: string[], strands: readonly Ends[]) =>
  Math.min(...orders(left).flatMap((l) => orders(right).map((r) => crossings(l, r, strands))));

describe('donors/crossings', () => {
  it('counts a pair that crosses, and none that begin or end together', () => {
    const pair = [
      { from: 'a', to: 'y' },
      { from: 'b', to: 'x' },
    ];
    expect(crossings(['a', 'b'], ['x', 'y'], pair)).to.equal(1);
    expect(crossings(['b', 'a'], ['x', 'y'], pair)).to.equal(0);
    expect(
      crossings(
        ['a', 'b'],
        ['x', 'y'],
        [
          { from: 'a', to: 'x' },
          { from: 'a', to: 'y' },
          { from: 'b', to: 'y' },
        ],
      ),
    ).to.equal(0);
  });
  it('is the least there is in most small cases, never far from it, by every order tried', () => {
    let exact = 0;
    let cases = 0;
    fc.assert(
      fc.property(
        fc.array(fc.record({ l: fc.nat(4), r: fc.nat(3) }), { minLength: 2, maxLength: 11 }),
        (list) => {
          const [left, right] = [names('l', 5), names('r', 4)];
          const strands = list.map(({ l, r }) => ({ from: `l${l}`, to: `r${r}` }));
          const found = laid(left, right, strands);
          expect([...found.left].sort()).to.deep.equal(left);
          expect([...found.right].sort()).to.deep.equal(right);
          expect(found.crossings).to.equal(crossings(found.left, found.right, strands));
          const least = fewest(left, right, strands);
          expect(found.crossings).to.be.at.least(least);
          expect(found.crossings).to.be.at.most(least + 2);
          cases += 1;
          if (found.crossings === least) exact += 1;
        },
      ),
      { numRuns: 80, seed: 7 },
    );
    expect(exact / cases).to.be.at.least(0.95);
  }).timeout(30_000);
  it('puts what has no strand at the end, in the order given', () => {
    expect(laid(['a', 'b', 'c'], ['x', 'y'], [{ from: 'c', to: 'y' }])).to.deep.equal({
      left: ['c', 'a', 'b'],
      right: ['y', 'x'],
      crossings: 0,
    });
  });
});

describe('plan/strands', () => {
  const shop = demoShop('2026-11-25T09:00:00.000Z');
  it('has a strand for each part an open job takes from elsewhere', () => {
    const crossing = allocationsOf(shop);
    const strands = crossing.sources.flatMap((source) => source.strands);
    const planned = shop.jobs
      .filter((job) => !job.handedOver)
      .flatMap((job) => job.changes.flatMap((change) => change.partId ?? []));
    expect(strands.map(({ part }) => part.id).sort()).to.deep.equal([...planned].sort());
    expect(crossing.goals.flatMap((goal) => goal.strands)).to.have.members(strands);
  });
  it('marks the PSU that is wanted twice on both of its strands', () => {
    const twice = allocationsOf(shop).goals.flatMap(({ strands }) =>
      strands.filter(({ trouble }) => trouble?.mark === 'stop'),
    );
    expect(twice.map(({ part, to }) => `${part.id} ${to}`).sort()).to.deep.equal([
      'S01 14',
      'S01 5',
    ]);
  });
  it('upside down brings the job in hand into the upper half and crosses as many', () => {
    const before = allocationsOf(shop);
    for (const { job } of before.goals) {
      const near = allocationsOf(shop, job.id);
      const at = near.goals.findIndex((goal) => goal.job.id === job.id);
      expect(near.crossings).to.equal(before.crossings);
      expect(at).to.be.at.most(Math.ceil(near.goals.length / 2));
    }
  });
  it('draws every strand once, rows without overlap', () => {
    const picture = allocationsPicture(allocationsOf(shop, '14'), '14');
    const drawn = picture.ribbons.flatMap(({ strands }) => strands);
    expect(new Set(drawn).size).to.equal(drawn.length);
    for (const column of [picture.sources, picture.goals]) {
      column.forEach((box, i) => {
        const next = column[i + 1];
        if (next) expect(box.y + box.height).to.be.below(next.y);
        for (const ribbon of box.ribbons) {
          const y = column === picture.sources ? ribbon.y0 : ribbon.y1;
          expect(y).to.be.within(box.y, box.y + box.height);
        }
      });
    }
    expect(
      picture.goals.find(({ id }) => id === '14')?.ribbons.every(({ single }) => single),
    ).to.equal(true);
    expect(picture.height).to.be.greaterThan(100);
  });
});
