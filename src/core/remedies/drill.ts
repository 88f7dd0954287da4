import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    drill: { holes: readonly string[] };
  }
}

/** Holes drilled into the tray for standoffs the board asks for. */
export const drill = remedy({
  do: 'drill',
  id: 'drill',
  fields: { holes: { holds: 'words' } },
  title: ({ holes }) => `Drill and set standoff ${holes.join(', ')}`,
  minutes: 25,
  undoable: false,
  cuts: true,
});
