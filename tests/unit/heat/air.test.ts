import { expect } from 'chai';
import fc from 'fast-check';
import {
  caseAir,
  FanError,
  fanPlan,
  follows,
  nextTrial,
  type FanMachine,
} from '../../../src/core/heat/index.ts';
import { changesIn, kwAt } from '../../../src/core/heat/fanSteps.ts';
import type { Trial } from '../../../src/core/model/types/types.ts';
import { levelChange, levelsAdded, warmsK } from '../../../src/core/standards/air.ts';
import { range } from '../../../src/core/units/range.ts';

describe('standards/air', () => {
  it('Q[CFM] = 1.76 P / dT at sea level (handbook form of P = rho cp Q dT)', () => {
    /* 1 cfm is 0.000471947 m³/s: the factor is 1.75 at 20 °C and 1.76 as the trade writes it. */
    expect(1 / warmsK(1, 1)).to.be.closeTo(1 / 1.76, 0.01);
    expect(warmsK(176, 31)).to.be.closeTo(10, 0.1);
    expect(() => warmsK(10, 0)).to.throw(RangeError);
  });
  it('two alike levels add 3 dB, ten add 10 (any handbook of acoustics)', () => {
    expect(levelsAdded([30, 30])).to.be.closeTo(33.01, 0.005);
    expect(levelsAdded(Array.from({ length: 10 }, () => 25))).to.be.closeTo(35, 1e-9);
    expect(levelsAdded([40, 20])).to.be.closeTo(40.04, 0.005);
    expect(levelsAdded([])).to.equal(0);
  });
  it('half the speed is 15 to 17 dB less (fan laws)', () => {
    const { lo, hi } = levelChange(0.5);
    expect(hi).to.be.closeTo(-15.05, 0.01);
    expect(lo).to.be.closeTo(-16.56, 0.01);
    expect(() => levelChange(0)).to.throw(RangeError);
  });
});

describe('heat/caseAir', () => {
  const at = (ins: number, outs: number, more = {}) =>
    caseAir({
      fans: [
        ...Array.from({ length: ins }, (_, i) => ({
          name: `in ${i}`,
          sizeMm: range(120),
          wall: 'front',
          blows: 'in' as const,
        })),
        ...Array.from({ length: outs }, (_, i) => ({
          name: `out ${i}`,
          sizeMm: range(120),
          wall: 'rear',
          blows: 'out' as const,
        })),
      ],
      supplyDraws: 'no',
      rises: 'no',
      watts: range(150),
      facesM2: range(0.5),
      ...more,
    });
  it('is cooler with more fans and warmer with more watts', () => {
    expect(at(2, 1).warmerK.hi).to.be.below(at(0, 1).warmerK.hi);
    expect(at(1, 1, { watts: range(300) }).warmerK.hi).to.be.closeTo(2 * at(1, 1).warmerK.hi, 1e-9);
    expect(at(0, 0, { supplyDraws: 'yes' }).throughCfm.lo).to.be.above(at(0, 0).throughCfm.lo);
  });
  it('names the pressure only where the spans part', () => {
    expect(at(3, 0).pressure).to.equal('over');
    expect(at(0, 3).pressure).to.equal('under');
    expect(at(1, 1).pressure).to.equal('even');
  });
});

const machine: FanMachine = {
  tauS: 120,
  kwFull: 0.3,
  watts: { idle: 15, usual: 60, full: 95 },
  roomC: { lo: 18, hi: 28 },
  noiseK: 0.5,
};

describe('heat/fanSteps', () => {
  it('three speeds: thresholds with a gap hunt less than without (a board with three speeds)', () => {
    const plan = fanPlan(machine, [0.4, 0.7, 1], 85, [28, 26]);
    expect(plan.steps).to.have.length(3);
    expect(plan.steps[0]!.upC).to.equal(undefined);
    for (const step of plan.steps.slice(1)) expect(step.downC!).to.be.below(step.upC! - 2);
    expect(plan.changesAnHour).to.be.at.most(plan.changesWithoutGap);
    expect(plan.steps[0]!.level).to.be.below(plan.steps[2]!.level - 15);
  });
  it('under any constant load it never goes up and down for ever', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.12, max: 0.5, noNaN: true }),
        fc.double({ min: 20, max: 140, noNaN: true }),
        fc.double({ min: 18, max: 28, noNaN: true }),
        (kwFull, watts, room) => {
          const own: FanMachine = {
            ...machine,
            kwFull,
            watts: { idle: watts, usual: watts, full: watts },
            roomC: { lo: 18, hi: 28 },
          };
          const { steps } = fanPlan(own, [0.35, 0.6, 1], 85, [30]);
          const still = { ...own, roomC: { lo: room, hi: room }, noiseK: 0.3 };
          /* At most up to its place and settling there; hunting would be dozens an hour. */
          expect(changesIn(still, steps)).to.be.at.most(steps.length);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('says what happens without the program', () => {
    expect(fanPlan(machine, [0.5, 1], 85, [28]).say).to.match(/^Without the program/);
    const hot = fanPlan({ ...machine, kwFull: 0.8 }, [0.5, 1], 85, [28]);
    expect(hot.say).to.contain('fans are not what lacks');
    const middling = fanPlan({ ...machine, kwFull: 0.45 }, [0.25, 1], 85, [28]);
    expect(middling.say).to.contain("board's own lower limit");
  });
  it('a slower fan cools worse', () => {
    expect(kwAt(0.3, 0.5)).to.be.above(kwAt(0.3, 1));
    expect(kwAt(0.3, 1)).to.be.closeTo(0.3, 1e-12);
  });
  it('refuses figures that cannot be, by what is wrong', () => {
    for (const [bad, says] of [
      [{ tauS: 0 }, /time constant/],
      [{ kwFull: -1 }, /Kelvins a watt/],
      [{ watts: { idle: 50, usual: 20, full: 90 } }, /Watts rise/],
      [{ roomC: { lo: 30, hi: 20 } }, /wrong way round/],
      [{ noiseK: -1 }, /wander/],
    ] as const)
      expect(() => fanPlan({ ...machine, ...bad }, [0.5, 1], 85, [])).to.throw(FanError, says);
    expect(() => fanPlan(machine, [1], 85, [])).to.throw(FanError, /Two speeds/);
    expect(() => fanPlan(machine, [0.5, 1], 30, [])).to.throw(FanError, /aim/);
  });
});

describe('heat/trials', () => {
  const trial = (value: number, stable: boolean, what: Trial['what'] = 'undervolt'): Trial => ({
    at: '2026-11-25',
    what,
    value,
    stable,
  });
  it('steps on while it holds, halves once it fails, and stops when that is not worth an evening', () => {
    expect(nextTrial([], 'undervolt').next).to.equal(30);
    expect(nextTrial([trial(30, true)], 'undervolt').next).to.equal(55);
    expect(nextTrial([trial(55, true), trial(80, false)], 'undervolt').next).to.equal(70);
    const stop = nextTrial([trial(70, true), trial(80, false)], 'undervolt');
    expect(stop).to.include({ next: undefined, keep: 60 });
    expect(stop.say).to.contain('Time to stop');
  });
  it('finds any true limit within its last step, from below or above', () => {
    fc.assert(
      fc.property(fc.integer({ min: 12, max: 190 }), (limit) => {
        let trials: Trial[] = [];
        for (let i = 0; i < 30; i += 1) {
          const { next, keep } = nextTrial(trials, 'undervolt');
          if (next === undefined) {
            expect(keep ?? 0).to.be.at.most(limit);
            expect(keep ?? 0).to.be.at.least(Math.min(190, limit) - 25);
            return;
          }
          trials = [...trials, trial(next, next <= limit)];
        }
        throw new Error('it never stopped');
      }),
    );
  });
  it('names trials that contradict each other', () => {
    const found = nextTrial([trial(50, false), trial(60, true)], 'undervolt');
    expect(found.contradicts).to.equal('50 mV failed, 60 mV held');
    expect(found.next).to.equal(50);
  });
  it('base clock 106 % takes 1600 to 1696 and 3.6 to 3.8 GHz (common practice, no source)', () => {
    const all = follows(6, { memoryMts: 1600, processorGhz: 3.6 });
    expect(all.memoryMts).to.be.closeTo(1696, 1e-9);
    expect(all.processorGhz).to.be.closeTo(3.816, 1e-9);
    expect(all.busMhz).to.be.closeTo(106, 1e-9);
    expect(all.say).to.contain('Back up first');
  });
});
