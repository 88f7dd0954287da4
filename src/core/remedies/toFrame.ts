import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    toFrame: { count?: number };
  }
}

/** What hangs on the lid mounted on the frame. */
export const toFrame = remedy({
  do: 'toFrame',
  id: 'to-frame',
  fields: { count: { holds: 'count', aside: true } },
  title: () => 'Mount it on the frame, printed bracket',
  minutes: 40,
  get: ({ count = 1 }) => ({ what: 'printed bracket, heat-proof (PETG or better)', count }),
  undoable: true,
});
