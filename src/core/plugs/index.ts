import type { Check } from '../findings/finding.ts';
import { cardPlugs, drivePlugs } from './countPlugs.ts';
import { modularLeads } from './leads.ts';
import { mainPlug } from './mainPlug.ts';
import { processorPlug } from './processorPlug.ts';
import { frontBlock, frontUsb } from './frontPanel.ts';
import { driveKeys, fans, lights } from './smallPairs.ts';

/** Will it join? */
export const plugChecks: readonly Check[] = [
  mainPlug,
  processorPlug,
  cardPlugs,
  drivePlugs,
  driveKeys,
  lights,
  fans,
  frontBlock,
  frontUsb,
  modularLeads,
];
