import { expect } from 'chai';
import { feedLimits } from '../../../src/core/watts/feedLimits.ts';
import { treeOf } from '../../../src/core/watts/tree/index.ts';
import { planWith, type Seats, type Value } from '../../helpers/build.ts';

/** A 19 V brick of 180 W feeds the board; tapped beside it, a step-down to 12 V feeds a card. */
const brick: Record<string, Value> = {
  feeds: 'brick',
  volts: 19,
  watts: 180,
  innerOhm: 20,
  feedLength: 1500,
  feedAwg: 16,
};
const tap: Record<string, Value> = {
  sort: 'step-down',
  carries: 'card1',
  outVolts: 12,
  outAmps: 8,
  inVolts: [12, 24],
  inAmps: 6,
  efficiency: 90,
  idleWatts: 0,
  feedLength: 300,
  feedAwg: 18,
  fuse: 7.5,
};
const machine = (small: Record<string, Value> | undefined = tap, more: Seats = {}) =>
  planWith({
    board: { watts: 15, inVolts: 19 },
    processor: { watts: 35 },
    card1: { watts: 60, plugs: ['card6'] },
    supply: brick,
    ...(small ? { small1: small } : {}),
    ...more,
  });
const the = (plan: ReturnType<typeof planWith>, id: string) =>
  feedLimits(plan).find((each) => each.id === id);
const branch = (plan: ReturnType<typeof planWith>, id: string) =>
  treeOf(plan, 'full')?.branches.find((each) => each.id === id);

describe('watts/tree, a feed with branches', () => {
  it('feeds the card by its own branch, and the board keeps the share of the slot', () => {
    const plan = machine();
    expect(branch(plan, 'tap 1')?.parent).to.equal('supply');
    expect(branch(plan, 'tap 1 converter')?.seat).to.equal('small1');
    /* A card with plugs takes 15 to 40 % of 60 W from its slot: the branch feeds the rest. */
    expect(branch(plan, 'card1')?.watts).to.eql({ lo: 36, hi: 51 });
    expect(branch(plan, 'card1')?.parent).to.equal('tap 1 converter');
    expect(branch(plan, 'card1 slot')?.parent).to.equal('board');
    expect(branch(plan, 'converter')).to.equal(undefined);
  });
  it('agrees with the circuit worked out by hand: two loads of watts behind one inner resistance', () => {
    const plan = machine();
    const tree = treeOf(plan, 'full')!;
    const board = branch(plan, 'lead')!;
    const own = branch(plan, 'tap 1')!;
    const source = branch(plan, 'supply')!;
    /* Kirchhoff: amps of both branches are the amps of the brick. */
    for (const end of ['lo', 'hi'] as const)
      expect(source.amps![end]).to.be.closeTo(board.amps![end] + own.amps![end], 1e-6);
    /* By Ohm: terminals at 19 V less the amps times 20 mΩ. */
    expect(source.volts!.lo).to.be.closeTo(19 - source.amps!.hi * 0.02, 1e-6);
    /* 51 W out of 90 % are 56.7 W into the converter. */
    expect(branch(plan, 'tap 1 converter')!.watts.hi).to.be.closeTo(51 / 0.9, 1e-6);
    expect(tree.givenW.hi).to.be.closeTo(19 * source.amps!.hi, 1e-6);
    expect(tree.ok).to.equal(true);
  });
  it('counts both branches against the label of the brick', () => {
    const small = machine(tap, { supply: { ...brick, watts: 65 } });
    expect(the(small, 'feed-watts')?.mark).to.equal('stop');
    expect(
      the(machine(tap, { supply: { ...brick, watts: 150 } }), 'feed-watts')?.mark,
    ).to.not.equal('stop');
  });
  it('judges lead, fuse and converter of the branch by its own figures', () => {
    expect(the(machine(), 'fuse-load:small1')?.mark).to.equal('clear');
    expect(the(machine({ ...tap, fuse: 2 }), 'fuse-load:small1')?.mark).to.equal('mend');
    expect(the(machine({ ...tap, feedAwg: 24, fuse: 15 }), 'fuse-wire:small1')?.mark).to.equal(
      'stop',
    );
    expect(the(machine({ ...tap, inAmps: 1 }), 'converter-in:small1')?.mark).to.equal('stop');
    expect(the(machine({ ...tap, outAmps: 2 }), 'converter-out:small1')?.mark).to.equal('stop');
    expect(the(machine({ ...tap, inVolts: [8, 16] }), 'feed-over:small1')?.mark).to.equal('stop');
    const input = the(machine(), 'fuse-load:small1')?.terms[0]?.input;
    expect(input).to.include({ key: 'fuse', seat: 'small1' });
    expect(the(machine({ ...tap, inAmps: 1 }), 'converter-in:small1')?.about).to.eql({
      of: 'branch',
      branch: 'tap 1 converter',
    });
  });
  it('keeps the converter of the board in line, beside a tapped one', () => {
    const battery = machine(tap, {
      supply: {
        feeds: 'battery',
        volts: 12.8,
        innerOhm: 10,
        feedLength: 500,
        feedAwg: 12,
        fuse: 25,
      },
      small2: { sort: 'step-up', outVolts: 19, inVolts: [10, 15], efficiency: 92, idleWatts: 0 },
    });
    expect(branch(battery, 'converter')?.seat).to.equal('small2');
    expect(branch(battery, 'tap 1 converter')?.seat).to.equal('small1');
  });
  it('is in line where it carries nothing of its own', () => {
    const { carries: _carries, ...plain } = tap;
    expect(branch(machine(plain), 'converter')?.seat).to.equal('small1');
    expect(branch(machine(plain), 'tap 1')).to.equal(undefined);
  });
});

describe("watts, a board's jack and the brick's tip", () => {
  const at = (supply: Record<string, Value>, board: Record<string, Value>) =>
    feedLimits(
      planWith({
        board: { watts: 15, inVolts: 19, ...board },
        processor: { watts: 35 },
        supply: { ...brick, ...supply },
      }),
    );
  const mark = (found: ReturnType<typeof at>, id: string) =>
    found.find((each) => each.id === id)?.mark;
  it('are the same barrel, or another', () => {
    const same = at({ tip: 'barrel55-25' }, { jack: 'barrel55-25' });
    expect(mark(same, 'jack')).to.equal('clear');
    expect(mark(at({ tip: 'barrel55-21' }, { jack: 'barrel55-25' }), 'jack')).to.equal('mend');
  });
  it('agree in plus and minus, or destroy the board', () => {
    expect(mark(at({ centre: 'minus' }, { centre: 'plus' }), 'centre')).to.equal('stop');
    expect(mark(at({ centre: 'plus' }, { centre: 'plus' }), 'centre')).to.equal('clear');
    expect(mark(at({ centre: 'plus' }, {}), 'centre')).to.equal('watch');
    expect(mark(at({ tip: 'barrel55-25' }, { jack: 'barrel55-25' }), 'centre')).to.equal('watch');
    expect(mark(at({}, {}), 'centre')).to.equal(undefined);
  });
});
