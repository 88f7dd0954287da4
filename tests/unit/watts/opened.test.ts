import { expect } from 'chai';
import { openLead } from '../../../src/core/watts/openLead.ts';
import { drawsOf, treeOf, worstShare, type Rail } from '../../../src/core/watts/tree/index.ts';
import { planWith, the, type Seats } from '../../helpers/build.ts';
import { headerAmps } from '../../../src/core/plan/headerAmps.ts';
import { dcBoard } from '../../../src/core/watts/dcBoard.ts';
import { secondSupply } from '../../../src/core/watts/secondSupply.ts';
import { supplyTotal } from '../../../src/core/watts/supplyTotal.ts';

const tower: Seats = {
  board: { processorPlug: 'cpu8', watts: 30, fanHeaders: ['fan4'] },
  processor: { watts: 95 },
  card1: { watts: 150, plugs: ['card8'] },
  drive1: { form: '3.5', watts: 8 },
  supply: {
    watts: 550,
    amps12: 45,
    mainPlug: 'main24',
    plugs: ['cpu8', 'card8', 'sata', 'sata'],
  },
};

describe('watts/openLead', () => {
  const tree = treeOf(planWith(tower), 'full')!;
  it('shares out what the branch carries, there and back, with nothing lost', () => {
    let opened = 0;
    for (const lead of tree.leads)
      for (const rail of Object.keys(lead.feeds) as Rail[]) {
        const open = openLead(tree, lead, rail);
        if (!open) continue;
        opened += 1;
        const sum = (back: boolean) =>
          open.wires.filter((each) => each.back === back).reduce((s, each) => s + each.amps, 0);
        const branch = tree.branches.find((each) => each.id === `${rail} ${lead.id}`)!;
        expect(sum(false)).to.be.closeTo(branch.amps!.hi, 1e-9);
        expect(sum(true)).to.be.closeTo(open.backAmps, 1e-9);
        expect(open.wires.map((each) => lead.plug.pins[each.pin - 1])).to.deep.equal(
          open.wires.map((each) => each.signal),
        );
        for (const each of open.wires)
          expect(each.contactW).to.be.closeTo(each.amps ** 2 * each.contactOhm, 1e-12);
      }
    expect(opened).to.be.above(4);
  });
  it('the best contact carries the share the sum of the lead warns of', () => {
    const lead = tree.leads.find((each) => each.id === 'processor1')!;
    const open = openLead(tree, lead, '12 V')!;
    const first = open.wires.find((each) => !each.back)!;
    expect(first.amps / open.amps).to.be.closeTo(worstShare(lead, '12 V'), 1e-9);
    expect(first.amps).to.be.above(open.amps / 4);
  });
  it('the returns of a main plug carry every rail', () => {
    const lead = tree.leads.find((each) => each.id === 'main')!;
    const open = openLead(tree, lead, '5 V')!;
    expect(open.backAmps).to.be.above(open.amps);
  });
  it('is nothing where nothing flows', () => {
    const bare = treeOf(planWith({ ...tower, drive1: { form: 'M.2', watts: 6 } }), 'full')!;
    const sata = bare.leads.find((each) => each.id.startsWith('sata'))!;
    expect(openLead(bare, sata, '12 V')).to.equal(undefined);
  });
});

describe('plan/headerAmps', () => {
  const fans = (amps: number, n = 1) =>
    headerAmps(
      planWith({
        ...tower,
        ...Object.fromEntries(Array.from({ length: n }, (_, i) => [`fan${i + 1}`, { amps }])),
      }),
    );
  it('lets one usual fan be, watches what is above what makers allow, stops what no header gives', () => {
    expect(fans(0.3)).to.be.empty;
    expect(the(fans(0.6), 'fan-header').mark).to.equal('clear');
    expect(the(fans(1.2), 'fan-header').mark).to.equal('watch');
    expect(the(fans(1.8), 'fan-header').mark).to.equal('stop');
  });
  it('adds up what shares the only header', () => {
    const found = the(fans(0.55, 3), 'fan-header');
    expect(found.mark).to.equal('stop');
    expect(found.margin!.hi).to.be.closeTo(1.5 - 1.65, 1e-9);
  });
});

describe('watts/dcBoard', () => {
  const micro = (volts: number, more: Record<string, string | number> = {}) =>
    dcBoard(
      planWith({
        board: { watts: 15, mainPlug: 'main24' },
        processor: { watts: 35 },
        drive1: { form: '2.5', watts: 4 },
        supply: { feeds: 'brick', volts, watts: 120 },
        small1: { sort: 'DC-DC board', ...more },
      }),
    );
  it('asks whether 19 V would reach the 12 V rail, stops a plain board, clears a wide one', () => {
    expect(the(micro(19), 'dc-straight').mark).to.equal('watch');
    expect(the(micro(19), 'dc-straight').say).to.contain('current limit');
    expect(the(micro(19, { straight: 'yes' }), 'dc-straight').mark).to.equal('stop');
    expect(the(micro(19, { straight: 'no' }), 'dc-straight').mark).to.equal('clear');
    expect(the(micro(12, { straight: 'yes' }), 'dc-straight').mark).to.equal('clear');
  });
  it('holds the small rails against its own label', () => {
    expect(the(micro(12, { out5Amps: 0.5 }), 'dc-out5Amps').mark).to.equal('stop');
    expect(the(micro(12, { out5Amps: 8 }), 'dc-out5Amps').mark).to.equal('clear');
  });
});

describe('watts/tree, a card on a PSU of its own', () => {
  const micro: Seats = {
    board: { watts: 15, inVolts: [18, 20] },
    processor: { watts: 35 },
    card1: { watts: 75, plugs: [] },
    supply: { feeds: 'brick', volts: 19, watts: 90 },
    small1: {
      sort: 'second PSU',
      feedsWhat: 'loads of its own',
      outVolts: 12,
      outAmps: 8,
      efficiency: 85,
    },
    small2: { sort: 'powered riser', carries: 'card1', plug: 'card6' },
  };
  it('leaves the slot its share where no powered riser takes it: 66 W at 12 V at most (PCI Express CEM)', () => {
    const { small2: _, ...bare } = micro;
    const card: Seats = { ...bare, card1: { watts: 150, plugs: ['card8'] } };
    const [slot] = drawsOf(planWith(card)).filter(({ seat }) => seat === 'card1');
    expect(slot?.over).to.equal('main');
    expect(slot!.watts.full.hi).to.be.at.most(66);
    const second = treeOf(planWith(card), 'full')!.branches.find(({ id }) => id === 'card1')!;
    expect(second.watts.lo).to.be.closeTo(150 - slot!.watts.full.hi, 1e-9);
    expect(second.watts.hi).to.be.closeTo(150 - slot!.watts.full.lo, 1e-9);
    expect(
      drawsOf(planWith({ ...card, small2: micro['small2']! })).map(({ seat }) => seat),
    ).to.not.include('card1');
  });
  it('takes the card off the first and adds both at the wall', () => {
    const both = treeOf(planWith(micro), 'full')!;
    const { small1: _, ...without } = micro;
    const first = treeOf(planWith(without), 'full')!;
    const alone = treeOf(planWith({ ...without, card1: { watts: 0, plugs: [] } }), 'full')!;
    expect(both.givenW.hi).to.be.closeTo(alone.givenW.hi, 1e-6);
    expect(first.givenW.lo - both.givenW.lo).to.be.above(70);
    const second = both.branches.find((each) => each.id === 'second')!;
    expect(second.watts.hi).to.be.closeTo(75 / 0.85, 1e-9);
    expect(both.wallW!.hi).to.be.closeTo(alone.wallW!.hi + 75 / 0.85, 1e-6);
    expect(both.branches.filter((each) => each.parent === 'second')).to.have.length(1);
  });
  it('holds its label against the card, and leaves the card out of the first sum', () => {
    const found = secondSupply(planWith(micro));
    expect(the(found, 'second-watts:small1').mark).to.equal('clear');
    expect(the(found, 'second-watts:small1').margin!.lo).to.be.closeTo(96 - 75, 1e-9);
    const small = secondSupply(planWith({ ...micro, small1: { ...micro['small1'], outAmps: 5 } }));
    expect(the(small, 'second-watts:small1').mark).to.equal('stop');
    const inside = { ...micro, supply: { watts: 300, mainPlug: 'main24', plugs: ['cpu8'] } };
    const sum = the(supplyTotal(planWith(inside)), 'supply-total');
    expect(sum.terms.some((term) => term.label.includes('card'))).to.equal(false);
  });
});
