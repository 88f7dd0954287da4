import { expect } from 'chai';
import fc from 'fast-check';
import {
  NetError,
  solveSystem,
  type Converter,
  type System,
} from '../../../src/core/watts/network/index.ts';
import { readNet } from '../../../src/core/watts/schema.ts';

/** A battery, a long lead, a step-up to 19 V, a short lead, a machine. */
function stepUp(watts: number, more: Partial<Converter> = {}): System {
  return {
    held: { battery: 12 },
    resistors: [
      { id: 'lead', a: 'battery', b: 'in', ohm: 0.05 },
      { id: 'tail', a: 'out', b: 'machine', ohm: 0.02 },
    ],
    loads: [{ id: 'machine', node: 'machine', watts }],
    converters: [{ id: 'step up', in: 'in', out: 'out', outV: 19, efficiency: 0.9, ...more }],
  };
}
const refusal = (system: System): NetError => {
  try {
    solveSystem(system);
  } catch (error) {
    if (error instanceof NetError) return error;
    throw error;
  }
  throw new Error('it was not refused');
};

describe('watts/network/converters', () => {
  it('a step-up from 12 to 19 V at 90 W and 90 % draws 8.3 A at 12 V (common practice, no source)', () => {
    const ideal = solveSystem({
      ...stepUp(90),
      resistors: [
        { id: 'lead', a: 'battery', b: 'in', ohm: 1e-6 },
        { id: 'tail', a: 'out', b: 'machine', ohm: 1e-6 },
      ],
    });
    expect(ideal.inA['step up']).to.be.closeTo(8.33, 0.01);
    expect(ideal.out).to.be.empty;
  });
  it('gives what is drawn and lost, in wires and in converters, whatever the chain', () => {
    const one = fc.record({
      outV: fc.double({ min: 3, max: 48, noNaN: true }),
      efficiency: fc.double({ min: 0.5, max: 1, noNaN: true }),
      idleW: fc.double({ min: 0, max: 2, noNaN: true }),
      watts: fc.double({ min: 0, max: 10, noNaN: true }),
      ohm: fc.double({ min: 0.001, max: 0.02, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(one, { minLength: 1, maxLength: 5 }), (list) => {
        const system: System = {
          held: { n0: 24 },
          resistors: list.map(({ ohm }, i) => ({ id: `r${i}`, a: `n${i}`, b: `i${i}`, ohm })),
          loads: list.map(({ watts }, i) => ({ id: `l${i}`, node: `n${i + 1}`, watts })),
          converters: list.map(({ outV, efficiency, idleW }, i) => ({
            id: `c${i}`,
            in: `i${i}`,
            out: `n${i + 1}`,
            outV,
            efficiency,
            idleW,
          })),
        };
        const solved = solveSystem(system);
        fc.pre(solved.ok);
        const given = solved.givenW['n0'] ?? 0;
        const drawn = system.loads.reduce((sum, { id }) => sum + (solved.drawnW[id] ?? 0), 0);
        const wires = Object.values(solved.lossW).reduce((sum, each) => sum + each, 0);
        const inside = (system.converters ?? []).reduce(
          (sum, { id, out }) => sum + (solved.drawnW[id] ?? 0) - (solved.givenW[out] ?? 0),
          0,
        );
        expect(given).to.be.closeTo(drawn + wires + inside, 1e-9 * Math.max(1, given));
        for (const { id, out, efficiency, idleW } of system.converters ?? [])
          expect(solved.drawnW[id]).to.be.closeTo(
            (solved.givenW[out] ?? 0) / efficiency + (idleW ?? 0),
            1e-9 * Math.max(1, given),
          );
      }),
    );
  });
  it('works at idle and trips at load, and what hangs behind it goes dark', () => {
    expect(solveSystem(stepUp(30, { mostInA: 8 })).out).to.be.empty;
    const tripped = solveSystem(stepUp(90, { mostInA: 8 }));
    expect(tripped.out).to.deep.equal([{ id: 'step up', why: 'too many amps in' }]);
    expect(tripped.inA['step up']).to.be.above(8);
    expect(tripped.volts['machine']).to.equal(0);
    expect(tripped.volts['in']).to.be.closeTo(12, 1e-9);
  });
  it('cuts out below its least volts, dies above its most', () => {
    expect(solveSystem(stepUp(90, { leastInV: 11.8 })).out[0]?.why).to.equal('too few volts in');
    expect(solveSystem(stepUp(5, { mostInV: 11 })).out[0]?.why).to.equal('too many volts in');
    /* 50 V on a converter for 16 V. */
    const fifty = solveSystem({ ...stepUp(20, { mostInV: 16 }), held: { battery: 50 } });
    expect(fifty.out[0]?.why).to.equal('too many volts in');
  });
  it('where the line cannot carry the power, the converter cuts out at the nose', () => {
    /* 12 V over 0.5 ohm carries 72 W at most, at 6 V. */
    const far: System = {
      ...stepUp(90),
      resistors: [
        { id: 'lead', a: 'battery', b: 'in', ohm: 0.5 },
        { id: 'tail', a: 'out', b: 'machine', ohm: 0.001 },
      ],
    };
    const solved = solveSystem(far);
    expect(solved.ok).to.equal(false);
    expect(solved.carries * (90 / 0.9)).to.be.closeTo(72, 0.2);
    expect(solved.inV['step up']).to.be.closeTo(6, 0.05);
    const cut = solveSystem({
      ...far,
      converters: [{ ...far.converters![0]!, leastInV: 10 }],
    });
    expect(cut.out).to.deep.equal([{ id: 'step up', why: 'too few volts in' }]);
    expect(cut.ok).to.equal(true);
  });
  it('of two in a row only the one that trips is named; one beside it runs on', () => {
    const two: System = {
      held: { s: 24 },
      resistors: [
        { id: 'a', a: 's', b: 'x', ohm: 0.01 },
        { id: 'b', a: 'y', b: 'z', ohm: 0.01 },
      ],
      loads: [
        { id: 'far', node: 'w', watts: 40 },
        { id: 'beside', node: 'v', watts: 10 },
      ],
      converters: [
        { id: 'first', in: 'x', out: 'y', outV: 12, efficiency: 0.9, mostInA: 1 },
        { id: 'second', in: 'z', out: 'w', outV: 5, efficiency: 0.9, mostInA: 1 },
        { id: 'other', in: 'x', out: 'v', outV: 5, efficiency: 0.8 },
      ],
    };
    const solved = solveSystem(two);
    expect(solved.out).to.deep.equal([{ id: 'first', why: 'too many amps in' }]);
    expect(solved.volts['w']).to.equal(0);
    expect(solved.drawnW['beside']).to.be.closeTo(10, 1e-9);
    expect(solved.drawnW['far']).to.equal(0);
  });

  describe('refuses, by the part at fault', () => {
    const loop = (): System => ({
      held: { s: 12 },
      resistors: [],
      loads: [{ id: 'l', node: 'b', watts: 1 }],
      converters: [
        { id: 'up', in: 'a', out: 'b', outV: 19, efficiency: 0.9 },
        { id: 'down', in: 'b', out: 'a', outV: 12, efficiency: 0.9 },
      ],
    });
    it('a loop of converters', () => {
      expect(refusal(loop()).message).to.match(/feeds itself in a loop/);
      expect(refusal(stepUp(5, { in: 'out' })).message).to.match(/loop/);
    });
    it('outputs in parallel and an output that is held', () => {
      const twice = stepUp(10);
      expect(
        refusal({
          ...twice,
          converters: [...twice.converters!, { ...twice.converters![0]!, id: 'b' }],
        }).at,
      ).to.equal('b');
      expect(refusal(stepUp(10, { out: 'battery' })).message).to.match(/held by something else/);
      expect(refusal(stepUp(10, { out: 'in' })).message).to.match(/loop|feeds it too/);
    });
    it('a load without a feed, figures that cannot be', () => {
      expect(
        refusal({ ...stepUp(10), loads: [{ id: 'lost', node: 'nowhere', watts: 1 }] }).at,
      ).to.equal('lost');
      for (const bad of [{ efficiency: 0 }, { efficiency: 1.2 }, { outV: -5 }, { idleW: -1 }])
        expect(refusal(stepUp(10, bad)).at).to.equal('step up');
    });
  });
  describe('answers the same whatever stands first, and names what is left without', () => {
    /* Two converters beside each other on one thin lead: together they pull it under what both need. */
    const beside = (order: readonly number[]): System => {
      const converters: Converter[] = [
        { id: 'a', in: 'in', out: 'outA', outV: 5, efficiency: 0.9, leastInV: 9 },
        { id: 'b', in: 'in', out: 'outB', outV: 5, efficiency: 0.9, leastInV: 10.5 },
        { id: 'c', in: 'in', out: 'outC', outV: 5, efficiency: 0.9, leastInV: 4 },
      ];
      return {
        held: { battery: 12 },
        resistors: [{ id: 'lead', a: 'battery', b: 'in', ohm: 0.6 }],
        loads: ['A', 'B', 'C'].map((name) => ({ id: name, node: `out${name}`, watts: 9 })),
        converters: order.map((i) => converters[i]!),
      };
    };
    for (const order of [
      [0, 1, 2],
      [2, 1, 0],
      [1, 0, 2],
      [1, 2, 0],
    ])
      it(`in the order ${order.join(' ')}`, () => {
        const solved = solveSystem(beside(order));
        /* The one that wants the most volts cuts out; the others hold on what is left. */
        expect(solved.out.map(({ id }) => id)).to.deep.equal(['b']);
        expect(solved.drawnW).to.have.all.keys('A', 'B', 'C', 'a', 'c');
        expect([solved.drawnW['B'], solved.drawnA['B']]).to.deep.equal([0, 0]);
        expect(solved.drawnW['A']).to.be.closeTo(9, 1e-9);
      });
    it('refuses two outputs that a wire joins, and two things of one name', () => {
      const joined = beside([0, 1, 2]);
      const wired = [...joined.resistors, { id: 'bridge', a: 'outA', b: 'outB', ohm: 0.1 }];
      expect(refusal({ ...joined, resistors: wired }).message).to.match(/joins their outputs/);
      const twice = { ...joined, loads: [...joined.loads, joined.loads[0]!] };
      expect(refusal(twice).message).to.equal('A stands twice.');
      const alike = { ...joined, loads: [...joined.loads, { id: 'a', node: 'outA', watts: 1 }] };
      expect(refusal(alike).at).to.equal('a');
      const leads = [...joined.resistors, joined.resistors[0]!];
      expect(refusal({ ...joined, resistors: leads }).at).to.equal('lead');
    });
    it('takes any word for a node, and no watts out of 0 V', () => {
      const odd = (volts: number): System => ({
        held: { constructor: volts },
        resistors: [{ id: 'toString', a: 'constructor', b: 'valueOf', ohm: 1 }],
        loads: [{ id: 'hasOwnProperty', node: 'valueOf', watts: 5 }],
        converters: [{ id: 'step', in: 'valueOf', out: 'isPrototypeOf', outV: 3, efficiency: 0.9 }],
      });
      const solved = solveSystem(odd(12));
      expect(solved.drawnW['hasOwnProperty']).to.be.closeTo(5, 1e-9);
      /* By hand: 5 W through 1 ohm from 12 V leave (12 + sqrt(124)) / 2 volts. */
      expect(solved.volts['valueOf']).to.be.closeTo((12 + Math.sqrt(124)) / 2, 1e-9);
      const short: System = {
        held: { zero: 0 },
        resistors: [],
        loads: [{ id: 'lamp', node: 'zero', watts: 5 }],
      };
      expect(refusal(short).message).to.match(/0 V/);
    });
  });
  it('is read from the API with its converters, and refused with the place', () => {
    const body = stepUp(10);
    expect(readNet(body).converters).to.have.length(1);
    expect(() =>
      readNet({ ...body, converters: [{ ...body.converters![0], outV: undefined }] }),
    ).to.throw(/converters\[0\]\.outV/);
  });
});
