import type { Dot, RecordVersion, Seen } from '../model/types/versionTypes.ts';
import type { Shop } from '../model/types/types.ts';
import { nextNumber } from './dots.ts';
import type { Copy } from './merge.ts';
import type { Answer } from './question.ts';
import { plainVersion } from './slots.ts';
import { keptOn, settled } from './stamp.ts';
import { edited } from './write.ts';

/** Keys of the records whose versions an answer touches beyond its edit. */
export const keysOf = ({ settles, keeps, isNot }: Answer): string[] => [
  ...new Set([
    ...(settles ?? []).map(({ key }) => key),
    ...(keeps ?? []),
    ...(isNot ?? []).map(({ key }) => key),
  ]),
];

/** What an answer settles beyond its edit: those versions as they are then, each with a write of its own. */
export function settledBy(
  answer: Answer,
  versions: Readonly<Record<string, RecordVersion | undefined>>,
  seen: Seen,
  bench: string,
): { records: Record<string, RecordVersion>; seen: Seen } {
  const records = new Map<string, RecordVersion>();
  let known = seen;
  const write = (
    key: string,
    change: (version: RecordVersion, dot: Dot) => RecordVersion,
  ): void => {
    const n = nextNumber(known);
    known = { ...known, [bench]: n };
    const version = records.get(key) ?? versions[key] ?? plainVersion();
    records.set(key, change(version, `${bench}.${n}`));
  };
  for (const { key, slot } of answer.settles ?? [])
    write(key, (version, dot) => settled(version, slot, dot));
  for (const key of answer.keeps ?? []) write(key, keptOn);
  for (const { key, name } of answer.isNot ?? [])
    write(key, (version) => ({ ...version, isNot: [...(version.isNot ?? []), name].sort() }));
  return { records: Object.fromEntries(records), seen: known };
}

/** An answer given at a bench: its edit, and what it settles beyond. */
export function answered(copy: Copy, answer: Answer, bench: string): Copy {
  const after: Shop = answer.edit(copy.shop);
  const { versions } = edited(copy, after, bench);
  const { records, seen } = settledBy(answer, versions.records, versions.seen, bench);
  return {
    shop: after,
    versions: { ...versions, seen, records: { ...versions.records, ...records } },
  };
}
