import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    oneOpening: { make: string };
  }
}

/** One opening for ports between which too little would be left standing. */
export const oneOpening = remedy({
  do: 'oneOpening',
  id: 'one-opening',
  fields: { make: { holds: 'word' } },
  title: () => 'One opening for both',
  minutes: 0,
  undoable: true,
  spoils: 'bare metal between the ports is gone',
  stepElsewhere: true,
});
