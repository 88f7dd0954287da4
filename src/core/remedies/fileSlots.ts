import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    fileSlots: { mm?: number };
  }
}

/** A cooler's mounting plate filed to the holes of another socket. */
export const fileSlots = remedy({
  do: 'fileSlots',
  id: 'file-slots',
  fields: { mm: { holds: 'count', aside: true } },
  title: ({ mm }) =>
    `File the plate's holes${mm === undefined ? '' : ` ${mm.toFixed(1)} mm`} to slots`,
  step: () => "File the mounting plate's holes to slots",
  minutes: 45,
  undoable: false,
  cuts: true,
  givesUp: 'even pressure: check that the cooler sits level',
});
