import { boardFormat } from '../standards/boards.ts';
import type { TextFact } from '../model/types/fact.ts';
import type { Inventory } from './inventory.ts';

/** What can be said of a machine that no longer starts: its shell and what it was; the rest is its class's ranges. */
export interface ByHand {
  name: string;
  shell: string;
  boardFormat?: string | undefined;
}

export function byHand({ name, shell, boardFormat: format }: ByHand): Inventory {
  const said = (text: string): TextFact => ({ text, how: 'said', source: 'taken in by hand' });
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
      { kind: 'supply', name: 'supply', facts: {} },
    ],
    ignored: [],
  };
}
