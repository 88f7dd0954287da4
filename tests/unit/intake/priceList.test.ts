import { expect } from 'chai';
import { addList, dropList } from '../../../src/core/edits/listEdits.ts';
import { putPart } from '../../../src/core/edits/edits.ts';
import { readPriceList } from '../../../src/core/intake/priceList.ts';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { partsTable } from '../../../src/core/export/partsTable.ts';
import { emptyJob, emptyShop } from '../../../src/core/model/types/empty.ts';
import { checkShop } from '../../../src/core/document/read.ts';

const about = { source: 'depot', currency: 'EUR', at: '2026-11-25T10:00:00.000Z' };
const read = (...rows: string[][]) => readPriceList(rows, about);
const header = ['Kind', 'Name', 'Price', 'Currency', 'format', 'depth without plugs', 'facts'];

describe('intake/priceList', () => {
  it('reads kind, name, price and facts by key, label or in one cell', () => {
    const { parts, faults } = read(header, [
      'PSU',
      'Tavelin 450',
      '32,50 €',
      '',
      'sfx',
      '100 mm',
      'watts=450; amps12 = 36',
    ]);
    expect(faults).to.deep.equal([]);
    expect(parts).to.deep.equal([
      {
        kind: 'supply',
        name: 'Tavelin 450',
        place: 'buy',
        where: 'depot',
        origin: 'depot, 2026-11-25',
        price: { minor: 3250, currency: 'EUR' },
        facts: {
          format: { text: 'SFX', how: 'said', source: 'depot' },
          depth: { lo: 100, hi: 100, how: 'said', source: 'depot' },
          watts: { lo: 450, hi: 450, how: 'said', source: 'depot' },
          amps12: { lo: 36, hi: 36, how: 'said', source: 'depot' },
        },
      },
    ]);
  });
  it('keeps a line without a price: unpriced is not free', () => {
    expect(read(['kind', 'name', 'price'], ['fan', 'fan 92', '']).parts[0]).to.not.have.property(
      'price',
    );
  });
  it('names each fault by its line and loses no other line', () => {
    const { parts, faults } = read(
      header,
      ['wheel', 'a wheel', '1'],
      ['fan', '', '1'],
      ['fan', 'cheap fan', '-3'],
      ['fan', 'dear fan', 'much'],
      ['fan', 'odd money', '3', 'euros'],
      ['', '', ''],
      ['supply', 'odd facts', '3', '', 'round', '99999', 'watts=none'],
      ['fan', 'good fan', '3.5'],
    );
    expect(faults.map(({ line }) => line)).to.deep.equal([2, 3, 4, 5, 6, 8, 8, 8]);
    expect(faults[2]?.say).to.contain('below zero');
    expect(parts.map(({ name }) => name)).to.deep.equal(['odd facts', 'good fan']);
    expect(parts[0]?.facts).to.deep.equal({});
  });
  for (const [text, lo, hi] of [
    ['92', 92, 92],
    ['92,5 mm', 92.5, 92.5],
    ['90..93', 90, 93],
    ['90..93 (measured)', 90, 93],
  ] as const)
    it(`reads a figure written ${text}`, () => {
      const { parts } = read(['kind', 'name', 'facts'], ['supply', 'x', `depth=${text}`]);
      expect(parts[0]?.facts['depth']).to.include({ lo, hi });
    });
  for (const text of ['93..90', '-3', 'wide', '99999'])
    it(`refuses ${text} as a depth, and keeps the part`, () => {
      const { parts, faults } = read(['kind', 'name', 'facts'], ['supply', 'x', `depth=${text}`]);
      expect(parts[0]?.facts).to.deep.equal({});
      expect(faults[0]?.say).to.contain('cannot be meant');
    });
  it('reads the parts another shop writes out: kinds, names, prices and every figure', () => {
    const shop = demoShop('2026-11-25T09:00:00.000Z');
    const { parts, faults } = readPriceList(partsTable(shop, shop.parts), about);
    expect(parts).to.have.length(shop.parts.length);
    /* Plugs the other shop measured itself are not known here, and named. */
    const strange = faults.filter(({ say }) => !/“desk40-main” is none we know/.test(say));
    expect(strange).to.deep.equal([]);
    parts.forEach((part, i) => {
      const own = shop.parts[i];
      expect(part).to.include({ kind: own?.kind, name: own?.name });
      expect(part.price).to.deep.equal(own?.price);
      for (const [key, fact] of Object.entries(own?.facts ?? {})) {
        if (!('lo' in fact)) continue;
        expect(part.facts[key], `${own?.id} ${key}`).to.include({ lo: fact.lo, hi: fact.hi });
      }
    });
  });
  it('wants a first line that names the columns', () => {
    for (const rows of [[], [['a', 'b']]])
      expect(readPriceList(rows, about).faults[0]?.line).to.equal(1);
  });
});

describe('edits/listEdits', () => {
  const list = read(
    ['kind', 'name', 'price'],
    ['fan', 'fan 92', '4'],
    ['fan', 'fan 120', '5'],
  ).parts;
  it('lays a list in, and a newer one in its place, but for what a plan holds', () => {
    const shop = { ...emptyShop(), jobs: [emptyJob('1', 'test', '')] };
    const first = addList('depot', list)(shop);
    expect(first.parts.map(({ id }) => id)).to.deep.equal(['P01', 'P02']);
    const planned = putPart('1', 'fan1', 'P02')(first);
    const dearer = list.map((part) => ({ ...part, price: { minor: 900, currency: 'EUR' } }));
    const second = addList('depot', dearer)(planned);
    expect(second.parts.map(({ id, name, price }) => [id, name, price?.minor])).to.deep.equal([
      ['P02', 'fan 120', 900],
      ['P03', 'fan 92', 900],
    ]);
    expect(dropList('depot')(second).parts.map(({ id }) => id)).to.deep.equal(['P02']);
    expect(checkShop(JSON.parse(JSON.stringify(second))).parts).to.have.length(2);
  });
  it('leaves other lists alone', () => {
    const two = addList(
      'other',
      list.map((part) => ({ ...part, where: 'other' })),
    )(addList('depot', list)(emptyShop()));
    expect(dropList('depot')(two).parts.every(({ where }) => where === 'other')).to.equal(true);
  });
});
