import type { RecordChange } from '$core/edits/changes.ts';
import type { Answer } from '$core/merge/question.ts';
import { keyOf } from '$core/merge/names.ts';
import { plainVersion } from '$core/merge/slots.ts';
import { tidy } from '$core/merge/stamp.ts';
import { stampChanges } from '$core/merge/write.ts';
import type { RecordVersion, Versions } from '$core/model/types/versionTypes.ts';
import {
  layVersions,
  versionsOf,
  writeStamps,
  writeVersion,
  type Bench,
  type Laid,
  type WriteTx,
} from './db.ts';

/** A name of letters, drawn. */
function letters(count: number): string {
  const drawn = crypto.getRandomValues(new Uint8Array(count));
  return [...drawn].map((each) => String.fromCharCode(97 + (each % 26))).join('');
}

/** Who writes into a store, and the versions of what is written: each in the transaction that writes it. */
export class Writer {
  /** As stored, while no other tab has written since. */
  #own: Bench | undefined;

  /** Another tab may have written, or a transaction may not end well. */
  forget(): void {
    this.#own = undefined;
  }

  /** A name of its own for every store, and a new one once what it knows is another's copy. */
  async bench(tx: WriteTx): Promise<Bench> {
    const known = this.#own ?? (await tx.objectStore('bench').get('bench'));
    if (known && (known.seen[known.bench] ?? 0) === known.n) return known;
    const bench = letters(8);
    return known
      ? { ...known, bench, n: 0 }
      : { line: letters(16), bench, n: 0, seen: {}, asks: false };
  }

  /** What is laid into an empty store is where all copies of this shop begin. */
  async begin(tx: WriteTx): Promise<void> {
    this.#put(tx, await this.bench(tx));
  }

  /** Every record that is written gets its version. */
  async stamp(tx: WriteTx, changes: readonly RecordChange[]): Promise<void> {
    if (changes.length === 0) return;
    const bench = await this.bench(tx);
    const keys = changes.map((change) =>
      change.in === 'head' ? 'head' : keyOf(change.in, change.id),
    );
    const comes = changes.some((change) => change.in !== 'head' && change.before === undefined);
    const known = {
      records: await versionsOf(tx, keys),
      gone: comes ? await tx.objectStore('gone').getAll() : [],
      seen: bench.seen,
    };
    const stamps = stampChanges(changes, known, bench.bench);
    writeStamps(tx, stamps);
    this.#own = { ...bench, seen: stamps.seen, n: stamps.seen[bench.bench] ?? 0 };
    this.#put(tx, this.#own);
  }

  /** Versions that come with a whole shop, in the place of all that were. */
  async lay(tx: WriteTx, versions: Versions): Promise<void> {
    const bench = await this.bench(tx);
    layVersions(tx, versions);
    this.#put(tx, { ...bench, line: versions.line, seen: versions.seen, asks: true });
  }

  /** What was laid in with a step, as it was before or after it. */
  async layBack(tx: WriteTx, laid: Laid): Promise<void> {
    if (laid.all) await this.lay(tx, laid.all);
    /* Values were written anew; what stood beside them is what it was. */
    for (const [key, { apart, deleted, isNot }] of laid.some ?? []) {
      const now = await tx.objectStore('versions').get(key);
      writeVersion(tx, key, tidy({ ...(now ?? plainVersion()), apart, deleted, isNot }));
    }
  }

  /**
   * What an answer settles, its edit's changes stamped: versions as they were and are. What knows it is loaded before, for
   * a transaction does not outlive the wait for it.
   */
  async settle(
    tx: WriteTx,
    { keysOf, settledBy }: typeof import('$core/merge/answer.ts'),
    answer: Answer,
    changes: readonly RecordChange[],
  ): Promise<{ before: Laid; after: Laid }> {
    const keys = keysOf(answer);
    const before = await versionsOf(tx, keys);
    await this.stamp(tx, changes);
    const bench = await this.bench(tx);
    const written = settledBy(answer, await versionsOf(tx, keys), bench.seen, bench.bench);
    const after: Record<string, RecordVersion | undefined> = written.records;
    for (const key of keys) writeVersion(tx, key, after[key]);
    const { seen } = written;
    this.#put(tx, { ...bench, seen, n: seen[bench.bench] ?? bench.n });
    const some = (of: Record<string, RecordVersion | undefined>) =>
      keys.map((key): [string, RecordVersion] => [key, of[key] ?? plainVersion()]);
    return { before: { some: some(before) }, after: { some: some(after) } };
  }

  #put(tx: WriteTx, bench: Bench): void {
    void tx.objectStore('bench').put(bench, 'bench');
  }
}
