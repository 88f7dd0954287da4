import { expect } from 'chai';
import { circleRim, edgeRim } from '../../../src/core/photo/rim.ts';
import { seeded } from '../../helpers/rendered.ts';

/** A step smeared by a Gaussian: its error function by Abramowitz and Stegun 7.1.26, other than what is tested. */
function done(x: number, sigma: number): number {
  const z = Math.abs(x) / sigma / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * z);
  const tail =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
    Math.exp(-z * z);
  return x < 0 ? tail / 2 : 1 - tail / 2;
}

const SIGMA = 0.25;
/** Readings across an edge: what is before it, a wall from `lower` to `upper`, what is behind; mm. */
function across(of: {
  upper: number;
  lower: number;
  slope?: number;
  before: number;
  wall: number;
  behind: number;
  noise?: number;
}) {
  const roll = seeded(7);
  const [first, second] = [Math.min(of.upper, of.lower), Math.max(of.upper, of.lower)];
  return Array.from({ length: 40 }, (_, i) => {
    const t = (i - 19.5) / 10;
    const readings = Array.from({ length: 30 }, (_, k) => {
      const at = -1.6 + k * 0.11;
      const x = at - (of.slope ?? 0) * t;
      const light =
        of.before +
        (of.wall - of.before) * done(x - first, SIGMA) +
        (of.behind - of.wall) * done(x - second, SIGMA) +
        (of.noise ?? 0.003) * roll.normal();
      return { at, light };
    });
    return { t, readings };
  });
}

describe('photo/rim', () => {
  const guess = { sigma: SIGMA, before: 0.8, behind: 0.3 };
  /* The camera's foot lies before the edge: the wall shows there, below the upper rim. */
  const seen = { before: 0.8, wall: 0.1, behind: 0.3 };

  it('tells the upper rim from the one below, guessed at the upper one', () => {
    const rows = across({ ...seen, upper: 0.04, lower: -0.66, slope: 0.01 });
    const fit = edgeRim(rows, { ...guess, lean: -0.5, lower: false })!;
    expect(fit.figures[0]).to.be.closeTo(0.04, 0.03);
    expect(fit.figures[1]).to.be.closeTo(0.01, 0.01);
    expect(Math.abs(fit.figures[2]!) * 0.5).to.be.closeTo(0.7, 0.06);
  });

  it('from the rim below finds the upper one, wherever that may be', () => {
    for (const [side, lean] of [
      [1, -0.5],
      [-1, 0.5],
    ] as const) {
      const light = side > 0 ? seen : { before: 0.3, wall: 0.1, behind: 0.8 };
      const rows = across({ ...light, upper: side * 0.7, lower: 0 });
      const fit = edgeRim(rows, { ...guess, ...light, lean, lower: true })!;
      expect(fit.figures[0], String(side)).to.be.closeTo(side * 0.7, 0.05);
    }
  });

  it('takes the one step there is for the upper rim’s: a wall as light as the face would hide it', () => {
    const rows = across({ upper: 0.02, lower: 0.02, before: 0.8, wall: 0.8, behind: 0.3 });
    for (const lower of [false, true]) {
      const fit = edgeRim(rows, { ...guess, lean: -0.5, lower })!;
      expect(fit.figures[0]).to.be.closeTo(0.02, 0.03);
      /* Only where the rim below was thought possible it stays a little in doubt. */
      expect(Math.sqrt(fit.spread(0, 0))).to.be.within(0.001, lower ? 0.3 : 0.12);
    }
  });

  it('is as sure as its light is quiet', () => {
    const offs = [0.003, 0.03].map((noise) => {
      const rows = across({ ...seen, upper: 0, lower: -0.7, noise });
      return Math.sqrt(edgeRim(rows, { ...guess, lean: -0.5, lower: false })!.spread(0, 0));
    });
    expect(offs[1]! / offs[0]!).to.be.within(4, 20);
  });

  it('says nothing of a handful of readings', () => {
    const rows = across({ ...seen, upper: 0, lower: -0.7 }).slice(0, 3);
    expect(edgeRim(rows, { ...guess, lean: -0.5, lower: false })).to.equal(undefined);
    expect(
      circleRim([], {
        r: 2,
        toward: { x: 1, y: 0 },
        lean: 0,
        sigma: SIGMA,
        under: 0.8,
        face: 0.3,
      }),
    ).to.equal(undefined);
  });
});
