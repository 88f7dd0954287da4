import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    driveBracket: { form: string };
  }
}

/** A bracket for a drive without a mount. */
export const driveBracket = remedy({
  do: 'driveBracket',
  id: 'drive-bracket',
  fields: { form: { holds: 'word' } },
  title: ({ form }) => `Bracket for a ${form} in drive`,
  minutes: 15,
  get: ({ form }) => ({ what: `bracket for a ${form} in drive`, count: 1 }),
  made: (thing, { form }) => thing.do === 'drive bracket' && thing.form === form,
  undoable: true,
});
