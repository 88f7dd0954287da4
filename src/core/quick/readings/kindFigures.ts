import type { Kind } from '../../model/types/types.ts';
import { table } from '../../units/table.ts';
import type { Unit } from '../line/tokens.ts';

/** Which figure of a kind a quantity is, in the order people say them. */
export const figuresOf: Partial<Record<Kind, Partial<Record<Unit, readonly string[]>>>> = {
  card: {
    mm: ['length', 'height'],
    slots: ['slotsWide'],
    W: ['watts'],
    lanes: ['lanes'],
    gen: ['gen'],
  },
  cooler: { mm: ['height', 'width', 'breadth'] },
  memory: { GB: ['size'], 'MT/s': ['speed'], mm: ['height'], bare: ['speed'] },
  drive: { GB: ['size'], W: ['watts'], gen: ['gen'], lanes: ['lanes'] },
  supply: { W: ['watts'], mm: ['depth'], A: ['amps12'], V: ['volts'] },
  fan: { mm: ['size', 'thickness'], bare: ['size'], A: ['amps'] },
  case: { mm: ['cardRoom'], slots: ['slots'] },
  board: { mm: ['width', 'depth'], slots: ['memorySlots'] },
  processor: { W: ['watts'] },
};

/** Words before a length that say which one it is. */
export const directed: Record<string, readonly string[]> = table({
  long: ['length', 'depth'],
  length: ['length'],
  high: ['height'],
  tall: ['height'],
  height: ['height'],
  deep: ['depth', 'thickness'],
  wide: ['width', 'size'],
  thick: ['thickness'],
  longer: ['length', 'depth'],
  shorter: ['length', 'depth', 'height'],
  taller: ['height'],
  lower: ['height'],
  deeper: ['depth'],
  wider: ['width', 'size'],
  thicker: ['thickness'],
  thinner: ['thickness'],
});
