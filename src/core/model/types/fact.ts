import type { Range } from '../../units/range.ts';
import type { Item } from './shapes.ts';

/**
 * A fact is a value with where it comes from. *Said* (memory, advertisement,
 * label), *read* (from the machine) and *measured* are not worth the same;
 * *class* is what parts of this sort usually are when nobody said anything.
 */
export type How = 'said' | 'read' | 'measured' | 'class';

export interface Provenance {
  how: How;
  /** The tool, the label, the class the value was taken from. */
  source?: string | undefined;
  /** ISO 8601 time of saying, reading or measuring. */
  at?: string | undefined;
  who?: string | undefined;
  /** Another shop said so and nobody here: it yields to what is known here and is not handed on as one's own. */
  heard?: true | undefined;
}

/** Units are those of the property (see properties.ts). */
export interface NumberFact extends Provenance, Range {}

export interface TextFact extends Provenance {
  text: string;
}

/** Words, or items of the shape the property declares. */
export interface ListFact extends Provenance {
  items: Item[];
}

export type Fact = NumberFact | TextFact | ListFact;
export type Facts = Record<string, Fact>;

export const isNumber = (fact: Fact | undefined): fact is NumberFact =>
  fact !== undefined && 'lo' in fact;
export const isText = (fact: Fact | undefined): fact is TextFact =>
  fact !== undefined && 'text' in fact;
export const isList = (fact: Fact | undefined): fact is ListFact =>
  fact !== undefined && 'items' in fact;

const worth: Record<How, number> = { class: 0, said: 1, read: 2, measured: 3 };

/** True when `a` should stand over `b`: the better kind of knowledge, or the later of the same kind. */
export function outranks(a: Provenance, b: Provenance): boolean {
  if (worth[a.how] !== worth[b.how]) return worth[a.how] > worth[b.how];
  return (a.at ?? '') >= (b.at ?? '');
}

export const measured = (mm: number, at?: string): NumberFact => ({
  lo: mm,
  hi: mm,
  how: 'measured',
  ...(at ? { at } : {}),
});

/** Every word and item of some facts: among them the tags of plugs. */
export const wordsIn = (facts: Facts): string[] =>
  Object.values(facts).flatMap((fact) =>
    'text' in fact
      ? [fact.text]
      : 'items' in fact
        ? fact.items.filter((item) => typeof item === 'string')
        : [],
  );
