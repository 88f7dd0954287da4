import { expect } from 'chai';
import { driveKeys, fans, frontBlock, lights } from '../../../src/core/plugs/smallPairs.ts';
import { mainPlug } from '../../../src/core/plugs/mainPlug.ts';
import { processorPlug } from '../../../src/core/plugs/processorPlug.ts';
import { planWith, the } from '../../helpers/build.ts';

describe('plugs/smallPairs', () => {
  it('stops a 5 V light on the only header, a 12 V one', () => {
    const plan = planWith({ board: { lightHeaders: ['light12'] }, small1: { plug: 'light5' } });
    const found = the(lights(plan), 'light:small1');
    expect(found.mark).to.equal('stop');
    expect(found.say).to.contain('+12V on +5V');
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
