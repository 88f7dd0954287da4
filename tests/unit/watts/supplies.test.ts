import { expect } from 'chai';
import { numberAt } from '../../../src/core/model/lookup/plan.ts';
import { feedLimits } from '../../../src/core/watts/feedLimits.ts';
import type { Finding } from '../../../src/core/findings/finding.ts';
import { efficiency } from '../../../src/core/standards/supplies.ts';
import type { RemedyValue } from '../../../src/core/model/types/remedyValue.ts';
import { processorAdapter } from '../../../src/core/remedies/processorAdapter.ts';
import { leadDrops, leadLimits } from '../../../src/core/watts/leadLimits.ts';
import { drivePlugs } from '../../../src/core/plugs/countPlugs.ts';
import { boardDrives } from '../../../src/core/watts/boardDrives.ts';
import { groupRegulation } from '../../../src/core/watts/regulation.ts';
import { secondSupply } from '../../../src/core/watts/secondSupply.ts';
import { standby } from '../../../src/core/watts/standby.ts';
import { twelveVoltRails } from '../../../src/core/watts/rails.ts';
import { treeOf } from '../../../src/core/watts/tree/index.ts';
import { planWith, type Seats, type Value } from '../../helpers/build.ts';

const by = (found: readonly Finding[], id: string) => found.find((each) => each.id === id);

/** A card of 150 W on one 8-pin, a CPU of 95 W: about 9 to 11 A and 8 to 10 A on 12 V. */
const machine = (supply: Record<string, Value>, more: Seats = {}) =>
  planWith({
    board: { mainPlug: 'main24', processorPlug: 'cpu8', watts: 25 },
    processor: { watts: 95 },
    card1: { watts: 150, plugs: ['card8'] },
    supply: { mainPlug: 'main24', plugs: ['cpu8', 'card8', 'sata', 'sata'], watts: 450, ...supply },
    ...more,
  });

describe('watts, several 12 V rails (240 VA each: 20 A, ATX12V design guide)', () => {
  const rails = (items: string[], more: Seats = {}) =>
    twelveVoltRails(machine({ rails12: items }, more));
  it('judges each against what hangs on it, where the label says', () => {
    const found = rails(['18 CPU', '16 card', '18 rest']);
    expect(found.map((each) => [each.id, each.mark])).to.eql([
      ['rail12:rest', 'clear'],
      ['rail12:CPU', 'clear'],
      ['rail12:card', 'clear'],
    ]);
    /* 95 W through a converter of 1.1 to 1.2 at 12 V, and a little more for what the lead loses. */
    const amps = by(found, 'rail12:CPU')?.terms.at(-1)?.value as { lo: number; hi: number };
    expect(amps.lo).to.be.within((95 * 1.1) / 12, (95 * 1.1) / 11.8);
    expect(amps.hi).to.be.within((95 * 1.2) / 12, (95 * 1.2) / 11.6);
  });
  it('stops a rail that is overdrawn though the supply as a whole is not', () => {
    const found = rails(['18 CPU', '6 card', '18 rest']);
    expect(by(found, 'rail12:card')?.mark).to.equal('stop');
    expect(by(found, 'rail12:CPU')?.mark).to.equal('clear');
  });
  it('adds two rails that feed the same', () => {
    const found = rails(['18 CPU', '6 card', '8 card', '18 rest']);
    expect(by(found, 'rail12:card')?.mark).to.not.equal('stop');
    expect(by(found, 'rail12:card')?.terms[0]?.value).to.eql({ lo: 14, hi: 14 });
  });
  it('takes an unsaid plug to be on any rail, with any other', () => {
    expect(by(rails(['18', '18']), 'rail12:unsaid')?.mark).to.equal('watch');
    expect(by(rails(['40', '40']), 'rail12:unsaid')?.mark).to.equal('clear');
    expect(by(rails(['1', '1']), 'rail12:unsaid')?.mark).to.equal('stop');
    const part = rails(['18 CPU', '18', '18']);
    expect(by(part, 'rail12:CPU')?.mark).to.equal('clear');
    expect(by(part, 'rail12:unsaid')?.say).to.not.contain('nothing');
  });
  it('says nothing of one rail, of none, of no supply', () => {
    expect(rails(['40'])).to.eql([]);
    expect(twelveVoltRails(machine({}))).to.eql([]);
    expect(twelveVoltRails(planWith({ board: {} }))).to.eql([]);
  });
});

describe('watts, standby (USB 0.5 A a live port, network 0.3, board 0.5; common practice)', () => {
  const at = (wakePorts: number, ampsStandby?: number) =>
    standby(
      planWith({
        board: { wakePorts },
        supply: ampsStandby === undefined ? {} : { ampsStandby },
      }),
    )[0];
  it('counts every live port', () => {
    /* 2.5 A: 0.5 + 0.3 + n x 0.5: three ports leave 0.2, four lack 0.3. */
    expect(at(3, 2.5)?.mark).to.equal('clear');
    expect(at(3, 2.5)?.margin?.lo).to.be.closeTo(0.2, 1e-9);
    expect(at(4, 2.5)?.mark).to.equal('watch');
    expect(at(4, 2.5)?.margin?.lo).to.be.closeTo(-0.3, 1e-9);
  });
  it('never stops, and asks for the label where it was not read', () => {
    expect(at(12, 2)?.mark).to.equal('watch');
    expect(at(2)?.terms[0]?.input?.key).to.equal('ampsStandby');
    expect(standby(planWith({ board: {}, supply: { ampsStandby: 2 } }))).to.eql([]);
  });
});

describe('watts, one choke for 12 and 5 V', () => {
  const found = (supply: Record<string, Value>, more: Seats = {}) =>
    groupRegulation(machine(supply, more))[0];
  it('warns where nearly all of the load is on 12 V', () => {
    const one = found({ regulation: 'group' });
    expect(one?.mark).to.equal('watch');
    const tree = treeOf(machine({ regulation: 'group' }), 'full');
    const watts = (rail: string, end: 'lo' | 'hi') =>
      tree!.draws
        .filter((draw) => draw.rail === rail)
        .reduce((sum, draw) => sum + draw.watts.full[end], 0);
    const share = (watts('5 V', 'lo') / (watts('5 V', 'lo') + watts('12 V', 'hi'))) * 100;
    expect((one?.terms[1]?.value as { lo: number }).lo).to.be.closeTo(share, 1e-9);
    expect(one?.say).to.contain('5.25 V');
  });
  it('is content where enough hangs on 5 V', () => {
    const drives = Object.fromEntries(
      ['drive1', 'drive2', 'drive3', 'drive4'].map((seat) => [seat, { form: '2.5', watts: 12 }]),
    );
    expect(found({ regulation: 'group' }, { ...drives })?.mark).to.equal('clear');
  });
  it('is raised by what was said or by age, never by nothing', () => {
    expect(found({})).to.equal(undefined);
    expect(found({ regulation: 'each rail', years: 20 })).to.equal(undefined);
    expect(found({ years: 15 })?.mark).to.equal('watch');
    expect(found({ years: 3 })).to.equal(undefined);
  });
});

describe('watts, efficiency without a class (common practice)', () => {
  const at = (...args: Parameters<typeof efficiency>) => efficiency(...args);
  it('is wide where the age is open, narrow where it is not', () => {
    expect(at(undefined, 0.5)).to.eql({ lo: 0.65, hi: 0.94 });
    expect(at(undefined, 0.5, 230, { years: { lo: 25, hi: 25 } })).to.eql({ lo: 0.65, hi: 0.75 });
    expect(at(undefined, 0.5, 230, { years: { lo: 5, hi: 5 } })).to.eql({ lo: 0.78, hi: 0.94 });
    expect(at(undefined, 0.5, 230, { brick: true })).to.eql({ lo: 0.86, hi: 0.94 });
  });
  it('costs two to four points on 115 V', () => {
    const [eu, us] = [at(undefined, 0.5), at(undefined, 0.5, 115)];
    expect(eu.lo - us.lo).to.be.closeTo(0.04, 1e-9);
    expect(eu.hi - us.hi).to.be.closeTo(0.02, 1e-9);
  });
  it('titanium keeps its 90 % at a tenth of the load', () => {
    expect(at('titanium', 0.1).lo).to.equal(0.9);
    expect(at('platinum', 0.1).lo).to.be.below(0.85);
    expect(at('titanium', 0.03).lo).to.be.below(0.9);
  });
  it('the mains of the shop reach the wall watts', () => {
    const wall = (mains: 115 | 230) => {
      const plan = machine({ class: 'gold' });
      const shop = { ...plan.shop, settings: { ...plan.shop.settings, mains } };
      return treeOf({ ...plan, shop }, 'full')?.wallW?.hi ?? 0;
    };
    expect(wall(115)).to.be.above(wall(230) * 1.01);
  });
});

describe('watts, a second supply switched by hand', () => {
  const enable = (value?: string) =>
    secondSupply(
      planWith({ supply: {}, small1: { sort: 'second PSU', ...(value ? { enable: value } : {}) } }),
    ).find((each) => each.id.startsWith('second-enable'));
  it('is never called safe', () => {
    expect(enable('by its rocker')?.mark).to.equal('mend');
    expect(enable('by its rocker')?.say).to.contain('no order is safe');
    expect(enable('not yet')?.mark).to.equal('mend');
    expect(enable()?.mark).to.equal('watch');
    expect(enable('linked to the first')?.mark).to.equal('clear');
  });
});

describe('watts, a CPU header the supply brings no plug for', () => {
  const seats: Seats = {
    board: { mainPlug: 'main24', processorPlug: 'cpu8', watts: 25 },
    processor: { watts: 95 },
    supply: { mainPlug: 'main24', plugs: ['drive4', 'drive4', 'sata'], watts: 450 },
  };
  const leadOf = (applied: RemedyValue[] = [], more: Seats = {}) => {
    const tree = treeOf(planWith({ ...seats, ...more }, { applied }), 'full');
    return tree?.leads.find((lead) => lead.id === tree.on.get('processor'));
  };
  it('is not laid to the main plug', () => {
    const plan = planWith(seats);
    expect(leadOf()).to.include({ label: 'CPU plug, missing', missing: true });
    expect(leadLimits(plan).filter((each) => each.id.startsWith('lead-main'))).to.eql([]);
    expect(leadLimits(plan).filter((each) => each.id.startsWith('lead-processor'))).to.eql([]);
    /* Its watts count all the same. */
    expect(treeOf(plan, 'full')?.givenW.lo).to.be.above(95 * 1.1);
  });
  it('hangs on two drive plugs once that adapter is taken, by one contact of each', () => {
    const lead = leadOf([processorAdapter({ to: 'cpu8' })]);
    expect(lead).to.include({ label: 'adapter from two drive plugs' });
    expect(lead?.feeds).to.eql({ '12 V': 2 });
    /* 180 W through its converter are 16.5 to 18 A over two contacts of 8 A. */
    const hot = planWith(
      { ...seats, processor: { watts: 180 } },
      { applied: [processorAdapter({ to: 'cpu8' })] },
    );
    const found = leadLimits(hot).find((each) => each.id === 'lead-processor1-12 V');
    expect(found?.mark).to.equal('stop');
    expect(found?.terms[0]?.value).to.eql({ lo: 8, hi: 8 });
  });
  it('stays on the main plug where the board wants none', () => {
    expect(
      leadOf([], { board: { mainPlug: 'main24', processorPlug: 'none', watts: 25 } })?.id,
    ).to.equal('main');
  });
});

describe('watts, what a lead may lose', () => {
  const drops = (mm: number) =>
    leadDrops(
      planWith({
        board: { mainPlug: 'main24', processorPlug: 'cpu8', watts: 25 },
        processor: { watts: 65 },
        card1: { watts: 220, plugs: ['card8'] },
        supply: { mainPlug: 'main24', plugs: ['cpu8', 'card8'], watts: 550, leadCard: mm },
      }),
    ).find((each) => each.id.startsWith('drop-card'));
  it('holds the card lead to 3 % of 12 V, and to the 8 % of the card only as a Stop (PCI Express CEM)', () => {
    expect(drops(300)).to.equal(undefined);
    expect(drops(900)?.mark).to.equal('watch');
    expect(drops(900)?.terms[0]?.value).to.eql({ lo: 0.36, hi: 0.36 });
    expect(drops(6000)?.mark).to.equal('stop');
  });
});

describe("watts, drives on a maker's board that feeds them itself", () => {
  const seats = (board: Record<string, Value>, drives = 1): Seats => ({
    board: { mainPlug: 'main10', processorPlug: 'cpu4', watts: 25, ...board },
    supply: { mainPlug: 'main10', plugs: ['cpu4'], watts: 210 },
    ...Object.fromEntries(
      Array.from({ length: drives }, (_, i) => [`drive${i + 1}`, { form: '3.5', watts: 8 }]),
    ),
  });
  const plugsOf = (board: Record<string, Value>) =>
    drivePlugs(planWith(seats(board))).find((each) => each.id === 'plugs-sata');
  it('wants no SATA plug of the supply where the board brings it, and asks where nobody looked', () => {
    expect(plugsOf({ drivePlugs: 2 })?.mark).to.equal('clear');
    expect(plugsOf({})?.mark).to.equal('watch');
    expect(plugsOf({ drivePlugs: 0 })?.mark).to.equal('mend');
    expect(plugsOf({ mainPlug: 'main24' })?.mark).to.equal('mend');
  });
  it('holds them to the 1.5 to 3 A of such a plug as they spin up (common practice)', () => {
    const found = (drives: number, more = {}) =>
      boardDrives(planWith(seats({ drivePlugs: 4, ...more }, drives)))[0];
    /* 1.5 to 2.5 A each. */
    expect(found(1)?.mark).to.equal('watch');
    expect(found(3)?.mark).to.equal('stop');
    expect(found(1, { driveAmps: 3 })?.mark).to.equal('clear');
    expect(boardDrives(planWith(seats({})))).to.eql([]);
  });
  it('hangs them on the main lead in the tree', () => {
    const tree = treeOf(planWith(seats({ drivePlugs: 2 })), 'full');
    expect(tree?.on.get('drive1 12 V')).to.equal('main');
    expect(tree?.unfed.map((draw) => draw.id)).to.not.include('drive1 12 V');
  });
});

describe('watts, small machines nobody asked', () => {
  const marks = (sort: string) =>
    Object.fromEntries(
      feedLimits(
        planWith({
          case: { class: sort },
          board: {},
          processor: {},
          memory1: { size: 8 },
          supply: { feeds: 'brick', volts: 19, watts: 65 },
        }),
      ).map(({ id, mark }) => [id, mark]),
    );
  /* Common practice, no source: notebooks and one-litre machines live on bricks of 65 W. */
  it('a notebook on a brick of 65 W is no Stop, a tower on one is', () => {
    expect(marks('notebook')['feed-watts']).to.not.equal('stop');
    expect(marks('micro')['feed-watts']).to.not.equal('stop');
    expect(marks('tower')['feed-watts']).to.equal('stop');
  });
  it('what was said of a CPU holds in any of them', () => {
    const plan = planWith({ case: { class: 'notebook' }, processor: { watts: 95 } });
    const [cpu] = plan.seats.filter(({ kind }) => kind === 'processor');
    expect(numberAt(plan, cpu!, 'watts')).to.include({ lo: 95, hi: 95 });
  });
});
