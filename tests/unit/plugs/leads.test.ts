import { expect } from 'chai';
import {
  buzzed,
  BuzzError,
  leadVerdict,
  modularLeads,
  orderFromLead,
  wiresOf,
} from '../../../src/core/plugs/leads.ts';
import { buzzedWire } from '../../../src/core/model/types/shapes.ts';
import { plug, type Plug } from '../../../src/core/standards/plugs/index.ts';
import { planWith, the, type Seats } from '../../helpers/build.ts';

const cpu4 = plug('cpu4') as Plug;
/* The supply's own lead: straight through. The stranger's: feeds and returns the other way. */
const own = ['1>1', '2>2', '3>3', '4>4'];
const crossed = ['1>3', '2>4', '3>1', '4>2'];
const wires = (lines: readonly string[]) => wiresOf(lines.map((line) => buzzedWire.read(line)!));
const order = ['COM', 'COM', '+12V', '+12V'];

describe('plugs/leads, buzzing out', () => {
  it('replaces what was said of a pin', () => {
    const changed = buzzed(wires(own), { from: 2, to: [4] });
    expect(changed.filter((each) => each.from === 2)).to.deep.equal([{ from: 2, to: [4] }]);
  });
  it('refuses a pin that beeps with two, by name', () => {
    expect(() => wires(['1>3', '2>3'])).to.throw(BuzzError, 'Pin 3');
  });
  it("works the socket's order out from a lead of its own", () => {
    expect(orderFromLead(wires(own), cpu4, 6)).to.deep.equal([...order, '?', '?']);
    expect(orderFromLead(wires(crossed), cpu4, 4)).to.deep.equal(['+12V', '+12V', 'COM', 'COM']);
  });
  it('leaves a pin open whose wire splits onto two signals', () => {
    expect(orderFromLead(wires(['1>1+3']), cpu4, 2)[0]).to.equal('?');
  });
});

describe('plugs/leads, a lead of another PSU', () => {
  it('is a Stop until every wire is buzzed out, with the pins still to do', () => {
    const verdict = leadVerdict(wires(['1>1', '2>2']), cpu4, order);
    expect(verdict.mark).to.equal('stop');
    expect(verdict.say).to.contain('3, 4');
  });
  it("is a Stop while the PSU's own socket is not known", () => {
    expect(leadVerdict(wires(own), cpu4, []).rest).to.equal('socket not known');
  });
  it('is a Stop that burns where its wires cross, with what meets what', () => {
    const verdict = leadVerdict(wires(crossed), cpu4, order);
    expect(verdict).to.include({ mark: 'stop', rest: 'fits and burns' });
    expect(verdict.say).to.match(/return on \+12V|\+12V on return/);
  });
  it('is clear once every wire carries what its pin wants', () => {
    expect(leadVerdict(wires(own), cpu4, order).mark).to.equal('clear');
  });
});

describe('plugs/leads, in a plan', () => {
  const lead = (more: Seats[string], supply: Seats[string] = {}) =>
    the(
      modularLeads(planWith({ supply, small1: { sort: 'modular lead', plug: 'cpu4', ...more } })),
      'lead:small1',
    );
  it('clears its own and stops a stranger', () => {
    expect(lead({ belongsTo: 'T-supply' }).mark).to.equal('clear');
    expect(lead({ belongsTo: 'another' }).mark).to.equal('stop');
  });
  it('stops a lead whose wires contradict each other', () => {
    const found = lead({ belongsTo: 'another', buzzed: ['1>3', '2>3'] });
    expect(found.mark).to.equal('stop');
    expect(found.say).to.contain('Pin 3');
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
