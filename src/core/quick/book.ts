import { indexOf } from '../model/lookup/lookup.ts';
import type { Entry, Shop } from '../model/types/types.ts';
import { currencyOf } from '../units/currency.ts';
import { readAmount, readMoney, type Money } from '../units/money.ts';
import type { Understood } from './line/understood.ts';

const verbs = { paid: 'cost', spent: 'cost', bought: 'cost', sold: 'sale', gift: 'gift' } as const;

/**
 * `paid 12.50 paint`, `sold A07 25`, `gift 20 USD cooler`, `worked 90 min sanding`: a line for the book.
 * A tag among the words hangs it on the part, machine or job it names.
 */
export function asEntry(shop: Shop, text: string): Understood | undefined {
  return moneyLine(shop, text) ?? hoursLine(shop, text);
}

function moneyLine(shop: Shop, text: string): Understood | undefined {
  const match = /^(paid|spent|bought|sold|gift) (.+)$/i.exec(text);
  if (!match?.[1] || !match[2]) return undefined;
  const verb = match[1].toLowerCase() as keyof typeof verbs;
  const words = match[2].split(' ');
  const found = amountIn(shop, words);
  if (!found) return undefined;
  if ('fault' in found) return { kind: 'nothing', text, say: found.fault };
  const { money, rest } = found;
  const { what, tags } = told(shop, rest);
  const name = what || nameOf(shop, tags);
  if (!name) return undefined;
  const entry: Draft = { kind: verbs[verb], what: name, money, ...tags };
  return { kind: 'entry', text, say: sayOf(verb, entry), entry };
}

/** The amount among the words: one with a currency beside or at it before a bare one, the first of its sort. */
function amountIn(shop: Shop, words: readonly string[]) {
  const own = shop.settings.currency;
  /* `bought fan 92 for 4.50`: what stands after `for` is the price. */
  const priced = words.findIndex(
    (word, i) => word.toLowerCase() === 'for' && readAmount(words[i + 1] ?? '') !== undefined,
  );
  const minorFor = priced < 0 ? undefined : readAmount(words[priced + 1] ?? '');
  if (minorFor !== undefined && currencyOf(words[priced + 2] ?? '', own) === undefined)
    return {
      money: { minor: minorFor, currency: own },
      rest: without(words, priced + 1, priced + 1),
    };
  let bare: { at: number; money: Money } | undefined;
  let fault: string | undefined;
  for (const [at, word] of words.entries()) {
    if (!/\d/.test(word) || isTag(shop, word)) continue;
    const minor = readAmount(word);
    if (minor === undefined) {
      /* `$9.99`, `12eur`; `12V` and `120mm` are words of the thing. */
      const read = readMoney(word, own);
      if ('money' in read) return { money: read.money, rest: without(words, at, at) };
      continue;
    }
    const [after, before] = [words[at + 1], words[at - 1]];
    for (const [beside, from, to] of [
      [after, at, at + 1],
      [before, at - 1, at],
    ] as const) {
      const named = beside === undefined ? undefined : currencyOf(beside, own);
      if (named && 'code' in named)
        return { money: { minor, currency: named.code }, rest: without(words, from, to) };
      /* A thing of its own, `paid 30 XYZ`, or a currency nobody knows, `paid 30 XYZ paint`. */
      if (named && words.length > 2) fault ??= named.fault;
    }
    bare ??= { at, money: { minor, currency: own } };
  }
  if (fault !== undefined) return { fault };
  return bare && { money: bare.money, rest: without(words, bare.at, bare.at) };
}

/** The words but those of the amount, and the `for` beside it. */
function without(words: readonly string[], from: number, to: number): string[] {
  const isFor = (word: string | undefined) => /^(?:for|on)$/i.test(word ?? '');
  const start = isFor(words[from - 1]) ? from - 1 : from;
  const end = isFor(words[to + 1]) ? to + 1 : to;
  return [...words.slice(0, start), ...words.slice(end + 1)];
}

/** An entry before it has its number and day. */
export type Draft = Omit<Entry, 'id' | 'at'>;

function hoursLine(shop: Shop, text: string): Understood | undefined {
  const match =
    /^(worked\s+)?(?:(\d+):(\d{2})|(\d+(?:[.,]\d+)?)\s*(h|hours?|min|minutes?))(?: (?:of )?(.+))?$/i.exec(
      text,
    );
  /* `2 hours sanding` is work too; a time alone is not. */
  if (!match || (!match[1] && !match[6])) return undefined;
  const [, , h, m, figure = '', unit = '', rest = ''] = match;
  const amount = Number(figure.replace(',', '.'));
  const minutes =
    h === undefined
      ? amount * (unit.toLowerCase().startsWith('h') ? 60 : 1)
      : Number(h) * 60 + Number(m);
  if (!(minutes > 0) || minutes > 100_000) return undefined;
  const { what, tags } = told(shop, rest.split(' ').filter(Boolean));
  const entry: Draft = { kind: 'hours', what: what || 'work', minutes, ...tags };
  return { kind: 'entry', text, say: `book ${Math.round(minutes)} min of ${entry.what}`, entry };
}

const isTag = (shop: Shop, word: string): boolean => {
  const index = indexOf(shop);
  const tag = word.toUpperCase();
  return index.parts.has(tag) || index.machines.has(tag);
};

/** The words without the tags among them, and the tags. */
function told(shop: Shop, words: readonly string[]) {
  const index = indexOf(shop);
  const tags: Pick<Entry, 'partId' | 'machineId'> = {};
  const rest = words.filter((word) => {
    const tag = word.toUpperCase();
    if (index.parts.has(tag)) tags.partId = tag;
    else if (index.machines.has(tag)) tags.machineId = tag;
    else return true;
    return false;
  });
  return { what: rest.join(' '), tags };
}

function nameOf(shop: Shop, { partId, machineId }: Pick<Entry, 'partId' | 'machineId'>): string {
  const index = indexOf(shop);
  return (
    (partId && index.parts.get(partId)?.name) ||
    (machineId && index.machines.get(machineId)?.name) ||
    ''
  );
}

function sayOf(verb: string, { money, what, partId, machineId }: Draft): string {
  const sum = money ? `${(money.minor / 100).toFixed(2)} ${money.currency}` : '';
  const tag = partId ?? machineId;
  return `book: ${verb} ${sum}, ${what}${tag && !what.includes(tag) ? ` (${tag})` : ''}`;
}

/**
 * `A07 to drawer 3`, or the label of a place, `@drawer 3`: where a part is laid. A part in a machine is
 * taken out at Donors, where what that costs is said.
 */
export function asMove(shop: Shop, text: string): Understood | undefined {
  const place = /^@\s*(\S.{0,39})$/.exec(text)?.[1];
  if (place) return { kind: 'place', text, say: `parts go to ${place}`, where: place };
  const match =
    /^(\S+)\s+(?:to|@)\s*(\S.{0,39})$/i.exec(text) ??
    /^(?:move|put|lay|store|keep) (\S+) (?:to|in|into|on|at) (?:the )?(\S.{0,39})$/i.exec(text);
  const part = match?.[1] && indexOf(shop).parts.get(match[1].toUpperCase());
  if (!part || !match?.[2]) return undefined;
  const home = indexOf(shop).homeOf.get(part.id);
  const where = match[2];
  /* A job is no shelf. */
  const job = /^(?:this )?(?:job|machine)(?: (\S+))?$/i.exec(where);
  if (job)
    return {
      kind: 'nothing',
      text,
      say: `Open the job, then type ${part.id}.`,
      guesses: job[1] ? [`job ${job[1]}`] : [],
    };
  return home
    ? {
        kind: 'nothing',
        text,
        say: `${part.id} sits in ${home.name}: take it out at Donors first.`,
      }
    : { kind: 'move', text, say: `${part.id} goes to ${where}`, partId: part.id, where };
}
