import { expect } from 'chai';
import fc from 'fast-check';
import { NetError, solve, type Load, type Net } from '../../../src/core/watts/network/index.ts';
import { nodeVolts } from '../../../src/core/units/resistors.ts';
import { spiceDeck } from '../../../src/core/export/watts.ts';
import { readNet } from '../../../src/core/watts/schema.ts';
import { random } from '../../helpers/boards.ts';
import { madeSupplyNet } from '../../helpers/supplyNets.ts';

const nets = fc
  .tuple(
    fc.integer({ min: 1, max: 1e6 }),
    fc.integer({ min: 2, max: 40 }),
    fc.constantFrom('resistive' as const, 'power' as const),
  )
  .map(([seed, nodes, kinds]) => madeSupplyNet(random(seed), nodes, kinds));
const sum = (record: Record<string, number>) =>
  Object.values(record).reduce((total, each) => total + each, 0);
const one = (ohm: number, load: Load, volts = 12): Net => ({
  held: { s: volts },
  resistors: [{ id: 'r', a: 's', b: 'n', ohm }],
  loads: [load],
});

describe('watts/network, whatever the net', () => {
  it('gives what is drawn and lost, within a thousand-millionth', () => {
    fc.assert(
      fc.property(nets, (net) => {
        const found = solve(net);
        const given = sum(found.givenW);
        expect(Math.abs(given - sum(found.drawnW) - sum(found.lossW))).to.be.at.most(
          given * 1e-9 + 1e-12,
        );
      }),
    );
  });
  it('never raises a node by more load', () => {
    fc.assert(
      fc.property(
        nets,
        fc.nat(),
        fc.double({ min: 1.01, max: 1.5, noNaN: true }),
        (net, pick, by) => {
          const at = pick % net.loads.length;
          const more = net.loads.map((load, i): Load => {
            if (i !== at) return load;
            if ('watts' in load) return { ...load, watts: load.watts * by };
            if ('amps' in load) return { ...load, amps: load.amps * by };
            return { ...load, ohms: load.ohms / by };
          });
          const [before, after] = [solve(net), solve({ ...net, loads: more })];
          if (!before.ok || !after.ok) return;
          for (const [node, volts] of Object.entries(after.volts))
            expect(volts, node).to.be.at.most((before.volts[node] ?? 0) + 1e-9);
        },
      ),
    );
  });
  it('gives the same picture for volts times k and watts times k squared at the same ohms', () => {
    fc.assert(
      fc.property(nets, fc.double({ min: 0.5, max: 4, noNaN: true }), (net, k) => {
        const scaled: Net = {
          ...net,
          held: { source: 12 * k },
          loads: net.loads.map((load): Load => {
            if ('watts' in load) return { ...load, watts: load.watts * k * k };
            return 'amps' in load ? { ...load, amps: load.amps * k } : load;
          }),
        };
        const [a, b] = [solve(net), solve(scaled)];
        for (const [node, volts] of Object.entries(a.volts))
          expect(b.volts[node]).to.be.closeTo(volts * k, 1e-8 * k * 12);
      }),
    );
  });
  it('knows no difference between wires side by side and the one they make', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 0.1, noNaN: true }),
        fc.double({ min: 0.001, max: 0.1, noNaN: true }),
        fc.double({ min: 0.001, max: 0.1, noNaN: true }),
        (a, b, c) => {
          const load = { id: 'l', node: 'y', watts: 40 };
          const whole = solve({
            held: { s: 12 },
            resistors: [
              { id: 'a', a: 's', b: 'x', ohm: a },
              { id: 'b', a: 's', b: 'x', ohm: b },
              { id: 'c', a: 'x', b: 'y', ohm: c },
            ],
            loads: [load],
          });
          const made = solve(one((a * b) / (a + b) + c, { ...load, node: 'n' }));
          expect(whole.volts['y']).to.be.closeTo(made.volts['n'] as number, 1e-9);
        },
      ),
    );
  });
  it('agrees with plain elimination where loads are currents', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const net = madeSupplyNet(random(seed), 12, 'resistive');
        const loads = net.loads.map(({ id, node }, i): Load => ({ id, node, amps: i / 10 }));
        const found = solve({ ...net, loads });
        const index = new Map<string, number>([['source', 0]]);
        for (const { a, b } of net.resistors)
          for (const node of [a, b]) if (!index.has(node)) index.set(node, index.size);
        const at = (node: string) => index.get(node) as number;
        const pushed = new Array<number>(index.size).fill(0);
        for (const load of loads) if ('amps' in load) pushed[at(load.node)]! -= load.amps;
        const volts = nodeVolts(
          index.size,
          net.resistors.map(({ a, b, ohm }) => ({ a: at(a), b: at(b), ohm })),
          pushed,
        );
        for (const [node, i] of index)
          expect(found.volts[node]).to.be.closeTo(12 + volts[i]!, 1e-8);
      }),
    );
  });
});

describe('watts/network, what makes no sense', () => {
  const refused = (net: Net, says: RegExp) => expect(() => solve(net)).to.throw(NetError, says);
  const load = { id: 'fan', node: 'n', watts: 5 };
  it('names the part at fault', () => {
    refused(one(0, load), /short/);
    refused(one(-1, load), /-1 ohms/);
    refused(one(1, { ...load, watts: -5 }), /fan.*-5/);
    refused(one(1, { ...load, node: 'elsewhere' }), /fan has no feed/);
    refused(one(1, { id: 'fan', node: 'n', ohms: 0 }), /fan is a short/);
    refused(one(Number.NaN, load), /NaN ohms/);
    refused({ ...one(1, load), held: {} }, /Nothing feeds/);
    refused({ ...one(1, load), resistors: [{ id: 'loop', a: 's', b: 's', ohm: 1 }] }, /to itself/);
  });
  it('says how much a line could carry when it cannot carry all', () => {
    const found = solve(one(0.5, { id: 'l', node: 'n', watts: 100 }));
    expect(found.ok).to.equal(false);
    expect(found.carries).to.be.closeTo(0.72, 1e-5);
    expect(found.volts['n']).to.be.closeTo(6, 0.02);
  });
});

describe('watts/schema and the SPICE deck', () => {
  const net = one(0.1, { id: 'l', node: 'n', watts: 30 });
  it('takes a net as it is', () => {
    expect(solve(readNet(JSON.parse(JSON.stringify(net)))).ok).to.equal(true);
  });
  for (const [what, body, says] of [
    [
      'a load that says two things',
      { ...net, loads: [{ id: 'l', node: 'n', watts: 1, amps: 1 }] },
      /one of watts, amps and ohms/,
    ],
    ['a name that is none', { ...net, loads: [{ id: '<b>', node: 'n', watts: 1 }] }, /no name/],
    ['a held voltage that is no number', { ...net, held: { s: 'x' } }, /held\.s/],
    ['a list', [], /no object/],
  ] as const)
    it(`refuses ${what}`, () => expect(() => readNet(body)).to.throw(says));
  it('writes every part once', () => {
    const deck = spiceDeck(net, 'line\n.exit');
    expect(deck.split('\n').filter((line) => /^[RVBI]_/.test(line))).to.have.length(3);
    expect(deck).to.contain('B_l n 0 I=30/V(n)');
    expect(deck.startsWith('* line .exit\n')).to.equal(true);
  });
});
