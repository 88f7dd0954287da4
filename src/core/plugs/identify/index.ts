export {
  beepChance,
  classes,
  classOf,
  effort,
  handMeter,
  likelihood,
  type Meter,
  type Reading,
  type ReadingKind,
  type SignalClass,
} from './evidence.ts';
export { hypothesesFor, type Grid, type Hypothesis } from './hypotheses.ts';
export { identify, ReadingError, RUN_CERTAINTY, type IdentifyOptions } from './identify.ts';
export type { Identified, PinAnswer } from './answer.ts';
export { keptNotes, noted, notesOf, type PlugNotes } from './words.ts';
export { believe, type Common } from './beliefs.ts';
export { ownPlugOf, plugTag } from './keep.ts';
export { simulatedPlug, type SimulatedPlug, type HiddenPlug } from './meter.ts';
