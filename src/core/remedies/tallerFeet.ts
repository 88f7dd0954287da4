import { plain } from '../findings/terms.ts';
import { range } from '../units/range.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    tallerFeet: unknown;
  }
}

/** Feet that let a floor vent draw, mm (common practice, no source). */
export const FEET_MM = range(17, 20);

/** Feet that let a vent in the floor draw. */
export const tallerFeet = remedy({
  do: 'tallerFeet',
  id: 'taller-feet',
  fields: {},
  title: () => 'Feet of 17 to 20 mm',
  minutes: 10,
  get: () => ({ what: 'feet 17 to 20 mm, set of four', count: 1 }),
  undoable: true,
  term: () => plain('taller feet', FEET_MM, 1),
});
