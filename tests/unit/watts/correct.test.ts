import { expect } from 'chai';
import { Matrix, inverse } from 'ml-matrix';
import type { Reading } from '../../../src/core/model/types/types.ts';
import { correctionOf, likeReadings } from '../../../src/core/watts/correct.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import {
  electronicLoad,
  loadResult,
  type LoadStep,
} from '../../../src/core/watts/electronicLoad.ts';
import { along } from '../../../src/core/watts/tree/efficiencyOf.ts';
import { treeOf } from '../../../src/core/watts/tree/index.ts';
import { random } from '../../helpers/boards.ts';
import { jobOver, planWith, type Seats } from '../../helpers/build.ts';

const seats: Seats = {
  board: { watts: 30, processorPlug: 'cpu8' },
  processor: { watts: 95 },
  card1: { watts: 160, plugs: ['card8'] },
  supply: {
    watts: 550,
    amps12: 45,
    class: 'gold',
    curve: ['20 90', '50 92', '100 89'],
    mainPlug: 'main24',
    plugs: ['cpu8', 'card8'],
  },
};
const reading = (value: number, load: Reading['load'] = 'full load'): Reading => ({
  kind: 'wallW',
  value,
  when: 'after',
  at: '2026-11-25T10:00:00Z',
  load,
});
const mid = ({ lo, hi }: { lo: number; hi: number }) => (lo + hi) / 2;

describe('watts/correct', () => {
  const tree = treeOf(planWith(seats), 'full')!;
  const wall = mid(tree.wallW!);
  it('leaves the figures where the meter says what they say', () => {
    const found = correctionOf(planWith(seats, { readings: [reading(wall)] }), 'after')!;
    for (const part of found.parts) expect(mid(part.is)).to.be.closeTo(mid(part.was), 6);
    expect(found.off.lo).to.be.below(0.02);
    expect(found.off.hi).to.be.above(-0.02);
  });
  it('draws them down when less comes, the least known most, and never widens', () => {
    const found = correctionOf(planWith(seats, { readings: [reading(wall * 0.75)] }), 'after')!;
    expect(found.off.lo).to.be.above(0.15);
    const by = (seat: string) => found.parts.find((each) => each.seat === seat)!;
    const drop = (seat: string) => mid(by(seat).was) - mid(by(seat).is);
    for (const each of found.parts) expect(drop(each.seat)).to.be.above(0);
    expect(drop('card1')).to.be.above(drop('board'));
    const sure = correctionOf(
      planWith(seats, { readings: [reading(wall * 0.75), reading(60, 'idle')] }),
      'after',
    )!;
    for (const each of sure.parts) {
      const one = by(each.seat);
      expect(each.is.hi - each.is.lo).to.be.at.most(one.is.hi - one.is.lo + 1e-9);
    }
  });
  it('agrees with generalised least squares worked out by a matrix library', () => {
    /* One reading of n parts: x = m + P h (h P h + r)^-1 (y - h m), by ml-matrix from weights found by nudging. */
    const plan = planWith(seats, { readings: [reading(wall * 0.85)] });
    const found = correctionOf(plan, 'after')!;
    const [heard] = found.heard;
    const names = found.parts.map((each) => each.seat);
    const gives = (over: Record<string, number>) =>
      mid(
        treeOf(
          planWith(
            Object.fromEntries(
              Object.entries(seats).map(([seat, facts]) => [
                seat,
                seat in over ? { ...facts, watts: over[seat]! } : facts,
              ]),
            ),
          ),
          'full',
        )!.givenW,
      );
    const base = found.parts.map((each) => mid(each.was));
    const h = names.map((seat, i) => (gives({ [seat]: base[i]! + 1 }) - gives({})) / 1);
    const dev = base.map((each) => each * 0.02);
    const P = Matrix.diag(dev.map((each) => each ** 2));
    const H = new Matrix([h]);
    /* Both sides of the reading, each a span of four deviations. */
    const S = new Matrix([
      [
        ((heard!.gave.hi - heard!.gave.lo) / 4) ** 2 +
          ((heard!.expected.hi - heard!.expected.lo) / 4) ** 2,
      ],
    ]);
    const gain = P.mmul(H.transpose()).mmul(inverse(S));
    const move = gain.mmul(new Matrix([[mid(heard!.gave) - mid(heard!.expected)]]));
    names.forEach((seat, i) => {
      const own = mid(found.parts[i]!.is) - base[i]!;
      expect(own, seat).to.be.closeTo(move.get(i, 0), Math.abs(move.get(i, 0)) * 0.05 + 0.02);
    });
  });
  it('holds the truth of made-up machines in its span about as often as two deviations should', () => {
    const dice = random(77);
    const normal = () => Math.sqrt(-2 * Math.log(1 - dice())) * Math.cos(2 * Math.PI * dice());
    let [held, all] = [0, 0];
    for (let i = 0; i < 60; i += 1) {
      const said = {
        board: 20 + dice() * 20,
        processor: 60 + dice() * 60,
        card1: 80 + dice() * 120,
      };
      const truth = Object.fromEntries(
        Object.entries(said).map(([seat, watts]) => [seat, watts * (1 + 0.12 * normal())]),
      ) as typeof said;
      const build = (watts: typeof said): Seats => ({
        ...seats,
        board: { ...seats['board'], watts: [watts.board, watts.board] },
        processor: { watts: [watts.processor, watts.processor] },
        card1: { ...seats['card1'], watts: [watts.card1, watts.card1] },
      });
      const real = treeOf(planWith(build(truth)), 'full')!;
      const plan = planWith(build(said), {
        readings: [reading(mid(real.wallW!) * (1 + 0.01 * normal()))],
      });
      for (const part of plan.shop.parts)
        for (const fact of Object.values(part.facts)) fact.how = 'said';
      const found = correctionOf(plan, 'after')!;
      for (const part of found.parts) {
        const own = truth[part.seat as keyof typeof truth];
        all += 1;
        if (own >= part.is.lo && own <= part.is.hi) held += 1;
      }
    }
    expect(all).to.equal(180);
    expect(held / all).to.be.within(0.88, 1);
  });
  it('is silent without a reading of that state, without a PSU, for readings of nothing', () => {
    expect(correctionOf(planWith(seats), 'after')).to.equal(undefined);
    expect(correctionOf(planWith(seats, { readings: [reading(wall)] }), 'before')).to.equal(
      undefined,
    );
    expect(correctionOf(planWith(seats, { readings: [reading(0)] }), 'after')).to.equal(undefined);
    const { supply: _, ...bare } = seats;
    expect(correctionOf(planWith(bare, { readings: [reading(wall)] }), 'after')).to.equal(
      undefined,
    );
  });
  it('shows what another machine of the same name drew as it was found', () => {
    const { shop, job } = jobOver(seats);
    const twin = { ...shop.machines[0]!, id: 'M2', seats: [] };
    const before: Reading = { ...reading(96), when: 'before' };
    const other = { ...job, id: '2', machineId: 'M2', readings: [before, reading(80)] };
    const both = { ...shop, machines: [...shop.machines, twin], jobs: [job, other] };
    expect(likeReadings(planOf(both, job))).to.deep.equal([{ machineId: 'M2', reading: before }]);
    const named = { ...both, machines: [shop.machines[0]!, { ...twin, name: 'another' }] };
    expect(likeReadings(planOf(named, job))).to.be.empty;
  });
});

describe('watts/electronicLoad', () => {
  const run = (seed: number, volts = 12, amps = 10): LoadStep[] => [
    ...electronicLoad({ volts, amps, seed }),
  ];
  it('gives the same steps for the same seed, and ends when it shuts off', () => {
    expect(run(4)).to.deep.equal(run(4));
    expect(run(4)).to.not.deep.equal(run(5));
    for (let seed = 1; seed < 20; seed += 1) {
      const steps = run(seed);
      expect(steps.at(-1)!.off).to.equal(true);
      expect(steps.slice(0, -1).some((each) => each.off)).to.equal(false);
    }
  });
  it('the line through its steps has the ohms inside within what it says of them', () => {
    /* A line without noise: exact. */
    const straight = Array.from({ length: 12 }, (_, i) => ({
      s: i,
      amps: i,
      volts: 12.1 - i * 0.03,
      off: false,
    }));
    const result = loadResult(straight, 12)!;
    expect(result.openV).to.be.closeTo(12.1, 1e-9);
    expect(result.ohm).to.be.closeTo(0.03, 1e-9);
    expect(result.holdsA).to.equal(11);
    expect(result.failsA).to.equal(undefined);
  });
  it('says where it leaves the tolerance or shuts off', () => {
    const soft = Array.from({ length: 30 }, (_, i) => ({
      s: i,
      amps: i / 2,
      volts: 12 - i * 0.05,
      off: false,
    }));
    const found = loadResult(soft, 12)!;
    expect(found.why).to.equal('out of tolerance');
    expect(found.holdsA).to.equal(6);
    const cut = loadResult([...soft.slice(0, 8), { s: 8, amps: 4, volts: 0, off: true }], 12)!;
    expect(cut).to.include({ why: 'shut off', holdsA: 3.5, failsA: 4 });
    expect(loadResult(soft.slice(0, 4), 12)).to.equal(undefined);
  });
  it('refuses a label that is none', () => {
    for (const bad of [
      { volts: 0, amps: 1 },
      { volts: 12, amps: -1 },
      { volts: 900, amps: 1 },
      { volts: 12, amps: NaN },
    ])
      expect(() => [...electronicLoad({ ...bad, seed: 1 })]).to.throw(RangeError);
  });
});

describe('watts/tree/efficiencyOf', () => {
  it('goes straight between points, holds and widens beyond them', () => {
    const points = [
      { load: 20, percent: 80 },
      { load: 60, percent: 90 },
    ];
    expect(mid(along(points, 0.4))).to.be.closeTo(0.85, 1e-9);
    const [inside, below, above] = [along(points, 0.3), along(points, 0.05), along(points, 1)];
    for (const out of [below, above]) expect(out.hi - out.lo).to.be.above(inside.hi - inside.lo);
    expect(() => along([], 0.5)).to.throw(RangeError);
  });
});
