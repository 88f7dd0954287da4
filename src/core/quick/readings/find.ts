import { factOf, indexOf } from '../../model/lookup/lookup.ts';
import { properties, type Property } from '../../model/properties/index.ts';
import { isList, isNumber, isText } from '../../model/types/fact.ts';
import { plug } from '../../standards/plugs/index.ts';
import { table } from '../../units/table.ts';
import { kindName } from '../../model/types/seats.ts';
import type { Kind, Part, Shop } from '../../model/types/types.ts';
import { trim } from '../../units/length.ts';
import { isFiller, kindSaid, singular, tellingKinds } from '../line/lexicon.ts';
import type { Phrase } from '../line/phrase.ts';
import type { Understood } from '../line/understood.ts';
import { directed, figuresOf } from './kindFigures.ts';
import { lengthOf, type Figure, type Unit } from '../line/tokens.ts';

/** Words that say on what or where to look and nothing of the part. */
const aboutShelf = new Set(
  'shelf stock left anywhere from which one ones any of in i for where two three four pair with over above under below least most min max than larger smaller bigger more less lower shallower longer shorter taller thicker thinner x no without power plug plugs connector connectors'.split(
    ' ',
  ),
);

/** Sizes of drives are called by more than one figure: 240, 250, 256. */
const DRIVE_SIZES = 0.07;
const CLOSE_MM = 0.6;
/** A figure before a plural counts pieces up to here. */
const MOST_COUNTED = 8;
/** What no part is told by: a line with it asks for something else. */
const otherUnits: readonly Unit[] = ['C', 'F', 'l', 'kg', 'ohm', 'awg'];

/** What a part is asked to be: a kind, figures in their units, and words found in it. */
interface Wanted {
  kinds: readonly Kind[];
  figures: readonly Figure[];
  words: readonly string[];
  /** Figures are the least or the most, not the very ones. */
  bound: 'least' | 'most' | undefined;
  /** It must want no power plug. */
  unplugged: boolean;
}

/** Whether a part is what is asked for: open where nobody said. */
type Is = 'yes' | 'no' | 'open';

const least =
  /\b(?:over|above|at least|min(?:imum)?|more than|larger than|bigger than|longer than|taller than|thicker than|from)\b/i;
const most =
  /\b(?:under|below|at most|max(?:imum)?|less than|smaller than|lower than|shallower than|shorter than|thinner than|up to)\b/i;

/** Undefined where two kinds are named that are not one thing (`case fan` is one). */
function wantedOf({ tokens, words, figures, text }: Phrase): Wanted | undefined {
  const at = tokens.flatMap((token, i) => (token.is === 'word' && kindSaid(token.word) ? [i] : []));
  if (at.some((i, n) => n > 0 && i !== (at[n - 1] ?? 0) + 1)) return undefined;
  const kind = words.flatMap((word) => kindSaid(word) ?? []).at(-1);
  const telling = words.filter(
    (word) =>
      !(isFiller(word) || aboutShelf.has(word)) &&
      (kindSaid(word) === undefined || tellingKinds.has(singular(word))),
  );
  /* `2 x 120 fans`, `need 2 fans`: how many, not which. */
  const counted = (figure: Figure) => {
    const next = tokens[tokens.indexOf(figure) + 1];
    return (
      figure.unit === 'bare' &&
      Number.isInteger(figure.value) &&
      figure.value <= MOST_COUNTED &&
      next?.is === 'word' &&
      (next.word === 'x' || (next.word.endsWith('s') && kindSaid(next.word) !== undefined))
    );
  };
  return {
    kinds: kind ? [kind] : [],
    figures: figures.filter((figure) => !counted(figure)),
    words: telling,
    bound: least.test(text) ? 'least' : most.test(text) ? 'most' : undefined,
    unplugged: /\b(?:no|without)\b.*\b(?:plugs?|connectors?)\b/i.test(text),
  };
}

/** Questions that no list of parts answers, and lines about room: theirs is a sum. */
const otherQuestion =
  /^(?:how (?!many\b|much\b)|why\b|when\b|who\b|is\b|are\b|does\b|do\b|can\b|will\b|should\b)|\b(?:room|space|clearance|gap)\b/i;

/** `fan 92`, `8gb ddr4`, `psu over 400w`, `ssd 250`, `low coolers`: parts by what they are. */
export function asFind(shop: Shop, phrase: Phrase): Understood | undefined {
  const wanted = otherQuestion.test(phrase.text) ? undefined : wantedOf(phrase);
  if (!wanted) return undefined;
  const { kinds, figures, words } = wanted;
  /* A figure alone may mean anything. */
  if (kinds.length === 0 && words.length === 0) return undefined;
  if (figures.some(({ unit }) => otherUnits.includes(unit))) return undefined;
  /* Sides of something, not its size. */
  if (figures.length > 1 && phrase.words.includes('x') && !/\bfans?\b/i.test(phrase.text))
    return undefined;
  const { text } = phrase;
  const [sure, perhaps] = matching(shop, wanted, phrase);
  if (sure.length > 0) return found(text, sure);
  if (!words.every((word) => isKnown(shop, kinds[0], word))) return undefined;
  const saidByWord = words.some((word) => tellingKinds.has(singular(word)));
  const name = [
    ...(kinds[0] && !saidByWord ? [kindName(kinds[0])] : []),
    ...words,
    ...figures.map((figure) => figure.text),
  ].join(' ');
  if (perhaps.length > 0)
    return { ...found(text, perhaps), say: `no ${name} for sure; perhaps ${ids(perhaps)}` };
  const [larger] = wanted.bound
    ? [[]]
    : kinds[0] === 'supply' && figures.length === 1 && figures[0]?.unit === 'W'
      ? matching(shop, { ...wanted, bound: 'least' }, phrase)
      : [[]];
  return larger.length > 0
    ? {
        ...found(text, byWatts(shop, larger)),
        say: `no ${name}; larger: ${ids(byWatts(shop, larger))}`,
      }
    : { kind: 'find', text, say: `no ${name} on the shelf`, parts: [] };
}

/** Parts that are it, and parts that may be: nobody said. */
function matching(shop: Shop, wanted: Wanted, phrase: Phrase): [sure: Part[], perhaps: Part[]] {
  const sure: Part[] = [];
  const perhaps: Part[] = [];
  for (const part of shop.parts) {
    if (part.place === 'gone') continue;
    const is = isWanted(shop, part, wanted, phrase);
    if (is !== 'no') (is === 'yes' ? sure : perhaps).push(part);
  }
  return [sure, perhaps];
}

const ids = (parts: readonly Part[]): string => {
  const more = parts.length > 3 ? ` and ${parts.length - 3} more` : '';
  return `${parts
    .slice(0, 3)
    .map(({ id }) => id)
    .join(', ')}${more}`;
};

const found = (text: string, parts: Part[]): Understood & { kind: 'find' } => ({
  kind: 'find',
  text,
  say: `${parts.length} found: ${ids(parts)}`,
  parts,
});

const byWatts = (shop: Shop, parts: readonly Part[]): Part[] => {
  const watts = (part: Part) => {
    const fact = factOf(shop, part, 'watts')?.fact;
    return isNumber(fact) ? fact.lo : 0;
  };
  return [...parts].sort((a, b) => watts(a) - watts(b));
};

function isWanted(shop: Shop, part: Part, wanted: Wanted, phrase: Phrase): Is {
  const { kinds, figures, words, bound, unplugged } = wanted;
  if (kinds.length > 0 && !kinds.includes(part.kind)) return 'no';
  let is: Is = unplugged ? wantsNoPlug(shop, part) : 'yes';
  if (is === 'no') return 'no';
  for (const word of words) {
    const says = saysOf(shop, part, word, words.length === 1 && phrase.words.length === 1);
    if (says === 'no') return 'no';
    if (says === 'open') is = 'open';
  }
  for (const figure of figures) {
    const measures = measuresOf(shop, part, figure, phrase, bound);
    if (measures === 'no') return 'no';
    if (measures === 'open') is = 'open';
  }
  return is;
}

function wantsNoPlug(shop: Shop, part: Part): Is {
  const fact = factOf(shop, part, 'plugs')?.fact;
  return isList(fact) ? (fact.items.length === 0 ? 'yes' : 'no') : 'open';
}

/** Facts a figure of some unit may be, by what counts them or by name. */
const keysFor: Partial<Record<Unit, readonly string[]>> = {
  slots: ['slotsWide', 'slots'],
  lanes: ['lanes'],
  gen: ['gen'],
};

function measuresOf(
  shop: Shop,
  part: Part,
  figure: Figure,
  phrase: Phrase,
  bound: Wanted['bound'],
): Is {
  const { unit } = figure;
  if (unit === 'pins') return hasPins(shop, part, figure.value);
  const wanted = unit === 'mm' ? lengthOf(figure, phrase.unit) : figure.value;
  const close =
    part.kind === 'drive' && unit !== 'mm' ? wanted * DRIVE_SIZES : unit === 'mm' ? CLOSE_MM : 1e-6;
  const holds = (value: number) =>
    bound === 'least'
      ? value >= wanted - close
      : bound === 'most'
        ? value <= wanted + close
        : Math.abs(value - wanted) <= close;
  /* More or less than a length is said of the one length a part is judged by. */
  const way = phrase.words.map((word) => directed[word]).find((keys) => keys !== undefined);
  const lengths = figuresOf[part.kind]?.mm ?? [];
  const judged = (way ?? lengths).find((key) => lengths.includes(key));
  const own = properties[part.kind].filter(({ key, measure }) =>
    bound && (unit === 'bare' || unit === 'mm')
      ? key === judged
      : unit === 'bare'
        ? measure !== 'text' && measure !== 'list'
        : measure === unit || keysFor[unit]?.includes(key),
  );
  if (unit !== 'bare' && own.length === 0) return 'no';
  const facts = own.map(({ key }) => factOf(shop, part, key)?.fact).filter(isNumber);
  if (facts.some(({ lo, hi }) => holds(lo) && holds(hi))) return 'yes';
  /* A bare figure may stand in a name: `Duo 228`. */
  const written = trim(figure.value, 3).replace('.', '\\.');
  if (!bound && new RegExp(`(?:^|[^\\d.])${written}(?![\\d.])`).test(haystack(shop, part)))
    return unit === 'V' ? 'no' : 'yes';
  return (unit !== 'bare' || bound) && facts.length === 0 ? 'open' : 'no';
}

/** Whether it has a plug of so many pins: open where nobody said which plugs it has. */
function hasPins(shop: Shop, part: Part, pins: number): Is {
  const told = properties[part.kind].flatMap(({ key, plugs }: Property) => {
    if (!plugs) return [];
    const fact = factOf(shop, part, key)?.fact;
    return isText(fact)
      ? [fact.text]
      : isList(fact)
        ? fact.items.filter((item) => typeof item === 'string')
        : [];
  });
  if (told.some((id) => plug(id)?.ways === pins)) return 'yes';
  return told.length === 0 ? 'open' : 'no';
}

/** Whether a word is found in a part: in its tag, kind, name, place or facts; the beginning of one will do where it stands alone. */
function saysOf(shop: Shop, part: Part, word: string, isAlone: boolean): Is {
  const one = singular(word);
  const text = haystack(shop, part);
  const isIn = (each: string) =>
    each.length > 2 && isAlone
      ? text.includes(each)
      : text.split(/[^a-z0-9.+-]+|-/).includes(each) || text.split(/[^a-z0-9.+-]+/).includes(each);
  if (isIn(word) || isIn(one)) return 'yes';
  return synonyms[one]?.(shop, part) ?? 'no';
}

const textOf = (shop: Shop, part: Part, key: string): string | undefined => {
  const fact = factOf(shop, part, key)?.fact;
  return isText(fact) ? fact.text : undefined;
};

const saysText =
  (key: string, wanted: string) =>
  (shop: Shop, part: Part): Is => {
    const text = textOf(shop, part, key);
    return text === wanted ? 'yes' : text === undefined ? 'open' : 'no';
  };

/** What a notebook takes: short modules, and a brick. */
const forLaptop = (shop: Shop, part: Part): Is =>
  part.kind === 'memory'
    ? saysText('memoryForm', 'SO-DIMM')(shop, part)
    : part.kind === 'supply' && textOf(shop, part, 'feeds') === 'brick'
      ? 'yes'
      : 'no';

/** Drives of chips: all M.2, none of 3.5 inches; of 2.5 inches its name says, or nobody did (common practice, no source). */
function chips(shop: Shop, part: Part): Is {
  if (part.kind !== 'drive') return 'no';
  const form = textOf(shop, part, 'form');
  if (form === 'M.2') return 'yes';
  if (form === '3.5') return 'no';
  const name = haystack(shop, part);
  return /\b(?:ssd|flash)\b|solid state/.test(name)
    ? 'yes'
    : /\bhdd\b|hard (?:disk|drive)/.test(name)
      ? 'no'
      : 'open';
}
const opposite: Readonly<Record<Is, Is>> = { yes: 'no', no: 'yes', open: 'open' };

/** Words for what a fact says otherwise. */
const synonyms: Record<string, (shop: Shop, part: Part) => Is> = table({
  ssd: (shop: Shop, part: Part): Is => chips(shop, part),
  hdd: (shop: Shop, part: Part): Is => (part.kind === 'drive' ? opposite[chips(shop, part)] : 'no'),
  /* An M.2 drive whose bus nobody said may be either. */
  nvme: (shop: Shop, part: Part): Is =>
    textOf(shop, part, 'form') === 'M.2' ? saysText('bus', 'NVMe')(shop, part) : 'no',
  laptop: (shop: Shop, part: Part): Is => forLaptop(shop, part),
  notebook: (shop: Shop, part: Part): Is => forLaptop(shop, part),
  sodimm: saysText('memoryForm', 'SO-DIMM'),
  brick: (shop: Shop, part: Part): Is => (textOf(shop, part, 'feeds') === 'brick' ? 'yes' : 'no'),
  aio: (shop: Shop, part: Part): Is => (textOf(shop, part, 'class') === 'radiator' ? 'yes' : 'no'),
  'm.2': (shop: Shop, part: Part): Is => (textOf(shop, part, 'form') === 'M.2' ? 'yes' : 'no'),
  ddr3l: (shop: Shop, part: Part): Is =>
    textOf(shop, part, 'memoryKind') !== 'DDR3' || part.kind !== 'memory'
      ? 'no'
      : saysText('memoryVolts', '1.35 V too')(shop, part),
});

const haystacks = new WeakMap<Part, string>();

export function haystack(shop: Shop, part: Part): string {
  let text = haystacks.get(part);
  if (text === undefined) {
    const model = part.modelId ? indexOf(shop).models.get(part.modelId) : undefined;
    const keys = [...Object.keys(part.facts), ...Object.keys(model?.facts ?? {})];
    const words = keys.flatMap((key) => {
      const fact = factOf(shop, part, key)?.fact;
      if (isText(fact)) return [fact.text];
      if (isList(fact)) return fact.items.filter((item) => typeof item === 'string');
      return isNumber(fact) && fact.lo === fact.hi ? [String(fact.lo)] : [];
    });
    text = [part.id, kindName(part.kind), part.name, part.where ?? '', ...words]
      .join(' ')
      .toLowerCase();
    haystacks.set(part, text);
  }
  return text;
}

/** Sorts that are asked for without saying of what: `ddr5`, `sfx`, `am5`, `lga1700`. */
const sorts = /^(?:(?:lp)?ddr\d|lga\d|am\d|fm\d|sfx|tfx|flex|(?:micro|e-?)?atx|mini-itx|nvme|m\.2)/;

/** Whether a word could be said of a kind, or of any: an option of its properties, or in a part of it. */
function isKnown(shop: Shop, kind: Kind | undefined, word: string): boolean {
  if (synonyms[singular(word)] || tellingKinds.has(singular(word))) return true;
  const isOption = ({ options }: Property) =>
    options?.some((option) =>
      option
        .toLowerCase()
        .split(/[^a-z0-9.]+/)
        .includes(word),
    ) === true;
  if (kind === undefined) return sorts.test(word);
  return (
    properties[kind].some(isOption) ||
    shop.parts.some((part) => part.kind === kind && haystack(shop, part).includes(word))
  );
}

/** Parts in whose tag, kind, name, place or facts every word is found. */
export function findParts(shop: Shop, text: string): Part[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  return shop.parts.filter(
    (part) => part.place !== 'gone' && words.every((word) => haystack(shop, part).includes(word)),
  );
}
