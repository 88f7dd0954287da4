import type { Source } from '../source.ts';
import { makerPlugs } from './makers.ts';
import type { Plug } from './plug.ts';
import { powerPlugs } from './power.ts';
import { slotPlugs } from './slots.ts';
import { levels } from './signals.ts';
import { barrels, smallPlugs } from './small.ts';

export { placeOf, seen, views, type Group, type Numbering, type Plug, type View } from './plug.ts';
export { codeFor, hasSense, senseNames, type SenseCode, type SenseContact } from './sense.ts';
export { atLoad, contactA, signal, type Direction, type Signal } from './signals.ts';

/** The shelf of plugs: every connector the house knows, families of makers' plugs last. */
export const plugs: readonly Plug[] = [
  ...powerPlugs,
  ...smallPlugs,
  ...barrels,
  ...slotPlugs,
  ...makerPlugs,
];

/** Names a pin may bear: every signal of the shelf, and '?' for a pin nobody knows. */
const signalNames = new Set([
  ...levels.map((each) => each.name),
  ...plugs.flatMap((each) => each.pins),
]);
export const knownSignal = (name: string | undefined): boolean =>
  name !== undefined && signalNames.has(name);

const byId = new Map(plugs.map((each) => [each.id, each]));

export const plug = (id: string): Plug | undefined => byId.get(id);

/** Whether it is one of the published plugs of a group. */
export const isOfGroup = (id: string, group: Plug['group']): boolean =>
  byId.get(id)?.group === group;

/** Whether a plug goes where another one is wanted: itself, or one it splits into. */
export const goesAs = (id: string, wanted: string): boolean =>
  id === wanted || byId.get(id)?.goesAs?.includes(wanted) === true;

export const plugName = (id: string): string => plug(id)?.name ?? id;

/** Makers' main plugs: a family, never proof of their pins. */
export const makerMains: readonly Plug[] = makerPlugs.filter((each) => each.group === "maker's");

export const mainPlugIds: readonly string[] = [
  'main24',
  'main20',
  'main10',
  ...makerMains.map((each) => each.id),
];
export const processorPlugIds: readonly string[] = ['cpu4', 'cpu8', 'none'];

/** Slot power, PCI Express Card Electromechanical: watts a slot may give. */
export const slotW = {
  graphics: 75,
  other: 25,
  x1: 10,
  source: {
    title: 'PCI Express Card Electromechanical specification',
    clause: 'power',
    memory: true,
  } as Source,
};
