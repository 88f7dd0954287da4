import type { Check } from '../findings/finding.ts';
import { fitChecks } from '../fit/index.ts';
import { makeSums } from '../make/sums.ts';
import { printSums } from '../print/sums.ts';
import { linkChecks } from '../links/checks.ts';
import { keptByFacts } from '../model/lookup/reads.ts';
import { plugChecks } from '../plugs/index.ts';
import { wattChecks } from '../watts/index.ts';
import { condition } from './condition.ts';
import { finishSums } from './finishSums.ts';
import { headerAmps } from './headerAmps.ts';
import { heatSums } from './heatSums.ts';
import { missing } from './missing.ts';
import { overBudget } from './overBudget.ts';
import { promised } from './promised.ts';
import { boughtTwice } from './stageMoney.ts';
import { stageStops, stageWatts } from './stageSums.ts';

const stations: readonly Check[] = [...fitChecks, ...plugChecks, ...wattChecks, ...linkChecks].map(
  (check) => keptByFacts(check),
);

/** A check of money and promises: nothing of it goes out with the machine. */
function shopsOwn(check: Check): Check {
  return (plan) => check(plan).map((finding) => ({ ...finding, shopsOwn: true as const }));
}

/** Checks to which parts of one sort are all alike: what they measure, not which piece it is. */
export const ofTheSort: readonly Check[] = [
  ...stations,
  ...[makeSums, printSums, missing, headerAmps, heatSums, finishSums].map((check) =>
    keptByFacts(check),
  ),
];

/** Checks of the very piece: its condition, who else wants it, what it costs; and the stages, which look it up in the shop. */
export const ofThePiece: readonly Check[] = [
  ...[condition, shopsOwn(promised)].map((check) => keptByFacts(check)),
  shopsOwn(overBudget),
  shopsOwn(boughtTwice),
  stageWatts,
  stageStops(stations),
];

/** Every check of the house, each kept by what it reads of a plan. Adding one is adding a file and a line in its station's list. */
export const checks: readonly Check[] = [...ofTheSort, ...ofThePiece];
