import { plugNameIn } from '../model/lookup/ownPlugs.ts';
import { plugsOf } from '../model/lookup/reads.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    processorAdapter: { to?: string };
  }
}

/** The board's processor header fed from drive plugs. */
export const processorAdapter = remedy({
  do: 'processorAdapter',
  id: 'processor-adapter',
  fields: { to: { holds: 'word', aside: true } },
  title: () => 'Adapter to the CPU header, from two drive plugs on two separate leads',
  minutes: 10,
  get: ({ to }, plan) => ({ what: `adapter to ${plugNameIn(plugsOf(plan), to ?? '')}`, count: 1 }),
  undoable: true,
  givesUp: 'headroom on the drive leads',
});
