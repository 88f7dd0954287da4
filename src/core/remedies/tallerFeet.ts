import type { Plan } from '../model/lookup/plan.ts';
import type { Term } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import { range } from '../units/range.ts';
import { remedy } from './kind.ts';
import { thingsOf } from './things.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    tallerFeet: unknown;
  }
}

/** Feet that let a floor vent draw, mm (common practice, no source). */
export const FEET_MM = range(17, 20);

/** What the feet lift: those printed for the job by their own height, else as they are bought. */
export function taller(plan: Plan): Term {
  const high = thingsOf(plan).flatMap((thing) => (thing.do === 'foot' ? [thing.height] : []));
  return high.length > 0
    ? plain('printed feet', range(Math.min(...high)), 1)
    : plain('taller feet', FEET_MM, 1);
}

/** Feet that let a vent in the floor draw. */
export const tallerFeet = remedy({
  do: 'tallerFeet',
  id: 'taller-feet',
  fields: {},
  title: () => 'Feet of 17 to 20 mm',
  minutes: 10,
  get: () => ({ what: 'feet 17 to 20 mm, set of four', count: 1 }),
  made: (thing) => thing.do === 'foot',
  undoable: true,
  term: taller,
});
