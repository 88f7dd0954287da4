import type { Collection } from '../model/types/collections.ts';
import type { Edit } from '../model/types/edit.ts';
import type { Slot } from '../model/types/versionTypes.ts';

/** What merging cannot know and somebody has to say. Answers are edits: they travel, and nobody is asked twice. */

/** What an answer does besides its edit: slots settled, records kept that were taken out, records told apart. */
export interface Answer {
  say: string;
  edit: Edit;
  settles?: { key: string; slot: Slot }[] | undefined;
  keeps?: string[] | undefined;
  isNot?: { key: string; name: string }[] | undefined;
}

export interface Choice {
  /** The value in words; undefined: taken away. */
  value: unknown;
  /** It stands now. */
  shown: boolean;
  answer: Answer;
}

export interface Question {
  id: string;
  /** What is asked, in a sentence. */
  ask: string;
  /** The record it is about. */
  in: Collection | 'head';
  of: string;
  /** Where the same thing was written twice: the slot, with its values beside each other. */
  slot?: Slot | undefined;
  choices: Choice[];
}

/** What stands stays. */
export const nothing: Edit = (shop) => shop;
