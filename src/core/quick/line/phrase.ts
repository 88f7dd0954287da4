import type { Clock } from '../../units/when.ts';
import type { Finding } from '../../findings/finding.ts';
import type { Plan } from '../../model/lookup/plan.ts';
import type { Property } from '../../model/properties/index.ts';
import type { LengthUnit } from '../../units/length.ts';
import { isFiller } from './lexicon.ts';
import { tokens, type Figure, type Token, type Unit } from './tokens.ts';

/** A line as it was read, and what its readers need of the place it was typed in. */
export interface Phrase {
  text: string;
  tokens: readonly Token[];
  figures: readonly Figure[];
  words: readonly string[];
  /** Unit of lengths typed bare. */
  unit: LengthUnit;
}

/** A sum of two or three numbers, worked out with no job. `say` is the answer in a few words. */
export interface QuickSum {
  say: string;
  finding: Finding;
}

/** A reading of a whole line as one sort of sum; undefined when it is none. */
export type SumReader = (phrase: Phrase) => QuickSum | undefined;

/** Where a line is typed: what is asked there, and the job that is open. */
export interface Place {
  property?: Property | undefined;
  plan?: Plan | undefined;
  /** The bench's time, for lines that name a day. */
  clock?: Clock | undefined;
}

export function phraseOf(line: string, unit: LengthUnit): Phrase {
  const found = tokens(line);
  return {
    text: line,
    tokens: found,
    figures: found.flatMap((token) => (token.is === 'figure' ? token : [])),
    words: found.flatMap((token) => (token.is === 'word' ? token.word : [])),
    unit,
  };
}

/** Whether every word is one of these, or says nothing: a reader that leaves a word unread answers another question. */
export const onlySays = (
  { words }: Phrase,
  known: ReadonlySet<string> | ((word: string) => boolean),
): boolean => {
  const knows = typeof known === 'function' ? known : (word: string) => known.has(word);
  return words.every((word) => isFiller(word) || knows(word));
};

/** The figures of some units, or undefined when there are others. */
export const onlyFigures = ({ figures }: Phrase, units: readonly Unit[]): boolean =>
  figures.every(({ unit }) => units.includes(unit));

export const ofUnit = ({ figures }: Phrase, unit: Unit): Figure[] =>
  figures.filter((figure) => figure.unit === unit);

export const wordSet = (words: string): ReadonlySet<string> => new Set(words.split(' '));
