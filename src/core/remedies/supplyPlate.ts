import { faceOf } from '../standards/patterns.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    supplyPlate: { from?: string; to?: string };
  }
}

/** A plate that holds a smaller supply in a larger bay. */
export const supplyPlate = remedy({
  do: 'supplyPlate',
  id: 'supply-plate',
  fields: { from: { holds: 'word', aside: true }, to: { holds: 'word', aside: true } },
  title: ({ from, to }) =>
    from && to ? `Adapter plate ${from} to ${to}` : 'Adapter plate for the smaller PSU',
  minutes: 15,
  get: ({ from, to }) => ({
    what: from && to ? `adapter plate ${from} to ${to}` : 'adapter plate for the PSU',
    count: 1,
  }),
  made: (thing, { from = 'SFX', to = 'ATX' }) =>
    (thing.do === 'PSU plate' || thing.do === 'printed PSU plate') &&
    faceOf(from) === 'SFX' &&
    faceOf(to) === 'ATX',
  undoable: true,
});
