import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import { addJob, editJob, newJob, newPart } from '../../../src/core/edits/edits.ts';
import { addItems, changeItems, dropItem } from '../../../src/core/shop/items.ts';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { emptyShop } from '../../../src/core/model/types/empty.ts';
import { writeShop } from '../../../src/core/export/json.ts';
import { readShop } from '../../../src/core/document/read.ts';
import type { Wall } from '../../../src/core/model/types/shapes.ts';
import { VERSION, type Reading, type Shop } from '../../../src/core/model/types/types.ts';
import { seededRandom } from '../../../src/core/units/seededRandom.ts';
import { olderStore, Profile, rawStore } from '../../helpers/store.ts';
import { refusingWrites, slowWrites } from '../../helpers/refusing.ts';

const later = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const reading = (value: number): Reading => ({
  kind: 'wallW',
  value,
  when: 'before',
  at: '2026-01-01T00:00:00.000Z',
  load: 'idle',
});
/** A job with readings, for tabs to write into. */
const desk = addJob('1', 'Desk', '');
const values = (shop: Shop) => (shop.jobs[0]?.readings ?? []).map((each) => each.value);

describe('shop/store', function () {
  this.timeout(60_000);
  let profile: Profile;
  beforeEach(() => (profile = new Profile()));
  afterEach(() => profile.close());

  it('shows an edit at once and has it after the page is opened again', async () => {
    const tab = await profile.tab();
    const wait = tab.edit('desk', desk);
    expect(tab.shop.jobs).to.have.length(1);
    await wait;
    const again = await profile.tab();
    expect(writeShop(again.shop)).to.equal(writeShop(tab.shop));
    expect(again.stored).to.equal(true);
    expect(again.canUndo).to.equal(true);
  });

  describe('two tabs', () => {
    it('lose nothing of 1,000 edits that run through each other', async () => {
      const random = seededRandom(13);
      const first = await profile.tab(2);
      await first.edit('desk', desk);
      const tabs = [first, await profile.tab(3)];
      const typing = tabs.map(async (tab, at) => {
        for (let n = 0; n < 500; n += 1) {
          void tab.edit('reading', addItems('1', 'readings', [reading(at * 1000 + n)]));
          if (random() < 0.7) await later(random() * 3);
        }
        await tab.settled();
      });
      await Promise.all(typing);
      const fresh = await profile.tab();
      const wanted = tabs.flatMap((_, at) => Array.from({ length: 500 }, (_, n) => at * 1000 + n));
      expect([...values(fresh.shop)].sort((a, b) => a - b)).to.deep.equal(wanted);
      await Promise.all(tabs.map((tab) => tab.look()));
      for (const tab of tabs) expect(values(tab.shop)).to.deep.equal(values(fresh.shop));
    });

    it('do not take an edit for stored when the other tab wrote while it waited', async () => {
      /* The other tab's word comes between the keystroke and the write. */
      const first = await profile.tab(0);
      await first.edit('desk', desk);
      const second = await profile.tab(0);
      const theirs = first.edit('theirs', addItems('1', 'readings', [reading(1)]));
      const read = second.look();
      const ours = second.edit('ours', addItems('1', 'readings', [reading(2)]));
      await Promise.all([theirs, read, ours]);
      expect([...values((await profile.tab()).shop)].sort()).to.deep.equal([1, 2]);
    });

    it('give two new jobs and two new parts different tags', async () => {
      const tabs = [await profile.tab(5), await profile.tab(5)];
      const jobs = tabs.map((_, at) => newJob(`desk ${at}`, ''));
      const parts = tabs.map((_, at) =>
        newPart({ kind: 'fan', name: `fan ${at}`, facts: {}, place: 'shelf' }),
      );
      await Promise.all(
        tabs.flatMap((tab, at) => [
          tab.edit('job', jobs[at]!.edit),
          tab.edit('part', parts[at]!.edit),
        ]),
      );
      const { shop } = await profile.tab();
      expect(shop.jobs.map((each) => each.name).sort()).to.deep.equal(['desk 0', 'desk 1']);
      expect(shop.parts.map((each) => each.name).sort()).to.deep.equal(['fan 0', 'fan 1']);
      for (const [at, made] of jobs.entries())
        expect(shop.jobs.find((each) => each.id === made.tag())?.name).to.equal(`desk ${at}`);
    });

    it('keep both mounts of a list fact, and drop the reading that was meant', async () => {
      const first = await profile.tab(0);
      const shell = newPart({ kind: 'case', name: 'shell', facts: {}, place: 'shelf' });
      await first.edit('shell', shell.edit);
      await first.edit('desk', desk);
      await first.edit('readings', addItems('1', 'readings', [reading(1), reading(2)]));
      const second = await profile.tab(0);
      const known = { how: 'measured' } as const;
      const mount = (at: Wall, mm: number) =>
        changeItems(shell.tag(), 'fanMounts', (items) => [...items, { at, mm }], known);
      await Promise.all([
        first.edit('one', mount('rear', 92)),
        second.edit('two', mount('front', 120)),
        first.edit('drop', dropItem('1', 'readings', reading(1))),
        second.edit('more', addItems('1', 'readings', [reading(3)])),
      ]);
      const { shop } = await profile.tab();
      const fact = shop.parts[0]?.facts['fanMounts'];
      expect(fact && 'items' in fact && fact.items).to.have.deep.members([
        { at: 'rear', mm: 92 },
        { at: 'front', mm: 120 },
      ]);
      expect([...values(shop)].sort()).to.deep.equal([2, 3]);
    });
  });

  describe('a refused write', () => {
    it('is kept, said and tried again until it is stored', async () => {
      const tab = await profile.tab();
      await tab.edit('desk', desk);
      const allow = refusingWrites('the disk is full');
      await tab.edit('reading', addItems('1', 'readings', [reading(5)]));
      expect(tab.trouble).to.include({ kind: 'not saved yet' });
      expect(tab.trouble?.say).to.include('the disk is full');
      expect(tab.waiting).to.equal(1);
      expect(values(tab.shop)).to.deep.equal([5]);
      await tab.edit('reading', addItems('1', 'readings', [reading(6)]));
      expect(tab.waiting).to.equal(2);
      allow();
      for (let tries = 0; tries < 100 && tab.trouble; tries += 1) await later(50);
      expect(tab.trouble).to.equal(undefined);
      expect(tab.waiting).to.equal(0);
      expect(values((await profile.tab()).shop)).to.deep.equal([5, 6]);
    });

    it('of a whole shop leaves what was there, to the last record, and the next one goes through', async () => {
      const tab = await profile.tab();
      await tab.edit('desk', desk);
      const { shop: before } = tab;
      /* The job is deleted first; the machine that cannot be written comes after it. */
      const broken = { ...emptyShop(), machines: [{ id: 'M1', name: () => 'no text' }] };
      const versions = { line: 'l', records: {}, gone: [], seen: {} };
      let refused = '';
      await tab
        .lay('opened', () => ({ shop: broken as unknown as Shop, versions }))
        .catch((error: Error) => (refused = error.name));
      expect(refused).to.equal('DataCloneError');
      expect(tab.asks).to.equal(false);
      expect(writeShop((await profile.tab()).shop)).to.equal(writeShop(before));
      await tab.edit('reading', addItems('1', 'readings', [reading(7)]));
      expect(values((await profile.tab()).shop)).to.deep.equal([7]);
      await tab.undo();
      await tab.undo();
      expect(tab.shop.jobs).to.deep.equal([]);
    });

    it('can be undone and redone before it was ever stored', async () => {
      const tab = await profile.tab();
      await tab.edit('desk', desk);
      const allow = refusingWrites('no');
      await tab.edit('reading', addItems('1', 'readings', [reading(5)]));
      await tab.undo();
      expect(values(tab.shop)).to.deep.equal([]);
      await tab.redo();
      expect(values(tab.shop)).to.deep.equal([5]);
      allow();
      await tab.tryAgain();
      expect(values((await profile.tab()).shop)).to.deep.equal([5]);
    });
  });

  it('works without a store at all, and says that nothing is kept', async () => {
    const kept = globalThis.indexedDB;
    // @ts-expect-error: a browser without it
    globalThis.indexedDB = undefined;
    try {
      const tab = await profile.tab();
      expect(tab.ready).to.equal(true);
      expect(tab.trouble?.kind).to.equal('no store');
      await tab.edit('desk', desk);
      expect(tab.shop.jobs).to.have.length(1);
      await tab.undo();
      expect(tab.shop.jobs).to.have.length(0);
      await tab.redo();
      expect(tab.shop.jobs).to.have.length(1);
    } finally {
      globalThis.indexedDB = kept;
    }
  });

  it('does not open, let alone edit, what a newer product wrote', async () => {
    await olderStore({ ...demoShop('2026-01-01T12:00:00.000Z') }, VERSION + 1);
    const tab = await profile.tab();
    expect(tab.ready).to.equal(false);
    expect(tab.trouble).to.include({ kind: 'newer' });
  });

  it('lets go of the store when a newer product wants it, and says so', async () => {
    const tab = await profile.tab();
    await tab.edit('desk', desk);
    const open = indexedDB.open('nutshell-swap', VERSION + 1);
    await new Promise<void>((resolve, reject) => {
      open.onsuccess = () => resolve();
      open.onblocked = () => reject(new Error('still held'));
    });
    expect(tab.trouble?.kind).to.equal('newer');
    await tab.edit('more', editJob('1', { name: 'not stored' }));
    expect(tab.waiting).to.equal(1);
    open.result.close();
  });

  it('joins edits of one key shortly after one another, but not across a clock set back', async () => {
    const tab = await profile.tab();
    await tab.edit('desk', desk);
    const rename = (name: string) => tab.edit('name', editJob('1', { name }), 'name 1');
    await rename('De');
    profile.clock += 300;
    await rename('Des');
    profile.clock -= 3_600_000;
    await rename('Desk again');
    await tab.undo();
    expect(tab.shop.jobs[0]?.name).to.equal('Des');
    await tab.undo();
    expect(tab.shop.jobs[0]?.name).to.equal('Desk');
  });

  it('a second edit during a slow write is written too, in order', async () => {
    const tab = await profile.tab();
    await tab.edit('desk', desk);
    const quick = slowWrites(20);
    const first = tab.edit('a', addItems('1', 'readings', [reading(1)]));
    await later(5);
    const second = tab.edit('b', addItems('1', 'readings', [reading(2)]));
    await Promise.all([first, second]);
    quick();
    expect(values((await profile.tab()).shop)).to.deep.equal([1, 2]);
  });

  describe('practice', () => {
    it('is a copy: nothing of it is stored, and the shop comes back as other tabs left it', async () => {
      const tab = await profile.tab(0);
      await tab.edit('desk', desk);
      const other = await profile.tab(0);
      tab.startPractice();
      await tab.edit('reading', addItems('1', 'readings', [reading(9)]));
      expect(values(tab.shop)).to.deep.equal([9]);
      expect(tab.shop.name).to.include('practice');
      await other.edit('real', addItems('1', 'readings', [reading(4)]));
      await tab.look();
      expect(values(tab.shop)).to.deep.equal([9]);
      await tab.undo();
      expect(values(tab.shop)).to.deep.equal([]);
      await tab.edit('reading', addItems('1', 'readings', [reading(9)]));
      await tab.endPractice();
      expect(values(tab.shop)).to.deep.equal([4]);
      expect(tab.shop.name).not.to.include('practice');
      expect(values((await profile.tab()).shop)).to.deep.equal([4]);
    });
  });

  describe('an older store', () => {
    for (const version of [1, 2, 3, 4, 5, 6, 7, 8, 9, 10]) {
      it(`of version ${version} survives an edit and a reload, with a copy of what it was`, async () => {
        const text = readFileSync(
          new URL(`../../fixtures/shops/v${version}.json`, import.meta.url),
          'utf8',
        );
        const older = JSON.parse(text) as Record<string, unknown>;
        await olderStore(older, version < 5 ? 2 : version < 6 ? 3 : version < 8 ? 6 : version);
        const tab = await profile.tab();
        expect(writeShop(tab.shop)).to.equal(writeShop(readShop(text)));
        const job = tab.shop.jobs[0]!;
        await tab.edit('name', editJob(job.id, { name: 'renamed' }));
        const again = await profile.tab();
        expect(writeShop(again.shop)).to.equal(
          writeShop(editJob(job.id, { name: 'renamed' })(readShop(text))),
        );
        const { head, backups } = await rawStore();
        expect(head.version).to.equal(VERSION);
        expect(backups.map((each) => each.version)).to.deep.equal([version]);
        await again.undo();
        expect(again.shop.jobs.find((each) => each.id === job.id)?.name).to.equal(job.name);
        expect(again.canUndo, 'steps of an older version are gone').to.equal(false);
      });
    }
  });

  it('a shop written and read again is the same bytes, its book too', async () => {
    const tab = await profile.tab();
    const shop = demoShop('2026-01-01T12:00:00.000Z');
    const mixed = { ...shop, ledger: [...shop.ledger].reverse(), parts: [...shop.parts].reverse() };
    await tab.edit('laid down', () => mixed);
    expect(writeShop((await profile.tab()).shop)).to.equal(writeShop(mixed));
  });
});
