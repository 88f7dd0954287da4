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
    `File the plate's holes${mm === undefined ? '' : ` ${mm.toFixed(1)} mm each way, ${(mm * Math.SQRT2).toFixed(1)} on the diagonal,`} to slots`,
  step: () => "File the mounting plate's holes to slots",
  minutes: 45,
  undoable: false,
  cuts: true,
  givesUp:
    'even pressure, and on newer sockets some of it, for their lids lie lower: check the print in the paste',
});
