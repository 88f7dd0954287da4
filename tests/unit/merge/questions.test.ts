import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { editJob, editPart, putPart } from '../../../src/core/edits/edits.ts';
import { partsLeave } from '../../../src/core/edits/shelfEdits.ts';
import type { Edit } from '../../../src/core/model/types/edit.ts';
import type { Part, Shop } from '../../../src/core/model/types/types.ts';
import { answered } from '../../../src/core/merge/answer.ts';
import { mergeCopies, type Copy } from '../../../src/core/merge/merge.ts';
import type { Question } from '../../../src/core/merge/question.ts';
import { questionsOf } from '../../../src/core/merge/questions.ts';
import { edited, newVersions } from '../../../src/core/merge/write.ts';
import { addItems, editItem } from '../../../src/core/shop/items.ts';
import { understand } from '../../../src/core/quick/understand.ts';

const NOW = '2026-01-01T12:00:00.000Z';
const begin: Copy = { shop: demoShop(NOW), versions: newVersions('test') };
const at = (bench: string, ...edits: Edit[]): Copy => then(begin, bench, ...edits);
const then = (copy: Copy, bench: string, ...edits: Edit[]): Copy =>
  edits.reduce((now, edit) => edited(now, edit(now.shop), bench), copy);
const part = (copy: Copy, id: string) => copy.shop.parts.find((each) => each.id === id);
const job = (copy: Copy, id: string) => copy.shop.jobs.find((each) => each.id === id);
const one = (copy: Copy): Question => {
  const questions = questionsOf(copy);
  expect(questions.map(({ id }) => id)).to.have.length(1);
  return questions[0]!;
};
const answer = (copy: Copy, value: unknown, bench = 'kato'): Copy => {
  const choice = one(copy).choices.find(
    (each) => JSON.stringify(each.value) === JSON.stringify(value),
  );
  if (!choice) throw new Error('no such choice');
  return answered(copy, choice.answer, bench);
};
const without =
  (id: string): Edit =>
  (shop) => ({ ...shop, parts: shop.parts.filter((each) => each.id !== id) });
const fan =
  (id: string, name: string, serial?: string): Edit =>
  (shop: Shop) => ({
    ...shop,
    parts: [
      ...shop.parts,
      {
        id,
        kind: 'fan',
        name,
        place: 'shelf',
        facts: serial ? { serial: { text: serial, how: 'said' } } : {},
      } as Part,
    ],
  });

describe('what merging asks', () => {
  it('asks nothing of edits to different things, of one record or of two', () => {
    const merged = mergeCopies(
      at('kato', editPart('A01', { note: 'dent' }), editJob('14', { warranty: '90 days' })),
      at('mira', editPart('A01', { where: 'rack 9' }), editJob('14', { system: 'free desktop' })),
    );
    expect(questionsOf(merged)).to.deep.equal([]);
    expect(part(merged, 'A01')).to.include({ note: 'dent', where: 'rack 9' });
    expect(job(merged, '14')).to.include({ warranty: '90 days', system: 'free desktop' });
  });

  it('shows one field written twice beside each other; the choice travels and nobody is asked again', () => {
    const here = at('kato', editPart('A01', { note: 'dent at the top' }));
    const there = at('mira', editPart('A01', { note: 'scratch' }));
    const merged = mergeCopies(here, there);
    expect(one(merged).slot).to.equal('note');
    expect(one(merged).choices.map(({ value }) => value)).to.have.members([
      'dent at the top',
      'scratch',
    ]);
    for (const value of ['dent at the top', 'scratch']) {
      const settled = answer(merged, value);
      expect(part(settled, 'A01')?.note).to.equal(value);
      const later = mergeCopies(there, settled);
      expect(questionsOf(later)).to.deep.equal([]);
      expect(part(later, 'A01')?.note).to.equal(value);
    }
    expect(
      questionsOf(then(merged, 'kato', editPart('A01', { note: 'dent and scratch' }))),
    ).to.deep.equal([]);
  });

  it('asks nothing where both wrote the same', () => {
    const note = editPart('A01', { note: 'dent' });
    expect(questionsOf(mergeCopies(at('kato', note), at('mira', note)))).to.deep.equal([]);
  });

  it('takes a value taken away against one written as a question too', () => {
    const merged = mergeCopies(
      at('kato', editPart('A01', { price: undefined })),
      at('mira', editPart('A01', { price: { minor: 900, currency: 'EUR' } })),
    );
    expect(one(merged).choices.map(({ value }) => value)).to.deep.include(undefined);
  });

  it('has the same words written twice as two things; one edited twice as a question', () => {
    const addition = addItems('14', 'additions', [{ at: NOW, text: 'lid closes now' }]);
    const merged = mergeCopies(at('kato', addition), at('mira', addition));
    expect(job(merged, '14')?.additions).to.have.length(2);
    expect(questionsOf(merged)).to.deep.equal([]);

    const base = at('kato', addItems('14', 'wants', [{ what: 'cable', count: 1 }]));
    const want = { what: 'cable', count: 1 };
    const apart = mergeCopies(
      then(base, 'kato', editItem('14', 'wants', want, { count: 2 })),
      then(base, 'mira', editItem('14', 'wants', want, { count: 3 })),
    );
    expect(job(apart, '14')?.wants.filter(({ what }) => what === 'cable')).to.have.length(1);
    const settled = answer(apart, { what: 'cable', count: 2 });
    expect(job(settled, '14')?.wants.find(({ what }) => what === 'cable')?.count).to.equal(2);
  });

  it('keeps what was deleted here and edited there, and asks; either answer holds everywhere', () => {
    const gone = at('kato', without('H02'));
    const edit = at('mira', editPart('H02', { note: 'hums' }));
    const merged = mergeCopies(gone, edit);
    expect(part(merged, 'H02')?.note).to.equal('hums');
    const kept = answer(merged, 'Keep it');
    expect(questionsOf(mergeCopies(gone, kept))).to.deep.equal([]);
    expect(part(mergeCopies(gone, kept), 'H02')?.note).to.equal('hums');
    const deleted = answer(merged, 'Delete it');
    expect(part(mergeCopies(edit, deleted), 'H02')).to.equal(undefined);
    expect(part(mergeCopies(gone, begin), 'H02')).to.equal(undefined);
  });

  it('keeps what was deleted here and is planned there', () => {
    const merged = mergeCopies(
      at('kato', without('H02')),
      at('mira', putPart('14', 'fan2', 'H02')),
    );
    expect(part(merged, 'H02')).not.to.equal(undefined);
    expect(one(merged).choices.map(({ value }) => value)).to.deep.equal(['Keep it', 'Delete it']);
  });

  it('an undone deletion brings the same record back', () => {
    const before = part(begin, 'H02')!;
    const back = then(at('kato', without('H02')), 'kato', (shop) => ({
      ...shop,
      parts: [...shop.parts, before],
    }));
    const merged = mergeCopies(back, at('mira', editPart('H02', { note: 'hums' })));
    expect(merged.shop.parts.filter(({ id }) => id.startsWith('H02'))).to.have.length(1);
    expect(part(merged, 'H02')?.note).to.equal('hums');
  });

  it('gives a tag given twice a letter; the old label finds both, and plans follow', () => {
    const merged = mergeCopies(
      at('kato', fan('H90', 'kato’s fan'), putPart('14', 'fan2', 'H90')),
      at('mira', fan('H90', 'mira’s fan'), putPart('5', 'fan2', 'H90')),
    );
    const [first, second] = merged.shop.parts.filter(({ id }) => id.startsWith('H90'));
    expect([first?.id, second?.id]).to.deep.equal(['H90', 'H90m']);
    expect(second).to.deep.include({ name: 'mira’s fan', was: ['H90'] });
    const planned = (id: string) =>
      job(merged, id)?.changes.find(({ seat }) => seat === 'fan2')?.partId;
    expect([planned('14'), planned('5')]).to.deep.equal(['H90', 'H90m']);
    expect(JSON.stringify(understand(merged.shop, 'H90m'))).to.contain('H90m');
  });

  it('asks where a piece is that was put into two machines', () => {
    const [one_, two] = begin.shop.machines;
    const seat =
      (machineId: string): Edit =>
      (shop) => ({
        ...shop,
        machines: shop.machines.map((each) =>
          each.id === machineId
            ? { ...each, seats: [...each.seats, { seat: 'fan4' as const, partId: 'H02' }] }
            : each,
        ),
      });
    const merged = mergeCopies(at('kato', seat(one_!.id)), at('mira', seat(two!.id)));
    const question = one(merged);
    expect(question.ask).to.contain('two seats');
    const settled = answered(merged, question.choices[1]!.answer, 'kato');
    expect(questionsOf(settled)).to.deep.equal([]);
    expect(
      settled.shop.machines.filter((each) => each.seats.some(({ partId }) => partId === 'H02')),
    ).to.have.length(1);
  });

  it('asks of a part that was sold at one bench and planned at the other, once', () => {
    const merged = mergeCopies(
      at(
        'kato',
        partsLeave(['H02'], { how: 'sold', at: NOW, money: { minor: 300, currency: 'EUR' } }),
      ),
      at('mira', putPart('14', 'fan2', 'H02')),
    );
    expect(one(merged).ask).to.contain('left the house');
    expect(questionsOf(answer(merged, 'Out of the plan'))).to.deep.equal([]);
    expect(questionsOf(answer(merged, 'It is still here'))).to.deep.equal([]);
  });

  it('asks of a job handed over at one bench and edited at the other, not of edits after it', () => {
    const over = editJob('14', { handedOver: NOW });
    const here = at('kato', over);
    const merged = mergeCopies(here, at('mira', editJob('14', { note: 'fan swapped' })));
    expect(one(merged).ask).to.contain('note');
    const settled = answer(merged, 'It stays handed over; the change is added to the record');
    expect(questionsOf(settled)).to.deep.equal([]);
    expect(job(settled, '14')?.additions).to.have.length(1);
    expect(job(answer(merged, 'It is not handed over yet'), '14')?.handedOver).to.equal(undefined);
    expect(
      questionsOf(mergeCopies(then(here, 'mira', editJob('14', { note: 'later' })), here)),
    ).to.deep.equal([]);
  });

  it('offers to join a machine taken in at both benches, and does not ask again', () => {
    const taken =
      (id: string, partId: string, facts: Part['facts'] = {}): Edit =>
      (shop) => ({
        ...shop,
        machines: [
          ...shop.machines,
          {
            id,
            name: 'grey desk unit',
            state: 'here',
            facts: { serial: { text: 'SN 7', how: 'read' } },
            seats: [{ seat: 'fan1', partId }],
          },
        ],
        parts: [
          ...shop.parts,
          { id: partId, kind: 'fan', name: 'fan', place: 'machine', facts } as Part,
        ],
      });
    const size = { size: { lo: 92, hi: 92, how: 'measured' as const } };
    const merged = mergeCopies(
      at('kato', taken('M90', 'M90-1')),
      at('mira', taken('M91', 'M91-1', size), editJob('5', { machineId: 'M91' })),
    );
    const joined = answer(merged, 'One machine: M90');
    expect(questionsOf(joined)).to.deep.equal([]);
    expect(joined.shop.machines.filter(({ id }) => /^M9[01]$/.test(id))).to.have.length(1);
    expect(part(joined, 'M91-1')).to.equal(undefined);
    expect(part(joined, 'M90-1')).to.deep.include({ facts: size, was: ['M91-1'] });
    expect(job(joined, '5')?.machineId).to.equal('M90');
    const two = answer(merged, 'Two machines');
    expect(questionsOf(mergeCopies(two, merged))).to.deep.equal([]);
    expect(two.shop.machines.filter(({ id }) => /^M9[01]$/.test(id))).to.have.length(2);
  });

  it('takes a bench that went on from an old copy under a new name for another bench', () => {
    const old = at('kato', editPart('A01', { note: 'first' }));
    const went = then(old, 'kato', editPart('A02', { note: 'lost with the disk?' }));
    const restored = then(old, 'nilo', editPart('A03', { note: 'after the restore' }));
    const merged = mergeCopies(went, restored);
    expect([part(merged, 'A02')?.note, part(merged, 'A03')?.note]).to.deep.equal([
      'lost with the disk?',
      'after the restore',
    ]);
    expect(questionsOf(merged)).to.deep.equal([]);
  });

  it('refuses copies of two shops', () => {
    expect(() => mergeCopies(begin, { ...begin, versions: newVersions('other') })).to.throw(
      RangeError,
    );
  });
});
