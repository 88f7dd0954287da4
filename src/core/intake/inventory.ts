import type { Facts, NumberFact, TextFact } from '../model/types/fact.ts';
import type { Kind } from '../model/types/types.ts';

/** What one tool says about one machine. */
export interface Inventory {
  /** The tool whose output this is: the source of every fact in it. */
  tool: string;
  name?: string | undefined;
  facts: Facts;
  parts: DraftPart[];
  /** What was printed but not believed, in words. */
  ignored: string[];
}

export interface DraftPart {
  kind: Kind;
  name: string;
  facts: Facts;
}

export class IntakeError extends Error {}

/** Readers write facts through this: each one is *read*, with the tool as its source. */
export function reader(tool: string) {
  return {
    number: (value: number): NumberFact => ({ lo: value, hi: value, how: 'read', source: tool }),
    text: (text: string): TextFact => ({ text, how: 'read', source: tool }),
  };
}

/** Facts without those that are undefined. */
export function present(facts: Record<string, Facts[string] | undefined>): Facts {
  return Object.fromEntries(
    Object.entries(facts).filter(
      (entry): entry is [string, Facts[string]] => entry[1] !== undefined,
    ),
  );
}
