import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { editPart, putPart } from '../../../src/core/edits/edits.ts';
import { deleteParts } from '../../../src/core/edits/shelfEdits.ts';
import { readShop } from '../../../src/core/document/read.ts';
import { writeShop } from '../../../src/core/export/json.ts';
import type { Shop } from '../../../src/core/model/types/types.ts';
import type { Copy } from '../../../src/core/merge/merge.ts';
import type { ShopStore } from '../../../src/lib/shop/store.ts';
import { Profile } from '../../helpers/store.ts';

const NOW = '2026-01-01T12:00:00.000Z';
const demo = demoShop(NOW);
/** The file a bench hands on, as text, and what another reads of it. */
const fileOf = async (store: ShopStore): Promise<string> => {
  const { shop, versions } = await store.copy();
  return writeShop({ ...shop, versions });
};
const copyIn = (text: string): Copy => {
  const { versions, ...shop } = readShop(text);
  if (!versions) throw new Error('no versions');
  return { shop: shop as Shop, versions };
};
const note = (id: string, words: string) => editPart(id, { note: words });
const noteOf = (store: ShopStore, id: string) =>
  store.shop.parts.find((each) => each.id === id)?.note;

describe('two benches with stores of their own', () => {
  const profiles: Profile[] = [];
  const bench = async (): Promise<ShopStore> => {
    const profile = new Profile();
    profiles.push(profile);
    return profile.tab();
  };
  /** Two benches: the second opened the first one's file. */
  async function two(): Promise<[ShopStore, ShopStore]> {
    const kato = await bench();
    await kato.edit('demo', () => demo);
    await kato.edit('note', note('A01', 'before'));
    const text = await fileOf(kato);
    const mira = await bench();
    const copy = copyIn(text);
    await mira.lay('opened', () => copy);
    return [kato, mira];
  }
  afterEach(() => profiles.splice(0).forEach((profile) => profile.close()));

  it('hand files to and fro until both hold the same bytes', async () => {
    const [kato, mira] = await two();
    await kato.edit('note', note('A01', 'dent'));
    await kato.edit('deleted', deleteParts(['H02']));
    await mira.edit('note', note('A02', 'scratch'));
    await mira.edit('plan', putPart('14', 'fan2', 'H01'));
    await mira.edit('note', note('A02', 'scratch, deep'));
    await kato.merge('merged', copyIn(await fileOf(mira)));
    await mira.merge('merged', copyIn(await fileOf(kato)));
    expect(await fileOf(mira)).to.equal(await fileOf(kato));
    expect([noteOf(mira, 'A01'), noteOf(kato, 'A02')]).to.deep.equal(['dent', 'scratch, deep']);
    expect(mira.shop.parts.some(({ id }) => id === 'H02')).to.equal(false);
    expect(await kato.questions()).to.deep.equal([]);
  });

  it('say of themselves nothing twice: a bench that opened a copy writes under a name of its own', async () => {
    const [kato, mira] = await two();
    await kato.edit('note', note('A01', 'kato'));
    await mira.edit('note', note('A02', 'mira'));
    /* The first bench goes back to its old file and works on from there. */
    const newer = await fileOf(kato);
    await kato.undo();
    const old = copyIn(await fileOf(mira));
    await kato.lay('restored', () => old);
    await kato.edit('note', note('A03', 'after the restore'));
    const { seen } = (await kato.copy()).versions!;
    expect(Object.keys(seen).length).to.be.at.least(3);
    await kato.merge('merged', copyIn(newer));
    expect([noteOf(kato, 'A01'), noteOf(kato, 'A02'), noteOf(kato, 'A03')]).to.deep.equal([
      'kato',
      'mira',
      'after the restore',
    ]);
  });

  it('take a merge back in one step, and merge again to the same', async () => {
    const [kato, mira] = await two();
    await kato.edit('note', note('A01', 'dent'));
    await mira.edit('note', note('A01', 'scratch'));
    const theirs = copyIn(await fileOf(mira));
    const before = await fileOf(kato);
    await kato.merge('merged', theirs);
    const merged = await fileOf(kato);
    expect(merged).not.to.equal(before);
    await kato.undo();
    expect(await fileOf(kato)).to.equal(before);
    await kato.redo();
    expect(await fileOf(kato)).to.equal(merged);
    await kato.undo();
    await kato.merge('merged', theirs);
    expect(await fileOf(kato)).to.equal(merged);
  });

  it('answer once: the answer travels; undone, it is asked again', async () => {
    const [kato, mira] = await two();
    await kato.edit('note', note('A01', 'dent'));
    await mira.edit('note', note('A01', 'scratch'));
    await kato.merge('merged', copyIn(await fileOf(mira)));
    expect(kato.asks).to.equal(true);
    const [question] = await kato.questions();
    for (const shown of [true, false]) {
      const choice = question!.choices.find((each) => each.shown === shown)!;
      await kato.answer('answered', choice.answer);
      expect(noteOf(kato, 'A01')).to.equal(choice.value);
      expect(await kato.questions()).to.deep.equal([]);
      expect(kato.asks).to.equal(false);
      if (!shown) break;
      await kato.undo();
      expect(await kato.questions()).to.have.length(1);
    }
    await mira.merge('merged', copyIn(await fileOf(kato)));
    expect(await mira.questions()).to.deep.equal([]);
    expect(noteOf(mira, 'A01')).to.equal(noteOf(kato, 'A01'));
  });

  it('keep an undone edit undone for the others too', async () => {
    const [kato, mira] = await two();
    await kato.edit('note', note('A01', 'wrong'));
    await mira.merge('merged', copyIn(await fileOf(kato)));
    expect(noteOf(mira, 'A01')).to.equal('wrong');
    await kato.undo();
    await mira.merge('merged', copyIn(await fileOf(kato)));
    expect(noteOf(mira, 'A01')).to.equal('before');
    expect(await mira.questions()).to.deep.equal([]);
  });

  it('refuse a file whose versions were tampered with, and one of another shop', async () => {
    const [kato] = await two();
    const text = await fileOf(kato);
    for (const [from, to] of [
      [/"made": "[a-z]+\.\d+"/, '"made": "x"'],
      [/"wrote": \{/, '"wrote": 3, "_": {'],
      [/"line": "[a-z]+"/, '"line": ""'],
    ] as const) {
      if (!from.test(text)) continue;
      expect(() => readShop(text.replace(from, to))).to.throw(/versions/);
    }
    expect(text).to.match(/"wrote": \{/);
    /* A record that cannot be, among the deleted ones of the file: it would come back by an edit here. */
    const [, mira] = await two();
    const gone = await bench();
    const base = copyIn(await fileOf(mira));
    await gone.lay('opened', () => base);
    await mira.edit('deleted', deleteParts(['H02']));
    await gone.edit('note', note('H02', 'hums'));
    const theirs = copyIn(await fileOf(mira));
    const bent = {
      ...theirs,
      versions: {
        ...theirs.versions,
        gone: theirs.versions.gone.map((each) => ({
          ...each,
          record: { ...each.record, kind: 'engine' },
          version: { ...each.version, wrote: { kind: 'zz.99999' } },
        })),
      },
    };
    const before = await fileOf(gone);
    let why: unknown;
    await gone.merge('merged', bent as never).catch((error: unknown) => (why = error));
    expect(String(why)).to.contain('kind');
    expect(await fileOf(gone)).to.equal(before);
    const other = await bench();
    await other.edit('demo', () => demo);
    await other.edit('note', note('A01', 'x'));
    let said: unknown;
    await kato
      .merge('merged', copyIn(await fileOf(other)))
      .catch((error: unknown) => (said = error));
    expect(said).to.be.instanceOf(RangeError);
    expect(await fileOf(kato)).to.equal(text);
  });
});
