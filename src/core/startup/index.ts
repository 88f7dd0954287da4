export {
  causes,
  checklist,
  signIds,
  signs,
  tests,
  type Cause,
  type Sign,
  type Test,
} from './causes.ts';
export {
  nextTests,
  oddsOf,
  standOf,
  SURE,
  testOf,
  type HuntState,
  type Learned,
  type NextTest,
  type Odds,
} from './hunt.ts';
export { leaveAlone, settingsFor, type Setting } from './settings.ts';
export { faultyMachine, lookBack, practiceSpares, type FaultyMachine } from './bench.ts';
