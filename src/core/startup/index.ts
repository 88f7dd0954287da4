export { causes, signIds, signs, type Cause, type Sign } from './causes.ts';
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
export { checklist, tests, type Test } from './tests.ts';
