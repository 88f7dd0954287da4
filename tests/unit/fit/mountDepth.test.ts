import { expect } from 'chai';
import { mountDepth } from '../../../src/core/fit/mountDepth.ts';
import { fanMount } from '../../../src/core/model/types/shapes.ts';
import { airOf } from '../../../src/core/plan/heatSums.ts';
import { planWith, the, type Seats } from '../../helpers/build.ts';

describe('fit/mountDepth', () => {
  const shell = { fanMounts: ['rear 92 30 deep', 'front 120 55 deep', 'front 120 40 deep'] };
  const found = (seats: Seats) => mountDepth(planWith({ case: shell, ...seats }));
  it('holds a fan against how deep it is free behind its mount', () => {
    const fan = (thickness: number) =>
      the(found({ fan1: { size: 92, wall: 'rear', thickness } }), 'fan-depth:fan1');
    expect(fan(25).mark).to.equal('clear');
    expect(fan(38).mark).to.equal('stop');
    expect(fan(38).margin).to.deep.equal({ lo: -8, hi: -8 });
  });
  it('of several mounts either may be it; a fan nobody measured is any fan', () => {
    const thick = the(
      found({ fan1: { size: 120, wall: 'front', thickness: 45 } }),
      'fan-depth:fan1',
    );
    expect(thick.margin).to.deep.equal({ lo: -5, hi: 10 });
    expect(thick.mark).to.equal('watch');
    const any = the(found({ fan1: { size: 92, wall: 'rear' } }), 'fan-depth:fan1');
    expect(any.margin).to.deep.equal({ lo: 30 - 38, hi: 30 - 15 });
  });
  it('a radiator lies over all of its mounts: the shallowest counts', () => {
    const radiator = (more: Seats[string]) =>
      the(
        found({ cooler: { class: 'radiator', radiator: '240', wall: 'front', ...more } }),
        'radiator-depth',
      );
    expect(radiator({ thickness: 38 }).mark).to.equal('clear');
    expect(radiator({ thickness: 52 }).mark).to.equal('stop');
    expect(radiator({ fansOn: 'both sides' }).mark).to.equal('stop');
    expect(radiator({}).margin).to.deep.equal({ lo: 40 - 30 - 50, hi: 40 - 27 - 25 });
  });
  it('says nothing where nobody measured, or where it may hang elsewhere', () => {
    expect(
      mountDepth(planWith({ case: { fanMounts: ['rear 92'] }, fan1: { size: 92, wall: 'rear' } })),
    ).to.deep.equal([]);
    const half = { fanMounts: ['front 120 55 deep', 'front 120'] };
    expect(mountDepth(planWith({ case: half, fan1: { size: 120, wall: 'front' } }))).to.deep.equal(
      [],
    );
  });
  it('is typed and written as it is said', () => {
    expect(fanMount.read('front 120 45,5 deep')).to.deep.equal({
      at: 'front',
      mm: 120,
      deep: 45.5,
    });
    expect(fanMount.write({ at: 'front', mm: 120, deep: 45.5 })).to.equal('front 120 45.5 deep');
    expect(fanMount.write({ at: 'rear', mm: 92 })).to.equal('rear 92');
  });
});

describe('heat, the fans of a radiator', () => {
  const base = (cooler: Seats[string], more: Seats = {}): Seats => ({
    case: { class: 'tower' },
    board: {},
    processor: { watts: 65 },
    supply: { watts: 450, format: 'ATX' },
    cooler,
    ...more,
  });
  const radiator = { class: 'radiator', radiator: '240', wall: 'front', blows: 'in' };
  const air = (seats: Seats) => airOf(planWith(seats));
  it('move the air of the case, less than free ones of their size', () => {
    const own = air(base(radiator));
    expect(own?.fans.map(({ name, wall, blows }) => `${name} ${wall} ${blows}`)).to.deep.equal([
      'radiator fan 1 front in',
      'radiator fan 2 front in',
    ]);
    const free = air(
      base(
        { class: 'low' },
        {
          fan1: { size: 120, wall: 'front', blows: 'in' },
          fan2: { size: 120, wall: 'front', blows: 'in' },
        },
      ),
    );
    expect(own!.inCfm.hi).to.be.lessThan(free!.inCfm.hi);
    expect(own!.inCfm.lo).to.be.greaterThan(0);
  });
  it('are those of the plan that hang where it hangs: none is counted twice', () => {
    const both = air(
      base(radiator, {
        fan1: { size: 120, wall: 'front', blows: 'in' },
        fan2: { size: 120, wall: 'front', blows: 'in' },
      }),
    );
    expect(both?.fans).to.have.length(2);
  });
  it('blow either way while nobody said which', () => {
    const { blows: _, ...unsaid } = radiator;
    expect(air(base(unsaid))?.fans.every(({ blows }) => blows === 'either')).to.equal(true);
  });
});
