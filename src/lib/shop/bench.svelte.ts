import {
  applyChanges,
  changesBetween,
  headOf,
  joinChanges,
  type RecordChange,
} from '$core/edits/changes.ts';
import type { Edit } from '$core/edits/edits.ts';
import { emptyShop } from '$core/model/empty.ts';
import type { Shop } from '$core/model/types.ts';
import {
  loadAll,
  openShopDb,
  readTx,
  writeRecords,
  writeTx,
  type Db,
  type UndoEntry,
} from './db.ts';
import { toast } from './toasts.svelte.ts';

/** Edits of one key within this time are one undo step. */
const JOIN_MS = 1500;
const MOST_UNDO = 300;

/**
 * The shop as every view sees it. Each edit shows at once and is written with its undo
 * step in one transaction; other tabs hear of it and read again.
 */
class Bench {
  shop = $state.raw<Shop>(emptyShop());
  ready = $state(false);
  /** The shop before the latest edit: what the tape strikes through. */
  before = $state.raw<Shop | undefined>(undefined);
  canUndo = $state(false);
  canRedo = $state(false);
  /** ISO time, moved on every half minute: when hands are next needed hangs on it. */
  now = $state(new Date().toISOString());

  #db: Db | undefined;
  #rev = 0;
  #queue: Promise<unknown> = Promise.resolve();
  #channel: BroadcastChannel | undefined;

  async start(): Promise<void> {
    if (this.#db) return;
    this.#db = await openShopDb();
    const stored = await this.#reload();
    if (!stored) await this.#firstRun();
    this.#channel = new BroadcastChannel('nutshell-swap');
    this.#channel.onmessage = () => void this.#enqueue(() => this.#reload());
    setInterval(() => (this.now = new Date().toISOString()), 30_000);
    void navigator.storage?.persist?.();
    this.ready = true;
  }

  /** Shows the edit at once and stores it; `key` joins quick edits of the same thing into one step. */
  edit(label: string, edit: Edit, key?: string): void {
    const before = this.shop;
    const after = edit(before);
    if (after === before) return;
    this.before = before;
    this.shop = after;
    void this.#enqueue(() => this.#store(label, edit, before, after, key)).catch(
      (error: unknown) => {
        toast(
          `Not stored: ${(error as Error).message}. The page still holds it; export the shop.`,
          'stop',
        );
      },
    );
  }

  undo(): Promise<void> {
    return this.#enqueue(() => this.#step('before'));
  }

  redo(): Promise<void> {
    return this.#enqueue(() => this.#step('after'));
  }

  /** Waits until every edit so far is stored. */
  settled(): Promise<unknown> {
    return this.#queue;
  }

  #enqueue<T>(work: () => Promise<T>): Promise<T> {
    const run = this.#queue.then(work);
    this.#queue = run.catch(() => undefined);
    return run;
  }

  async #reload(): Promise<boolean> {
    const loaded = await loadAll(readTx(this.#open()));
    this.shop = loaded.shop;
    this.#rev = loaded.head.rev;
    await this.#countUndo(loaded.head.undoAt);
    return loaded.stored;
  }

  async #firstRun(): Promise<void> {
    const answer = await fetch('/api/v1/demo?when=first').catch(() => undefined);
    if (answer?.status !== 200) return;
    const shop = (await answer.json()) as Shop;
    this.edit('demo shop', () => shop);
    await this.settled();
    this.before = undefined;
  }

  async #store(label: string, edit: Edit, before: Shop, after: Shop, key?: string): Promise<void> {
    const tx = writeTx(this.#open());
    const head = await tx.objectStore('head').get('shop');
    const rev = head?.rev ?? 0;
    let from = before;
    let to = after;
    if (rev !== this.#rev) {
      from = (await loadAll(tx)).shop;
      to = edit(from);
      this.shop = to;
    }
    const changes = changesBetween(from, to);
    const undoAt = await this.#pushUndo(tx, head?.undoAt ?? 0, label, changes, key);
    writeRecords(tx, changes, 'after');
    void tx.objectStore('head').put({ ...headOf(to), rev: rev + 1, undoAt }, 'shop');
    await tx.done;
    this.#written(rev + 1);
    await this.#countUndo(undoAt);
  }

  async #pushUndo(
    tx: ReturnType<typeof writeTx>,
    undoAt: number,
    label: string,
    changes: RecordChange[],
    key: string | undefined,
  ): Promise<number> {
    const store = tx.objectStore('undo');
    void store.delete(IDBKeyRange.lowerBound(undoAt, true));
    const last = undoAt > 0 ? await store.get(undoAt) : undefined;
    const at = Date.now();
    if (last && key && last.key === key && at - last.at < JOIN_MS) {
      void store.put({ ...last, at, changes: joinChanges(last.changes, changes) });
      return undoAt;
    }
    const entry: UndoEntry = { n: undoAt + 1, label, at, changes, ...(key ? { key } : {}) };
    void store.put(entry);
    void store.delete(IDBKeyRange.upperBound(undoAt - MOST_UNDO));
    return undoAt + 1;
  }

  async #step(side: 'before' | 'after'): Promise<void> {
    const tx = writeTx(this.#open());
    const { shop, head } = await loadAll(tx);
    const n = side === 'before' ? head.undoAt : head.undoAt + 1;
    const entry = n > 0 ? await tx.objectStore('undo').get(n) : undefined;
    if (!entry) {
      toast(side === 'before' ? 'Nothing to undo.' : 'Nothing to redo.');
      await tx.done;
      return;
    }
    const next = applyChanges(shop, entry.changes, side);
    const undoAt = side === 'before' ? n - 1 : n;
    writeRecords(tx, entry.changes, side);
    void tx.objectStore('head').put({ ...headOf(next), rev: head.rev + 1, undoAt }, 'shop');
    await tx.done;
    this.before = shop;
    this.shop = next;
    this.#written(head.rev + 1);
    await this.#countUndo(undoAt);
    toast(`${side === 'before' ? 'Undone' : 'Redone'}: ${entry.label}`);
  }

  async #countUndo(undoAt: number): Promise<void> {
    const store = readTx(this.#open()).objectStore('undo');
    const [last, next] = await Promise.all([store.get(undoAt), store.get(undoAt + 1)]);
    this.canUndo = last !== undefined;
    this.canRedo = next !== undefined;
  }

  #written(rev: number): void {
    this.#rev = rev;
    this.#channel?.postMessage(rev);
  }

  #open(): Db {
    if (!this.#db) throw new Error('the shop is not open yet');
    return this.#db;
  }
}

export const bench = new Bench();
