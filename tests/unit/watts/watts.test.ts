import { expect } from 'chai';
import { loads } from '../../../src/core/watts/loads.ts';
import { rail12 } from '../../../src/core/watts/rail12.ts';
import { supplyTotal } from '../../../src/core/watts/supplyTotal.ts';
import { planWith, the } from '../../helpers/build.ts';

const machine = {
  processor: { watts: 65 },
  card1: { watts: 120 },
  board: { watts: 30 },
  drive1: { watts: 5 },
};

describe('watts/supplyTotal', () => {
  it('adds the draws and the headroom the user keeps', () => {
    const finding = the(
      supplyTotal(planWith({ ...machine, supply: { watts: 450 } })),
      'supply-total',
    );
    expect(finding.mark).to.equal('clear');
    expect(finding.margin?.lo).to.be.closeTo(450 - 220 * 1.3, 1e-9);
    expect(finding.terms.at(-1)?.label).to.equal('headroom 30 %');
  });
  it('watches what covers the sum but not the headroom', () => {
    const finding = the(
      supplyTotal(planWith({ ...machine, supply: { watts: 240 } })),
      'supply-total',
    );
    expect(finding.mark).to.equal('watch');
    expect(finding.say).to.contain('not the headroom');
  });
  it('stops what does not cover the sum at all', () => {
    const finding = the(
      supplyTotal(planWith({ ...machine, supply: { watts: 200 } })),
      'supply-total',
    );
    expect(finding.mark).to.equal('stop');
    expect(finding.say).to.contain('20 W more');
  });
  it("shows the card maker's school beside the sum, as a Watch at most", () => {
    const plan = planWith({
      ...machine,
      card1: { watts: 120, makerTotal: 500 },
      supply: { watts: 450 },
    });
    const finding = the(supplyTotal(plan), 'maker-total:card1');
    expect(finding.mark).to.equal('watch');
    expect(finding.margin).to.deep.equal({ lo: -50, hi: -50 });
  });
  it('says nothing of a PSU with no load', () => {
    expect(supplyTotal(planWith({ supply: { watts: 300 } }))).to.deep.equal([]);
  });
});

describe('watts/loads', () => {
  it('counts modules and fans by their class', () => {
    const lines = loads(planWith({ memory1: {}, memory2: {}, fan1: { amps: 0.2 }, fan2: {} }));
    const memory = lines.find((line) => line.label.startsWith('RAM'));
    expect(memory?.value).to.deep.equal({ lo: 6, hi: 12 });
    const fans = lines.find((line) => line.label.startsWith('fans'));
    expect(fans?.value.lo).to.be.closeTo(0.25 * 12, 1e-9);
    expect(fans?.value.hi).to.be.closeTo(0.8 * 12, 1e-9);
  });
});

describe('watts/rail12', () => {
  it('counts the CPU through its converter and the card straight', () => {
    const finding = the(
      rail12(planWith({ processor: { watts: 60 }, card1: { watts: 120 }, supply: { amps12: 20 } })),
      'rail-12',
    );
    expect(finding.margin?.lo).to.be.closeTo(20 - (60 * 1.2) / 12 - 10, 1e-9);
    expect(finding.margin?.hi).to.be.closeTo(20 - (60 * 1.1) / 12 - 10, 1e-9);
    expect(finding.mark).to.equal('clear');
  });
  it('stops a rail that is too small whatever the total says', () => {
    const plan = planWith({ card1: { watts: 240 }, supply: { watts: 600, amps12: 18 } });
    expect(the(rail12(plan), 'rail-12').mark).to.equal('stop');
    expect(the(supplyTotal(plan), 'supply-total').mark).to.equal('clear');
  });
});
