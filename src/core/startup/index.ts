export { causes, symptomIds, symptoms, type Cause, type Need, type Symptom } from './causes.ts';
export {
  nextTests,
  oddsOf,
  standOf,
  SURE,
  testOf,
  type DiagnosisState,
  type Learned,
  type NextTest,
  type Odds,
} from './diagnosis.ts';
export { leaveAlone, settingsFor, type Setting } from './settings.ts';
export { faultyMachine, afterwards, simulatedSpares, type FaultyMachine } from './simulated.ts';
export { checklist, tests, type Test } from './tests.ts';
