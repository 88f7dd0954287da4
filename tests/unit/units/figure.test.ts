import { expect } from 'chai';
import fc from 'fast-check';
import { readFigure } from '../../../src/core/units/figure.ts';

describe('units/figure', () => {
  const mm = { unit: 'mm', most: 1000 } as const;
  it('reads a length in any unit of length, bare ones in the shop’s', () => {
    expect(readFigure('140', mm)).to.deep.equal({ value: 140 });
    expect(readFigure('4 3/8 in', mm)).to.deep.equal({ value: 4.375 * 25.4 });
    expect(readFigure('4 3/8', { ...mm, lengths: 'in' })).to.deep.equal({ value: 4.375 * 25.4 });
    expect(readFigure('15,8 cm', mm)).to.deep.equal({ value: 158 });
  });
  it('refuses what is no length, too long, or zero, and says which', () => {
    expect(readFigure('abc', mm)).to.include({ why: 'shape' });
    expect(readFigure('5000', mm)).to.deep.equal({
      fault: 'More than 1000 mm cannot be meant.',
      why: 'most',
    });
    expect(readFigure('5000', { ...mm, lengths: 'in' })).to.deep.equal({
      fault: 'More than 39.37 in cannot be meant.',
      why: 'most',
    });
    expect(readFigure('0', mm)).to.include({ why: 'zero' });
    expect(readFigure('0', { ...mm, zero: true })).to.deep.equal({ value: 0 });
  });
  it('takes the unit that is asked for, and no other', () => {
    expect(readFigure('65 W', { unit: 'W' })).to.deep.equal({ value: 65 });
    expect(readFigure('65w', { unit: 'W' })).to.deep.equal({ value: 65 });
    expect(readFigure('65 V', { unit: 'W' })).to.include({ why: 'shape' });
    expect(readFigure('158 mm', { unit: 'count' })).to.include({ why: 'shape' });
  });
  it('counts in whole numbers', () => {
    expect(readFigure('3', { unit: 'count' })).to.deep.equal({ value: 3 });
    expect(readFigure('2.5', { unit: 'count' })).to.include({ fault: 'A whole number.' });
  });
  it('answers a finite number or one sentence, whatever is typed', () => {
    fc.assert(
      fc.property(
        fc.oneof(fc.string(), fc.stringMatching(/^[\d.,/ eEinm-]{0,12}$/)),
        fc.constantFrom('mm', 'W', 'count', '%'),
        (text, unit) => {
          const read = readFigure(text, { unit, most: 5000 });
          if ('value' in read) expect(read.value).to.satisfy(Number.isFinite);
          else expect(read.fault).to.match(/\.$/);
        },
      ),
    );
  });
});
