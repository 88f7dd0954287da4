import { expect } from 'chai';
import fc from 'fast-check';
import { blocks, noInsertionPath, orderFromSpace } from '../../../src/core/fit/insertionPaths.ts';
import { blockedSteps, type Blockage } from '../../../src/core/order/blockages.ts';
import { sorted } from '../../../src/core/order/order.ts';
import { step } from '../../../src/core/model/types/step.ts';
import { workOrderOf } from '../../../src/core/plan/workOrderOf.ts';
import { planWith, type Seats } from '../../helpers/build.ts';

const shell = {
  class: 'custom case',
  coolerRoom: 120,
  cardHeightRoom: 115,
  cardRoom: 300,
  innerDepth: 320,
  innerHeight: 260,
  innerWidth: 140,
};
const over: Seats = {
  case: { ...shell, supplyAt: 'over the board', supplyFormat: 'SFX' },
  board: { format: 'Mini-ITX' },
  cooler: { class: 'low', height: 37, width: 90, breadth: 90, under: 12 },
  supply: { format: 'SFX', depth: 100 },
};
const schools = { start: 'straight', supply: 'first' } as const;
const ins = (seats: Seats) =>
  workOrderOf(planWith(seats), schools)
    .filter((each) => each.phase === 'in')
    .map((each) => each.id);

describe('fit/ways, what stands in whose way', () => {
  it('puts the board in before a PSU that hangs over it', () => {
    expect(blocks(planWith(over))).to.deep.include({ first: 'board', later: 'supply', sure: true });
    expect(ins(over).indexOf('in:board')).to.be.below(ins(over).indexOf('in:supply'));
  });
  it('overrules the school and says why', () => {
    const supply = workOrderOf(planWith(over), schools).find((each) => each.id === 'in:supply');
    expect(supply?.why).to.equal('after the board: it stands in its way in');
  });
  it('leaves the school alone where nothing blocks', () => {
    const beside = { ...over, case: { ...shell, supplyAt: 'outside the case' } };
    expect(blocks(planWith(beside)).filter((block) => block.later === 'supply')).to.deep.equal([]);
    expect(ins(beside).indexOf('in:supply')).to.be.below(ins(beside).indexOf('in:board'));
  });
  it('puts the card in after the board it stands on', () => {
    const carded = { ...over, card1: { length: 200, height: 111, slotsWide: 2 } };
    expect(blocks(planWith(carded))).to.deep.include({
      first: 'board',
      later: 'card1',
      sure: true,
    });
  });
  it('gives an order without rings', () => {
    const plans = [
      over,
      { ...over, card1: { length: 290, height: 111, slotsWide: 3 }, fan1: { size: 120 } },
    ];
    for (const seats of plans) {
      const order = orderFromSpace(planWith(seats));
      const after = new Map<string, string[]>();
      for (const { first, later } of order) after.set(later, [...(after.get(later) ?? []), first]);
      const reach = (from: string, to: string): boolean =>
        (after.get(from) ?? []).some((each) => each === to || reach(each, to));
      for (const seat of after.keys()) expect(reach(seat, seat), seat).to.equal(false);
    }
  });
  it('says nothing of a board that only has to be tilted in: every board has', () => {
    const tight = planWith({ case: { boardDepth: 175 }, board: { format: 'Mini-ITX' } });
    expect(noInsertionPath(tight)).to.deep.equal([]);
  });
  it('asks nothing of a tray nobody measured', () => {
    expect(noInsertionPath(planWith(over))).to.deep.equal([]);
  });
});

describe('order/space', () => {
  const steps = ['a', 'b', 'c', 'd'].map((seat) =>
    step({ id: `in:${seat}`, phase: 'in', title: seat, minutes: 1 }),
  );
  it('adds what the space asks for', () => {
    const order = sorted(blockedSteps(steps, [{ first: 'c', later: 'a', sure: true }])).map(
      (each) => each.title,
    );
    expect(order.indexOf('c')).to.be.below(order.indexOf('a'));
  });
  it('never makes steps wait for each other, whatever blocks whatever', () => {
    const seat = fc.constantFrom('a', 'b', 'c', 'd', 'e');
    const block: fc.Arbitrary<Blockage> = fc.record({
      first: seat,
      later: seat,
      sure: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(block, { maxLength: 14 }), (list) => {
        const usable = list.filter((each) => each.first !== each.later);
        expect(sorted(blockedSteps(steps, usable))).to.have.length(4);
      }),
    );
  });
  it('lets the first of two that ask for both stand', () => {
    const both = blockedSteps(steps, [
      { first: 'a', later: 'b', sure: true },
      { first: 'b', later: 'a', sure: true },
    ]);
    expect(both.find((each) => each.id === 'in:b')?.after).to.deep.equal(['in:a']);
    expect(both.find((each) => each.id === 'in:a')?.after).to.deep.equal([]);
  });
});
