import { properties } from '../model/properties/index.ts';
import type { Facts } from '../model/types/fact.ts';
import { kinds, type Kind, type Part } from '../model/types/types.ts';
import { parseMoney } from '../units/money.ts';
import { table } from '../units/table.ts';

/** A line of a price list that could not be read; lines count from 1, the header is the first. */
export interface ListFault {
  line: number;
  say: string;
}

export type ListedPart = Omit<Part, 'id'>;

/** Other words for kinds that lists use. */
const alias: Record<string, Kind> = table({
  psu: 'supply',
  'power supply': 'supply',
  motherboard: 'board',
  mainboard: 'board',
  cpu: 'processor',
  ram: 'memory',
  module: 'memory',
  gpu: 'card',
  'graphics card': 'card',
  ssd: 'drive',
  hdd: 'drive',
  disk: 'drive',
  heatsink: 'cooler',
  chassis: 'case',
  shell: 'case',
  lead: 'leads',
  cable: 'leads',
  screws: 'small',
});

const headings = {
  kind: ['kind', 'type', 'category', 'what'],
  name: ['name', 'title', 'item', 'article', 'description'],
  price: ['price', 'cost', 'each', 'unit price'],
  currency: ['currency', 'cur'],
  /* The most it may cost, and what it is sold together with. */
  upTo: ['price to', 'up to', 'max price', 'price max'],
  lot: ['lot', 'bundle', 'set'],
  facts: ['facts'],
} as const;

/**
 * A price list as rows of texts, a header row first: kind, name, price, currency, `facts` as
 * `key=value`, and a column for any property by its key or label. What a list says is said, not
 * measured. Lines with faults are left out and named; nothing else is lost.
 */
export function readPriceList(
  rows: readonly (readonly string[])[],
  { source, currency, at }: { source: string; currency: string; at: string },
): { parts: ListedPart[]; faults: ListFault[] } {
  const [header = [], ...lines] = rows;
  const titles = header.map((each) => each.trim().toLowerCase());
  const column = (name: keyof typeof headings) =>
    titles.findIndex((title) => (headings[name] as readonly string[]).includes(title));
  const at0 = { kind: column('kind'), name: column('name'), price: column('price') };
  if (at0.kind < 0 || at0.name < 0)
    return {
      parts: [],
      faults: [{ line: 1, say: 'The first line must name its columns: kind, name, price.' }],
    };
  /* A column that says kind or price is no fact, though a property may bear the same name. */
  const said = (Object.keys(headings) as (keyof typeof headings)[]).map(column);
  const others = titles.map((title, i) => (said.includes(i) ? '' : title));
  const parts: ListedPart[] = [];
  const faults: ListFault[] = [];
  for (const [i, cells] of lines.entries()) {
    const line = i + 2;
    const cell = (at: number) => (at < 0 ? '' : (cells[at] ?? '').trim());
    if (cells.every((each) => each.trim() === '')) continue;
    const word = cell(at0.kind).toLowerCase();
    const kind = (kinds as readonly string[]).includes(word) ? (word as Kind) : alias[word];
    const name = cell(at0.name);
    if (!kind) {
      faults.push({ line, say: `No kind is called “${cell(at0.kind)}”.` });
      continue;
    }
    if (name === '') {
      faults.push({ line, say: 'It has no name.' });
      continue;
    }
    const code = cell(column('currency')).toUpperCase() || currency;
    const text = cell(at0.price).replace(/[€$£\s]/g, '');
    const price = text === '' ? undefined : parseMoney(text, code);
    if ((text !== '' && !price) || !/^[A-Z]{3}$/.test(code)) {
      const say = text.startsWith('-')
        ? `${name}: a price below zero, ${text}.`
        : `${name}: the price is no amount, ${text} ${code}.`;
      faults.push({ line, say });
      continue;
    }
    const most = cell(column('upTo')).replace(/[€$£\s]/g, '');
    const upTo = most === '' ? undefined : parseMoney(most, code);
    if (most !== '' && (!upTo || !price || upTo.minor < price.minor)) {
      faults.push({
        line,
        say: `${name}: up to ${most} is no price from ${text || 'nothing'} on.`,
      });
      continue;
    }
    const lot = cell(column('lot')).slice(0, 120);
    const told = factsOf(kind, others, cells, cell(column('facts')), source);
    for (const say of told.faults) faults.push({ line, say: `${name}: ${say}` });
    parts.push({
      kind,
      name: name.slice(0, 120),
      facts: told.facts,
      place: 'buy',
      where: source,
      origin: `${source}, ${at.slice(0, 10)}`,
      ...(price ? { price } : {}),
      ...(upTo ? { priceTo: upTo.minor } : {}),
      ...(lot ? { lot: `${source}: ${lot}` } : {}),
    });
  }
  return { parts, faults };
}

function factsOf(
  kind: Kind,
  titles: readonly string[],
  cells: readonly string[],
  packed: string,
  source: string,
): { facts: Facts; faults: string[] } {
  const facts: Facts = {};
  const faults: string[] = [];
  const pairs = [
    ...titles.map((title, i) => [title, (cells[i] ?? '').trim()] as const),
    ...packed
      .split(/[;\n]/)
      .map((each) => each.split('='))
      .map(([key = '', ...value]) => [key.trim().toLowerCase(), bare(value.join('='))] as const),
  ];
  for (const [title, text] of pairs) {
    const property = properties[kind].find(
      ({ key, label }) => key.toLowerCase() === title || label.toLowerCase() === title,
    );
    if (!property || text === '') continue;
    const { key, measure, options, most } = property;
    if (measure === 'text') {
      const known = options?.find((option) => option.toLowerCase() === text.toLowerCase());
      if (options && !known) faults.push(`${property.label} “${text}” is none we know.`);
      else facts[key] = { text: known ?? text, how: 'said', source };
    } else if (measure === 'list') {
      const items = text
        .split(/[|,]/)
        .map((each) => each.trim())
        .filter(Boolean);
      facts[key] = { items, how: 'said', source };
    } else {
      const [lo, hi] = span(text);
      if (!(lo >= 0) || !(hi >= lo) || hi > (most ?? Infinity))
        faults.push(`${property.label} ${text} cannot be meant.`);
      else facts[key] = { lo, hi, how: 'said', source };
    }
  }
  return { facts, faults };
}

/** `450 (measured)` as another shop writes its parts out: how it was known there is said here. */
const bare = (text: string): string =>
  text.replace(/\s*\((?:said|read|measured|class)\)\s*$/, '').trim();

/** `450`, `450 W`, `12,5`, `150..168`; NaN where it begins with no figure. */
function span(text: string): [number, number] {
  const figure = (word: string | undefined) =>
    word === undefined ? NaN : Number(word.replace(',', '.'));
  const match = /^(-?\d+(?:[.,]\d+)?)(?:\.\.(-?\d+(?:[.,]\d+)?))?/.exec(text);
  const lo = figure(match?.[1]);
  return [lo, match?.[2] === undefined ? lo : figure(match[2])];
}
