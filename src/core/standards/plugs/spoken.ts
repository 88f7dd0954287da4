import { plugs } from './index.ts';
import { table } from '../../units/table.ts';

/**
 * Plugs as people say them, `2x PCIe 6+2, EPS 8 pin, 4 sata`: by id, by name, or in the trade's usual
 * words (common practice, no source).
 */

/** Words that mean one plug, matched whole after `plainWords`. */
const spoken: Record<string, string> = table({
  'pcie 6': 'card6',
  'card 6': 'card6',
  'gpu 6': 'card6',
  'pcie 8': 'card8',
  'card 8': 'card8',
  'gpu 8': 'card8',
  'pcie 6+2': 'card62',
  'card 6+2': 'card62',
  'gpu 6+2': 'card62',
  '6+2': 'card62',
  '6': 'card6',
  'pcie 16': 'card16',
  'card 16': 'card16',
  'pcie 12+4': 'card16',
  '16': 'card16',
  '12+4': 'card16',
  '12v-2x6': 'card16',
  '12vhpwr': 'card16old',
  'eps 8': 'cpu8',
  'cpu 8': 'cpu8',
  'CPU 8': 'cpu8',
  'eps 4': 'cpu4',
  'cpu 4': 'cpu4',
  'CPU 4': 'cpu4',
  'p4 4': 'cpu4',
  'atx12v 4': 'cpu4',
  'eps 4+4': 'cpu44',
  'cpu 4+4': 'cpu44',
  '4+4': 'cpu44',
  eps: 'cpu8',
  'sata 15': 'sata',
  'slim sata': 'slimsata',
  'peripheral 4': 'drive4',
  'molex 4': 'drive4',
  'drive 4': 'drive4',
  '4-pin peripheral plug': 'drive4',
  'ide 4': 'drive4',
  peripheral: 'drive4',
  molex: 'drive4',
  floppy: 'small4',
  'floppy 4': 'small4',
  'main 24': 'main24',
  'atx 24': 'main24',
  '24': 'main24',
  'main 20': 'main20',
  'atx 20': 'main20',
  '20': 'main20',
  'main 10': 'main10',
  main: 'main24',
  'atx main': 'main24',
});

/** Said alone these could be one of two: which is asked. */
const unclear: Record<string, string> = table({
  '8': 'PCIe 8-pin or EPS 8-pin?',
  '4': 'EPS 4-pin, 4-pin peripheral or fan?',
  pcie: 'PCIe 6-pin or 8-pin?',
  cpu: 'EPS 4-pin or 8-pin?',
});

/** Small letters, `8-pin`, `8 way` and `8pin` as `8`, words that add nothing left out. */
const plainWords = (text: string): string =>
  text
    .toLowerCase()
    .replace(/\bpci[ -]?e(?:xpress)?\b|\bpci-express\b/g, 'pcie')
    .replace(/(\d)[ -]*(?:pins?|ways?|polig|pol)\b/g, '$1')
    .replace(/\b(?:plugs?|connectors?|leads?|power|cables?)\b/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/** The other way round, `8 pin EPS`, is the same plug. */
const turned = (words: string): string => words.replace(/^(\d[\d+]*) (\D.*)$/, '$2 $1');

/** One plug by what it is called, of those allowed; a sentence says why it is none. */
export function plugSaid(
  text: string,
  allowed: readonly string[],
): { id: string } | { fault: string } {
  const words = plainWords(text);
  const own = allowed.find((id) => id.toLowerCase() === text.trim().toLowerCase());
  if (own !== undefined) return { id: own };
  const byName = plugs.find((each) => [words, turned(words)].includes(plainWords(each.name)));
  const id = byName?.id ?? spoken[words] ?? spoken[turned(words)] ?? words;
  if (allowed.includes(id)) return { id };
  const which = unclear[words];
  if (which) return { fault: `“${text.trim()}”: ${which}` };
  if (spoken[words] ?? byName)
    return { fault: `“${text.trim()}” is not one of the plugs asked for here.` };
  return { fault: `“${text.trim()}” is no plug known here.` };
}

/** A list of plugs, each once for every piece: `2x PCIe 6+2, sata sata` gives four. */
export function plugsSaid(
  text: string,
  allowed: readonly string[],
): { ids: string[] } | { fault: string } {
  const ids: string[] = [];
  for (const piece of text.split(/[,;\n]|\band\b|(?<=[^\s\d]) \+ /i)) {
    if (piece.trim() === '') continue;
    const match = /^(\d{1,2})(?: ?[x×*]| (?=\D))(.+)$/i.exec(piece.replace(/\s+/g, ' ').trim());
    const counted = match && !/^(?:-?\s*(?:pin|way))/i.test(match[2] ?? '');
    const times = counted ? Number(match[1]) : 1;
    const name = counted ? (match[2] ?? '') : piece;
    const one = plugSaid(name, allowed);
    /* `main24 sata sata`, ids one after another as the field prints them. */
    const many = 'fault' in one ? bareIds(name, allowed) : undefined;
    if (times > 40) return { fault: `“${piece.trim()}”: so many cannot be meant.` };
    if (many) for (let n = 0; n < times; n += 1) ids.push(...many);
    else if ('fault' in one) return one;
    else for (let n = 0; n < times; n += 1) ids.push(one.id);
  }
  return { ids };
}

function bareIds(text: string, allowed: readonly string[]): string[] | undefined {
  const words = text.trim().split(/\s+/);
  return words.every((word) => allowed.includes(word)) ? words : undefined;
}
