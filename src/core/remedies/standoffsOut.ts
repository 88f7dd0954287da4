import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    standoffsOut: { holes: readonly string[] };
  }
}

/** Standoffs that would touch the board's back come out. */
export const standoffsOut = remedy({
  do: 'standoffsOut',
  id: 'standoffs-out',
  fields: { holes: { holds: 'words' } },
  title: ({ holes }) => `Take standoff ${holes.join(', ')} out`,
  minutes: 5,
  undoable: true,
});
