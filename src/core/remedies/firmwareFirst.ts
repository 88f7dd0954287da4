import { indexOf } from '../model/lookup/lookup.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    firmwareFirst: { older: string };
  }
}

/** Instead of a tag: the board writes its firmware without a processor. */
export const BARE = 'bare';

/** New firmware written before the processor goes in, with an older one in the socket or none. */
export const firmwareFirst = remedy({
  do: 'firmwareFirst',
  id: 'firmware-first',
  fields: { older: { holds: 'part' } },
  title: ({ older }, plan) => {
    const part = indexOf(plan.shop).parts.get(older);
    return part
      ? `Write the firmware with ${part.name} (${part.id}) in the socket`
      : 'Write the firmware without a CPU, from a stick';
  },
  minutes: ({ older }) => (older === BARE ? 15 : 35),
  undoable: false,
  stepElsewhere: true,
});
