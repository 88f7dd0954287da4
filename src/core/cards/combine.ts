import { isList, isNumber, isText, type Fact } from '../model/types/fact.ts';
import { sameContent } from '../shop/items.ts';

/** What two or more shops say of one thing, as one fact. */

/** Whether both can be true: ranges that meet, the same words. */
export function agree(a: Fact, b: Fact): boolean {
  if (isNumber(a) && isNumber(b)) return a.lo <= b.hi && b.lo <= a.hi;
  if (isText(a) && isText(b)) return a.text === b.text;
  if (isList(a) && isList(b)) return sameContent(a.items, b.items);
  return false;
}

/**
 * Said figures narrow each other only where all agree; where any two do not, every figure is possible from the least
 * to the most. Words that differ are no fact: undefined.
 */
export function combined(said: readonly { from: string; fact: Fact }[]): Fact | undefined {
  const [first, ...others] = said;
  if (!first) return undefined;
  const source = `shop ${said.map(({ from }) => from).join(', shop ')}`.slice(0, 200);
  const who = others.length === 0 ? first.fact.who : undefined;
  const at = said
    .flatMap(({ fact }) => fact.at ?? [])
    .sort()
    .at(-1);
  const known = {
    how: 'said' as const,
    source,
    heard: true as const,
    ...(at && { at }),
    ...(who && { who }),
  };
  const facts = said.map(({ fact }) => fact);
  if (facts.every(isNumber)) {
    const [los, his] = [facts.map(({ lo }) => lo), facts.map(({ hi }) => hi)];
    const allMeet = Math.max(...los) <= Math.min(...his);
    return allMeet
      ? { ...known, lo: Math.max(...los), hi: Math.min(...his) }
      : { ...known, lo: Math.min(...los), hi: Math.max(...his) };
  }
  if (!facts.every((fact) => agree(first.fact, fact))) return undefined;
  const { how: _, source: __, at: ___, who: ____, ...value } = first.fact;
  return { ...value, ...known } as Fact;
}
