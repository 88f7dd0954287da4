export { attribute, dropBetween, type Attribution, type Drop } from './compare.ts';
export { caseAir, pressureSays, type CaseAir, type PlacedFan } from './caseAir.ts';
export { FanError, fanPlan, type FanMachine, type FanPlan } from './fanSteps.ts';
export {
  delimiterOf,
  LogError,
  LogReader,
  logOf,
  SENSE_C,
  sensorsJson,
  thinned,
  typedPairs,
  type ColumnKind,
  type Log,
  type LogColumn,
} from './log.ts';
export { heatRemedies, panelVerdict } from './panel.ts';
export { courseOf, saidBy, type Said } from './run.ts';
export { settle, SettleError, type Settling } from './settle.ts';
export { follows, nextTrial } from './trials.ts';
