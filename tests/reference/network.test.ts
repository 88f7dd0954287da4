import { expect } from 'chai';
import { spiceDeck } from '../../src/core/export/watts.ts';
import { solve, solveSystem, type System } from '../../src/core/watts/network/index.ts';
import { random } from '../helpers/boards.ts';
import { spice } from '../helpers/spice.ts';
import { deckOf, madeSupplyNet } from '../helpers/supplyNets.ts';

/** Node volts against ngspice, a general circuit simulator: 36 made-up nets and two by hand. */
describe('reference: PSU nets against ngspice', function () {
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

describe('reference: converters as controlled sources against ngspice', function () {
  this.timeout(60_000);
  it('12 made-up chains and forks of converters, node volts and amps in', () => {
    const dice = random(21);
    for (let i = 0; i < 12; i += 1) {
      const n = 1 + Math.floor(dice() * 4);
      const system: System = {
        held: { s: 12 + dice() * 12 },
        resistors: Array.from({ length: n }, (_, k) => ({
          id: `r${k}`,
          a: k === 0 ? 's' : `o${Math.floor(dice() * k)}`,
          b: `i${k}`,
          ohm: 0.005 + dice() * 0.05,
        })),
        loads: Array.from({ length: n }, (_, k) => ({
          id: `l${k}`,
          node: `o${k}`,
          ...(dice() < 0.6 ? { watts: 1 + dice() * 15 } : { ohms: 20 + dice() * 50 }),
        })),
        converters: Array.from({ length: n }, (_, k) => ({
          id: `c${k}`,
          in: `i${k}`,
          out: `o${k}`,
          outV: 5 + dice() * 20,
          efficiency: 0.8 + dice() * 0.18,
          idleW: dice(),
        })),
      };
      const own = solveSystem(system);
      expect(own.ok).to.equal(true);
      const lines = spiceDeck(system, 'chain')
        .split('\n')
        .filter((line) => /^[VRBI]_/.test(line));
      /* Constant power has a second, collapsed state: the simulator is told where to start. */
      const nominal = (node: string) =>
        system.held[node] ?? system.converters?.find((each) => each.out === node)?.outV ?? 12;
      const hints = system.resistors.map(({ a, b }) => `.nodeset v(${b})=${nominal(a)}`);
      const nodes = Object.keys(own.volts).filter((node) => node !== 's');
      const amps = (system.converters ?? []).map(
        ({ id, in: into, efficiency, idleW, outV }) =>
          `(${outV}*-i(v_${id})/${efficiency}+${idleW})/v(${into})`,
      );
      const outside = spice([...lines, ...hints], [...nodes.map((node) => `v(${node})`), ...amps]);
      [...nodes.map((node) => own.volts[node]), ...Object.values(own.inA)].forEach((mine, at) => {
        const theirs = outside[at] as number;
        expect(mine, `${i} ${at}`).to.be.closeTo(theirs, Math.abs(theirs) * 1e-5);
      });
    }
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
