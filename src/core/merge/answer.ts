import type { RecordVersion } from '../model/types/versionTypes.ts';
import type { Shop } from '../model/types/types.ts';
import { nextNumber } from './dots.ts';
import type { Copy } from './merge.ts';
import type { Answer } from './questions.ts';
import { keptOn, settled } from './stamp.ts';
import { edited } from './write.ts';
import { plainVersion } from './slots.ts';

/** An answer given at a bench: its edit, and what it settles beyond. */
export function answered(copy: Copy, answer: Answer, bench: string): Copy {
  const after: Shop = answer.edit(copy.shop);
  let { versions } = edited(copy, after, bench);
  const write = (key: string, change: (version: RecordVersion, dot: string) => RecordVersion) => {
    const n = nextNumber(versions.seen);
    versions = {
      ...versions,
      seen: { ...versions.seen, [bench]: n },
      records: {
        ...versions.records,
        [key]: change(versions.records[key] ?? plainVersion(), `${bench}.${n}`),
      },
    };
  };
  for (const { key, slot } of answer.settles ?? [])
    write(key, (version, dot) => settled(version, slot, dot));
  for (const key of answer.keeps ?? []) write(key, keptOn);
  for (const { key, name } of answer.isNot ?? [])
    write(key, (version) => ({ ...version, isNot: [...(version.isNot ?? []), name].sort() }));
  return { shop: after, versions };
}
