import {
  applyChanges,
  changesBetween,
  headOf,
  joinChanges,
  type RecordChange,
} from '$core/edits/changes.ts';
import type { Edit } from '$core/edits/edits.ts';
import { emptyShop } from '$core/model/types/empty.ts';
import type { Shop } from '$core/model/types/types.ts';
import type { Copy } from '$core/merge/merge.ts';
import type { Answer, Question } from '$core/merge/questions.ts';
import { tidy } from '$core/merge/stamp.ts';
import { keyOf } from '$core/merge/names.ts';
import { stampChanges, type Stamps } from '$core/merge/write.ts';
import { plainVersion } from '$core/merge/slots.ts';
import type { RecordVersion, Versions } from '$core/model/types/versionTypes.ts';
import {
  allVersions,
  DB_NAME,
  layVersions,
  loadAll,
  openShopDb,
  readTx,
  writeRecords,
  writeTx,
  versionsOf,
  writeStamps,
  writeVersion,
  type Bench,
  type Db,
  type Laid,
  type UndoEntry,
  type WriteTx,
} from './db.ts';

/** A name of letters, drawn. */
function letters(count: number): string {
  const drawn = crypto.getRandomValues(new Uint8Array(count));
  return [...drawn].map((each) => String.fromCharCode(97 + (each % 26))).join('');
}

/** Edits of one key within this time are one undo step. */
const JOIN_MS = 1500;
const MOST_UNDO = 300;
/** Undo steps that stay when the browser's room is full. */
const LEAST_UNDO = 20;
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
  /** Who writes, as stored, while no other tab has written since. */
  #own: Bench | undefined;
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
    this.#own = undefined;
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
      if ((error as Error).name === 'QuotaExceededError') await this.#makeRoom();
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
      if (rev !== this.#rev) this.#own = undefined;
      let undoAt = head?.undoAt ?? 0;
      void tx.objectStore('undo').delete(IDBKeyRange.lowerBound(undoAt, true));
      for (const each of edits) {
        const { before, after } = this.#redone(each, shop);
        const changes = changesBetween(before, after);
        if (changes.length > 0) undoAt = await this.#pushUndo(tx, undoAt, each, changes);
        writeRecords(tx, changes, 'after');
        /* What is laid into an empty store is where all copies of this shop begin. */
        if (head) await this.#stamp(tx, changes);
        else void tx.objectStore('bench').put(await this.#bench(tx), 'bench');
        shop = after;
      }
      void tx.objectStore('head').put({ ...headOf(shop), rev: rev + 1, undoAt }, 'shop');
      await tx.done;
      this.#pending.splice(0, edits.length);
      this.stored = true;
      this.#took(shop, rev + 1, undoAt);
    } catch (error) {
      this.#own = undefined;
      try {
        tx.abort();
      } catch {
        /* It has failed by itself already. */
      }
      await tx.done.catch(() => undefined);
      throw error;
    }
    this.#signs.onwritten(this.#rev);
    this.canUndo = this.#undoAt > 0 || this.#pending.length > 0;
    this.canRedo = false;
    this.#signs.onchange();
  }

  /** Who writes: a name of its own for every store, and a new one once what it knows is another's copy. */
  async #bench(tx: WriteTx): Promise<Bench> {
    const known = this.#own ?? (await tx.objectStore('bench').get('bench'));
    if (known && (known.seen[known.bench] ?? 0) === known.n) return known;
    const bench = letters(8);
    return known
      ? { ...known, bench, n: 0 }
      : { line: letters(16), bench, n: 0, seen: {}, asks: false };
  }

  /** Every record that was written gets its version, in the transaction that writes it. */
  async #stamp(tx: WriteTx, changes: readonly RecordChange[]): Promise<void> {
    if (changes.length === 0) return;
    const bench = await this.#bench(tx);
    const keys = changes.map((change) =>
      change.in === 'head' ? 'head' : keyOf(change.in, change.id),
    );
    const comes = changes.some((change) => change.in !== 'head' && change.before === undefined);
    const known = {
      records: await versionsOf(tx, keys),
      gone: comes ? await tx.objectStore('gone').getAll() : [],
      seen: bench.seen,
    };
    const stamps: Stamps = stampChanges(changes, known, bench.bench);
    writeStamps(tx, stamps);
    const own = { ...bench, seen: stamps.seen, n: stamps.seen[bench.bench] ?? 0 };
    this.#own = own;
    void tx.objectStore('bench').put(own, 'bench');
  }

  async #layBack(tx: WriteTx, laid: Laid): Promise<void> {
    const bench = await this.#bench(tx);
    if (laid.all) {
      layVersions(tx, laid.all);
      const { line, seen } = laid.all;
      void tx.objectStore('bench').put({ ...bench, line, seen, asks: true }, 'bench');
    }
    /* Values were written anew; what stood beside them is what it was. */
    for (const [key, { apart, deleted, isNot }] of laid.some ?? []) {
      const now = await tx.objectStore('versions').get(key);
      writeVersion(tx, key, tidy({ ...(now ?? plainVersion()), apart, deleted, isNot }));
    }
    this.asks = true;
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
    return this.#enqueue(async () => {
      await this.#flush();
      if (!this.#db || this.practice || this.#pending.length > 0)
        throw new Error('What was done before is not stored yet.');
      const tx = writeTx(this.#db);
      this.#own = undefined;
      const { shop, head } = await loadAll(tx);
      const bench = await this.#bench(tx);
      const before = await allVersions(tx, bench);
      const made = make({ shop, versions: before });
      const changes = changesBetween(shop, made.shop);
      const undoAt = head.undoAt + 1;
      void tx.objectStore('undo').delete(IDBKeyRange.lowerBound(head.undoAt, true));
      const entry: UndoEntry = {
        n: undoAt,
        label,
        at: this.#signs.now(),
        changes,
        laid: { before: { all: before }, after: { all: made.versions } },
      };
      void tx.objectStore('undo').put(entry);
      writeRecords(tx, changes, 'after');
      layVersions(tx, made.versions);
      const { line, seen } = made.versions;
      void tx.objectStore('bench').put({ ...bench, line, seen, asks: true }, 'bench');
      void tx.objectStore('head').put({ ...headOf(made.shop), rev: head.rev + 1, undoAt }, 'shop');
      await tx.done;
      this.#own = undefined;
      this.before = shop;
      this.stored = true;
      this.asks = true;
      this.#took(made.shop, head.rev + 1, undoAt);
      this.#signs.onwritten(this.#rev);
      await this.#countUndo();
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
    this.#own = undefined;
    const store = writeTx(this.#db).objectStore('bench');
    const bench = await store.get('bench');
    if (bench?.asks) await store.put({ ...bench, asks: false }, 'bench');
  }

  /** An answer: its edit, and what it settles though nothing visible changes. One step to undo. */
  async answer(label: string, answer: Answer): Promise<void> {
    const { keysOf, settledBy } = await import('$core/merge/answer.ts');
    return this.#enqueue(async () => {
      await this.#flush();
      if (!this.#db || this.practice || this.#pending.length > 0)
        throw new Error('What was done before is not stored yet.');
      const tx = writeTx(this.#db);
      this.#own = undefined;
      const { shop, head } = await loadAll(tx);
      const next = answer.edit(shop);
      const changes = changesBetween(shop, next);
      const keys = keysOf(answer);
      const before = await versionsOf(tx, keys);
      await this.#stamp(tx, changes);
      const bench = await this.#bench(tx);
      const written = settledBy(answer, await versionsOf(tx, keys), bench.seen, bench.bench);
      const after: Record<string, RecordVersion | undefined> = written.records;
      for (const key of keys) writeVersion(tx, key, after[key]);
      const { seen } = written;
      void tx
        .objectStore('bench')
        .put({ ...bench, seen, n: seen[bench.bench] ?? bench.n }, 'bench');
      const undoAt = head.undoAt + 1;
      void tx.objectStore('undo').delete(IDBKeyRange.lowerBound(head.undoAt, true));
      const some = (of: Record<string, RecordVersion | undefined>) =>
        keys.map((key): [string, RecordVersion] => [key, of[key] ?? plainVersion()]);
      void tx.objectStore('undo').put({
        n: undoAt,
        label,
        at: this.#signs.now(),
        changes,
        laid: { before: { some: some(before) }, after: { some: some(after) } },
      });
      writeRecords(tx, changes, 'after');
      void tx.objectStore('head').put({ ...headOf(next), rev: head.rev + 1, undoAt }, 'shop');
      await tx.done;
      this.#own = undefined;
      this.before = shop;
      this.asks = true;
      this.#took(next, head.rev + 1, undoAt);
      this.#signs.onwritten(this.#rev);
      await this.#countUndo();
    });
  }

  async #pushUndo(
    tx: WriteTx,
    undoAt: number,
    edit: Pending,
    changes: RecordChange[],
  ): Promise<number> {
    const store = tx.objectStore('undo');
    const last = edit.key && undoAt > 0 ? await store.get(undoAt) : undefined;
    const at = this.#signs.now();
    const since = last ? at - last.at : Infinity;
    /* A clock that was set back is no reason to join. */
    if (last && last.key === edit.key && since >= 0 && since < JOIN_MS) {
      void store.put({ ...last, at, changes: joinChanges(last.changes, changes) });
      return undoAt;
    }
    const { label, key } = edit;
    const entry: UndoEntry = { n: undoAt + 1, label, at, changes, ...(key ? { key } : {}) };
    void store.put(entry);
    void store.delete(IDBKeyRange.upperBound(undoAt - MOST_UNDO));
    return undoAt + 1;
  }

  /** A full store: old undo steps go before anything else is lost. */
  async #makeRoom(): Promise<void> {
    if (!this.#db) return;
    try {
      await this.#db.delete('undo', IDBKeyRange.upperBound(this.#undoAt - LEAST_UNDO));
    } catch {
      /* No room even for that: the next try says it again. */
    }
  }

  async #step(side: 'before' | 'after'): Promise<void> {
    if (this.practice) return this.#stepPractised(side);
    await this.#flush();
    if (this.#pending.length > 0 || this.#popped.length > 0) {
      if (this.#stepWaiting(side)) return;
    }
    const tried = side === 'before' ? 'Nothing to undo.' : 'Nothing to redo.';
    if (!this.#db) {
      this.#signs.onsay(tried);
      return;
    }
    const tx = writeTx(this.#db);
    this.#own = undefined;
    const { shop, head } = await loadAll(tx);
    const n = side === 'before' ? head.undoAt : head.undoAt + 1;
    const entry = n > 0 ? await tx.objectStore('undo').get(n) : undefined;
    if (!entry) {
      await tx.done;
      this.#signs.onsay(tried);
      return;
    }
    const next = applyChanges(shop, entry.changes, side);
    const laid = entry.laid?.[side];
    if (!laid?.all) await this.#stamp(tx, changesBetween(shop, next));
    if (laid) await this.#layBack(tx, laid);
    const undoAt = side === 'before' ? n - 1 : n;
    writeRecords(tx, entry.changes, side);
    void tx.objectStore('head').put({ ...headOf(next), rev: head.rev + 1, undoAt }, 'shop');
    await tx.done;
    this.#own = undefined;
    this.before = shop;
    this.#took(next, head.rev + 1, undoAt);
    this.#signs.onwritten(this.#rev);
    await this.#countUndo();
    this.#signs.onsay(`${side === 'before' ? 'Undone' : 'Redone'}: ${entry.label}`);
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
    const store = readTx(this.#db).objectStore('undo');
    /* Keys alone: the step that laid in a whole shop is as large as the shop. */
    const [last, next] = await Promise.all([
      store.getKey(this.#undoAt),
      store.getKey(this.#undoAt + 1),
    ]);
    this.canUndo = last !== undefined || this.#pending.length > 0;
    this.canRedo = next !== undefined;
    this.#signs.onchange();
  }
}
