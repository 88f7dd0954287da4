import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    rearCut: { count?: number };
  }
}

/** Setting up to cut, and each opening, min. */
const SETTING_UP = 15;
const EACH = 15;

/** Openings for the ports cut into the rear wall. */
export const rearCut = remedy({
  do: 'rearCut',
  id: 'rear-cut',
  fields: { count: { holds: 'count', aside: true } },
  title: ({ count = 1 }) => `Cut ${count} ${count === 1 ? 'opening' : 'openings'}`,
  step: () => 'Cut the rear openings as listed',
  minutes: ({ count = 1 }) => SETTING_UP + EACH * count,
  made: (thing) => thing.do === 'rear wall',
  undoable: false,
  cuts: true,
  spoils: 'new openings in the rear',
});
