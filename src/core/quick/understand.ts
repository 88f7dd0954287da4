import { indexOf } from '../model/lookup/lookup.ts';
import { kindName } from '../model/types/seats.ts';
import { kinds, type Part, type Shop } from '../model/types/types.ts';
import { isNumber, isText } from '../model/types/fact.ts';
import { factOf } from '../model/lookup/lookup.ts';
import { plugNameIn } from '../model/lookup/ownPlugs.ts';
import type { Property } from '../model/properties/index.ts';
import { readFigure } from '../units/figure.ts';
import { formatLength, parseLength, parseNumber, trim } from '../units/length.ts';
import { asEntry, asMove } from './book.ts';
import { quickSum } from './sums.ts';
import { scanWords, type Understood, type Word } from './quick.ts';

/**
 * What the entry line makes of a text: a word of the scan sheet, a tag that was scanned,
 * a sum, a search on the shelf, a new job, or (while a question is lit) an answer that fits it.
 */
export function understand(shop: Shop, typed: string, asked?: { property: Property }): Understood {
  const text = typed.trim().replace(/\s+/g, ' ');
  if (text === '') return { kind: 'nothing', text, say: '' };
  const lower = text.toLowerCase();
  if ((scanWords as readonly string[]).includes(lower)) {
    return { kind: 'word', text, say: lower, word: lower as Word };
  }
  return (
    (asked ? asAnswer(shop, text, asked.property) : undefined) ??
    asTag(shop, text) ??
    asMove(shop, text) ??
    asEntry(shop, text) ??
    asNewJob(text) ??
    asSum(text, shop) ??
    asFind(shop, lower) ?? {
      kind: 'nothing',
      text,
      say: 'Not understood. Try 267 in 247, 12 V 20 A, fan 92, or scan a tag.',
    }
  );
}

/** An answer of the sort that is asked for; a bare figure that cannot be one is refused, anything else is no answer. */
function asAnswer(shop: Shop, text: string, property: Property): Understood | undefined {
  const { measure, most, label } = property;
  if (measure === 'text' || measure === 'list') return asOption(shop, text, property);
  const lengths = shop.settings.unit;
  const read = readFigure(text, { unit: measure, lengths, most });
  if ('value' in read) {
    const { value } = read;
    const figure = measure === 'mm' ? `${formatLength(value, lengths)} ${lengths}` : trim(value, 2);
    const unit = measure === 'mm' || measure === 'count' ? '' : ` ${measure}`;
    const say = `${label} ${figure}${unit}`;
    return { kind: 'answer', text, say, value: { lo: value, hi: value } };
  }
  return isFigure(text) ? { kind: 'nothing', text, say: `${label}: ${read.fault}` } : undefined;
}

const isFigure = (text: string) =>
  parseNumber(text) !== undefined || parseLength(text) !== undefined;

/** One of the options by its name, or by words only one of them has. */
function asOption(shop: Shop, text: string, { label, measure, options, key }: Property) {
  const plain = (words: string) => words.toLowerCase().replace(/\s+/g, ' ');
  const isPlug = /plug/i.test(key);
  const named = (measure === 'text' ? (options ?? []) : []).map((option) => ({
    option,
    name: plain(isPlug ? plugNameIn(shop, option) : option),
  }));
  const said = plain(text);
  const same = named.find(({ option, name }) => name === said || plain(option) === said);
  const like = named.filter(({ name }) => said.split(' ').every((word) => name.includes(word)));
  const found = isFigure(text) ? same : (same ?? (like.length === 1 ? like[0] : undefined));
  if (found)
    return {
      kind: 'answer' as const,
      text,
      say: `${label}: ${found.name}`,
      value: { text: found.option },
    };
  if (!isFigure(text)) return undefined;
  return {
    kind: 'nothing' as const,
    text,
    say: `${label}: a figure does not answer that. Choose it on the tape.`,
  };
}

/** A tag of this shop, else one borne before a file was added: its old label still finds it. */
function asTag(shop: Shop, text: string): Understood | undefined {
  const index = indexOf(shop);
  const tag = text.toUpperCase();
  const part = index.parts.get(text) ?? index.parts.get(tag) ?? index.formerParts.get(tag);
  if (part) {
    const before = part.id === tag || part.id === text ? '' : `, was ${tag}`;
    return { kind: 'part', text, say: `${part.id}${before}: ${part.name}`, partId: part.id };
  }
  const number = /^(?:job )?(\d{1,6})$/i.exec(text)?.[1] ?? '';
  const job = index.jobs.get(number) ?? index.formerJobs.get(number);
  if (job) return { kind: 'job', text, say: `Open ${job.id}, ${job.name}`, jobId: job.id };
  return undefined;
}

function asNewJob(text: string): Understood | undefined {
  const match = /^(?:new )?job:? (.+?)(?: becomes (.+))?$/i.exec(text);
  if (!match?.[1]) return undefined;
  const [name, becomes = ''] = [match[1].trim(), match[2]?.trim()];
  return {
    kind: 'newJob',
    text,
    say: `New job: ${name}${becomes ? `, becomes ${becomes}` : ''}`,
    name,
    becomes,
  };
}

function asSum(text: string, shop: Shop): Understood | undefined {
  const sum = quickSum(text, shop.settings.unit);
  return sum && { kind: 'sum', text, say: sum.say, finding: sum.finding };
}

/** `fan 92`, `ddr4 8`, `sfx`: every word must be found in the part's tag, kind, name or facts. */
function asFind(shop: Shop, lower: string): Understood | undefined {
  const parts = findParts(shop, lower);
  const asked =
    (kinds as readonly string[]).includes(lower.split(' ')[0] ?? '') || parts.length > 0;
  if (!asked) return undefined;
  const where = parts.slice(0, 3).map((part) => part.id);
  const more = parts.length > 3 ? ` and ${parts.length - 3} more` : '';
  const say =
    parts.length === 0 ? 'none on the shelf' : `${parts.length} found: ${where.join(', ')}${more}`;
  return { kind: 'find', text: lower, say, parts };
}

/** Parts in whose tag, kind, name, place or facts every word is found. */
export function findParts(shop: Shop, text: string): Part[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  return shop.parts.filter(
    (part) => part.place !== 'gone' && words.every((word) => haystack(shop, part).includes(word)),
  );
}

const haystacks = new WeakMap<Part, string>();

function haystack(shop: Shop, part: Part): string {
  let text = haystacks.get(part);
  if (text === undefined) {
    const model = part.modelId ? indexOf(shop).models.get(part.modelId) : undefined;
    const keys = [...Object.keys(part.facts), ...Object.keys(model?.facts ?? {})];
    const words = keys.flatMap((key) => {
      const fact = factOf(shop, part, key)?.fact;
      if (isText(fact)) return [fact.text];
      return isNumber(fact) && fact.lo === fact.hi ? [String(fact.lo)] : [];
    });
    text = [part.id, kindName(part.kind), part.name, part.where ?? '', ...words]
      .join(' ')
      .toLowerCase();
    haystacks.set(part, text);
  }
  return text;
}
