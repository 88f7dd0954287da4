import type { Finding, StationId } from '../../findings/finding.ts';
import type { FactKey } from '../../model/properties/index.ts';
import type { Facts } from '../../model/types/fact.ts';
import type { OwnStep } from '../../model/types/finishTypes.ts';
import type { Condition, Entry, Kind, Part } from '../../model/types/types.ts';
import type { Money } from '../../units/money.ts';

/** What the entry line understood, said before anything is done. */
export type Understood = { text: string; say: string } & (
  | { kind: 'sum'; finding: Finding }
  /** A sum of the job that is open: read off it, not kept. */
  | { kind: 'checked'; finding: Finding }
  | { kind: 'find'; parts: Part[] }
  | { kind: 'plugs'; plugs: string[]; to?: string | undefined }
  | { kind: 'part'; partId: string }
  /** An answer about a part. */
  | { kind: 'told'; partId: string }
  | { kind: 'do'; what: PartCommand; partId: string }
  | { kind: 'go'; to: Destination; jobId?: string | undefined }
  | { kind: 'condition'; partId: string; condition: Condition }
  | { kind: 'add'; times: number; part: { kind: Kind; name: string; facts: Facts } }
  /** A fact of a part, or its price, to write down. */
  | { kind: 'set'; partId: string; key: FactKey; value: AnswerValue }
  | { kind: 'price'; partId: string; price: Money }
  | {
      kind: 'note';
      note: string;
      partId?: string | undefined;
      machineId?: string | undefined;
      jobId?: string | undefined;
    }
  | { kind: 'wait'; jobId: string; why: string; until: string }
  | { kind: 'ownStep'; jobId: string; step: OwnStep }
  | { kind: 'due'; partId: string; due: string }
  | { kind: 'deadline'; jobId: string; deadline?: string | undefined }
  | { kind: 'budget'; jobId: string; budget: Money }
  | { kind: 'job'; jobId: string }
  | { kind: 'newJob'; name: string; becomes: string }
  | { kind: 'answer'; value: AnswerValue }
  | { kind: 'entry'; entry: Omit<Entry, 'id' | 'at'> }
  | { kind: 'move'; partId: string; where: string }
  | { kind: 'place'; where: string }
  | { kind: 'word'; word: Word }
  /** Not understood, with lines that may have been meant. */
  | { kind: 'nothing'; guesses?: readonly string[] | undefined }
);

/** What can be done to a part by its tag. */
export type PartCommand = 'edit' | 'delete' | 'label' | 'photo';

/** Where a line leads: a station of the open job, a page, or something a button does too. */
export type Destination =
  | StationId
  | 'bench'
  | 'book'
  | 'shelf'
  | 'week'
  | 'labels'
  | 'scan sheet'
  | 'new job'
  | 'print'
  | 'export'
  | 'open file'
  | 'help'
  | 'settings';

/** What answers a question: a figure in the unit of its property, or one of its options. */
export type AnswerValue = { lo: number; hi: number } | { text: string };

/** The words of the printed scan sheet. */
export const scanWords = ['yes', 'no', 'next', 'undo', 'redo', 'done', 'not measured'] as const;
export type Word = (typeof scanWords)[number];
