import { expect } from 'chai';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { frontBlock, frontUsb } from '../../../src/core/plugs/frontPanel.ts';
import { driveKeys, fans, lights } from '../../../src/core/plugs/smallPairs.ts';
import { mainPlug } from '../../../src/core/plugs/mainPlug.ts';
import { processorPlug } from '../../../src/core/plugs/processorPlug.ts';
import { jobOver, planWith, the, type Seats } from '../../helpers/build.ts';

describe('plugs/smallPairs', () => {
  it('stops a 5 V light on the only header, a 12 V one', () => {
    const plan = planWith({ board: { lightHeaders: ['light12'] }, small1: { plug: 'light5' } });
    const found = the(lights(plan), 'light:small1');
    expect(found.mark).to.equal('stop');
    expect(found.say).to.contain('+12V on +5V');
  });
  it('takes a list of none as none: no header for the light', () => {
    const plan = planWith({ board: { lightHeaders: [] }, small1: { plug: 'light5' } });
    expect(the(lights(plan), 'light:small1').marginLabel).to.equal('no header left');
  });
  it('finds the header of its own kind among several', () => {
    const plan = planWith({
      board: { lightHeaders: ['light5', 'light12'] },
      small1: { plug: 'light12' },
    });
    expect(the(lights(plan), 'light:small1').mark).to.equal('clear');
  });
  it('says nothing of small parts without a light plug', () => {
    expect(lights(planWith({ board: { lightHeaders: ['light5'] }, small1: { what: 'tape' } }))).to
      .be.empty;
  });
  it('gives each fan a header of its own', () => {
    const plan = planWith({
      board: { fanHeaders: ['fan4', 'fan3'] },
      fan1: { plug: 'fan3' },
      fan2: { plug: 'fan4' },
    });
    const found = fans(plan);
    expect(the(found, 'fan-plug:fan1').mark).to.equal('clear');
    expect(the(found, 'fan-plug:fan2').mark).to.equal('clear');
  });
  it("does not clear a maker's five-way fan", () => {
    const plan = planWith({ board: { fanHeaders: ['fan4'] }, fan1: { plug: 'fan5' } });
    expect(the(fans(plan), 'fan-plug:fan1').mark).to.equal('watch');
  });
  it("watches a maker's front block, clears the standard one", () => {
    const front = (frontPlug: string) =>
      the(
        frontBlock(planWith({ board: { frontHeader: 'front10' }, leads: { frontPlug } })),
        'front-block',
      ).mark;
    expect(front('front10')).to.equal('clear');
    expect(front('frontMaker')).to.not.equal('clear');
  });
  it('asks about a front block nobody named once one side is new, and takes single leads anywhere', () => {
    const mark = (leads: Seats[string], board: Seats[string] = { frontHeader: 'front10' }) =>
      frontBlock(planWith({ board, leads }))[0]?.mark;
    expect(mark({})).to.equal('watch');
    expect(mark({ block: 'single' })).to.equal(undefined);
    expect(mark({ block: 'standard 2x5' })).to.equal(undefined);
    expect(mark({ block: 'standard 2x5' }, {})).to.equal('watch');
    expect(mark({ block: "maker's block" })).to.equal('mend');
    const { shop, job } = jobOver({ board: {}, leads: {} });
    expect(frontBlock(planOf(shop, job))).to.deep.equal([]);
  });
  it('misses a header for each USB lead of the front that has none', () => {
    const found = (usb: string[], usbKinds: string[]) =>
      frontUsb(planWith({ board: { usbKinds }, leads: { usb } }));
    expect(found(['usb3'], ['usb2', 'usb3'])).to.deep.equal([]);
    const [missing] = found(['usb3', 'usb3'], ['usb3', 'usb2']);
    expect(missing?.mark).to.equal('mend');
    expect(missing?.remedies[0]?.value).to.include({ do: 'plugAdapter', from: 'usb3', to: 'usb2' });
    expect(found(['usb3'], [])[0]?.remedies).to.deep.equal([]);
    expect(frontUsb(planWith({ board: {}, leads: { usb: ['usb3'] } }))).to.deep.equal([]);
  });
  it('counts more fans than headers, and a list of none as none', () => {
    const found = fans(
      planWith({
        board: { fanHeaders: ['fan4'] },
        fan1: { plug: 'fan4' },
        fan2: { plug: 'fan4' },
      }),
    );
    expect(found.map((each) => each.mark)).to.deep.equal(['clear', 'watch']);
    expect(
      fans(planWith({ board: { fanHeaders: [] }, fan1: { plug: 'fan4' } })).map(
        (each) => each.mark,
      ),
    ).to.deep.equal(['watch']);
  });
  it('stops a drive plug without its key', () => {
    const drive = (driveKey: string) =>
      the(
        driveKeys(
          planWith({ supply: { plugs: ['drive4'], driveKey }, drive1: { plug: 'drive4' } }),
        ),
        'drive-plug:drive1',
      );
    expect(drive('whole').mark).to.equal('clear');
    expect(drive('snapped').mark).to.equal('stop');
    expect(drive('snapped').say).to.contain('turned');
  });
});

describe('plugs/adapters', () => {
  const adapter = (proved: string) => ({
    joinsFrom: ['main10'],
    joinsTo: ['main24', 'cpu4'],
    proved,
  });
  const plan = (proved: string) =>
    planWith({
      board: { mainPlug: 'main24', processorPlug: 'cpu4' },
      supply: { mainPlug: 'main10', plugs: ['main10'] },
      small1: adapter(proved),
    });
  it('trusts an adapter as far as it was proved', () => {
    const mark = (proved: string) => the(mainPlug(plan(proved)), 'main-plug').mark;
    expect(mark('not yet')).to.equal('mend');
    expect(mark('buzzed out')).to.equal('watch');
    expect(mark('live')).to.equal('clear');
  });
  it('lets it feed the CPU header too', () => {
    expect(the(processorPlug(plan('live')), 'processor-plug').mark).to.equal('clear');
  });
});
