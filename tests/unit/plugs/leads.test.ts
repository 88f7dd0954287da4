import { expect } from 'chai';
import {
  buzzed,
  BuzzError,
  leadVerdict,
  modularLeads,
  orderFromLead,
  readBuzz,
  writeBuzz,
} from '../../../src/core/plugs/leads.ts';
import { plug, type Plug } from '../../../src/core/standards/plugs/index.ts';
import { planWith, the, type Seats } from '../../helpers/build.ts';

const cpu4 = plug('cpu4') as Plug;
/* The supply's own lead: straight through. The stranger's: feeds and returns the other way. */
const own = ['1>1', '2>2', '3>3', '4>4'];
const crossed = ['1>3', '2>4', '3>1', '4>2'];
const order = ['COM', 'COM', '+12V', '+12V'];

describe('plugs/leads, buzzing out', () => {
  it('reads what it writes', () => {
    const wires = [
      { from: 3, to: [1, 2] },
      { from: 1, to: [] },
    ];
    expect(readBuzz(writeBuzz(wires))).to.deep.equal([wires[1], wires[0]]);
  });
  it('replaces what was said of a pin', () => {
    const wires = buzzed(readBuzz(own), { from: 2, to: [4] });
    expect(wires.filter((each) => each.from === 2)).to.deep.equal([{ from: 2, to: [4] }]);
  });
  it('refuses a line it cannot read and a pin that beeps with two, by name', () => {
    expect(() => readBuzz(['one>two'])).to.throw(BuzzError, 'one>two');
    expect(() => readBuzz(['1>3', '2>3'])).to.throw(BuzzError, 'Pin 3');
  });
  it("works the socket's order out from a lead of its own", () => {
    expect(orderFromLead(readBuzz(own), cpu4, 6)).to.deep.equal([...order, '?', '?']);
    expect(orderFromLead(readBuzz(crossed), cpu4, 4)).to.deep.equal(['+12V', '+12V', 'COM', 'COM']);
  });
  it('leaves a pin open whose wire splits onto two signals', () => {
    expect(orderFromLead(readBuzz(['1>1+3']), cpu4, 2)[0]).to.equal('?');
  });
});

describe('plugs/leads, a lead of another PSU', () => {
  it('is a Stop until every wire is buzzed out, with the pins still to do', () => {
    const verdict = leadVerdict(readBuzz(['1>1', '2>2']), cpu4, order);
    expect(verdict.mark).to.equal('stop');
    expect(verdict.say).to.contain('3, 4');
  });
  it("is a Stop while the PSU's own socket is not known", () => {
    expect(leadVerdict(readBuzz(own), cpu4, []).rest).to.equal('socket not known');
  });
  it('is a Stop that burns where its wires cross, with what meets what', () => {
    const verdict = leadVerdict(readBuzz(crossed), cpu4, order);
    expect(verdict).to.include({ mark: 'stop', rest: 'fits and burns' });
    expect(verdict.say).to.match(/return on \+12V|\+12V on return/);
  });
  it('is clear once every wire carries what its pin wants', () => {
    expect(leadVerdict(readBuzz(own), cpu4, order).mark).to.equal('clear');
  });
});

describe('plugs/leads, in a plan', () => {
  const lead = (more: Seats[string], supply: Seats[string] = {}) =>
    the(
      modularLeads(planWith({ supply, small1: { what: 'modular lead', plug: 'cpu4', ...more } })),
      'lead:small1',
    );
  it('clears its own and stops a stranger', () => {
    expect(lead({ belongsTo: 'T-supply' }).mark).to.equal('clear');
    expect(lead({ belongsTo: 'another' }).mark).to.equal('stop');
  });
  it('stops a lead whose notes cannot be read, and keeps them', () => {
    const found = lead({ belongsTo: 'another', buzzed: ['nonsense'] });
    expect(found.mark).to.equal('stop');
    expect(found.say).to.contain('nonsense');
  });
  it('follows what was buzzed out', () => {
    expect(lead({ belongsTo: 'another', buzzed: own }, { socketOrder: order }).mark).to.equal(
      'clear',
    );
    expect(
      lead({ belongsTo: 'another', buzzed: crossed }, { socketOrder: order }).marginLabel,
    ).to.equal('fits and burns');
  });
});
