import type { Step } from './step.ts';

/** A step as it is written down: what is usual is left out. */
export interface Draft extends Omit<Step, 'after' | 'cautions' | 'undoable' | 'tools' | 'seats'> {
  after?: string[];
  cautions?: string[];
  undoable?: boolean;
  tools?: string[];
  seats?: string[];
}

export const step = (draft: Draft): Step => ({
  after: [],
  cautions: [],
  undoable: true,
  tools: [],
  seats: [],
  ...draft,
});
