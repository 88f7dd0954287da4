import { expect } from 'chai';
import fc from 'fast-check';
import { mate, matings, placements, touch } from '../../../src/core/plugs/mate/index.ts';
import { plug, plugs, type Plug } from '../../../src/core/standards/plugs/index.ts';

const of = (id: string): Plug => {
  const found = plug(id);
  if (!found) throw new Error(`no plug: ${id}`);
  return found;
};
const verdict = (give: string, take: string, snapped = false) =>
  mate(of(give), of(take), { snapped }).verdict;
const whole = plugs.filter((each) => !each.pins.includes('?') && each.group !== 'slot');

describe('plugs/meet, contact by contact', () => {
  it('names what a feed does to what it meets', () => {
    expect(touch('+12V', 'COM')).to.deep.equal({
      effect: 'burns',
      say: '+12V on return: a short',
    });
    expect(touch('COM', '+5V').effect).to.equal('burns');
    expect(touch('+12V', '+5V').effect).to.equal('burns');
    expect(touch('+5V', '+12V').effect).to.equal('wrong');
    expect(touch('-12V', '+12V').effect).to.equal('burns');
    expect(touch('+12V', 'PS_ON#').effect).to.equal('burns');
    expect(touch('+5V', 'PS_ON#').effect).to.equal('wrong');
  });
  it('takes the sense contacts of a card plug for the returns they are', () => {
    expect(touch('COM', 'sense0').effect).to.equal('right');
    expect(touch('+12V', 'sense').effect).to.equal('burns');
  });
  it('never clears what nobody knows', () => {
    expect(touch('?', 'COM').effect).to.equal('unknown');
    expect(touch('+12V', '?').effect).to.equal('unknown');
  });
  it('keeps standby and main rails apart though their volts agree', () => {
    expect(touch('+5VSB', '+5V').effect).to.equal('wrong');
  });
});

describe('plugs/meet, plug on socket', () => {
  it('clears every known plug on its own socket', () => {
    for (const each of whole) expect(mate(each, each).verdict, each.id).to.equal('right');
  });
  it('stops the pairs that burn boards', () => {
    expect(verdict('card6', 'cpu8')).to.equal('burns');
    expect(verdict('card6', 'cpu4')).to.equal('burns');
    expect(verdict('card8', 'cpu8')).to.equal('burns');
    expect(verdict('cpu8', 'card8')).to.equal('burns');
  });
  it('a 5 V strip on a 12 V header dies, a 12 V strip on a 5 V one stays dark (common practice, no source)', () => {
    expect(verdict('light5', 'light12')).to.equal('burns');
    expect(verdict('light12', 'light5')).to.equal('wrong');
  });
  it('lets a drive plug in straight, and stops it without its key', () => {
    expect(verdict('drive4', 'drive4')).to.equal('right');
    expect(verdict('drive4', 'drive4', true)).to.equal('burns');
  });
  it('lets shorter plugs of one family on, as far as they go', () => {
    expect(verdict('cpu4', 'cpu8')).to.equal('partly');
    expect(verdict('main20', 'main24')).to.equal('partly');
    expect(verdict('fan3', 'fan4')).to.equal('partly');
    expect(verdict('card6', 'card8')).to.equal('partly');
  });
  it('does not push one pitch onto another', () => {
    expect(verdict('small4', 'drive4')).to.equal('does not fit');
    expect(verdict('sata', 'main24')).to.equal('does not fit');
  });
  it('stops the main plug shifted, a row off, turned or mirrored', () => {
    for (const id of ['main24', 'main20', 'main10', 'cpu8', 'card8']) {
      const others = matings(of(id), of(id)).filter((each) => each.placement?.how !== 'as it is');
      expect(others.length).to.be.greaterThan(2);
      for (const each of others) {
        /* A processor plug is its own mirror image: four returns, four feeds. */
        const same = id === 'cpu8' && /mirrored|shifted/.test(each.placement?.how ?? '');
        if (!same)
          expect(['burns', 'wrong'], `${id} ${each.placement?.how}`).to.include(each.verdict);
      }
    }
  });
  it('lets front and light plugs slide on shifted, guarded ones not', () => {
    const free = (id: string) =>
      placements(of(id), of(id))
        .filter((each) => each.free)
        .map((each) => each.how);
    expect(free('front10')).to.include('shifted by 1').and.include('turned');
    expect(free('main24')).to.deep.equal(['as it is']);
  });
});

describe('plugs/meet, whatever the plugs', () => {
  const signals = ['+12V', '+5V', '+3.3V', 'COM', 'PS_ON#', 'PWR_OK', 'open', '-12V', 'sense'];
  const made = fc
    .tuple(
      fc.integer({ min: 1, max: 6 }),
      fc.array(fc.constantFrom(...signals), { minLength: 12, maxLength: 12 }),
    )
    .map(([columns, pins]): Plug => ({
      ...of('cpu8'),
      ways: columns * 2,
      pins: pins.slice(0, columns * 2),
    }));
  it('calls right only what has no feed on another contact, against a plain reading of the pins', () => {
    fc.assert(
      fc.property(made, made, (a, b) => {
        const found = mate(a, b);
        if (found.verdict !== 'right') return;
        expect(a.ways).to.equal(b.ways);
        for (const contact of found.contacts) {
          const [from, to] = [a.pins[contact.plugPin - 1], b.pins[contact.socketPin - 1]];
          const grounded = (name: string | undefined) => name === 'COM' || name === 'sense';
          expect(from === to || (grounded(from) && grounded(to)) || to === 'open').to.equal(true);
        }
      }),
    );
  });
  it('meets every contact at most once and never one the socket has not', () => {
    fc.assert(
      fc.property(made, made, (a, b) => {
        for (const placement of placements(a, b)) {
          const sockets = placement.pairs.map(([, socket]) => socket);
          expect(new Set(sockets).size).to.equal(sockets.length);
          expect(placement.pairs.length + placement.over).to.equal(a.ways);
          for (const pin of sockets) expect(pin).to.be.within(1, b.ways);
        }
      }),
    );
  });
});
