import { expect } from 'chai';
import { classValue } from '../../../src/core/model/classes/classes.ts';
import {
  isList,
  isNumber,
  isText,
  outranks,
  type Fact,
} from '../../../src/core/model/types/fact.ts';
import {
  factOf,
  indexOf,
  listOf,
  numberOf,
  textOf,
} from '../../../src/core/model/lookup/lookup.ts';
import { allKeys, properties, property } from '../../../src/core/model/properties/index.ts';
import { kinds, type Part, type Shop } from '../../../src/core/model/types/types.ts';
import { boardFormats } from '../../../src/core/standards/boards.ts';
import { sourceText } from '../../../src/core/standards/source.ts';
import { emptyShop } from '../../../src/core/model/types/empty.ts';
import { facts } from '../../helpers/build.ts';

const saying = (words: Record<string, string>) => (key: string) => words[key];
const bounds = (
  kind: Parameters<typeof classValue>[0],
  key: string,
  words: Record<string, string> = {},
) => {
  const value = classValue(kind, key, saying(words))?.value;
  return typeof value === 'object' && 'lo' in value ? [value.lo, value.hi] : value;
};

describe('model/classes', () => {
  /* Common practice, no source: a tower cooler is 118 (92 mm fans) to 170 high, a low one 25 to 95. */
  it('knows how high coolers of a class are', () => {
    expect(bounds('cooler', 'height', { class: 'tower' })).to.deep.equal([118, 170]);
    expect(bounds('cooler', 'height', { class: 'low' })).to.deep.equal([25, 95]);
    expect(bounds('cooler', 'height')).to.deep.equal([25, 170]);
  });
  for (const format of boardFormats) {
    it(`takes outline and holes of ${format.name} from its format`, () => {
      expect(bounds('board', 'width', { format: format.name })).to.deep.equal([
        format.widthMm,
        format.widthMm,
      ]);
      expect(bounds('board', 'depth', { format: format.name })).to.deep.equal([
        format.depthMm,
        format.depthMm,
      ]);
      expect(classValue('board', 'holes', saying({ format: format.name }))?.value).to.deep.equal([
        ...format.holes,
      ]);
    });
  }
  it("guesses no hole of a board of its maker's own", () => {
    expect(classValue('board', 'holes', saying({ format: "maker's own" }))).to.equal(undefined);
    expect(bounds('board', 'width', { format: "maker's own" })).to.deep.equal([170, 305]);
  });
  it('gives any case more room than each class, never less', () => {
    for (const key of ['coolerRoom', 'cardRoom', 'supplyRoom', 'cardHeightRoom']) {
      const [lo = 0, hi = 0] = bounds('case', key) as number[];
      for (const name of ['tower', 'mini tower', 'slim', 'micro', 'custom case']) {
        const [classLo = 0, classHi = 0] = bounds('case', key, { class: name }) as number[];
        expect(classLo, `${name} ${key}`).to.be.at.least(lo);
        expect(classHi, `${name} ${key}`).to.be.at.most(hi);
      }
    }
  });
  it('gives a format its depth, and a custom one a range', () => {
    expect(bounds('supply', 'depth', { format: 'SFX' })).to.deep.equal([100, 105]);
    expect(bounds('supply', 'depth', { format: 'ATX' })).to.deep.equal([125, 230]);
    expect(bounds('supply', 'depth')).to.deep.equal([80, 230]);
  });
  it('says low brackets of slim cases only', () => {
    expect(classValue('case', 'bracket', saying({ class: 'slim' }))?.value).to.equal('low');
    expect(classValue('case', 'bracket', saying({ class: 'tower' }))?.value).to.equal('full');
    expect(classValue('case', 'bracket', saying({}))).to.equal(undefined);
  });
  it('never gives a range the wrong way round, and names its class', () => {
    for (const kind of kinds) {
      for (const { key } of properties[kind]) {
        const value = classValue(kind, key, saying({}));
        if (!value) continue;
        expect(value.source).to.not.equal('');
        if (typeof value.value === 'object' && 'lo' in value.value)
          expect(value.value.lo).to.be.at.most(value.value.hi);
      }
    }
  });
});

describe('model/properties', () => {
  it('asks a whole question for each, and takes seconds to answer', () => {
    for (const kind of kinds) {
      const keys = properties[kind].map((each) => each.key);
      expect(new Set(keys).size, kind).to.equal(keys.length);
      for (const each of properties[kind]) {
        expect(each.ask, `${kind} ${each.key}`).to.match(/\?$/);
        expect(each.seconds).to.be.within(5, 120);
        expect(allKeys).to.include(each.key);
      }
    }
  });
  it('names the datum where a length could be taken from two places', () => {
    expect(property('card', 'length')?.ask).to.contain('inside of its bracket');
    expect(property('cooler', 'height')?.ask).to.contain("CPU's top");
    expect(property('case', 'cardRoom')?.ask).to.contain('upper slot');
    expect(property('case', 'nonsense')).to.equal(undefined);
  });
});

describe('model/fact', () => {
  const fact = (how: Fact['how'], at?: string): Fact => ({ text: 'x', how, ...(at ? { at } : {}) });
  it('measured over read over said over class', () => {
    const order = ['class', 'said', 'read', 'measured'] as const;
    order.forEach((low, i) => {
      for (const high of order.slice(i + 1)) {
        expect(outranks(fact(high), fact(low))).to.equal(true);
        expect(outranks(fact(low), fact(high))).to.equal(false);
      }
    });
  });
  it('the later of the same kind', () => {
    expect(outranks(fact('measured', '2026-02-01'), fact('measured', '2026-01-01'))).to.equal(true);
    expect(outranks(fact('measured', '2026-01-01'), fact('measured', '2026-02-01'))).to.equal(
      false,
    );
  });
  it('tells its three shapes apart', () => {
    const [number, text, list] = [
      facts({ a: 1 })['a'],
      facts({ a: 'x' })['a'],
      facts({ a: ['x'] })['a'],
    ];
    expect([isNumber(number), isNumber(text), isNumber(undefined)]).to.deep.equal([
      true,
      false,
      false,
    ]);
    expect([isText(text), isText(list)]).to.deep.equal([true, false]);
    expect([isList(list), isList(number)]).to.deep.equal([true, false]);
  });
});

describe('model/lookup', () => {
  const part: Part = {
    id: 'P1',
    kind: 'board',
    name: 'board',
    modelId: 'm',
    facts: facts({ width: 198 }),
    place: 'shelf',
  };
  const shop: Shop = {
    ...emptyShop(),
    models: [
      {
        id: 'm',
        kind: 'board',
        name: 'model',
        facts: facts({ format: 'microATX', width: 200 }, 'said'),
      },
    ],
    parts: [part],
  };
  it('says on which level a value stands', () => {
    expect(numberOf(shop, part, 'width')).to.deep.include({
      lo: 198,
      how: 'measured',
      level: 'own',
    });
    expect(numberOf(shop, part, 'depth')).to.deep.include({
      lo: 243.84,
      how: 'class',
      level: 'class',
      source: 'microATX',
    });
    expect(textOf(shop, part, 'format')).to.deep.include({ text: 'microATX', level: 'model' });
    expect(listOf(shop, part, 'holes')?.items).to.have.length(9);
  });
  it('knows nothing of what no class tells', () => {
    expect(numberOf(shop, part, 'sata')).to.equal(undefined);
    expect(textOf(shop, part, 'socket')).to.equal(undefined);
    expect(listOf(shop, part, 'startsFrom')).to.equal(undefined);
    expect(factOf(shop, part, 'toString')).to.equal(undefined);
  });
  it('survives a model that is gone and a fact of another shape', () => {
    const orphan: Part = { ...part, modelId: 'nobody', facts: facts({ width: 'wide' }) };
    expect(numberOf({ ...shop, parts: [orphan] }, orphan, 'width')?.how).to.equal('class');
  });
  it('keeps its index as long as the shop is the same value', () => {
    expect(indexOf(shop)).to.equal(indexOf(shop));
    expect(indexOf({ ...shop })).to.not.equal(indexOf(shop));
  });
});

describe('standards/source', () => {
  it('says where a figure comes from, and that it is unverified figure', () => {
    expect(sourceText({ title: 'A', clause: 'b', memory: true })).to.equal(
      'A, b (unverified figure)',
    );
    expect(sourceText({ title: 'A' })).to.equal('A');
  });
});
