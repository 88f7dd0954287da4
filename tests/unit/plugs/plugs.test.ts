import { expect } from 'chai';
import { cardPlugs, drivePlugs } from '../../../src/core/plugs/countPlugs.ts';
import { mainPlug } from '../../../src/core/plugs/mainPlug.ts';
import { processorPlug } from '../../../src/core/plugs/processorPlug.ts';
import { mainPlugIds } from '../../../src/core/standards/plugs/index.ts';
import { planWith, the } from '../../helpers/build.ts';

describe('plugs/mainPlug', () => {
  const main = (give: string, take: string) =>
    the(mainPlug(planWith({ board: { mainPlug: take }, supply: { mainPlug: give } })), 'main-plug');
  it("never clears a maker's plug, in any pair", () => {
    for (const give of mainPlugIds) {
      for (const take of mainPlugIds) {
        if (give.startsWith('maker') || take.startsWith('maker')) {
          expect(main(give, take).mark, `${give} on ${take}`).to.not.equal('clear');
        }
      }
    }
  });
  it('clears like on like and watches 20 and 24 ways on each other', () => {
    expect(main('main24', 'main24').mark).to.equal('clear');
    expect(main('main20', 'main24').mark).to.equal('watch');
    expect(main('main24', 'main20').mark).to.equal('watch');
  });
  it('mends 12 V only against the full set, and wants an adapter', () => {
    const finding = the(
      mainPlug(planWith({ board: { mainPlug: 'main24' }, supply: { mainPlug: 'main10' } })),
      'main-plug',
    );
    expect(finding.mark).to.equal('mend');
    expect(finding.remedies[0]?.get).to.deep.equal({
      what: 'adapter ATX12VO 10-pin to ATX 24-pin',
      count: 1,
    });
  });
  it('watches what nobody looked at', () => {
    const finding = the(mainPlug(planWith({ board: {}, supply: {} })), 'main-plug');
    expect(finding.mark).to.equal('watch');
    expect(finding.marginLabel).to.equal('not known');
  });
});

describe('plugs/processorPlug', () => {
  const at = (take: string, plugs: string[]) =>
    the(
      processorPlug(planWith({ board: { processorPlug: take }, supply: { plugs } })),
      'processor-plug',
    );
  it('clears what meets and what is not wanted', () => {
    expect(at('cpu8', ['cpu8']).mark).to.equal('clear');
    expect(at('none', []).mark).to.equal('clear');
  });
  it('watches half a header', () => {
    expect(at('cpu8', ['cpu4']).mark).to.equal('watch');
    expect(at('cpu4', ['cpu8']).mark).to.equal('watch');
  });
  it('never offers a card plug in its place', () => {
    const finding = at('cpu8', ['card6', 'card8']);
    expect(finding.mark).to.equal('mend');
    expect(finding.say).to.contain('burns').and.contain('+12V on return').and.contain('Never');
    expect(JSON.stringify(finding.remedies)).to.not.contain('card');
  });
});

describe('plugs/countPlugs', () => {
  it('stops a card without its plug and offers nothing made from drive plugs', () => {
    const plan = planWith({ supply: { plugs: ['drive4', 'drive4'] }, card1: { plugs: ['card8'] } });
    const finding = the(cardPlugs(plan), 'plugs-card8');
    expect(finding.mark).to.equal('stop');
    expect(finding.remedies).to.deep.equal([]);
  });
  it('counts the plugs of several cards', () => {
    const plan = planWith({
      supply: { plugs: ['card6', 'card6', 'card8'] },
      card1: { plugs: ['card6', 'card8'] },
      card2: { plugs: ['card6'] },
    });
    expect(the(cardPlugs(plan), 'plugs-card6').margin).to.deep.equal({ lo: 0, hi: 0 });
    expect(the(cardPlugs(plan), 'plugs-card8').mark).to.equal('clear');
  });
  it('leaves drives on the board out of the SATA count', () => {
    const plan = planWith({
      supply: { plugs: ['sata'] },
      drive1: { form: '2.5' },
      drive2: { form: 'M.2' },
    });
    expect(the(drivePlugs(plan), 'plugs-sata').mark).to.equal('clear');
    const two = planWith({
      supply: { plugs: ['sata'] },
      drive1: { form: '2.5' },
      drive2: { form: '3.5' },
    });
    expect(the(drivePlugs(two), 'plugs-sata').mark).to.equal('mend');
  });
});
