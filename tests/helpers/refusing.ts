import { IDBObjectStore } from 'fake-indexeddb';

/** A browser's store that misbehaves. Each returns how to make it behave again. */

/** Every write is refused with this word. */
export function refusingWrites(why: string): () => void {
  const put = IDBObjectStore.prototype.put;
  IDBObjectStore.prototype.put = function () {
    throw new DOMException(why, 'UnknownError');
  };
  return () => (IDBObjectStore.prototype.put = put);
}

/** Reads of the head take a while, so that others come between. */
export function slowWrites(ms: number): () => void {
  const put = IDBObjectStore.prototype.put;
  IDBObjectStore.prototype.put = function (...args) {
    const until = performance.now() + ms / 10;
    while (performance.now() < until);
    return put.apply(this, args);
  };
  return () => (IDBObjectStore.prototype.put = put);
}
