import { expect } from 'chai';
import fc from 'fast-check';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { writeShop } from '../../../src/core/export/json.ts';
import { emptyShop } from '../../../src/core/model/types/empty.ts';
import { checkShop, readShop, ShopFileError } from '../../../src/core/document/read.ts';
import { factFault } from '../../../src/core/document/factFields.ts';
import { VERSION } from '../../../src/core/model/types/types.ts';

const now = '2026-11-25T09:00:00.000Z';
const demoText = writeShop(demoShop(now));
const demo = () => JSON.parse(demoText) as Record<string, unknown>;

function refusal(value: unknown): ShopFileError {
  try {
    checkShop(value);
  } catch (error) {
    if (error instanceof ShopFileError) return error;
    throw error;
  }
  throw new Error('it was not refused');
}

/** The demo with one value set deep inside. */
function broken(path: string, value: unknown): Record<string, unknown> {
  const shop = demo();
  const keys = path.split('.');
  const last = keys.pop() as string;
  let at = shop as Record<string, unknown>;
  for (const key of keys) at = at[key] as Record<string, unknown>;
  at[last] = value;
  return shop;
}

describe('model/read', () => {
  it('export, import, export gives the same bytes', () => {
    expect(writeShop(readShop(demoText))).to.equal(demoText);
    expect(writeShop(readShop(writeShop(emptyShop())))).to.equal(writeShop(emptyShop()));
  });

  it('writes the same bytes whatever the order of the lists', () => {
    const shop = readShop(demoText);
    fc.assert(
      fc.property(
        fc.shuffledSubarray([...shop.parts], { minLength: shop.parts.length }),
        (parts) => {
          expect(writeShop({ ...shop, parts })).to.equal(demoText);
        },
      ),
      { numRuns: 20 },
    );
  });

  it('reads a file with a byte order mark', () => {
    expect(readShop(`\uFEFF${demoText}`).name).to.equal('Skarnhol post workshop');
  });

  describe('refuses, with the place', () => {
    it('a file of another kind', () => {
      expect(refusal({ hello: 1 }).path).to.equal('format');
      expect(refusal(null).message).to.contain('no Nutshell Swap file');
      expect(() => readShop('PK\u0003\u0004')).to.throw(ShopFileError, /This file is no JSON/);
    });
    it('half a file', () => {
      expect(() => readShop(demoText.slice(0, demoText.length / 2))).to.throw(
        ShopFileError,
        /cut off/,
      );
    });
    it('a newer version', () => {
      const error = refusal(broken('version', VERSION + 1));
      expect(error.path).to.equal('version');
      expect(error.message).to.contain('Update');
    });
    it('no version at all', () =>
      expect(refusal(broken('version', 'two')).path).to.equal('version'));
    it('poisoned names, wherever they stand', () => {
      const text = demoText.replace('"settings": {', '"settings": {"__proto__": {"x": 1},');
      expect(() => readShop(text)).to.throw(ShopFileError, /settings\.__proto__/);
      expect(refusal(broken('parts.0.facts.constructor', {})).path).to.equal(
        'parts[0].facts.constructor',
      );
      expect(({} as { x?: number }).x).to.equal(undefined);
    });
    it('a tag that stands twice', () => {
      const shop = demo();
      const parts = shop['parts'] as { id: string }[];
      (parts[1] as { id: string }).id = (parts[0] as { id: string }).id;
      expect(refusal(shop).path).to.equal('parts[1].id');
    });
    const cases: [string, unknown, string][] = [
      ['parts.3.kind', 'engine', 'parts[3].kind'],
      ['parts.3.name', '', 'parts[3].name'],
      ['parts.3.name', 7, 'parts[3].name'],
      ['parts.3.extra', true, 'parts[3]'],
      ['parts.3.id', '../etc', 'parts[3].id'],
      ['parts.3.price', { minor: 1.5, currency: 'EUR' }, 'parts[3].price.minor'],
      ['parts.3.facts.height', { lo: 5, hi: 2, how: 'said' }, 'parts[3].facts.height'],
      ['parts.3.facts.nonsense', { lo: 1, hi: 2, how: 'said' }, 'parts[3].facts.nonsense'],
      ['jobs.0.changes', [{ seat: 'boiler', partId: null }], 'jobs[0].changes[0].seat'],
      ['jobs.0.ticks', [{ stepId: 'open', at: 'yesterday' }], 'jobs[0].ticks[0].at'],
      ['machines.0.seats', 'none', 'machines[0].seats'],
      ['settings.headroom', -1, 'settings.headroom'],
      ['settings.currency', 'euros', 'settings.currency'],
      ['jobs', undefined, 'jobs'],
    ];
    for (const [path, value, place] of cases) {
      it(`${path} = ${JSON.stringify(value)}`, () => {
        expect(refusal(broken(path, value)).path).to.equal(place);
      });
    }
    it('something nested without end', () => {
      let deep: unknown = 1;
      for (let i = 0; i < 40; i += 1) deep = { deep };
      expect(refusal(broken('parts.0.facts', deep)).message).to.contain('too deep');
    });
  });

  it('lifts version 1: steps that were done become ticks, the theme is set', () => {
    const old = demo();
    old['version'] = 1;
    const settings = { ...(old['settings'] as object) } as Record<string, unknown>;
    delete settings['theme'];
    old['settings'] = settings;
    old['jobs'] = (old['jobs'] as Record<string, unknown>[]).map(({ ticks, applied, ...job }) => ({
      ...job,
      taken: applied,
      done: (ticks as { stepId: string }[]).map((tick) => tick.stepId),
    }));
    const shop = checkShop(old);
    expect(shop.version).to.equal(VERSION);
    expect(shop.settings.theme).to.equal('auto');
    const fourteen = shop.jobs.find((job) => job.id === '14');
    expect(fourteen?.ticks.map((tick) => tick.stepId)).to.deep.equal(['before-reading']);
    expect(fourteen).to.not.have.property('done');
  });

  it('lifts version 10: what another shop said of a model is told by data, no longer by its words', () => {
    const old = demo();
    old['version'] = 10;
    const said = (source: string, how = 'said') => ({ lo: 1, hi: 1, how, source });
    const facts = {
      cardRoom: said('shop Dockside'),
      boardDepth: said('shop window', 'measured'),
      coolerRoom: said('shops of two towns'),
    };
    old['models'] = [{ id: 'm', kind: 'case', name: 'm', facts }];
    expect(checkShop(old).models[0]?.facts).to.deep.equal({
      ...facts,
      cardRoom: { ...facts.cardRoom, heard: true },
    });
    const measured = { ...facts.boardDepth, heard: true };
    const models = [{ id: 'm', kind: 'case', name: 'm', facts: { boardDepth: measured } }];
    expect(refusal({ ...demo(), models }).message).to.contain('is not said');
  });

  it('never throws anything but its own error, whatever it is fed', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        try {
          checkShop({ format: 'nutshell-swap', version: VERSION, ...(value as object) });
        } catch (error) {
          expect(error).to.be.instanceOf(ShopFileError);
        }
      }),
    );
  });
});

describe('model/schema, facts', () => {
  it('takes a range, a text or a list', () => {
    expect(factFault({ lo: 1, hi: 2, how: 'measured', at: now }, 'length')).to.equal(undefined);
    expect(factFault({ text: 'DDR4', how: 'read', source: 'dmidecode' }, 'kind')).to.equal(
      undefined,
    );
    expect(factFault({ items: ['sata'], how: 'said' }, 'plugs')).to.equal(undefined);
  });
  for (const [what, value] of [
    ['nothing', null],
    ['two shapes at once', { lo: 1, hi: 1, text: 'x', how: 'said' }],
    ['no shape', { how: 'said' }],
    ['half a range', { lo: 1, how: 'said' }],
    ['no number', { lo: 'a', hi: 2, how: 'said' }],
    ['no provenance', { text: 'x' }],
    ['an unknown one', { text: 'x', how: 'dreamt' }],
    ['a name it does not know', { text: 'x', how: 'said', why: 'so' }],
    ['items that are no texts', { items: [1], how: 'said' }],
    ['a source that is no text', { text: 'x', how: 'said', source: 5 }],
  ] as const) {
    it(`refuses ${what}`, () => expect(factFault(value, 'plugs')).to.be.a('string'));
  }
});

describe('model/read, runs of a job', () => {
  const withRun = (course: unknown) => {
    const shop = demo();
    const job = (shop['jobs'] as { id: string; runs: unknown[] }[]).find(
      (each) => each.id === '12',
    )!;
    job.runs = [
      {
        id: 'r1',
        name: 'run',
        at: '2026-11-25',
        load: 'idle',
        panel: 'on',
        changed: [],
        courses: [course],
      },
    ];
    return shop;
  };
  const course = { what: 'temperature', name: 'cpu', s: [0, 1], v: [40, 41] };
  it('takes one, refuses figures that are none, too many, and unlike numbers of times, with the place', () => {
    expect(checkShop(withRun(course)).jobs.find((each) => each.id === '12')!.runs).to.have.length(
      1,
    );
    expect(refusal(withRun({ ...course, v: [40, '41'] })).path).to.match(/courses\[0\]\.v$/);
    expect(
      refusal(withRun({ ...course, s: Array(1001).fill(0), v: Array(1001).fill(0) })).path,
    ).to.match(/courses\[0\]\.[sv]$/);
    expect(refusal(withRun({ ...course, v: [40] })).message).to.contain('as many figures as times');
    expect(refusal(withRun({ ...course, what: 'smell' })).path).to.match(/what$/);
  });
});
