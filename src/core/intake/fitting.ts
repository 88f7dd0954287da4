import { isNumber, type Fact, type Facts } from '../model/types/fact.ts';
import { property } from '../model/properties/index.ts';
import type { DraftPart, Inventory } from './inventory.ts';

/**
 * What a tool printed, made fit to be kept: what is too long is cut, what cannot be meant is left out,
 * each with a word. What comes through passes the schema of the document.
 */

/** A limit of the memory below what is fitted is a slip of the firmware: not believed, and said so. GB. */
export function believableLimit(
  limit: number | undefined,
  memory: readonly DraftPart[],
  ignored: string[],
): number | undefined {
  const fitted = memory.reduce(
    (sum, { facts: { size } }) => sum + (isNumber(size) ? size.lo : 0),
    0,
  );
  if (limit === undefined || (limit > 0 && limit >= fitted)) return limit;
  ignored.push(`memory limit "${limit} GB": ${fitted} GB are fitted`);
  return undefined;
}

/** Without control characters. */
const printable = (text: string) => text.replace(/\p{Cc}+/gu, ' ').trim();

const MOST_NAME = 160;
const MOST_TEXT = 500;
export const MOST_PARTS = 400;
const MOST_NOTES = 40;

export function fitting(inventory: Inventory): Inventory {
  const ignored = [...inventory.ignored];
  const cut = (text: string, most: number, what: string) => {
    const clean = printable(text);
    if (clean.length <= most) return clean;
    ignored.push(`${what} of ${clean.length} letters: cut after ${most}`);
    return `${clean.slice(0, most - 1)}…`;
  };
  const factsOf = (facts: Facts, part?: DraftPart): Facts =>
    Object.fromEntries(
      Object.entries(facts).flatMap(([key, fact]): [string, Fact][] => {
        if ('text' in fact) {
          const text = cut(fact.text, MOST_TEXT, key);
          return text === '' ? [] : [[key, { ...fact, text }]];
        }
        if (!('lo' in fact) || !part) return [[key, fact]];
        const listed = property(part.kind, key);
        const most = listed?.most ?? 1e9;
        if (fact.lo >= 0 && fact.hi <= most && Number.isFinite(fact.hi)) return [[key, fact]];
        ignored.push(
          `${part.name.slice(0, 40)}, ${listed?.label ?? key} ${fact.hi}: cannot be meant`,
        );
        return [];
      }),
    );
  if (inventory.parts.length > MOST_PARTS)
    ignored.push(`${inventory.parts.length} parts: only the first ${MOST_PARTS} are taken in`);
  const parts = inventory.parts.slice(0, MOST_PARTS).map((part) => ({
    ...part,
    name: cut(part.name, MOST_NAME, `a name of ${part.kind}`) || part.kind,
    facts: factsOf(part.facts, part),
  }));
  const name =
    inventory.name === undefined ? undefined : cut(inventory.name, MOST_NAME, 'the name');
  return {
    tool: inventory.tool.slice(0, 200),
    ...(name ? { name } : {}),
    facts: factsOf(inventory.facts),
    parts,
    ignored: ignored.slice(0, MOST_NOTES).map((note) => note.slice(0, 200)),
  };
}
