import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    sataSplitter: unknown;
  }
}

/** One SATA power plug for two drives. */
export const sataSplitter = remedy({
  do: 'sataSplitter',
  id: 'sata-splitter',
  fields: {},
  title: () => 'Crimped SATA splitter, two ways',
  minutes: 5,
  get: () => ({ what: 'crimped SATA power splitter', count: 1 }),
  undoable: true,
});
