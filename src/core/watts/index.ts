import type { Check } from '../findings/finding.ts';
import { rail12 } from './rail12.ts';
import { supplyTotal } from './supplyTotal.ts';

/** Will it be fed? */
export const wattChecks: readonly Check[] = [supplyTotal, rail12];
