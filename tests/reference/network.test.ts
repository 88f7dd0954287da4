import { expect } from 'chai';
import { solve } from '../../src/core/watts/network/index.ts';
import { random } from '../helpers/boards.ts';
import { spice } from '../helpers/spice.ts';
import { deckOf, madeSupplyNet } from '../helpers/supplyNets.ts';

/** Node volts against ngspice, a general circuit simulator: 36 made-up nets and two by hand. */
describe('reference: supply nets against ngspice', function () {
  this.timeout(120_000);
  for (const [kinds, within] of [
    ['resistive', 1e-6],
    ['power', 1e-5],
  ] as const)
    it(`node volts of 18 ${kinds} nets`, () => {
      const dice = random(kinds === 'power' ? 5 : 9);
      for (let i = 0; i < 18; i += 1) {
        const net = madeSupplyNet(dice, 4 + Math.floor(dice() * 36), kinds);
        const own = solve(net);
        expect(own.ok).to.equal(true);
        const nodes = Object.keys(own.volts).filter((node) => node !== 'source');
        const outside = spice(
          deckOf(net),
          nodes.map((node) => `v(${node})`),
        );
        nodes.forEach((node, at) => {
          const theirs = outside[at] as number;
          expect(own.volts[node], node).to.be.closeTo(theirs, Math.abs(theirs) * within);
        });
      }
    });
  it('amps of a lead that splits and meets again', () => {
    const net = {
      held: { s: 12 },
      resistors: [
        { id: 'a', a: 's', b: 'x', ohm: 0.01 },
        { id: 'b', a: 's', b: 'x', ohm: 0.03 },
        { id: 'c', a: 'x', b: 'y', ohm: 0.005 },
        { id: 'd', a: 's', b: 'y', ohm: 0.02 },
      ],
      loads: [
        { id: 'card', node: 'y', watts: 150 },
        { id: 'fan', node: 'x', amps: 0.4 },
      ],
    };
    const own = solve(net);
    const [a, d] = spice(deckOf(net), ['(v(s)-v(x))/0.01', '(v(s)-v(y))/0.02']);
    expect(own.amps['a']).to.be.closeTo(a as number, 1e-6);
    expect(own.amps['d']).to.be.closeTo(d as number, 1e-6);
  });
});

describe('reference: sums of common practice (no source)', () => {
  it('carries at most V²/4R over one lead, and not a watt more', () => {
    const lead = { id: 'lead', a: 's', b: 'n', ohm: 0.5 };
    const at = (watts: number) =>
      solve({ held: { s: 12 }, resistors: [lead], loads: [{ id: 'l', node: 'n', watts }] });
    expect(at(71.99).ok).to.equal(true);
    const over = at(100);
    expect(over.ok).to.equal(false);
    expect(over.carries * 100).to.be.closeTo(72, 1e-4);
  });
});
