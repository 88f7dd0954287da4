import type { Make } from '../model/types/makeTypes.ts';

/** A new one, as most are made. */
export function freshMake(sort: Make['do'], id: string): Make {
  const steel = { id, material: 'steel', thick: 1 } as const;
  switch (sort) {
    case 'rear wall':
      return { do: sort, ...steel, allowance: 0.5, corner: 1.5 };
    case 'rear plate':
      return {
        do: sort,
        ...steel,
        width: 172,
        height: 58,
        allowance: 0.5,
        corner: 1.5,
        screw: 'M3',
      };
    case 'drill template':
      return { do: sort, ...steel, pattern: 'board', screw: 'M3', threaded: false };
    case 'plate':
      return {
        do: sort,
        id,
        material: 'aluminium',
        thick: 2,
        width: 200,
        height: 200,
        corner: 4,
        screw: 'M3',
        inset: 8,
        pattern: 'none',
      };
    case 'L bracket':
      return { do: sort, ...steel, legA: 30, legB: 30, width: 20, radius: 1, screw: 'M3' };
    case 'Z bracket':
      return {
        do: sort,
        ...steel,
        legA: 20,
        web: 20,
        legB: 20,
        width: 20,
        radius: 1,
        screw: 'M3',
      };
    case 'slot bracket':
      return {
        do: sort,
        ...steel,
        size: 'low profile',
        radius: 0.8,
        screw: '6-32',
        along: 0,
        across: 0,
      };
    case 'card openings':
      return { do: sort, ...steel, size: 'full height', slots: 2, screw: '6-32' };
    case 'PSU plate':
      return { do: sort, ...steel, thick: 1.5, aside: 0 };
    case 'dust mesh':
      return { do: sort, id, material: 'steel', thick: 0.5, width: 120, height: 120, border: 8 };
  }
}
