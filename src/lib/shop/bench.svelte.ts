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

/** An edit that is shown and waits to be stored. */
interface Pending {
  label: string;
  edit: Edit;
  key: string | undefined;
  before: Shop;
  after: Shop;
}

/** Edits of one key right after each other become one. */
function joinedByKey(edits: readonly Pending[]): Pending[] {
  const joined: Pending[] = [];
  for (const edit of edits) {
    const last = joined.at(-1);
    if (last && edit.key && last.key === edit.key) {
      const first = last.edit;
      joined[joined.length - 1] = {
        ...edit,
        before: last.before,
        edit: (shop) => edit.edit(first(shop)),
      };
    } else joined.push(edit);
  }
  return joined;
}

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
  #pending: Pending[] = [];
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
    this.#pending.push({ label, edit, key, before, after });
    if (this.#pending.length > 1) return;
    void this.#enqueue(() => this.#store()).catch((error: unknown) => {
      toast(
        `Not stored: ${(error as Error).message}. The page still holds it; export the shop.`,
        'stop',
      );
    });
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
    this.before = undefined;
  }

  /** Writes every edit that waits, each with its undo step, in one transaction. */
  async #store(): Promise<void> {
    const tx = writeTx(this.#open());
    const head = await tx.objectStore('head').get('shop');
    const edits = joinedByKey(this.#pending);
    this.#pending = [];
    const rev = head?.rev ?? 0;
    const moved = rev !== this.#rev;
    let shop = moved ? (await loadAll(tx)).shop : edits[0]?.before;
    let undoAt = head?.undoAt ?? 0;
    void tx.objectStore('undo').delete(IDBKeyRange.lowerBound(undoAt, true));
    for (const each of edits) {
      const from = moved && shop ? shop : each.before;
      const to = moved ? each.edit(from) : each.after;
      const changes = changesBetween(from, to);
      undoAt = await this.#pushUndo(tx, undoAt, each, changes);
      writeRecords(tx, changes, 'after');
      shop = to;
    }
    if (!shop) return;
    if (moved) this.shop = this.#pending.reduce((now, each) => each.edit(now), shop);
    void tx.objectStore('head').put({ ...headOf(shop), rev: rev + 1, undoAt }, 'shop');
    await tx.done;
    this.#written(rev + 1);
    this.canUndo = true;
    this.canRedo = false;
  }

  async #pushUndo(
    tx: ReturnType<typeof writeTx>,
    undoAt: number,
    edit: Pending,
    changes: RecordChange[],
  ): Promise<number> {
    const store = tx.objectStore('undo');
    const last = edit.key && undoAt > 0 ? await store.get(undoAt) : undefined;
    const at = Date.now();
    if (last && last.key === edit.key && at - last.at < JOIN_MS) {
      void store.put({ ...last, at, changes: joinChanges(last.changes, changes) });
      return undoAt;
    }
    const { label, key } = edit;
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
    /* Keys alone: the step that laid in a whole shop is as large as the shop. */
    const [last, next] = await Promise.all([store.getKey(undoAt), store.getKey(undoAt + 1)]);
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
