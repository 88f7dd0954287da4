import { MM_PER_INCH, parseNumber, type LengthUnit } from '../../units/length.ts';
import { table } from '../../units/table.ts';

/**
 * A typed line as figures with their units and words, in their order:
 *
 *   `Does a 10,5" card go in 24.7 cm?`
 *     does · a · 266.7 mm (in) · card · go · in · 247 mm (cm)
 */
export type Token = Figure | Word;

export interface Figure {
  is: 'figure';
  /** In the unit below; a length in mm. */
  value: number;
  unit: Unit;
  /** The unit as it was typed: `in`, `cm`; undefined for a bare figure. */
  typed: string | undefined;
  text: string;
}

export interface Word {
  is: 'word';
  word: string;
}

/** What a figure counts; `bare` where nobody said. */
export type Unit =
  | 'bare'
  | 'mm'
  | 'W'
  | 'V'
  | 'A'
  | 'ohm'
  | 'GB'
  | 'l'
  | 'kg'
  | 'C'
  | 'F'
  | 'awg'
  | 'pins'
  | 'slots'
  | 'lanes'
  | 'gen'
  | 'MT/s'
  | 'rpm'
  | '%';

/** Every spelling of a unit: what it counts, and how much of that one of it is. */
export const unitSpellings: Record<string, readonly [Unit, number]> = table({
  mm: ['mm', 1],
  millimeter: ['mm', 1],
  millimetre: ['mm', 1],
  mil: ['mm', 1],
  cm: ['mm', 10],
  centimeter: ['mm', 10],
  centimetre: ['mm', 10],
  m: ['mm', 1000],
  meter: ['mm', 1000],
  metre: ['mm', 1000],
  in: ['mm', MM_PER_INCH],
  inch: ['mm', MM_PER_INCH],
  inche: ['mm', MM_PER_INCH],
  '"': ['mm', MM_PER_INCH],
  '″': ['mm', MM_PER_INCH],
  "''": ['mm', MM_PER_INCH],
  ft: ['mm', 304.8],
  foot: ['mm', 304.8],
  feet: ['mm', 304.8],
  w: ['W', 1],
  watt: ['W', 1],
  kw: ['W', 1000],
  v: ['V', 1],
  volt: ['V', 1],
  vdc: ['V', 1],
  mv: ['V', 0.001],
  a: ['A', 1],
  amp: ['A', 1],
  ampere: ['A', 1],
  ma: ['A', 0.001],
  ohm: ['ohm', 1],
  ω: ['ohm', 1],
  mohm: ['ohm', 0.001],
  gb: ['GB', 1],
  gig: ['GB', 1],
  gigabyte: ['GB', 1],
  g: ['GB', 1],
  tb: ['GB', 1000],
  terabyte: ['GB', 1000],
  mb: ['GB', 0.001],
  l: ['l', 1],
  ltr: ['l', 1],
  litre: ['l', 1],
  liter: ['l', 1],
  kg: ['kg', 1],
  kilo: ['kg', 1],
  lb: ['kg', 0.45359237],
  pound: ['kg', 0.45359237],
  c: ['C', 1],
  '°c': ['C', 1],
  '°': ['C', 1],
  celsius: ['C', 1],
  f: ['F', 1],
  '°f': ['F', 1],
  fahrenheit: ['F', 1],
  awg: ['awg', 1],
  gauge: ['awg', 1],
  ga: ['awg', 1],
  pin: ['pins', 1],
  way: ['pins', 1],
  slot: ['slots', 1],
  lane: ['lanes', 1],
  mhz: ['MT/s', 1],
  'mt/s': ['MT/s', 1],
  mt: ['MT/s', 1],
  rpm: ['rpm', 1],
  '%': ['%', 1],
  percent: ['%', 1],
});

export const unitSaid = (word: string): readonly [Unit, number] | undefined =>
  unitSpellings[word] ?? (word.length > 2 ? unitSpellings[word.replace(/s$/, '')] : undefined);

const NUMBER = String.raw`-?(?:\d+\s*\/\s*\d+|\d+(?:[.,]\d+)?(?:\s+\d+\s*\/\s*\d+)?|[.,]\d+)`;
/** Letters, or a mark that is a unit by itself. */
const UNIT = String.raw`(?:mt\/s|°\s?[cf]|[a-zω]+|"|″|''|%|°)`;
const figure = new RegExp(`^(${NUMBER})(?:(?: - | |-)?(${UNIT}))?`);

/** Names with a figure in them that is no quantity: kept whole. */
const names =
  /^(?:12v[- ]?2x6|12vhpwr|12vo|atx12v|atx12vo|\d\+\d|(?:lp)?ddr\d[lx]?|m\.?2(?=[\s,]|$)|m2\.5|am[1-5]\b|lga ?\d{3,4}|fm2\+?|sata ?(?:[123]\b|i{1,3}\b)|usb ?[234](?:\.\d)?|so-?dimm|e-?atx|b\+?m|\d{4,5}-\w+)/;

/** Words after `10.5 in` that make it inches: the way to the room still follows, or nothing does. */
const afterInches =
  /^(?:$|[,;?]|(?:in|into|inside|under|to|x|by|for|and|is|are|or|vs|long|wide|high|tall|deep|thick|of|fan|at|mm|cm|millimet\w+|centimet\w+|m)\b)/;
const relation = /\b(?:in|into|inside|under|for|room|space|clearance|bay|between|through)\b/;

/** Reads a line; lengths typed bare stay bare. */
export function tokens(line: string): Token[] {
  let left = plainly(line);
  const found: Token[] = [];
  while (left !== '') {
    const name = names.exec(left)?.[0];
    if (name && !/^\w/.test(left.slice(name.length))) {
      found.push({ is: 'word', word: name.replace(/\s+/g, '') });
      left = left.slice(name.length).replace(/^[-/ ]+/, '');
      continue;
    }
    const read = figureAt(left, found);
    if (read) {
      found.push(read.figure);
      left = left.slice(read.length).trimStart();
      continue;
    }
    const word = /^[^\s,;?!()]+/.exec(left)?.[0];
    if (word) found.push({ is: 'word', word: word.replace(/[.:'"]+$/, '') || word });
    left = left.slice(word?.length ?? 1).trimStart();
  }
  return joined(found);
}

/** One spelling of everything that has several. */
const plainly = (line: string): string =>
  line
    .toLowerCase()
    .replace(/[“”„]/g, '"')
    .replace(/[’‘]/g, "'")
    .replace(/[×*]/g, ' x ')
    .replace(/−/g, '-')
    .replace(/Ω/gi, 'ω')
    .replace(/\bpci[ -]?e(?:xpress)?\b|\bpci[ -]express\b/g, 'pcie')
    .replace(/\bpcie(?=\d)/g, 'pcie ')
    .replace(/\bgen(?=\d)/g, 'gen ')
    .replace(/\bawg(?=\d)/g, 'awg ')
    .replace(/@/g, ' at ')
    .replace(/([a-z])\/(?=\d)/g, '$1 ')
    .replace(/\b(?:m|µ|u|micro)[- ]?atx\b/g, 'microatx')
    .replace(/\b(?:m|mini)[- ]?itx\b/g, 'mini-itx')
    .replace(/\bflex[- ]atx\b/g, 'flexatx')
    .replace(/\b(single|one|dual|double|two|triple|three)[- ]slot(?=s?\b)/g, (_, n: string) =>
      /^(?:single|one)$/.test(n) ? '1 slot' : /^(?:triple|three)$/.test(n) ? '3 slot' : '2 slot',
    )
    .replace(/\bpower suppl(?:y|ies)\b/g, 'psu')
    .replace(/\bhard (?:drive|disk)(?=s?\b)/g, 'hdd')
    .replace(/\bsolid[- ]state (?:drive|disk)(?=s?\b)/g, 'ssd')
    .replace(/\bheat ?sink(?=s?\b)/g, 'heatsink')
    .replace(/\blow[- ]profile\b/g, 'low')
    .replace(/\bso[- ]dimm(?=s?\b)/g, 'sodimm')
    .replace(/(\d)x(?=\d)/g, (whole: string, digit: string, at: number, line: string) =>
      /12v[- ]?$/.test(line.slice(0, at)) ? whole : `${digit} x `,
    )
    .replace(/\s+/g, ' ')
    .trim();

function figureAt(
  left: string,
  before: readonly Token[],
): { figure: Figure; length: number } | undefined {
  const lanes = /^x\s?(1|2|4|8|12|16|32)\b/.exec(left);
  const [last, former] = [before.at(-1), before.at(-2)];
  const isLink = former?.is === 'word' && /^(?:pcie|gen|generation)$/.test(former.word);
  if (lanes && (last?.is !== 'figure' || isLink))
    return {
      figure: { is: 'figure', value: Number(lanes[1]), unit: 'lanes', typed: 'x', text: lanes[0] },
      length: lanes[0].length,
    };
  const match = figure.exec(left);
  if (!match?.[1]) return undefined;
  const [whole, number, word] = match;
  const value = parseSigned(number);
  if (value === undefined) return undefined;
  const unit = word === undefined ? undefined : unitSaid(word.replace(/\s/g, ''));
  const tail = left.slice(whole.length);
  const ends = !/^[a-z]/.test(tail);
  const isProduct = last?.is === 'word' && last.word === 'x';
  if (word && unit && ends && (isProduct || !isRelation(word, tail.trimStart()))) {
    const [is, times] = unit;
    return {
      figure: { is: 'figure', value: value * times, unit: is, typed: word, text: whole },
      length: whole.length,
    };
  }
  /* `2280nvme`, `450watts`, and a word that is no unit: the figure alone, where a word begins after it. */
  const after = left.slice(number.length);
  if (/^[a-z]/.test(after) && !/^x\b/.test(after)) return undefined;
  return {
    figure: { is: 'figure', value, unit: 'bare', typed: undefined, text: number },
    length: number.length,
  };
}

/** `in` after a figure is the way into a room, but where the way still follows or nothing does: then it is inches. */
const isRelation = (word: string, after: string): boolean =>
  word === 'in' &&
  (/^\d/.test(after) || (!afterInches.test(after) && !relation.test(after)) || /^inch/.test(after));

const parseSigned = (text: string): number | undefined => {
  const minus = text.startsWith('-');
  const value = parseNumber((minus ? text.slice(1) : text).replace(/^[.,]/, '0.'));
  return value === undefined ? undefined : minus ? -value : value;
};

/** `awg 22`, `gen 3`, `pcie 3.0`: a unit before its figure. */
function joined(found: readonly Token[]): Token[] {
  const done: Token[] = [];
  for (let i = 0; i < found.length; i += 1) {
    const [token, next] = [found[i] as Token, found[i + 1]];
    const figure = next?.is === 'figure' && next.unit === 'bare' ? next : undefined;
    const before = token.is === 'word' && figure ? prefixes[token.word] : undefined;
    if (token.is === 'word' && figure && before && before.takes(figure.value)) {
      if (before.keeps) done.push(token);
      done.push({ ...figure, unit: before.unit, typed: token.word });
      i += 1;
    } else done.push(token);
  }
  return done;
}

const prefixes: Record<string, { unit: Unit; keeps: boolean; takes: (value: number) => boolean }> =
  table({
    awg: { unit: 'awg', keeps: false, takes: () => true },
    gauge: { unit: 'awg', keeps: false, takes: () => true },
    gen: { unit: 'gen', keeps: false, takes: (value: number) => value >= 1 && value <= 7 },
    generation: { unit: 'gen', keeps: false, takes: (value: number) => value >= 1 && value <= 7 },
    pcie: {
      unit: 'gen',
      keeps: true,
      takes: (value: number) => (value >= 1 && value < 6) || value === 6,
    },
  });

/** A length in mm: a bare figure is in the shop's unit. */
export const lengthOf = (figure: Figure, unit: LengthUnit): number =>
  figure.unit === 'bare' && unit === 'in' ? figure.value * MM_PER_INCH : figure.value;
