import { remedy } from './kind.ts';
import { thingsOf, type Thing } from './things.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    rearPlate: unknown;
  }
}

const isPlate = (thing: Thing) => thing.do === 'rear plate' || thing.do === 'port frame';

/** The plate of ports out of a shell of the board's own kind. */
export const rearPlate = remedy({
  do: 'rearPlate',
  id: 'rear-plate',
  fields: {},
  title: (_, plan) =>
    thingsOf(plan).some(isPlate)
      ? 'The rear plate made for it'
      : 'Plate from a scrapped case of the kind',
  minutes: 30,
  get: () => ({ what: 'rear plate of the board’s own case', count: 1 }),
  made: isPlate,
  undoable: true,
  givesUp: 'the case it is cut from',
});
