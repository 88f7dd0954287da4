import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { takeIn } from '../../../src/core/edits/intakeEdits.ts';
import { addDiagnosis, addTried, closeDiagnosis } from '../../../src/core/edits/diagnosisEdits.ts';
import { writeShop } from '../../../src/core/export/json.ts';
import { IntakeError } from '../../../src/core/intake/inventory.ts';
import { readPriceList } from '../../../src/core/intake/priceList.ts';
import { readInventories } from '../../../src/core/intake/read.ts';
import { emptyShop } from '../../../src/core/model/types/empty.ts';
import { readShop, ShopFileError } from '../../../src/core/document/read.ts';
import { VERSION } from '../../../src/core/model/types/types.ts';
import { learnedOf } from '../../../src/core/plan/startupOf.ts';
import { useAll } from '../../fuzz/subjects.ts';

const now = '2026-11-25T09:00:00.000Z';
const demo = demoShop(now);

/** The demo with one place of its JSON changed; the path is names and numbers with dots. */
function changed(path: string, value: unknown): string {
  const shop = JSON.parse(writeShop(demo)) as Record<string, unknown>;
  const names = path.split('.');
  const last = names.pop() as string;
  const at = names.reduce((now, name) => now[name] as Record<string, unknown>, shop);
  at[last] = value;
  return JSON.stringify(shop);
}
function refusal(text: string): ShopFileError {
  try {
    readShop(text);
  } catch (error) {
    if (error instanceof ShopFileError) return error;
    throw error;
  }
  throw new Error('it was accepted');
}
const taken = (text: string) => takeIn('M1', readInventories(text)[0]!, now)(emptyShop());

describe('what broke the bench once', () => {
  for (const [what, path, value] of [
    ['a day there is not', 'jobs.0.waits', [{ why: 'paint', until: '2999-02-99' }]],
    ['a 30th of February', 'jobs.0.waits', [{ why: 'paint', until: '2026-02-30' }]],
    ['a year nobody means', 'jobs.0.waits', [{ why: 'paint', until: '9999-01-01' }]],
    [
      'a reading no meter gives',
      'jobs.0.readings',
      [{ kind: 'wallW', value: 1e308, when: 'before', at: now, load: 'idle' }],
    ],
    ['a width below zero', 'parts.0.facts', { width: { lo: -5, hi: 5, how: 'said' } }],
    ['a width beyond all', 'parts.0.facts', { width: { lo: 1, hi: 1e300, how: 'said' } }],
  ] as const) {
    it(`${what} is refused at its place`, () =>
      expect(refusal(changed(path, value)).path).to.contain(
        path.replace(/\.(\d)/, '[$1]').split('.')[0],
      ));
  }

  it('words that are also names of every object are words', () => {
    for (const word of ['constructor', '__proto__', 'toString']) {
      const board = demo.parts.findIndex((part) => part.kind === 'supply');
      const shell = demo.parts.findIndex((part) => part.kind === 'case');
      for (const [at, key] of [
        [board, 'class'],
        [shell, 'class'],
        [board, 'mainPlug'],
      ] as const)
        useAll(readShop(changed(`parts.${at}.facts.${key}`, { text: word, how: 'said' })));
    }
  });

  it('a search with the sign __proto__ changes nothing of every object', () => {
    const made = addDiagnosis('14', { symptom: '__proto__', at: now, after: [], tried: [] });
    const shop = [
      made.edit,
      (each: typeof demo) =>
        addTried('14', made.tag(), { testId: '__proto__', result: 'yes', minutes: 4, at: now })(
          each,
        ),
      (each: typeof demo) =>
        closeDiagnosis('14', made.tag(), { verdict: 'found', causeId: '__proto__' })(each),
    ].reduce((each, edit) => edit(each), demo);
    learnedOf(readShop(writeShop(shop)));
    expect(Object.keys(Object.prototype)).to.deep.equal([]);
    expect(({} as Record<string, unknown>)['__proto__x']).to.equal(undefined);
  });

  for (const version of [1, 2, 3, 4, 5, VERSION])
    it(`a document of version ${version} with no jobs in its list of jobs is refused at its place`, () => {
      for (const jobs of [[null], [1], ['a'], [[]], {}, 'jobs', null])
        expect(
          refusal(JSON.stringify({ ...JSON.parse(writeShop(emptyShop())), version, jobs })).path,
        ).to.contain('jobs');
    });

  it('lists in lists without end are refused', () => {
    const deep = `${'['.repeat(20_000)}${']'.repeat(20_000)}`;
    expect(refusal(`{"format":"nutshell-swap","version":${VERSION},"x":${deep}}`).message).to.match(
      /deep|name/,
    );
    expect(() => readInventories(`{"lshw":${deep}}`)).to.throw(IntakeError);
    expect(() =>
      readInventories(`[{"class":"system","id":"a","children":${deep}}]`),
    ).to.not.throw();
  });

  it('numbers, lists and nothing where a tool prints text are passed over', () => {
    for (const odd of [5, null, [], {}, true]) {
      readInventories(JSON.stringify({ lscpu: [odd, { field: odd, data: odd, children: odd }] }));
      readInventories(
        JSON.stringify({
          blockdevices: [odd, { name: odd, size: '500G', type: 'disk', model: odd }],
        }),
      );
      readInventories(
        JSON.stringify({
          class: 'system',
          id: 'a',
          children: [odd, { id: odd, class: odd, product: odd, children: odd }],
        }),
      );
    }
  });

  it('what is taken in can be written and opened again: too long is cut, too much left out, each with a word', () => {
    const name = 'N'.repeat(301);
    const text = JSON.stringify({
      class: 'system',
      id: 'a',
      vendor: 'V'.repeat(300),
      product: 'P',
      children: [
        { id: 'core', class: 'bus', vendor: name, product: 'board' },
        {
          id: 'bank:0',
          class: 'memory',
          size: 2 ** 60,
          units: 'bytes',
          description: 'DIMM DDR4 65535 MHz',
        },
      ],
    });
    const [inventory] = readInventories(text);
    expect(inventory?.ignored.some((note) => note.includes('cut after'))).to.equal(true);
    expect(inventory?.ignored.some((note) => note.includes('cannot be meant'))).to.equal(true);
    useAll(readShop(writeShop(taken(text))));
  });

  it('a price list may call a kind what it likes', () => {
    const { parts, faults } = readPriceList(
      [
        ['kind', 'name', 'price'],
        ['constructor', 'a thing', '5'],
        ['__proto__', 'a thing', '5'],
        ['fan', 'a fan', '5'],
      ],
      { source: 'list', currency: 'EUR', at: now },
    );
    expect(parts.map((part) => part.name)).to.deep.equal(['a fan']);
    expect(faults.map((fault) => fault.line)).to.deep.equal([2, 3]);
  });
});
