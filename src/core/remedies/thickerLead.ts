import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    thickerLead: { awg: number; leadMm?: number };
  }
}

/** The lead of a machine on one voltage, in thicker wire. */
export const thickerLead = remedy({
  do: 'thickerLead',
  id: 'feed-awg',
  fields: { awg: { holds: 'count' }, leadMm: { holds: 'count', aside: true } },
  title: ({ awg, leadMm }) =>
    `the lead in AWG ${awg}${leadMm === undefined ? '' : `, ${(leadMm / 1000).toFixed(1)} m`}`,
  minutes: 30,
  get: ({ awg, leadMm = 1000 }) => ({
    what: `wire AWG ${awg}, ${((2 * leadMm) / 1000).toFixed(0)} m`,
    count: 1,
  }),
  undoable: true,
});
