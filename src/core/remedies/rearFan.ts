import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    rearFan: unknown;
  }
}

/** A fan that blows out at the rear. */
export const rearFan = remedy({
  do: 'rearFan',
  id: 'rear-fan',
  fields: {},
  title: () => 'Fan at the rear',
  minutes: 15,
  get: () => ({ what: 'fan for the rear wall', count: 1 }),
  undoable: true,
});
