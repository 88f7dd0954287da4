import { expect } from 'chai';
import { minutesIn } from '../../../src/core/units/span.ts';

describe('units/span', () => {
  it('reads durations as they are typed, and nothing that is none', () => {
    for (const [text, minutes] of [
      ['90', 90],
      ['1:30', 90],
      ['1.5 h', 90],
      ['1,5h', 90],
      ['2 days', 2880],
      ['1 week', 10_080],
      ['20 min', 20],
      ['0', 0],
    ] as const)
      expect(minutesIn(text), text).to.equal(minutes);
    for (const text of ['', 'soon', '5 x', '-3', '1:5', '60001', '42 days', '1e9'])
      expect(minutesIn(text), text).to.equal(undefined);
    expect(minutesIn('42 days', 100_000)).to.equal(60_480);
  });
});
