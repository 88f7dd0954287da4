import type { Finding } from '../findings/finding.ts';
import type { Entry, Part } from '../model/types/types.ts';

/** What the entry line understood, said before anything is done. */
export type Understood =
  | { kind: 'sum'; text: string; say: string; finding: Finding }
  | { kind: 'find'; text: string; say: string; parts: Part[] }
  | { kind: 'part'; text: string; say: string; partId: string }
  | { kind: 'job'; text: string; say: string; jobId: string }
  | { kind: 'newJob'; text: string; say: string; name: string; becomes: string }
  | { kind: 'answer'; text: string; say: string; value: AnswerValue }
  | { kind: 'entry'; text: string; say: string; entry: Omit<Entry, 'id' | 'at'> }
  | { kind: 'move'; text: string; say: string; partId: string; where: string }
  | { kind: 'place'; text: string; say: string; where: string }
  | { kind: 'word'; text: string; say: string; word: Word }
  | { kind: 'nothing'; text: string; say: string };

/** What answers a question: a figure in the unit of its property, or one of its options. */
export type AnswerValue = { lo: number; hi: number } | { text: string };

/** The words of the printed scan sheet. */
export const scanWords = ['yes', 'no', 'next', 'undo', 'redo', 'done', 'not measured'] as const;
export type Word = (typeof scanWords)[number];
