import { expect } from 'chai';
import { beginDead, beginFrom } from '../../../src/core/edits/beginEdits.ts';
import { newPart } from '../../../src/core/edits/edits.ts';
import {
  deletePart,
  noteJob,
  noteMachine,
  notePart,
  whyKept,
} from '../../../src/core/edits/partEdits.ts';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { byHand } from '../../../src/core/intake/byHand.ts';
import { emptyShop } from '../../../src/core/model/types/empty.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { checkShop } from '../../../src/core/document/read.ts';

const shop = demoShop('2026-11-25T09:00:00.000Z');
const at = '2026-11-25T09:00:00.000Z';

describe('edits/partEdits', () => {
  it('deletes what nothing rests on, and nothing else', () => {
    const made = newPart({ kind: 'fan', name: 'by mistake', facts: {}, place: 'shelf' });
    const more = made.edit(shop);
    expect(whyKept(more, made.tag())).to.equal(undefined);
    expect(deletePart(made.tag())(more).parts).to.deep.equal(shop.parts);
    const kept = shop.parts.filter(({ id }) => whyKept(shop, id) !== undefined);
    expect(kept.length).to.be.greaterThan(50);
    for (const { id } of kept) expect(deletePart(id)(shop), id).to.equal(shop);
  });
  it('says why: it sits in a machine, is planned, is kept, stands in the book', () => {
    expect(whyKept(shop, 'M14-01')).to.contain('sits in');
    const planned = shop.jobs.flatMap(({ changes }) => changes).find(({ partId }) => partId);
    expect(whyKept(shop, planned?.partId ?? '')).to.match(/planned in job|sits in/);
    const paid = {
      ...shop,
      ledger: [{ id: 'L1', at, kind: 'cost' as const, what: 'x', partId: 'H05' }],
    };
    expect(whyKept({ ...paid, jobs: [] }, 'H05')).to.contain('stands in the book');
  });
  it('adds a line to a note and keeps what stood there', () => {
    const once = notePart('H01', 'rattles')(shop);
    const twice = notePart('H01', 'oiled')(once);
    expect(twice.parts.find(({ id }) => id === 'H01')?.note).to.equal('rattles\noiled');
    expect(noteJob('5', 'damp')(shop).jobs.find(({ id }) => id === '5')?.note).to.match(/damp$/);
    expect(
      noteMachine('M14', 'lid bent')(shop).machines.find(({ id }) => id === 'M14')?.note,
    ).to.match(/lid bent$/);
    expect(notePart('nobody', 'x')(shop)).to.equal(shop);
  });
});

describe('edits/beginEdits', () => {
  const dead = byHand({
    name: 'Dead slim',
    shell: 'slim',
    feed: 'brick',
    inside: ['processor', 'memory'],
  });
  it('begins a dead machine as one step: its job, its parts, its search', () => {
    const made = beginDead(dead, 'picture', at);
    const begun = made.edit(emptyShop());
    expect(made.tag()).to.equal('1');
    const [job] = begun.jobs;
    expect(job?.diagnoses).to.have.length(1);
    expect(job?.diagnoses[0]?.symptom).to.equal('picture');
    expect(begun.machines[0]).to.include({ id: 'M1', starts: false });
    const kinds = planOf(begun, job!).seats.map(({ kind }) => kind);
    expect(kinds).to.have.members(['case', 'board', 'processor', 'memory', 'supply']);
    const supply = begun.parts.find(({ kind }) => kind === 'supply');
    expect(supply?.facts['feeds']).to.deep.include({ text: 'brick' });
    checkShop(JSON.parse(JSON.stringify(begun)));
  });
  it('says of a feed nobody saw nothing', () => {
    const { parts } = byHand({ name: 'x', shell: 'slim' });
    expect(parts.find(({ kind }) => kind === 'supply')?.facts).to.deep.equal({});
    expect(parts.map(({ kind }) => kind)).to.deep.equal(['case', 'board', 'supply']);
  });
  it('begins one job for the first machine of a paste, the others get tags', () => {
    const made = beginFrom([dead, { ...dead, name: 'Other' }], at);
    const begun = made.edit(emptyShop());
    expect(begun.jobs.map(({ id, name, machineId }) => [id, name, machineId])).to.deep.equal([
      ['1', 'Dead slim', 'M1'],
    ]);
    expect(begun.machines).to.have.length(2);
    checkShop(JSON.parse(JSON.stringify(begun)));
  });
});
