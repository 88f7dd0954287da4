import type { Check } from '../findings/finding.ts';
import { cardPlugs, drivePlugs } from './countPlugs.ts';
import { mainPlug } from './mainPlug.ts';
import { processorPlug } from './processorPlug.ts';

/** Will it join? */
export const plugChecks: readonly Check[] = [mainPlug, processorPlug, cardPlugs, drivePlugs];
