import type { Kind } from '../model/types/types.ts';

/** What each kind takes out and puts in: minutes, tools and screws are common practice, no source. */
export const hands: Record<Kind, { out: number; in: number; tools: string[]; fasteners?: string }> =
  {
    case: { out: 0, in: 0, tools: [] },
    board: {
      out: 10,
      in: 15,
      tools: ['long magnetic driver'],
      fasteners: '6-32 or M3 in every hole: finger-tight all, then tighten',
    },
    processor: { out: 5, in: 5, tools: [] },
    cooler: { out: 5, in: 12, tools: ['paste', 'driver'] },
    memory: { out: 1, in: 2, tools: [] },
    card: { out: 3, in: 5, tools: ['driver'], fasteners: '6-32, one a slot' },
    drive: {
      out: 4,
      in: 5,
      tools: ['driver'],
      fasteners: '3.5 in: 6-32, at most 3.8 mm deep; 2.5 in: M3, at most 3 mm deep',
    },
    supply: { out: 8, in: 10, tools: ['driver'], fasteners: '6-32, four' },
    fan: { out: 3, in: 5, tools: ['driver'], fasteners: 'self-tapping, four a fan' },
    leads: { out: 3, in: 6, tools: ['tweezers', 'torch'] },
    small: { out: 2, in: 3, tools: [] },
  };

/** Kinds that are fitted to the board before it goes into the case. */
export const onBoard: readonly Kind[] = ['processor', 'memory', 'cooler'];
