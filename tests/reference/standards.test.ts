import { expect } from 'chai';
import {
  boardFormats,
  holes,
  HOLE_DIAMETER_MM,
  isHole,
  SLOT_PITCH_MM,
} from '../../src/core/standards/boards.ts';
import { coolerMounts } from '../../src/core/standards/sockets.ts';
import { plug, plugs } from '../../src/core/standards/plugs/index.ts';
import { fanHoles, supplyFormats } from '../../src/core/standards/room.ts';
import { threads } from '../../src/core/standards/threads.ts';
import { fixture } from '../helpers/fixture.ts';

const symbols = JSON.parse(fixture('pinouts.json')) as Record<string, string[]>;

/** The symbol library's names for the signals of the design guide. */
const sameSignal: Record<string, string> = { GND: 'COM', NC: 'open', '-5V/NC': '-5V' };

describe('reference: main plugs against the KiCad symbol library 6.0', () => {
  for (const [symbol, id] of [
    ['ATX-24', 'main24'],
    ['ATX-20', 'main20'],
  ] as const) {
    it(`${symbol}, every pin`, () => {
      const expected = symbols[symbol]?.map((name) => sameSignal[name] ?? name);
      expect(plug(id)?.pins).to.deep.equal(expected);
    });
  }
});

describe('plugs as data', () => {
  for (const each of plugs) {
    it(`${each.name} has a signal for each way, rows that divide, a source`, () => {
      expect(each.pins).to.have.length(each.ways);
      /* An M.2 socket has one contact more on one side. */
      if (each.group !== 'slot') expect(each.ways % each.rows).to.equal(0);
      expect(each.source.title).to.not.equal('');
    });
  }
  it('turns the six-pin card plug against the CPU plug: a six-pin there is reversed', () => {
    const card = plug('card6');
    const processor = plug('cpu4');
    expect(card?.pins.slice(0, 2)).to.deep.equal(['+12V', '+12V']);
    expect(processor?.pins.slice(0, 2)).to.deep.equal(['COM', 'COM']);
  });
  /* Serial ATA: 1.5 A a contact, three contacts a rail, 12 V. */
  it('limits the SATA plug to 4.5 A at 12 V', () => {
    expect(plug('sata')?.limitW).to.equal(1.5 * 3 * 12);
    expect(plug('sata')?.pins.filter((signal) => signal === '+12V')).to.have.length(3);
  });
});

describe('reference: hole table against the outlines, by arithmetic', () => {
  for (const format of boardFormats) {
    it(`${format.name}: every hole lies within its outline, a radius from the edge at least`, () => {
      for (const name of format.holes) {
        const { x, y } = holes[name];
        expect(x).to.be.within(HOLE_DIAMETER_MM / 2, format.widthMm - HOLE_DIAMETER_MM / 2);
        expect(y).to.be.within(HOLE_DIAMETER_MM / 2, format.depthMm - HOLE_DIAMETER_MM / 2);
      }
    });
  }
  /* Far-side margins as the specifications print them (from memory). */
  it('leaves the printed margins at the far side and the front', () => {
    const far = (name: string) => {
      const format = boardFormats.find((each) => each.name === name);
      if (!format) throw new Error(name);
      const xs = format.holes.map((hole) => holes[hole].x);
      const ys = format.holes.map((hole) => holes[hole].y);
      return [format.widthMm - Math.max(...xs), format.depthMm - Math.max(...ys)];
    };
    expect(far('ATX')[0]).to.be.closeTo(16.51, 0.005);
    expect(far('microATX')[0]).to.be.closeTo(34.29, 0.005);
    expect(far('FlexATX')[0]).to.be.closeTo(19.05, 0.005);
    expect(far('Mini-ITX')[0]).to.be.closeTo(6.35, 0.005);
    expect(far('ATX')[1]).to.be.closeTo(6.35, 0.005);
    expect(far('microATX')[1]).to.be.closeTo(6.35, 0.005);
    expect(far('Mini-ITX')[1]).to.be.closeTo(5.08, 0.005);
  });
  it('has C, F, H and J in all four: four holes alone cannot tell them apart', () => {
    for (const format of boardFormats)
      expect(format.holes).to.include.members(['C', 'F', 'H', 'J']);
  });
  it('places rear holes a whole number of slots apart where slots decide', () => {
    const pitches = (holes.B.x - holes.C.x) / SLOT_PITCH_MM;
    expect(pitches).to.be.closeTo(2.25, 0.001);
    expect(isHole('A')).to.equal(true);
    expect(isHole('toString')).to.equal(false);
  });
  it('is in inches underneath: every figure is a multiple of 0.05 in', () => {
    for (const { x, y } of Object.values(holes)) {
      for (const value of [x, y])
        expect(Math.abs(value / 1.27 - Math.round(value / 1.27))).to.be.below(1e-6);
    }
  });
});

describe('rooms and mounts as data', () => {
  it('orders PSUs by what goes into what', () => {
    const size = (name: string) => supplyFormats.find((each) => each.name === name);
    expect(size('SFX')?.widthMm).to.be.below(size('ATX')?.widthMm ?? 0);
    expect(size('SFX-L')?.widthMm).to.equal(size('SFX')?.widthMm);
    expect(size('SFX-L')?.depthMm.lo).to.equal((size('SFX')?.depthMm.lo ?? 0) + 30);
  });
  it('has each socket once', () => {
    const sockets = coolerMounts.flatMap((mount) => mount.sockets);
    expect(new Set(sockets).size).to.equal(sockets.length);
  });
  it('keeps fan holes inside the fan', () => {
    for (const [size, spacing] of Object.entries(fanHoles))
      expect(spacing).to.be.below(Number(size));
  });
  it('tells 6-32 from M3 by diameter and pitch, which the eye does not', () => {
    const [coarse, fine] = ['6-32', 'M3'].map((name) => threads.find((each) => each.name === name));
    expect(coarse?.diameterMm).to.be.closeTo(0.138 * 25.4, 0.001);
    expect(coarse?.pitchMm).to.be.closeTo(25.4 / 32, 0.001);
    expect((coarse?.diameterMm ?? 0) - (fine?.diameterMm ?? 0)).to.be.closeTo(0.5, 0.01);
  });
});
