export {
  checkHoles,
  centreDistance,
  fromDistances,
  HolesError,
  type EdgePair,
} from './measured.ts';
export { distance, fitPlacement, placed, type Placement, type Point } from './placement.ts';
export {
  registerAll,
  registerOn,
  standardPatterns,
  type Candidate,
  type Pattern,
  type RegisterInput,
} from './register.ts';
export { drillToleranceMm, trayMatch, type TrayMatch } from './tray.ts';
export { identifyBoard, type Ask, type BoardIdentity } from './identifyBoard.ts';
