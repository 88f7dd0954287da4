import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    supplyPlate: unknown;
  }
}

/** A plate that holds a smaller supply in a larger bay. */
export const supplyPlate = remedy({
  do: 'supplyPlate',
  id: 'supply-plate',
  fields: {},
  title: () => 'Adapter plate for the smaller PSU',
  minutes: 15,
  get: () => ({ what: 'adapter plate SFX to ATX', count: 1 }),
  undoable: true,
});
