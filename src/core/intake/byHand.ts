import { boardFormat } from '../standards/boards.ts';
import type { Facts, TextFact } from '../model/types/fact.ts';
import { kindName } from '../model/types/seats.ts';
import type { Kind } from '../model/types/types.ts';
import type { Inventory } from './inventory.ts';

/** What feeds a machine, as one sees without opening more than a lid. */
export const feedsSeen = ['PSU with a 24-pin plug', "maker's own PSU", 'brick'] as const;
export type FeedSeen = (typeof feedsSeen)[number];

/** What can be said of a machine that no longer starts: its shell and what it was; the rest is its class's ranges. */
export interface ByHand {
  name: string;
  shell: string;
  boardFormat?: string | undefined;
  feed?: FeedSeen | undefined;
  /** What else is in it, as somebody said. */
  inside?: readonly Kind[] | undefined;
}

export function byHand({ name, shell, boardFormat: format, feed, inside = [] }: ByHand): Inventory {
  const said = (text: string): TextFact => ({ text, how: 'said', source: 'taken in by hand' });
  const fed: Partial<Record<FeedSeen, Facts>> = {
    'PSU with a 24-pin plug': { mainPlug: said('main24') },
    brick: { feeds: said('brick') },
  };
  return {
    tool: 'by hand',
    name,
    facts: {},
    parts: [
      { kind: 'case', name: `${shell} case`, facts: { class: said(shell) } },
      {
        kind: 'board',
        name: format ? `${format} board` : 'board',
        facts: format && boardFormat(format) ? { format: said(format) } : {},
      },
      {
        kind: 'supply',
        name: feed === 'brick' ? 'brick' : 'PSU',
        facts: (feed && fed[feed]) ?? {},
      },
      ...inside.map((kind) => ({ kind, name: kindName(kind), facts: {} })),
    ],
    ignored: [],
  };
}
