import { expect } from 'chai';
import fc from 'fast-check';
import { property } from '../../../src/core/model/properties/index.ts';
import { plugName, plugs } from '../../../src/core/standards/plugs/index.ts';
import { plugSaid, plugsSaid } from '../../../src/core/standards/plugs/spoken.ts';

const allowed = property('supply', 'plugs')?.options ?? [];

describe('standards/plugs/spoken', () => {
  for (const [text, ids] of [
    [
      '2x PCIe 6+2, EPS 8 pin, 4 sata',
      ['card62', 'card62', 'cpu8', 'sata', 'sata', 'sata', 'sata'],
    ],
    ['6 pin', ['card6']],
    ['8-pin EPS and 2 × molex', ['cpu8', 'drive4', 'drive4']],
    ['PCI-Express 8pin; SATA power', ['card8', 'sata']],
    ['4+4', ['cpu44']],
    ['4 sata power', ['sata', 'sata', 'sata', 'sata']],
    ['cpu8 sata sata', ['cpu8', 'sata', 'sata']],
    ['', []],
  ] as const) {
    it(`reads “${text}”`, () => expect(plugsSaid(text, allowed)).to.deep.equal({ ids: [...ids] }));
  }
  for (const [text, why] of [
    ['8-pin', 'PCIe 8-pin or EPS 8-pin?'],
    ['sata, banana', '“banana” is no plug known here.'],
    ['24 pin', 'is not one of the plugs asked for here'],
    ['99 sata', 'cannot be meant'],
    ['constructor', 'no plug known'],
  ] as const) {
    it(`refuses “${text}” and says why`, () => {
      const read = plugsSaid(text, allowed);
      expect('fault' in read && read.fault).to.contain(why);
    });
  }
  it('knows every plug by its own name and by its id', () => {
    const ids = plugs.map((each) => each.id);
    for (const id of ids) {
      expect(plugSaid(id, ids), id).to.deep.equal({ id });
      const named = plugSaid(plugName(id), ids);
      expect('id' in named && plugName(named.id), id).to.equal(plugName(id));
    }
  });
  it('reads back what it printed, whatever was read', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...allowed), { maxLength: 8 }), (list) => {
        expect(plugsSaid(list.join(', '), allowed)).to.deep.equal({ ids: list });
        expect(plugsSaid(list.join(' '), allowed)).to.deep.equal({ ids: list });
      }),
    );
  });
});
