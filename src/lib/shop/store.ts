import { applyChanges, changesBetween, headOf, type RecordChange } from '$core/edits/changes.ts';
import type { Edit } from '$core/edits/edits.ts';
import { emptyShop } from '$core/model/types/empty.ts';
import type { Shop } from '$core/model/types/types.ts';
import type { Copy } from '$core/merge/merge.ts';
import type { Answer, Question } from '$core/merge/question.ts';
import type { Versions } from '$core/model/types/versionTypes.ts';
import {
  allVersions,
  DB_NAME,
  loadAll,
  openShopDb,
  readTx,
  writeRecords,
  writeTx,
  type Db,
  type StoredHead,
  type UndoEntry,
  type WriteTx,
} from './db.ts';
import { forgetUndone, joinStep, makeRoom, putStep, stepsAround } from './undoSteps.ts';
import { Writer } from './writer.ts';

const FIRST_RETRY_MS = 500;
const LONGEST_RETRY_MS = 30_000;
/** An answer this late is no answer: the page says so and waits on. */
const SLOW_OPEN_MS = 6000;

/** Why what is on screen is not (yet) in the browser's store. */
export interface Trouble {
  kind: 'opening slowly' | 'not saved yet' | 'no store' | 'held by another tab' | 'newer';
  say: string;
}

/** An edit that is shown and waits to be stored; `after` is what it made of `before` when it was shown. */
interface Pending {
  label: string;
  edit: Edit;
  key: string | undefined;
  before: Shop;
  after: Shop;
}

/** Nothing of it is written. */
async function abandon(tx: WriteTx): Promise<void> {
  try {
    tx.abort();
  } catch {
    /* It has failed by itself already. */
  }
  await tx.done.catch(() => undefined);
}

/** What is done in one transaction to the newest shop: what comes of it, and the step in force then; undefined: nothing. */
type Work = (
  tx: WriteTx,
  shop: Shop,
  head: StoredHead,
) => Promise<{ next: Shop; undoAt: number } | undefined>;

/** What the store tells whoever shows it. */
export interface StoreSigns {
  /** Shop, undo, trouble or readiness is another now. */
  onchange: () => void;
  /** A sentence for the user. */
  onsay: (text: string, mark?: 'stop') => void;
  /** The store was written: other tabs read again. */
  onwritten: (rev: number) => void;
  now: () => number;
}

/**
 * The shop in the browser's store. An edit is an intention: shown at once on what is on screen, and
 * done again on the newest shop inside the transaction that writes it, so that tabs do not
 * overwrite each other. What could not be written stays, is tried again, and is said.
 */
export class ShopStore {
  /** The shop as it is shown: what is stored with every waiting edit done to it. */
  shop: Shop = emptyShop();
  /** The shop before the latest edit. */
  before: Shop | undefined;
  ready = false;
  /** False when nothing was ever stored. */
  stored = false;
  canUndo = false;
  canRedo = false;
  trouble: Trouble | undefined;
  /** On a copy of the shop that is thrown away: nothing done now is stored. */
  practice = false;
  /** Merging left questions that were not seen answered yet. */
  asks = false;

  #signs: StoreSigns;
  #db: Db | undefined;
  /** The newest shop known to be stored, and how often the store was written then. */
  #base: Shop = this.shop;
  #rev = 0;
  #undoAt = 0;
  #writer = new Writer();
  #pending: Pending[] = [];
  /** Waiting edits taken back before they were stored. */
  #popped: Pending[] = [];
  /** Steps of the practice copy, to be taken back. */
  #practised: { label: string; before: Shop }[] = [];
  #queue: Promise<unknown> = Promise.resolve();
  #retryMs = FIRST_RETRY_MS;
  #retry: ReturnType<typeof setTimeout> | undefined;

  #name: string;

  constructor(signs: StoreSigns, name = DB_NAME) {
    this.#signs = signs;
    this.#name = name;
  }

  /** Opens the store and reads it. Resolves once there is a shop to show, stored or not. */
  async start(): Promise<void> {
    const slow = setTimeout(
      () =>
        this.#trouble(
          'opening slowly',
          'The browser has not opened its store yet. If another window shows this shop, close it.',
        ),
      SLOW_OPEN_MS,
    );
    try {
      this.#db = await this.#openDb();
      await this.#reload();
      this.#trouble(undefined);
    } catch (error) {
      if ((error as Error).name === 'VersionError') {
        this.#trouble(
          'newer',
          'A newer version of Nutshell Swap has used this shop in this browser. Reload the page to get it.',
        );
        return;
      }
      this.#trouble(
        'no store',
        `This browser keeps nothing for this page (${(error as Error).message}). Export the shop before you close it.`,
      );
    } finally {
      clearTimeout(slow);
    }
    this.ready = true;
    this.#signs.onchange();
  }

  /**
   * Shows the edit at once and stores it; `key` joins quick edits of the same thing into one step.
   * Resolves when it is stored or the first try was refused.
   */
  edit(label: string, edit: Edit, key?: string): Promise<void> {
    const before = this.shop;
    const after = edit(before);
    if (after === before) return Promise.resolve();
    this.before = before;
    this.shop = after;
    if (this.practice) {
      this.#practised.push({ label, before });
      this.canUndo = true;
      this.#signs.onchange();
      return Promise.resolve();
    }
    this.#popped = [];
    this.#pending.push({ label, edit, key, before, after });
    this.canUndo = true;
    this.canRedo = false;
    this.#signs.onchange();
    return this.#enqueue(() => this.#flush());
  }

  undo(): Promise<void> {
    return this.#enqueue(() => this.#step('before'));
  }

  redo(): Promise<void> {
    return this.#enqueue(() => this.#step('after'));
  }

  /** From here on everything is done to a copy, with a name that says so on every print and file. */
  startPractice(): void {
    if (this.practice) return;
    this.practice = true;
    this.#practised = [];
    this.before = undefined;
    this.shop = { ...this.shop, name: `${this.shop.name} (practice)`.slice(0, 200) };
    this.canUndo = this.canRedo = false;
    this.#signs.onchange();
  }

  /** The copy goes; the shop stands as it was, with what other tabs did meanwhile. */
  async endPractice(): Promise<void> {
    if (!this.practice) return;
    this.practice = false;
    this.before = undefined;
    this.shop = this.#pending.at(-1)?.after ?? this.#base;
    this.#signs.onchange();
    await this.#enqueue(() => this.#countUndo());
  }

  /** Waits until every edit so far is stored or was refused. */
  settled(): Promise<unknown> {
    return this.#queue;
  }

  /** Edits that are shown and not stored. */
  get waiting(): number {
    return this.#pending.length;
  }

  /** Another tab has written, or may have while this one slept. */
  look(): Promise<void> {
    return this.#enqueue(async () => {
      if (this.#db) await this.#reload();
    }).catch(() => undefined);
  }

  /** Tries again at once what could not be stored. */
  tryAgain(): Promise<void> {
    return this.#enqueue(() => this.#flush());
  }

  close(): void {
    clearTimeout(this.#retry);
    this.#db?.close();
  }

  #openDb(): Promise<Db> {
    return openShopDb(
      {
        onblocked: () =>
          this.#trouble(
            'held by another tab',
            'Another tab holds this shop with an older version of Nutshell Swap. Close or reload that tab.',
          ),
        onnewer: () => {
          this.#db = undefined;
          this.#trouble(
            'newer',
            'A newer version of Nutshell Swap has opened this shop in another tab. Reload this page.',
          );
        },
        onclosed: () => (this.#db = undefined),
      },
      this.#name,
    );
  }

  #enqueue<T>(work: () => Promise<T>): Promise<T> {
    const run = this.#queue.then(work);
    this.#queue = run.catch(() => undefined);
    return run;
  }

  #trouble(kind: Trouble['kind'] | undefined, say = ''): void {
    this.trouble = kind && { kind, say };
    this.#signs.onchange();
  }

  async #reload(): Promise<void> {
    const db = this.#db;
    if (!db) return;
    const tx = readTx(db);
    const loaded = await loadAll(tx);
    this.stored = loaded.stored;
    if (loaded.head.rev === this.#rev && this.#rev > 0) return;
    this.asks = (await readTx(db).objectStore('bench').get('bench'))?.asks ?? false;
    this.#writer.forget();
    this.#took(loaded.shop, loaded.head.rev, loaded.head.undoAt);
    await this.#countUndo();
  }

  /** The store holds this now: what still waits is done to it again. */
  #took(base: Shop, rev: number, undoAt: number): void {
    this.#base = base;
    this.#rev = rev;
    this.#undoAt = undoAt;
    this.#pending = this.#pending.map((each, at, list) => {
      const before = at === 0 ? base : (list[at - 1]?.after ?? base);
      return Object.assign(each, this.#redone(each, before));
    });
    if (!this.practice) this.shop = this.#pending.at(-1)?.after ?? base;
    this.#signs.onchange();
  }

  /** The edit done to another shop than it was shown on; one that fails there is said and left out. */
  #redone(each: Pending, before: Shop): { before: Shop; after: Shop } {
    if (before === each.before) return { before, after: each.after };
    try {
      return { before, after: each.edit(before) };
    } catch (error) {
      this.#signs.onsay(`Not done again: ${each.label}. ${(error as Error).message}`, 'stop');
      return { before, after: before };
    }
  }

  /** Writes what waits; a refusal keeps it, says so and comes back later. */
  async #flush(): Promise<void> {
    if (this.#pending.length === 0) return;
    if (this.trouble?.kind === 'newer' || this.trouble?.kind === 'no store') return;
    clearTimeout(this.#retry);
    try {
      await this.#write();
    } catch (error) {
      if ((error as Error).name === 'QuotaExceededError')
        if (this.#db) await makeRoom(this.#db, this.#undoAt);
      const why = (error as Error).message || (error as Error).name;
      this.#trouble(
        'not saved yet',
        `The browser refused to write (${why.replace(/\.$/, '')}). Trying again; export the shop to be safe.`,
      );
      this.#retry = setTimeout(() => void this.tryAgain(), this.#retryMs);
      this.#retryMs = Math.min(LONGEST_RETRY_MS, this.#retryMs * 2);
      return;
    }
    this.#retryMs = FIRST_RETRY_MS;
    if (this.trouble) this.#trouble(undefined);
  }

  /** Every edit that waits, each with its undo step, on the newest shop, in one transaction. */
  async #write(): Promise<void> {
    this.#db ??= await this.#openDb();
    const tx = writeTx(this.#db);
    const edits = [...this.#pending];
    try {
      const head = await tx.objectStore('head').get('shop');
      const rev = head?.rev ?? 0;
      let shop = rev === this.#rev ? this.#base : (await loadAll(tx)).shop;
      if (rev !== this.#rev) this.#writer.forget();
      let undoAt = head?.undoAt ?? 0;
      forgetUndone(tx, undoAt);
      for (const each of edits) {
        const { before, after } = this.#redone(each, shop);
        const changes = changesBetween(before, after);
        if (changes.length > 0)
          undoAt = await joinStep(tx, undoAt, {
            ...this.#labelled(each.label, changes),
            key: each.key,
          });
        writeRecords(tx, changes, 'after');
        if (head) await this.#writer.stamp(tx, changes);
        else await this.#writer.begin(tx);
        shop = after;
      }
      void tx.objectStore('head').put({ ...headOf(shop), rev: rev + 1, undoAt }, 'shop');
      await tx.done;
      this.#pending.splice(0, edits.length);
      this.stored = true;
      this.#took(shop, rev + 1, undoAt);
    } catch (error) {
      this.#writer.forget();
      await abandon(tx);
      throw error;
    }
    this.#signs.onwritten(this.#rev);
    this.canUndo = this.#undoAt > 0 || this.#pending.length > 0;
    this.canRedo = false;
    this.#signs.onchange();
  }

  /** The shop with its versions, as a file of it holds them. Without a store there are none. */
  async copy(): Promise<{ shop: Shop; versions?: Versions | undefined }> {
    await this.#enqueue(() => this.#flush());
    if (!this.#db || this.practice || this.#pending.length > 0) return { shop: this.shop };
    const tx = readTx(this.#db);
    const [{ shop }, bench] = await Promise.all([
      loadAll(tx),
      tx.objectStore('bench').get('bench'),
    ]);
    return bench ? { shop, versions: await allVersions(tx, bench) } : { shop };
  }

  /**
   * Lays a whole shop in, with its versions: a file in the place of what is here, or what merging made of both. One
   * step to undo. `make` gets what is here; without versions the line begins anew under `line`.
   */
  lay(label: string, make: (here: Copy) => { shop: Shop; versions: Versions }): Promise<void> {
    return this.#laid(async (tx, shop, { undoAt }) => {
      const before = await allVersions(tx, await this.#writer.bench(tx));
      const made = make({ shop, versions: before });
      const changes = changesBetween(shop, made.shop);
      writeRecords(tx, changes, 'after');
      await this.#writer.lay(tx, made.versions);
      const laid = { before: { all: before }, after: { all: made.versions } };
      forgetUndone(tx, undoAt);
      return {
        next: made.shop,
        undoAt: putStep(tx, undoAt, { ...this.#labelled(label, changes), laid }),
      };
    });
  }

  /**
   * Merges a copy of this shop that was edited apart. Throws RangeError where it is a copy of another, ShopFileError
   * where what comes of it is no shop.
   */
  async merge(label: string, other: Copy): Promise<void> {
    const { mergeCopies } = await import('$core/merge/merge.ts');
    const { checkShop } = await import('$core/document/read.ts');
    await this.lay(label, (here) => {
      const { shop, versions } = mergeCopies(here, other);
      /* What lay among the deleted ones, or beside what stands, was not looked at when the file was read. */
      const { versions: _, ...checked } = checkShop(shop);
      return { shop: checked, versions };
    });
  }

  /** What merging left to be said, as things stand. */
  async questions(): Promise<Question[]> {
    const { questionsOf } = await import('$core/merge/questions.ts');
    const { shop, versions } = await this.copy();
    const found = versions ? questionsOf({ shop, versions }) : [];
    if (found.length === 0 && this.#db && versions) await this.#asked();
    return found;
  }

  async #asked(): Promise<void> {
    this.asks = false;
    if (!this.#db) return;
    this.#writer.forget();
    const store = writeTx(this.#db).objectStore('bench');
    const bench = await store.get('bench');
    if (bench?.asks) await store.put({ ...bench, asks: false }, 'bench');
  }

  /** An answer: its edit, and what it settles though nothing visible changes. One step to undo. */
  async answer(label: string, answer: Answer): Promise<void> {
    const settling = await import('$core/merge/answer.ts');
    return this.#laid(async (tx, shop, { undoAt }) => {
      const next = answer.edit(shop);
      const changes = changesBetween(shop, next);
      const laid = await this.#writer.settle(tx, settling, answer, changes);
      writeRecords(tx, changes, 'after');
      forgetUndone(tx, undoAt);
      return { next, undoAt: putStep(tx, undoAt, { ...this.#labelled(label, changes), laid }) };
    });
  }

  #labelled(label: string, changes: RecordChange[]): Pick<UndoEntry, 'label' | 'at' | 'changes'> {
    return { label, at: this.#signs.now(), changes };
  }

  /** What merging brings, once everything done before is stored; questions may stand after it. */
  #laid(work: Work): Promise<void> {
    return this.#enqueue(async () => {
      await this.#flush();
      if (!this.#db || this.practice || this.#pending.length > 0)
        throw new Error('What was done before is not stored yet.');
      await this.#onNewest(this.#db, work);
      this.asks = true;
      this.#signs.onchange();
    });
  }

  /** Done to the newest shop in a transaction of its own, and shown once it is written: whole, or not at all. */
  async #onNewest(db: Db, work: Work): Promise<void> {
    const tx = writeTx(db);
    this.#writer.forget();
    const { shop, head } = await loadAll(tx);
    let made: Awaited<ReturnType<Work>>;
    try {
      made = await work(tx, shop, head);
      if (made)
        void tx
          .objectStore('head')
          .put({ ...headOf(made.next), rev: head.rev + 1, undoAt: made.undoAt }, 'shop');
      await tx.done;
    } catch (error) {
      await abandon(tx);
      throw error;
    } finally {
      this.#writer.forget();
    }
    if (!made) return;
    this.before = shop;
    this.stored = true;
    this.#took(made.next, head.rev + 1, made.undoAt);
    this.#signs.onwritten(this.#rev);
    await this.#countUndo();
  }

  async #step(side: 'before' | 'after'): Promise<void> {
    if (this.practice) return this.#stepPractised(side);
    await this.#flush();
    if (this.#pending.length > 0 || this.#popped.length > 0) {
      if (this.#stepWaiting(side)) return;
    }
    let done: UndoEntry | undefined;
    if (this.#db)
      await this.#onNewest(this.#db, async (tx, shop, { undoAt }) => {
        const n = side === 'before' ? undoAt : undoAt + 1;
        done = n > 0 ? await tx.objectStore('undo').get(n) : undefined;
        if (!done) return undefined;
        const next = applyChanges(shop, done.changes, side);
        const laid = done.laid?.[side];
        if (!laid?.all) await this.#writer.stamp(tx, changesBetween(shop, next));
        if (laid) await this.#writer.layBack(tx, laid);
        this.asks ||= laid !== undefined;
        writeRecords(tx, done.changes, side);
        return { next, undoAt: side === 'before' ? n - 1 : n };
      });
    this.#signs.onsay(
      done
        ? `${side === 'before' ? 'Undone' : 'Redone'}: ${done.label}`
        : `Nothing to ${side === 'before' ? 'undo' : 'redo'}.`,
    );
  }

  /** Undo and redo among edits that could not be stored; false when there is none on that side. */
  #stepWaiting(side: 'before' | 'after'): boolean {
    const from = side === 'before' ? this.#pending : this.#popped;
    const to = side === 'before' ? this.#popped : this.#pending;
    const each = from.pop();
    if (!each) return false;
    to.push(each);
    this.before = this.shop;
    this.#took(this.#base, this.#rev, this.#undoAt);
    this.canUndo = this.#pending.length > 0 || this.#undoAt > 0;
    this.canRedo = this.#popped.length > 0;
    this.#signs.onchange();
    this.#signs.onsay(`${side === 'before' ? 'Undone' : 'Redone'}: ${each.label}`);
    return true;
  }

  #stepPractised(side: 'before' | 'after'): void {
    const step = side === 'before' ? this.#practised.pop() : undefined;
    if (step) {
      this.before = this.shop;
      this.shop = step.before;
      this.canUndo = this.#practised.length > 0;
      this.#signs.onchange();
    }
    this.#signs.onsay(
      step
        ? `Undone: ${step.label}`
        : `Nothing to ${side === 'before' ? 'undo' : 'redo'} in practice.`,
    );
  }

  async #countUndo(): Promise<void> {
    if (!this.#db || this.practice) return;
    const { before, after } = await stepsAround(this.#db, this.#undoAt);
    this.canUndo = before || this.#pending.length > 0;
    this.canRedo = after;
    this.#signs.onchange();
  }
}
