import { expect } from 'chai';
import fc from 'fast-check';
import { portPlate, readArea, rearPorts } from '../../../src/core/fit/rear.ts';
import { portViews } from '../../../src/core/model/lookup/portViews.ts';
import {
  screwLength,
  screwLengthsMm,
  fastenersFor,
  missingFasteners,
  whichThread,
} from '../../../src/core/fit/fasteners.ts';
import { quickSum } from '../../../src/core/quick/sums.ts';
import { area as shape } from '../../../src/core/model/types/shapes.ts';
import { jobWith, planWith, type Seats } from '../../helpers/build.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import type { Part } from '../../../src/core/model/types/types.ts';
import type { RemedyValue } from '../../../src/core/model/types/remedyValue.ts';
import { rearCut } from '../../../src/core/remedies/rearCut.ts';
import { rearOpen } from '../../../src/core/remedies/rearOpen.ts';
import { rearPlate } from '../../../src/core/remedies/rearPlate.ts';

describe('fit/rear, ports through the wall', () => {
  it('reads an area as it is written', () => {
    const area = fc.record({
      name: fc.constantFrom('HDMI', 'LAN 1', 'USB 3'),
      x0: fc.integer({ min: 0, max: 100 }),
      w: fc.integer({ min: 1, max: 80 }),
      y0: fc.integer({ min: -5, max: 20 }),
      h: fc.integer({ min: 1, max: 40 }),
    });
    fc.assert(
      fc.property(area, ({ name, x0, w, y0, h }) => {
        const one = { name, x0, x1: x0 + w, y0, y1: Math.max(y0 + h, 0.5) };
        fc.pre(one.y1 > one.y0 && one.y1 >= 0);
        expect(readArea(shape.write(one))).to.deep.equal(one);
      }),
    );
  });
  for (const [text, why] of [
    ['HDMI', 'write a name'],
    ['HDMI 20-10 2-8', 'to is more than from'],
    ['HDMI 20-900 2-8', 'at most 400'],
    ['20-30 2-8', 'write a name'],
  ] as const) {
    it(`refuses “${text}”: ${why}`, () => expect(() => readArea(text)).to.throw(RangeError, why));
  }
  const port = (x0: number, x1: number, y0 = 2, y1 = 12) => ({ name: 'p', x0, x1, y0, y1 });
  const hole = { name: 'hole', x0: 10, x1: 60, y0: 0, y1: 20 };
  it('tells a free port from one behind metal, and by how much', () => {
    expect(portViews([port(20, 40)], [hole])[0]?.blockedMm).to.equal(0);
    expect(portViews([port(52, 63)], [hole])[0]?.blockedMm).to.equal(3);
    expect(portViews([port(20, 40, 2, 24.5)], [hole])[0]?.blockedMm).to.equal(4.5);
    expect(portViews([port(80, 100)], [hole])[0]?.blockedMm).to.equal(20);
    expect(portViews([port(80, 100)], [])[0]?.blockedMm).to.equal(20);
  });
  it('lists what to cut: the port and a millimetre round it', () => {
    expect(portViews([port(52, 63)], [hole])[0]?.cut).to.deep.equal({
      name: 'p',
      x0: 51,
      x1: 64,
      y0: 1,
      y1: 13,
    });
    expect(portViews([port(20, 40)], [hole])[0]?.cut).to.equal(undefined);
  });
  it('frees every port once the list is cut', () => {
    const anyPort = fc.integer({ min: 0, max: 120 }).map((x) => port(x, x + 16));
    fc.assert(
      fc.property(fc.array(anyPort, { maxLength: 6 }), (ports) => {
        const cuts = portViews(ports, [hole]).flatMap((each) => each.cut ?? []);
        for (const each of portViews(ports, [hole, ...cuts])) expect(each.blockedMm).to.equal(0);
      }),
    );
  });
  const plan = (applied: RemedyValue[] = []) =>
    planWith(
      {
        case: { openings: ['window 10-60 0-20'] },
        board: { ports: ['HDMI 20-36 2-8', 'LAN 52-68 1-16'] },
      },
      { applied },
    );
  it('is a Mend with three ways: plate, cut, leave it out', () => {
    const [found] = rearPorts(plan());
    expect(found?.mark).to.equal('mend');
    expect(found?.say).to.equal('LAN 8.0 mm behind metal.');
    expect(found?.remedies.map(({ value }) => value)).to.deep.equal([
      rearPlate(),
      rearCut({ count: 1 }),
      rearOpen(),
    ]);
    expect(found?.remedies.map((remedy) => remedy.undoable)).to.deep.equal([true, false, true]);
  });
  it('watches once it is cut or left open, and is quiet while nothing was measured', () => {
    expect(rearPorts(plan([rearCut({ count: 1 })]))[0]?.mark).to.equal('watch');
    expect(rearPorts(plan([rearOpen()]))[0]?.say).to.match(/dust/);
    expect(rearPorts(planWith({ case: {}, board: { ports: ['LAN 1-17 2-16'] } }))).to.deep.equal(
      [],
    );
  });
});

describe('fit/fasteners', () => {
  /* ISO 261: M2 x 0.4, M3 x 0.5, M4 x 0.7. ASME B1.1: No. 6 is 0.138 in, 32 turns an inch. */
  for (const [diameter, pitch, name] of [
    [0.138 * 25.4, 25.4 / 32, '6-32'],
    [3, 0.5, 'M3'],
    [2, 0.4, 'M2'],
    [4, 0.7, 'M4'],
  ] as const) {
    it(`knows ${name} by its nominal figures and by worn crests`, () => {
      expect(whichThread(diameter, pitch).may.map((each) => each.name)).to.deep.equal([name]);
      expect(whichThread(diameter - 0.15, pitch).may.map((each) => each.name)).to.deep.equal([
        name,
      ]);
    });
  }
  it('warns of the lookalike while only the diameter is known', () => {
    expect(whichThread(2.95).say).to.match(/It looks like 6-32: finger-tight first/);
    expect(whichThread(3.45).say).to.match(/It looks like M3/);
    expect(whichThread(2.95, 0.5).say).not.to.match(/looks like/);
  });
  it('says none rather than guess', () => {
    expect(whichThread(3, 0.8).may).to.deep.equal([]);
    expect(whichThread(5.5).say).to.match(/do not force it/);
    expect(() => whichThread(0)).to.throw(RangeError);
    expect(() => whichThread(3, 0)).to.throw(RangeError);
  });
  it('keeps a drive screw within the 3.8 mm of a 3.5 in drive', () => {
    const answer = screwLength(1.2, 3.8, 3.5);
    expect(Math.max(...answer.fits)).to.equal(5);
    expect(answer.mayMm.hi).to.be.closeTo(5, 1e-9);
  });
  it('takes up the rest with washers where no length fits', () => {
    const answer = screwLength(12.2, 2, 3);
    expect(answer.fits).to.deep.equal([]);
    expect(answer.washers?.lengthMm).to.equal(16);
    expect(answer.washers?.count).to.equal(3);
  });
  it('never offers a screw that reaches what lies behind, or barely holds', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 12, noNaN: true }),
        fc.double({ min: 0.5, max: 15, noNaN: true }),
        (plate, depth) => {
          const { fits, washers, mayMm } = screwLength(plate, depth);
          for (const length of fits) {
            expect(screwLengthsMm).to.include(length);
            expect(length).to.be.within(mayMm.lo, plate + depth);
          }
          if (washers)
            expect(washers.lengthMm - washers.count * 0.8).to.be.at.most(mayMm.hi + 1e-9);
        },
      ),
    );
  });
  it('answers on the entry line', () => {
    expect(quickSum('thread 3.5 0.8')?.say).to.match(/^6-32/);
    expect(quickSum('screw 3.8 over 1.2')?.say).to.equal('5 mm under the head, 5.0 at most.');
    expect(quickSum('thread')).to.equal(undefined);
    expect(quickSum('thread 0')).to.equal(undefined);
  });
  it('counts what a plan needs, and what the shelf lacks of it', () => {
    const { shop, job } = jobWith({
      case: { standoffs: ['C', 'F'] },
      board: { format: 'Mini-ITX' },
      drive1: { form: '3.5' },
      drive2: { form: '2.5' },
      supply: { format: 'SFX' },
    });
    const screws: Part = {
      id: 'N1',
      kind: 'small',
      name: 'screws',
      place: 'shelf',
      facts: { sort: { text: 'screw 6-32', how: 'said' }, count: { lo: 5, hi: 5, how: 'said' } },
    };
    const plan = planOf({ ...shop, parts: [...shop.parts, screws] }, job);
    const need = (what: string) =>
      fastenersFor(plan)
        .filter((line) => line.what === what)
        .reduce((sum, line) => sum + line.need, 0);
    expect(need('screw 6-32')).to.equal(4 + 4 + 4);
    expect(need('screw M3')).to.equal(4);
    expect(need('standoff')).to.equal(2);
    expect(missingFasteners(plan)).to.deep.include({ what: 'screw 6-32', count: 7 });
  });
  it('needs nothing where nothing comes', () => {
    expect(fastenersFor(planWith({}))).to.deep.equal([]);
  });
});

describe('fit/rear, the plate round the ports', () => {
  const found = (ioPlate: string | undefined, more: Seats = {}, applied: RemedyValue[] = []) =>
    portPlate(planWith({ case: {}, board: ioPlate ? { ioPlate } : {}, ...more }, { applied }))[0];
  it('is missed where it was said to be missing, and seen to by one made, left out or put in', () => {
    expect(found('missing')?.mark).to.equal('mend');
    expect(found('missing')?.remedies.map(({ value }) => value.do)).to.deep.equal([
      'rearPlate',
      'rearOpen',
    ]);
    expect(found('missing', {}, [rearOpen()])?.mark).to.equal('watch');
    expect(found('missing', { small1: { sort: 'rear plate' } })).to.equal(undefined);
    expect(found('with it')).to.equal(undefined);
    expect(found(undefined)).to.equal(undefined);
  });
});
