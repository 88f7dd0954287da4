import { plain } from '../findings/terms.ts';
import { range } from '../units/range.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    lidWashers: unknown;
  }
}

/** What washers under the lid's screws lift it, mm (common practice, no source). */
export const WASHERS_MM = 3;

/** Washers under the lid's screws: little room, seen, and dust comes in. */
export const lidWashers = remedy({
  do: 'lidWashers',
  id: 'lid-washers',
  fields: {},
  title: () => 'Washers under the lid',
  step: () => "Lay washers under the lid's screws",
  minutes: 10,
  undoable: true,
  spoils: 'the lid stands off',
  term: () => plain('washers', range(WASHERS_MM), 1),
  options: () => [[{ do: 'lidWashers' }]],
});
