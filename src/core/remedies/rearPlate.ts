import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    rearPlate: unknown;
  }
}

/** The plate of ports out of a shell of the board's own kind. */
export const rearPlate = remedy({
  do: 'rearPlate',
  id: 'rear-plate',
  fields: {},
  title: () => 'Plate from a scrapped case of the kind',
  minutes: 30,
  get: () => ({ what: 'rear plate of the board’s own case', count: 1 }),
  undoable: true,
  givesUp: 'the case it is cut from',
});
