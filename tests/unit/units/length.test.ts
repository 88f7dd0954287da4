import { expect } from 'chai';
import fc from 'fast-check';
import {
  drawnLength,
  formatLength,
  lengthsIn,
  lengthWithUnit,
  parseLength,
  parseNumber,
  trim,
} from '../../../src/core/units/length.ts';
import { quickSum } from '../../../src/core/quick/sums.ts';

describe('units/drawnLength', () => {
  it('whole millimetres say no unit, hundredths of an inch theirs', () => {
    expect(drawnLength(247, 'mm')).to.equal('247');
    expect(drawnLength(246.6, 'mm')).to.equal('247');
    expect(drawnLength(247, 'in')).to.equal('9.72″');
    expect(drawnLength(254, 'in')).to.equal('10″');
  });
  it('never promises more room than there is, never less of what stands over', () => {
    expect(drawnLength(246.6, 'mm', 'floor')).to.equal('246');
    expect(drawnLength(0.2, 'mm', 'ceil')).to.equal('1');
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 900, noNaN: true }), (mm) => {
        expect(Number.parseFloat(drawnLength(mm, 'in', 'floor')) * 25.4).to.be.at.most(mm + 1e-9);
        expect(Number.parseFloat(drawnLength(mm, 'in', 'ceil')) * 25.4).to.be.at.least(mm - 1e-9);
      }),
    );
  });
  it('keeps a tenth of a millimetre visible in inches', () => {
    expect(lengthWithUnit(0.1, 'in')).to.equal('0.004 in');
    expect(lengthWithUnit(0.1, 'mm')).to.equal('0.1 mm');
    expect(lengthsIn('leaves 1 mm, of 247 mm', 'in')).to.equal('leaves 0.039 in, of 9.72 in');
  });
});

describe('units/length', () => {
  const cases: [string, number][] = [
    ['158', 158],
    ['158 mm', 158],
    ['15.8cm', 158],
    ['15,8 cm', 158],
    ['1 m', 1000],
    ['6.25"', 158.75],
    ['6 1/4 in', 158.75],
    ['1/4 in', 6.35],
    ['3/8"', 9.525],
    ['10 inches', 254],
    ['  42  ', 42],
  ];
  for (const [text, mm] of cases) {
    it(`reads "${text}" as ${mm} mm`, () => {
      expect(parseLength(text)?.mm).to.be.closeTo(mm, 1e-9);
    });
  }

  it('reads a bare number in the unit of the shop', () => {
    expect(parseLength('6.25', 'in')?.mm).to.be.closeTo(158.75, 1e-9);
    expect(parseLength('6.25', 'in')?.unit).to.equal(undefined);
    expect(parseLength('6.25 mm', 'in')?.mm).to.equal(6.25);
  });

  it('says which unit was typed', () => {
    expect(parseLength('5 in')?.unit).to.equal('in');
    expect(parseLength('5 cm')?.unit).to.equal('mm');
  });

  for (const bad of ['', 'abc', '12 parsec', '1/0 in', '1//2', '--5', '5 5', '1e3', '12 V']) {
    it(`does not take "${bad}" for a length`, () => {
      expect(parseLength(bad)).to.equal(undefined);
    });
  }

  it('reads back what it writes, in both units', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9999 }),
        fc.constantFrom('mm' as const, 'in' as const),
        (tenths, unit) => {
          const mm = tenths / 10;
          const read = parseLength(`${formatLength(mm, unit)} ${unit}`)?.mm ?? NaN;
          expect(read).to.be.closeTo(mm, unit === 'mm' ? 0.0001 : 0.13);
        },
      ),
    );
  });

  it('reads numbers with fractions and commas', () => {
    expect(parseNumber('2,5')).to.equal(2.5);
    expect(parseNumber('1 1/2')).to.equal(1.5);
    expect(parseNumber('x')).to.equal(undefined);
  });

  it('writes no trailing zeros and no minus zero', () => {
    expect(trim(20, 1)).to.equal('20');
    expect(trim(20.04, 1)).to.equal('20');
    expect(trim(-0.01, 1)).to.equal('0');
    expect(trim(100, 0)).to.equal('100');
    expect(trim(2.64192, 2)).to.equal('2.64');
  });
});

describe('units/length, sentences in the shop’s unit', () => {
  it('turns every length of a sentence, and leaves what is called by its millimetres', () => {
    expect(lengthsIn('leaves 20 mm', 'mm')).to.equal('leaves 20 mm');
    expect(lengthsIn('leaves 25.4 mm; 127 to 254 mm over', 'in')).to.equal(
      'leaves 1 in; 5 to 10 in over',
    );
    expect(lengthsIn('−6 to 12 mm', 'in')).to.equal('−0.24 to 0.47 in');
    expect(lengthsIn('Is it less than 162 mm?', 'in')).to.equal('Is it less than 6.38 in?');
    expect(lengthsIn('A 120 mm fan leaves 12.7 mm', 'in')).to.equal('A 120 mm fan leaves 0.5 in');
    expect(lengthsIn('12 V, 65 W, 3 mm', 'in')).to.equal('12 V, 65 W, 0.12 in');
  });
  it('a kept sum means the same after the unit was changed; its answer is in the new one', () => {
    expect(quickSum('20 in 30', 'mm', 'in')?.finding.margin).to.deep.equal({ lo: 10, hi: 10 });
    expect(quickSum('20 in 30', 'mm', 'in')?.say).to.equal('0.39 in spare');
    expect(quickSum('20 in 30', 'in', 'mm')?.say).to.equal('254 mm spare');
  });
});
