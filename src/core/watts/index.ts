import type { Check } from '../findings/finding.ts';
import { boardDrives } from './boardDrives.ts';
import { cardBudget } from './cardBudget.ts';
import { dcBoard } from './dcBoard.ts';
import { feedLimits } from './feedLimits.ts';
import { labelSense, smallRails } from './label.ts';
import { fire } from './fire.ts';
import { leadDrops, leadLimits, slotLimits } from './leadLimits.ts';
import { excursions, spinUp } from './peaks.ts';
import { rail12 } from './rail12.ts';
import { measuredSchool } from './schools.ts';
import { twelveVoltRails } from './rails.ts';
import { groupRegulation } from './regulation.ts';
import { secondSupply } from './secondSupply.ts';
import { standby } from './standby.ts';
import { supplyTotal } from './supplyTotal.ts';

/** The sums a supply is sized by. */
export const sizeChecks: readonly Check[] = [supplyTotal, rail12, feedLimits];

/** Will it be fed? */
export const wattChecks: readonly Check[] = [
  supplyTotal,
  rail12,
  twelveVoltRails,
  smallRails,
  standby,
  groupRegulation,
  labelSense,
  leadLimits,
  leadDrops,
  slotLimits,
  cardBudget,
  excursions,
  spinUp,
  boardDrives,
  fire,
  feedLimits,
  dcBoard,
  measuredSchool,
  secondSupply,
];
