import { expect } from 'chai';
import { typedPairs } from '../../../src/core/heat/index.ts';
import {
  celsiusOf,
  degreesIn,
  degreesOf,
  degreesText,
  spoken,
} from '../../../src/core/units/degrees.ts';
import { show, showTerm, unitWord } from '../../../src/lib/ui/figures.ts';

/* Fixed points of the Fahrenheit scale: -40, freezing and boiling water; 0 F. Handbook of Chemistry and Physics. */
describe('units/degrees', () => {
  const F = { unit: 'mm', degrees: 'F' } as const;

  it('goes there and back by the fixed points', () => {
    for (const [c, f] of [
      [-40, -40],
      [0, 32],
      [100, 212],
      [37, 98.6],
    ] as const) {
      expect(degreesOf(c, 'F')).to.be.closeTo(f, 1e-9);
      expect(celsiusOf(f, 'F')).to.be.closeTo(c, 1e-9);
      expect(degreesOf(c)).to.equal(c);
    }
    expect(degreesText(71, 'F')).to.equal('160 °F');
    expect(degreesText(71)).to.equal('71 °C');
  });

  it('turns temperatures and differences of a sentence, and nothing else', () => {
    const said = (text: string) => degreesIn(text, 'F');
    expect(said('CPU under 85 °C')).to.equal('CPU under 185 °F');
    expect(said("CPU 10 K under its maker's limit, 95 to 100 °C")).to.equal(
      "CPU 18 °F under its maker's limit, 203 to 212 °F",
    );
    expect(said('−5 °C is too cold, 21.5 °C is not')).to.equal('23 °F is too cold, 70.7 °F is not');
    expect(said('drifted 0.5 K an hour, 3 K over the dew point')).to.equal(
      'drifted 0.9 °F an hour, 5 °F over the dew point',
    );
    for (const text of ['0.25 K/W', 'DDR4 8 GB', '10 kΩ', 'K04 is dead', '7 Kg'])
      expect(said(text)).to.equal(text);
    expect(said('aim, °C')).to.equal('aim, °F');
    expect(degreesIn('85 °C', 'C')).to.equal('85 °C');
    expect(spoken('25.4 mm at 0 °C', { unit: 'in', degrees: 'F' })).to.equal('1 in at 32 °F');
  });

  it('keeps a sum a sum: temperatures as such, what is between them as differences', () => {
    const term = (label: string, lo: number) => ({
      label,
      value: { lo, hi: lo },
      sign: 1 as const,
    });
    /* 85 °C - 25 °C - 20 K = 40 K: 185 °F - 77 °F - 36 °F = 72 °F. */
    expect(showTerm(term('aim, °C', 85), 'K', F)).to.equal('185');
    expect(showTerm(term('room, °C', 25), 'K', F)).to.equal('77');
    expect(showTerm(term('air of the case warmer by', 20), 'K', F)).to.equal('36');
    expect(show({ lo: 40, hi: 40 }, 'K', F)).to.equal('72');
    expect(unitWord('K', F)).to.equal('°F');
    expect(show({ lo: 3, hi: 5 }, 'mm', F)).to.equal('3–5');
    expect(unitWord('K')).to.equal('K');
  });

  it('reads typed pairs in the unit that is said, else the shop’s', () => {
    const values = (text: string, degrees?: 'C' | 'F') => [
      ...(typedPairs(text, degrees).columns[0]?.values ?? []),
    ];
    expect(values('0 32, 5 212', 'F')).to.deep.equal([0, 100]);
    expect(values('0 32, 5 212 F')).to.deep.equal([32, 100]);
    expect(values('0 30 C, 5 140', 'F')).to.deep.equal([30, 60]);
  });
});
