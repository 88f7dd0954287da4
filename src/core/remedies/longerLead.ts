import { plain } from '../findings/terms.ts';
import { range } from '../units/range.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    longerLead: { lead: string; name?: string };
  }
}

/** Usual extensions, mm (common practice, no source). */
const EXTENSION_MM = range(200, 300);

/** An extension for a lead that is too short. */
export const longerLead = remedy({
  do: 'longerLead',
  id: 'lead-longer',
  fields: { lead: { holds: 'word' }, name: { holds: 'word', aside: true } },
  title: ({ name = 'lead' }) => `Extension for the ${name}`,
  minutes: 5,
  get: ({ name = 'lead' }) => ({ what: `extension for the ${name}`, count: 1 }),
  undoable: true,
  givesUp: 'two more contacts in the path',
  term: () => plain('extension', EXTENSION_MM, 1),
});
