import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { isList } from '../../../src/core/model/types/fact.ts';
import { readList, writeList } from '../../../src/core/model/properties/listText.ts';
import { knownPlugIds, property } from '../../../src/core/model/properties/index.ts';
import type { Kind } from '../../../src/core/model/types/types.ts';

const of = (kind: Kind, key: string) => {
  const found = property(kind, key);
  if (!found) throw new Error(`${kind} has no ${key}`);
  return found;
};
const read = (kind: Kind, key: string, text: string) => readList(text, of(kind, key), knownPlugIds);

describe('model/listText', () => {
  it('keeps pairs as pairs', () => {
    expect(read('supply', 'curve', '50 88, 100 84.5')).to.deep.equal({
      items: [
        { load: 50, percent: 88 },
        { load: 100, percent: 84.5 },
      ],
    });
    expect(read('board', 'holePlaces', '6.35 33.02, 163.83 10.16, ? 12')).to.deep.equal({
      items: [{ x: 6.35, y: 33.02 }, { x: 163.83, y: 10.16 }, { y: 12 }],
    });
  });
  it('names the first item that is none', () => {
    expect(read('supply', 'curve', '50 88, much')).to.deep.equal({
      fault: '“much”: write it like 50 88.',
    });
    expect(read('board', 'startsFrom', 'SATA floppy')).to.deep.equal({
      fault: '“floppy” is none of SATA, NVMe, USB.',
    });
    expect(read('supply', 'plugs', 'sata, 8 pin')).to.have.property('fault');
  });
  it('takes options in any spelling of letters', () =>
    expect(read('board', 'startsFrom', 'sata nvme')).to.deep.equal({ items: ['SATA', 'NVMe'] }));
  it('reads back every list of the demo as it prints it', () => {
    const shop = demoShop('2026-11-25T09:00:00.000Z');
    const own = [...knownPlugIds, ...shop.plugs.map((plug) => plug.id)];
    let lists = 0;
    for (const { kind, facts } of [...shop.parts, ...shop.models])
      for (const [key, fact] of Object.entries(facts)) {
        const listed = kind === 'machine' ? undefined : property(kind, key);
        if (!listed || !isList(fact)) continue;
        lists += 1;
        expect(readList(writeList(listed, fact.items), listed, own), key).to.deep.equal({
          items: fact.items,
        });
      }
    expect(lists).to.be.above(20);
  });
  it('takes the word none for a list somebody looked at and found nothing for', () => {
    expect(read('case', 'fanMounts', 'none')).to.deep.equal({ items: [] });
    expect(read('board', 'fanHeaders', ' None ')).to.deep.equal({ items: [] });
    expect(read('case', 'vents', 'none')).to.deep.equal({ items: [] });
  });
});
