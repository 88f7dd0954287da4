import { expect } from 'chai';
import { cardPlugs } from '../../../src/core/plugs/countPlugs.ts';
import { cardBudget } from '../../../src/core/watts/cardBudget.ts';
import { slotLimits } from '../../../src/core/watts/leadLimits.ts';
import { planWith, the, type Seats } from '../../helpers/build.ts';

/* PCI Express CEM (unverified): x1 10 W and 25 once configured, x4, x8 and no graphics 25, x16 graphics 75; 6-pin 75, 8-pin 150. */
const supply: Seats[string] = {
  watts: 650,
  mainPlug: 'main24',
  plugs: ['cpu8', 'card8', 'card8', 'sata'],
};
const board: Seats[string] = { mainPlug: 'main24', watts: 30 };

describe('watts/cardBudget', () => {
  const at = (card: Seats[string], on: Seats[string] = board) =>
    the(cardBudget(planWith({ board: on, supply, card1: card })), 'card-budget:card1');
  it('adds slot and plugs, and stops a card that draws more than both carry', () => {
    expect(at({ watts: 150, plugs: ['card6'] })).to.deep.include({
      mark: 'clear',
      margin: { lo: 0, hi: 0 },
    });
    expect(at({ watts: 151, plugs: ['card6'] }).mark).to.equal('stop');
    expect(at({ watts: 225, plugs: ['card8'] }).mark).to.equal('clear');
    expect(at({ watts: 375, plugs: ['card8', 'card8'] }).mark).to.equal('clear');
    expect(at({ watts: 80, plugs: [] }).mark).to.equal('stop');
    expect(at({ watts: 75, plugs: [] }).mark).to.equal('clear');
  });
  it('knows a 12V-2x6 for what its sense contacts say: 150 to 600 W', () => {
    expect(at({ watts: 200, plugs: ['card16'] }).mark).to.equal('clear');
    expect(at({ watts: 450, plugs: ['card16'] }).mark).to.equal('watch');
    expect(at({ watts: 700, plugs: ['card16'] }).mark).to.equal('stop');
  });
  it('says nothing while watts or plugs are only usual', () => {
    expect(cardBudget(planWith({ board, supply, card1: { watts: 300 } }))).to.deep.equal([]);
    expect(cardBudget(planWith({ board, supply, card1: { plugs: ['card6'] } }))).to.deep.equal([]);
  });
});

describe('watts/slotPower', () => {
  const at = (card: Seats[string], on: Seats[string] = board) =>
    the(
      cardBudget(planWith({ board: on, supply, processor: { watts: 65 }, card1: card })),
      'card-budget:card1',
    ).mark;
  it('is a sum of its own only while plugs or watts are not said', () => {
    const slot = (card: Seats[string]) =>
      slotLimits(planWith({ board, supply, processor: { watts: 65 }, card1: card }));
    expect(the(slot({ watts: 60 }), 'slot-card1').mark).to.equal('clear');
    expect(slot({ watts: 60, plugs: [] })).to.deep.equal([]);
  });
  it('gives by contacts and sort of card', () => {
    expect(at({ watts: 60, plugs: [] })).to.equal('clear');
    expect(at({ watts: 30, plugs: [], lanes: 4 })).to.equal('stop');
    expect(at({ watts: 20, plugs: [], lanes: 8 })).to.equal('clear');
    expect(at({ watts: 15, plugs: [], lanes: 1 })).to.equal('watch');
    expect(at({ watts: 30, plugs: [], screens: 0 })).to.equal('stop');
  });
  it("asks on a maker's own board, and takes its word", () => {
    const makers = { ...board, mainPlug: 'maker10' };
    expect(at({ watts: 60, plugs: [] }, makers)).to.equal('watch');
    expect(at({ watts: 20, plugs: [] }, makers)).to.equal('clear');
    expect(at({ watts: 60, plugs: [] }, { ...makers, slotWatts: 35 })).to.equal('stop');
    expect(at({ watts: 30, plugs: [] }, { ...makers, slotWatts: 35 })).to.equal('clear');
  });
});

describe('plugs/cardPlugs', () => {
  const at = (plugs: string[], ...wants: string[][]) =>
    Object.fromEntries(
      cardPlugs(
        planWith({
          supply: { plugs },
          ...Object.fromEntries(wants.map((each, i) => [`card${i + 1}`, { plugs: each }])),
        }),
      ).map((each) => [each.id, each.mark]),
    );
  it('lets an 8-pin that is left over stand in for a 6-pin, if it splits', () => {
    expect(at(['card8', 'card8'], ['card8', 'card6'])).to.deep.equal({
      'plugs-card6': 'watch',
      'plugs-card8': 'clear',
    });
    expect(at(['card8'], ['card8', 'card6'])['plugs-card6']).to.equal('stop');
    expect(at(['card6', 'card8'], ['card6'])['plugs-card6']).to.equal('clear');
  });
  it('counts the sixteen-contact plug, older and newer alike, over all cards', () => {
    expect(at(['card16old'], ['card16'])).to.deep.equal({ 'plugs-card16': 'clear' });
    expect(at(['card8', 'card8'], ['card16'])).to.deep.equal({ 'plugs-card16': 'stop' });
    expect(at(['card16'], ['card16'], ['card16'])).to.deep.equal({ 'plugs-card16': 'stop' });
  });
});
