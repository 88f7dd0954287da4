import { execFileSync } from 'node:child_process';
import { expect } from 'chai';
import { quickSum } from '../../src/core/quick/sums.ts';
import { parseLength } from '../../src/core/units/length.ts';
import { toCelsius, toFahrenheit } from '../../src/core/units/degrees.ts';
import { leadLoss, wireDiameterMm, wireOhmPerM } from '../../src/core/units/wire.ts';

/** GNU units (Debian package units), asked as anybody would ask it. */
function units(from: string, to: string): number {
  return Number(execFileSync('units', ['-t', from, to], { encoding: 'utf8' }).trim());
}

describe('reference: lengths, volumes and temperatures against GNU units', () => {
  for (const [text, asked] of [
    ['6.25 in', '6.25 inch'],
    ['6 1/4 in', '6.25 inch'],
    ['3/8"', '0.375 inch'],
    ['15,8 cm', '15.8 cm'],
    ['2 ft', '2 foot'],
    ['0.4 m', '0.4 m'],
  ] as const) {
    it(`${text}`, () => {
      expect(parseLength(text)?.mm).to.be.closeTo(units(asked, 'mm'), 1e-6);
    });
  }
  it('8 x 3.2 x 6.3 in is 2.64 litres', () => {
    const litres = units('8 inch * 3.2 inch * 6.3 inch', 'liter');
    expect(litres).to.be.closeTo(2.64, 0.005);
    expect(quickSum('8 x 3.2 x 6.3 in')?.say).to.equal(`${litres.toFixed(2)} litres`);
  });
  for (const celsius of [-40, 0, 21.5, 85, 100]) {
    it(`${celsius} °C and back`, () => {
      expect(toFahrenheit(celsius)).to.be.closeTo(units(`tempC(${celsius})`, 'tempF'), 1e-4);
      expect(toCelsius(toFahrenheit(celsius))).to.be.closeTo(celsius, 1e-9);
    });
  }
});

describe('reference: wire against GNU units and the published resistivity', () => {
  for (const awg of [10, 14, 16, 18, 20, 22, 24, 28]) {
    it(`diameter of AWG ${awg}`, () => {
      expect(wireDiameterMm(awg)).to.be.closeTo(units(`awg(${awg})`, 'mm'), 1e-4);
    });
    it(`ohms of AWG ${awg}, from its diameter and IEC 60028`, () => {
      const ohm = units(`1.7241e-8 ohm m * 1 m / circlearea(awg(${awg})/2)`, 'ohm');
      expect(wireOhmPerM(awg)).to.be.closeTo(ohm, ohm * 1e-5);
    });
  }
  /* Milliohms a metre as wire tables print them. */
  it('gives the handbook figures', () => {
    const table: [number, number][] = [
      [14, 8.28],
      [16, 13.2],
      [18, 20.9],
      [20, 33.3],
      [22, 53.0],
      [24, 84.2],
    ];
    for (const [awg, milliohm] of table) {
      expect(wireOhmPerM(awg) * 1000).to.be.closeTo(milliohm, milliohm * 0.005);
    }
  });
  it('counts the way there and the way back', () => {
    const loss = leadLoss(18, 2, 6);
    expect(loss.dropV).to.be.closeTo(0.0209 * 4 * 6, 0.003);
    expect(loss.heatW).to.be.closeTo(loss.dropV * 6, 1e-9);
  });
  it('grows with warmth by 0.393 % a kelvin', () => {
    expect(wireOhmPerM(18, 60) / wireOhmPerM(18)).to.be.closeTo(1 + 0.00393 * 40, 1e-9);
  });
});

describe('reference: sums of common practice (no source)', () => {
  const said: [string, string][] = [
    ['100 C', '212 °F'],
    ['212 F', '100 °C'],
    ['12 V 20 A', '240 W'],
    ['228 in 310', '82 mm spare'],
    ['267 in 247', '20 mm over'],
  ];
  for (const [text, answer] of said) {
    it(`${text}: ${answer}`, () => expect(quickSum(text)?.say).to.equal(answer));
  }
  it('41.5 l to 10.2 l is a quarter', () => {
    expect(quickSum('41.5 l to 10.2 l')?.say).to.equal('25 % of the room');
  });
});
