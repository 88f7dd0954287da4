import { indexOf } from '../../model/lookup/lookup.ts';
import { properties, property, type Property } from '../../model/properties/index.ts';
import type { Facts } from '../../model/types/fact.ts';
import { kindName } from '../../model/types/seats.ts';
import type { Kind, Shop } from '../../model/types/types.ts';
import { plugSaid } from '../../standards/plugs/spoken.ts';
import { formatLength, trim } from '../../units/length.ts';
import { formatMoney, parseMoney } from '../../units/money.ts';
import { isFiller, kindSaid, singular, tellingKinds } from '../line/lexicon.ts';
import { phraseOf, type Phrase } from '../line/phrase.ts';
import type { Understood } from '../line/understood.ts';
import { directed, figuresOf } from './kindFigures.ts';
import { lengthOf, type Figure } from '../line/tokens.ts';

/** `add card 267mm 2 slot 180w`, `new psu sfx 450 W`: a part, with the figures that were said. */
export function asAdd(phrase: Phrase): Understood | undefined {
  const match = /^(?:add|new|got|enter|put in|have got)(?: an?| another)? (.+)$/i.exec(phrase.text);
  if (!match?.[1]) return undefined;
  const [times, what] = counted(match[1]);
  const said = phraseOf(what, phrase.unit);
  const nouns = said.words.flatMap((word) => kindSaid(word) ?? []);
  const kind = nouns.at(-1);
  if (!kind) return undefined;
  const facts: Facts = {};
  const left: string[] = [];
  const told: string[] = [];
  for (const [i, token] of said.tokens.entries()) {
    if (token.is === 'figure') {
      const next = said.tokens[i + 1];
      const way = next?.is === 'word' ? directed[next.word] : undefined;
      const which = keyOf(kind, token, facts, way);
      if (!which) {
        left.push(token.text);
        continue;
      }
      /* A card of two and a half slots takes three. */
      const whole = which.measure === 'count' ? Math.ceil(token.value) : token.value;
      const value = which.measure === 'mm' ? lengthOf(token, phrase.unit) : whole;
      facts[which.key] = { lo: value, hi: value, how: 'said' };
      const unit =
        which.measure === 'mm'
          ? ` ${phrase.unit}`
          : which.measure === 'count'
            ? ''
            : ` ${which.measure}`;
      told.push(
        `${which.label} ${which.measure === 'mm' ? formatLength(value, phrase.unit) : trim(value, 2)}${unit}`,
      );
      continue;
    }
    if (directed[token.word] && i > 0) continue;
    if (kindSaid(token.word) !== undefined && !tellingKinds.has(singular(token.word))) continue;
    const option = optionOf(kind, token.word);
    if (option && !facts[option.key]) {
      facts[option.key] = option.listed
        ? { items: [option.text], how: 'said' }
        : { text: option.text, how: 'said' };
      told.push(option.text);
    } else if (!isFiller(token.word)) left.push(token.word);
  }
  const plugs = plugsOf(kind, said);
  if (plugs) {
    facts.plugs = { items: plugs.ids, how: 'said' };
    told.push(plugs.said);
    for (const word of plugs.used) left.splice(left.indexOf(word), left.includes(word) ? 1 : 0);
  }
  const name = (left.join(' ') || what).slice(0, 120);
  return {
    kind: 'add',
    text: phrase.text,
    say: `${times === 1 ? 'new' : `${times} × new`} ${kindName(kind)}${left.length > 0 ? ` “${name}”` : ''}${told.length > 0 ? `: ${told.join(', ')}` : ''}`,
    times,
    part: { kind, name, facts },
  };
}

const numbers = ['one', 'two', 'three', 'four', 'five', 'six'];

/** `2 fans 120`, `two 8 GB sticks`: how many, and the rest; a size is no count. */
function counted(text: string): [times: number, rest: string] {
  const match =
    /^(\d{1,2}|one|two|three|four|five|six)(?: ?x)? (?=[a-z]|\d+ ?(?:gb|mm|w|tb)\b)(.+)$/i.exec(
      text,
    );
  const times = match?.[1] ? Number(match[1]) || numbers.indexOf(match[1].toLowerCase()) + 1 : 1;
  const unitNext = /^(?:mm|cm|m|in|inch|w|v|a|gb|tb|g|gig|slots?|pin|awg|l)\b/i.test(
    match?.[2] ?? '',
  );
  return match?.[2] && times >= 1 && times <= 20 && !unitNext ? [times, match[2]] : [1, text];
}

/** `F04 is 267 mm long`, `F04 180 W`, `price F04 25`: a figure of a part, written down. */
export function asSet(shop: Shop, phrase: Phrase): Understood | undefined {
  const { text, words, figures, unit } = phrase;
  const [figure] = figures;
  const parts = indexOf(shop).parts;
  const tags = words.filter((word) => parts.has(word.toUpperCase()));
  const part = tags.length === 1 ? parts.get(tags[0]?.toUpperCase() ?? '') : undefined;
  if (!part || !figure || figures.length !== 1 || /[?]$/.test(text)) return undefined;
  if (/^(?:is|does|will|can|how|what|which|where)\b/i.test(text)) return undefined;
  const left = words.filter((word) => word !== tags[0] && !isFiller(word));
  if (
    figure.unit === 'bare' &&
    left.length > 0 &&
    left.every((word) => /^(?:price|cost|costs|paid|for)$/.test(word))
  ) {
    const price = parseMoney(figure.text, shop.settings.currency);
    return (
      price && {
        kind: 'price',
        text,
        say: `${part.id}: price ${formatMoney(price)} ${price.currency}`,
        partId: part.id,
        price,
      }
    );
  }
  const way = left.map((word) => directed[word]).find((each) => each !== undefined);
  if (left.some((word) => !directed[word] && kindSaid(word) !== part.kind)) return undefined;
  const which = keyOf(part.kind, figure, {}, way);
  if (!which || (figure.unit === 'bare' && !way)) return undefined;
  const value = which.measure === 'mm' ? lengthOf(figure, unit) : figure.value;
  const shown =
    which.measure === 'mm'
      ? `${formatLength(value, unit)} ${unit}`
      : `${trim(value, 2)}${which.measure === 'count' ? '' : ` ${which.measure}`}`;
  return {
    kind: 'set',
    text,
    say: `${part.id}: ${which.label} ${shown}`,
    partId: part.id,
    key: which.key,
    value: { lo: value, hi: value },
  };
}

function keyOf(
  kind: Kind,
  figure: Figure,
  facts: Facts,
  way: readonly string[] | undefined,
): Property | undefined {
  const unit = figure.unit === 'bare' && kind !== 'memory' ? 'mm' : figure.unit;
  const keys = figuresOf[kind]?.[unit] ?? [];
  const wanted = (unit === 'mm' && way) || keys;
  for (const key of wanted) {
    const found = property(kind, key);
    if (found && !facts[key] && figure.value > 0 && figure.value <= (found.most ?? Infinity))
      return found;
  }
  return undefined;
}

/** A word that is an option of a property of this kind, and which: `ddr4`, `sfx`, `am4`, `low`. */
function optionOf(
  kind: Kind,
  word: string,
): { key: string; text: string; listed: boolean } | undefined {
  for (const { key, options, measure } of properties[kind]) {
    if (key === 'plugs') continue;
    const text = options?.find((option) => option.toLowerCase() === word);
    if (text !== undefined) return { key, text, listed: measure === 'list' };
  }
  return undefined;
}

/** `8 pin`, `two 8-pin`: the plugs of a card. */
function plugsOf(
  kind: Kind,
  { tokens }: Phrase,
): { ids: string[]; said: string; used: string[] } | undefined {
  const allowed = property(kind, 'plugs')?.options ?? [];
  const ids: string[] = [];
  const used: string[] = [];
  tokens.forEach((token, i) => {
    const before = tokens[i - 1];
    const times = before?.is === 'word' && /^(?:two|dual|double)$/.test(before.word) ? 2 : 1;
    const said =
      token.is === 'figure' && token.unit === 'pins'
        ? `${kind === 'card' ? 'pcie' : before?.is === 'word' ? before.word : ''} ${token.value}`
        : token.is === 'word' && /^(?:6\+2|4\+4|12v-?2x6|12vhpwr)$/.test(token.word)
          ? token.word
          : undefined;
    const one = said === undefined ? undefined : plugSaid(said.trim(), allowed);
    if (!one || !('id' in one)) return;
    used.push(
      token.is === 'figure' ? token.text : token.word,
      ...(times === 2 && before?.is === 'word' ? [before.word] : []),
    );
    for (let n = 0; n < times; n += 1) ids.push(one.id);
  });
  return ids.length > 0
    ? { ids, said: `${ids.length} plug${ids.length === 1 ? '' : 's'}`, used }
    : undefined;
}
