import type { Source } from './source.ts';
import { table } from '../units/table.ts';

export const memorySource: Source = { title: 'JEDEC memory standards', memory: true };

/** Memory kinds; the top speed JEDEC lists, MT/s. Unlike kinds have their key elsewhere: none fits another's slot. */
export const memoryKinds: Record<string, { topMts: number }> = table({
  DDR2: { topMts: 1066 },
  DDR3: { topMts: 2133 },
  DDR4: { topMts: 3200 },
  DDR5: { topMts: 8800 },
});

/** Height of a bare module, mm. */
export const moduleHeightMm = { DIMM: 31.25, 'SO-DIMM': 30 } as const;
