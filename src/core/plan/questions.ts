import type { Finding, InputRef, Term } from '../findings/finding.ts';
import { isOpen } from '../findings/terms.ts';
import { indexOf } from '../model/lookup/lookup.ts';
import { property, type Property } from '../model/properties/index.ts';
import type { Part, Shop } from '../model/types/types.ts';
import { shareBelow, subtract, zero, type Range } from '../units/range.ts';
import { restOf } from '../findings/gap.ts';

/**
 * What to measure next. A question is asked only where its answer can change a verdict;
 * cheapest first; yes or no where one bound decides.
 */
export interface Question {
  input: InputRef;
  part: Part;
  property: Property;
  ask: string;
  seconds: number;
  /** Findings whose verdict hangs on the answer. */
  decides: string[];
  /** "Is it below this?" when that one answer settles the verdict, in the property's unit. */
  yesNo?: { below: number; yesIsGood: boolean } | undefined;
  /** Minutes that measuring now may save: the chance of trouble times what undoing costs. */
  savesMinutes: number;
  /** What is known so far, if it is a number. */
  known?: Range | undefined;
}

export function questions(shop: Shop, found: readonly Finding[]): Question[] {
  const parts = indexOf(shop).parts;
  const byInput = new Map<string, Question>();
  for (const finding of found) {
    if (finding.mark !== 'watch') continue;
    const open = finding.terms.filter((term) => isOpen(term) && term.input);
    for (const term of open) {
      const input = term.input as InputRef;
      const part = parts.get(input.partId);
      const asked = part && property(part.kind, input.key);
      if (!part || !asked) continue;
      const key = `${input.partId} ${input.key}`;
      const saves = trouble(finding) * finding.undoMinutes;
      const before = byInput.get(key);
      const bound = open.length === 1 ? decidingBound(finding, term, asked) : undefined;
      byInput.set(key, {
        input,
        part,
        property: asked,
        seconds: asked.seconds,
        ask: before ? asked.ask : bound ? boundAsk(part, asked, bound.below) : asked.ask,
        decides: [...(before?.decides ?? []), finding.id],
        yesNo: before ? undefined : bound,
        savesMinutes: (before?.savesMinutes ?? 0) + saves,
        known: typeof term.value === 'string' ? undefined : term.value,
      });
    }
  }
  return [...byInput.values()].sort(
    (a, b) => a.seconds - b.seconds || b.savesMinutes - a.savesMinutes,
  );
}

/** Chance that the rest turns out below nothing, all values alike likely. */
function trouble(finding: Finding): number {
  return finding.margin ? shareBelow(finding.margin, 0) : 0.5;
}

/** The value of one open term at which the rest is exactly nothing, if it lies within its range. */
function decidingBound(finding: Finding, term: Term, asked: Property) {
  if (typeof term.value === 'string' || asked.measure === 'count' || term.sign === 0)
    return undefined;
  if (!finding.margin) return undefined;
  const others = restOf(finding.terms.filter((other) => other !== term));
  const bounds = term.sign === 1 ? subtract(zero, others) : others;
  const below = term.sign === 1 ? bounds.hi : bounds.lo;
  if (below <= term.value.lo || below >= term.value.hi) return undefined;
  return { below, yesIsGood: term.sign === -1 };
}

function boundAsk(part: Part, asked: Property, below: number): string {
  const figure = `${Math.floor(below * 10) / 10} ${asked.measure}`;
  return `Is the ${asked.label} of ${part.name} less than ${figure}?`;
}

/** The range an answer leaves: yes keeps what lies below the bound, no what lies above. */
export function answered(known: Range, below: number, yes: boolean): Range {
  return yes
    ? { lo: Math.min(known.lo, below), hi: below }
    : { lo: below, hi: Math.max(known.hi, below) };
}
