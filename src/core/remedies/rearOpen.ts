import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    rearOpen: unknown;
  }
}

/** The rear left open behind the board. */
export const rearOpen = remedy({
  do: 'rearOpen',
  id: 'rear-open',
  fields: {},
  title: () => 'Leave the plate out, push the board back',
  step: () => 'Leave the rear plate out',
  minutes: 10,
  undoable: true,
  givesUp: 'a closed rear',
});
