import { joinChanges } from '$core/edits/changes.ts';
import { readTx, type Db, type UndoEntry, type WriteTx } from './db.ts';

/** Undo steps as they are stored: numbered from 1, those after the number in force were taken back. */

/** Edits of one key within this time are one step. */
const JOIN_MS = 1500;
const MOST = 300;
/** Steps that stay when the browser's room is full. */
const LEAST = 20;

/** From here on nothing can be done again that was taken back. */
export const forgetUndone = (tx: WriteTx, undoAt: number): void =>
  void tx.objectStore('undo').delete(IDBKeyRange.lowerBound(undoAt, true));

/** A step of its own after the one in force; the number in force now. */
export function putStep(tx: WriteTx, undoAt: number, step: Omit<UndoEntry, 'n'>): number {
  const store = tx.objectStore('undo');
  void store.put({ n: undoAt + 1, ...step });
  void store.delete(IDBKeyRange.upperBound(undoAt - MOST));
  return undoAt + 1;
}

/** The same, joined to the step in force where both are edits of one thing shortly after one another. */
export async function joinStep(
  tx: WriteTx,
  undoAt: number,
  step: Omit<UndoEntry, 'n' | 'laid'>,
): Promise<number> {
  const store = tx.objectStore('undo');
  const last = step.key && undoAt > 0 ? await store.get(undoAt) : undefined;
  const since = last ? step.at - last.at : Infinity;
  /* A clock that was set back is no reason to join. */
  if (last && last.key === step.key && since >= 0 && since < JOIN_MS) {
    void store.put({ ...last, at: step.at, changes: joinChanges(last.changes, step.changes) });
    return undoAt;
  }
  return putStep(tx, undoAt, step);
}

/** Whether there is a step to take back, and one to do again. Keys alone are read: the step that laid in a whole shop is as large as the shop. */
export async function stepsAround(
  db: Db,
  undoAt: number,
): Promise<{ before: boolean; after: boolean }> {
  const store = readTx(db).objectStore('undo');
  const [last, next] = await Promise.all([store.getKey(undoAt), store.getKey(undoAt + 1)]);
  return { before: last !== undefined, after: next !== undefined };
}

/** A full store: old steps go before anything else is lost. */
export async function makeRoom(db: Db, undoAt: number): Promise<void> {
  try {
    await db.delete('undo', IDBKeyRange.upperBound(undoAt - LEAST));
  } catch {
    /* No room even for that: the next try says it again. */
  }
}
