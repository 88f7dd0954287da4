import { factOf, indexOf, standingOf } from '../../model/lookup/lookup.ts';
import { wordIn } from '../../model/lookup/ownPlugs.ts';
import { itemTexts, properties, type Property } from '../../model/properties/index.ts';
import { isList, isNumber, isText } from '../../model/types/fact.ts';
import { conditions, type Part, type Shop } from '../../model/types/types.ts';
import { formatLength, trim, type LengthUnit } from '../../units/length.ts';
import { formatMoney, type Money } from '../../units/money.ts';
import { isFiller } from '../line/lexicon.ts';
import type { Phrase } from '../line/phrase.ts';
import type { PartCommand, Understood } from '../line/understood.ts';

const commands: Record<PartCommand, ReadonlySet<string>> = {
  edit: new Set(['edit', 'open', 'change', 'rename', 'correct', 'details', 'sheet']),
  delete: new Set(['delete', 'remove', 'scrap', 'bin', 'trash', 'discard']),
  label: new Set(['label', 'sticker', 'tag']),
  photo: new Set(['photo', 'photos', 'picture', 'pictures', 'photograph']),
};
const placeWords = new Set(['where', 'place', 'shelf', 'location', 'lies', 'lie', 'kept']);
const priceWords = new Set(['price', 'cost', 'costs', 'paid', 'worth', 'value']);
const stateWords = new Set([
  'condition',
  'tested',
  'works',
  'work',
  'working',
  'state',
  'dead',
  'good',
]);

/** The property of a part a word asks for: by its key, or by what people say for it. */
const asked: readonly (readonly [readonly string[], readonly string[]])[] = [
  [
    ['long', 'length'],
    ['length', 'leadMain', 'depth', 'outerDepth'],
  ],
  [
    ['high', 'height', 'tall'],
    ['height', 'outerHeight', 'coolerRoom'],
  ],
  [
    ['deep', 'depth'],
    ['depth', 'outerDepth', 'thickness'],
  ],
  [
    ['wide', 'width'],
    ['width', 'outerWidth', 'size'],
  ],
  [['thick', 'thickness'], ['thickness']],
  [
    ['slots', 'slot'],
    ['slotsWide', 'slots', 'memorySlots'],
  ],
  [['watts', 'watt', 'power', 'draw', 'draws', 'pull', 'pulls', 'tdp', 'wattage'], ['watts']],
  [
    ['amps', 'amp'],
    ['amps12', 'amps'],
  ],
  [
    ['volts', 'voltage'],
    ['volts', 'inVolts', 'memoryVolts'],
  ],
  [['size', 'big', 'large', 'capacity', 'gb'], ['size']],
  [
    ['fast', 'speed'],
    ['speed', 'memorySpeed'],
  ],
  [['socket'], ['socket', 'sockets']],
  [['sockets'], ['sockets', 'socket']],
  [
    ['format', 'form'],
    ['format', 'form', 'memoryForm', 'supplyFormat'],
  ],
  [
    ['kind', 'ddr'],
    ['memoryKind', 'class', 'sort'],
  ],
  [
    ['plugs', 'plug', 'connector', 'connectors'],
    ['plugs', 'plug', 'mainPlug'],
  ],
  [['screens', 'outputs'], ['screens']],
  [['hours'], ['hours']],
  [['bracket'], ['bracket']],
];

const spoken = new Set('does how what is its on of for have a print new make the'.split(' '));

/** `where is F04`, `how long is F04`, `price F04`, `edit F04`, `label F04`: a tag, and what is asked or to be done. */
export function asAboutPart(shop: Shop, phrase: Phrase): Understood | undefined {
  const { text, words } = phrase;
  const index = indexOf(shop);
  const tags = words.filter((word) => index.parts.has(word.toUpperCase()));
  const [tag] = tags;
  if (tags.length !== 1 || !tag || phrase.figures.length > 0) return undefined;
  const part = index.parts.get(tag.toUpperCase()) as Part;
  const left = words.filter((word) => word !== tag && !isVoid(word));
  if (left.length === 0)
    return { kind: 'part', text, say: `${part.id}: ${part.name}`, partId: part.id };
  const tell = (answer: string): Understood => ({
    kind: 'told',
    text,
    say: `${part.id}, ${part.name}: ${answer}`,
    partId: part.id,
  });
  for (const [what, names] of Object.entries(commands) as [PartCommand, ReadonlySet<string>][])
    if (left.every((word) => names.has(word)))
      return {
        kind: 'do',
        what,
        text,
        say: `${doing[what]} ${part.id}, ${part.name}`,
        partId: part.id,
      };
  if (left.every((word) => placeWords.has(word))) return tell(placeOf(shop, part));
  if (left.every((word) => priceWords.has(word))) return tell(priceOf(shop, part));
  /* `F01 dead`, `F04 is tested good` says it, `is F04 dead` asks. */
  const said = conditions.filter((each) => left.includes(each));
  const [condition] = said;
  const others = left.filter((word) => word !== condition);
  if (
    condition &&
    said.length === 1 &&
    !asks.test(text) &&
    others.every((word) => /^(?:mark|tested|now|set|as)$/.test(word))
  )
    return { kind: 'condition', text, say: `${part.id}: ${condition}`, partId: part.id, condition };
  if (left.every((word) => stateWords.has(word))) return tell(standingOf(shop, part).condition);
  const keys = left.map((word) => asked.find(([said]) => said.includes(word))?.[1]);
  const [first] = keys;
  if (!first || keys.some((each) => each !== first)) return undefined;
  const own = first.flatMap(
    (key) => properties[part.kind].find((each) => each.key === key) ?? [],
  )[0];
  return own && tell(`${own.label} ${valueOf(shop, part, own, phrase.unit)}`);
}

const doing: Record<PartCommand, string> = {
  edit: 'open',
  delete: 'delete',
  label: 'print the label of',
  photo: 'photograph',
};

const asks = /^(?:is|are|does|was|how|what|which|where)\b|\?$/i;

/** A word that asks for nothing of a part; `long`, `tested` and the like do. */
const isVoid = (word: string): boolean =>
  spoken.has(word) ||
  (isFiller(word) && !['good', 'find', 'used', 'old', 'new'].includes(word)) ||
  ['find', 'part', 'card', 'psu', 'fan', 'cooler', 'drive', 'board', 'case', 'ram', 'cpu'].includes(
    word,
  );

function placeOf(shop: Shop, part: Part): string {
  const home = indexOf(shop).homeOf.get(part.id);
  if (home) return `in ${home.id}, ${home.name}`;
  return part.where ? `shelf ${part.where}` : part.place;
}

function priceOf(shop: Shop, part: Part): string {
  const standing = standingOf(shop, part);
  const money = (sum: Money) => `${formatMoney(sum)} ${sum.currency}`;
  const said = [
    standing.price && `paid ${money(standing.price)}`,
    !standing.price &&
      standing.paidWith &&
      `paid with its machine, ${money(standing.paidWith)} in all`,
    part.worth ? `worth ${money(part.worth)}` : 'its value nobody guessed',
  ].filter((each): each is string => typeof each === 'string');
  return said.join(', ');
}

function valueOf(shop: Shop, part: Part, property: Property, unit: LengthUnit): string {
  const fact = factOf(shop, part, property.key)?.fact;
  if (!fact) return 'not measured';
  const named = (word: string) => wordIn(shop, property, word);
  if (isText(fact)) return named(fact.text);
  if (isList(fact)) return itemTexts(property.key, fact.items).map(named).join(', ') || 'none';
  if (!isNumber(fact)) return 'not measured';
  const one = (value: number) =>
    property.measure === 'mm' ? formatLength(value, unit) : trim(value, 2);
  const unitName =
    property.measure === 'mm'
      ? ` ${unit}`
      : property.measure === 'count'
        ? ''
        : ` ${property.measure}`;
  return `${fact.lo === fact.hi ? one(fact.lo) : `${one(fact.lo)} to ${one(fact.hi)}`}${unitName}`;
}
