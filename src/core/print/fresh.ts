import type { Printed } from '../model/types/printTypes.ts';
import { ioOpening } from '../standards/ports.ts';

/** A new one, as most are printed (common practice, no source). */
export function freshPrint(sort: Printed['do'], id: string): Printed {
  const usual = {
    id,
    material: 'PETG',
    beside: 'nothing hot',
    wall: 1.2,
    fill: 20,
    nozzle: 0.4,
    bed: 220,
    gap: 0.2,
  } as const;
  const screw = { screw: 'M3', hold: 'self-cut' } as const;
  switch (sort) {
    case 'card support':
      return { do: sort, ...usual, beside: 'card', height: 80, width: 20, reach: 30, foot: 60 };
    case 'riser stand':
      return { do: sort, ...usual, ...screw, beside: 'card', height: 20, apart: 100, width: 14 };
    case 'drive bracket':
      return {
        do: sort,
        ...usual,
        screw: 'M3',
        hold: 'through',
        beside: 'drive',
        form: '2.5',
        width: 100,
        depth: 100,
        thick: 3,
      };
    case 'fan bracket':
      return { do: sort, ...usual, screw: 'M4', hold: 'through', fan: '120', flange: 16, thick: 3 };
    case 'printed PSU plate':
      return { do: sort, ...usual, screw: '6-32', hold: 'through', beside: 'supply', thick: 4 };
    case 'foot':
      return { do: sort, ...usual, screw: 'M4', hold: 'through', height: 15, top: 18, bottom: 24 };
    case 'standoff tower':
      return { do: sort, ...usual, ...screw, height: 10, across: 9 };
    case 'port frame':
      return {
        do: sort,
        ...usual,
        width: ioOpening.widthMm,
        height: ioOpening.heightMm,
        rim: 6,
        lip: 2,
      };
    case 'cable comb':
      return { do: sort, ...usual, leads: 8, lead: 3.2, thick: 8 };
    case 'lid vent':
      return { do: sort, ...usual, width: 100, height: 60, thick: 2.4, slot: 3, bar: 2 };
    case 'saddle':
      return {
        do: sort,
        ...usual,
        ...screw,
        hold: 'through',
        radius: 40,
        width: 40,
        depth: 20,
        thin: 4,
      };
  }
}
