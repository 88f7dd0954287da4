import { indexOf } from '../model/lookup/lookup.ts';
import { wordIn } from '../model/lookup/ownPlugs.ts';
import type { Property } from '../model/properties/index.ts';
import type { Shop } from '../model/types/types.ts';
import { readFigure } from '../units/figure.ts';
import { formatLength, parseLength, parseNumber, trim } from '../units/length.ts';
import { asEntry, asMove } from './book.ts';
import { guessesFor } from './guess.ts';
import { phraseOf, type Phrase, type Place } from './line/phrase.ts';
import { scanWords, type Understood, type Word } from './line/understood.ts';
import { asAboutPart } from './readings/aboutPart.ts';
import { asAdd, asSet } from './readings/add.ts';
import { asPlugs } from './readings/askPlugs.ts';
import { asDates } from './readings/dates.ts';
import { asOwnStep } from './readings/ownStep.ts';
import { asFind } from './readings/find.ts';
import { asLead, asNote, asPlaceAsked } from './readings/lead.ts';
import { asEnough, asFitsHere, asNeeds, asPartFits } from './readings/ofJob.ts';
import { quickSum } from './sums.ts';

/**
 * What the entry line makes of a text: a word of the scan sheet, a tag that was scanned, a sum, a question, a
 * command, a search on the shelf, a new job, or (while a question is lit) an answer that fits it. A reading
 * takes a line only when it has read every word of it; what none takes is said, with what may have been meant.
 */
export function understand(shop: Shop, typed: string, place: Place = {}): Understood {
  const text = typed.trim().replace(/\s+/g, ' ');
  if (text === '') return { kind: 'nothing', text, say: '' };
  const lower = text.toLowerCase();
  if ((scanWords as readonly string[]).includes(lower)) {
    return { kind: 'word', text, say: lower, word: lower as Word };
  }
  if (/^undo (?:that|it|this|last)$/.test(lower))
    return { kind: 'word', text, say: 'undo', word: 'undo' };
  const phrase = phraseOf(text, shop.settings.unit);
  return (
    (place.property ? asAnswer(shop, text, place.property) : undefined) ??
    asTag(shop, text) ??
    read(shop, phrase, place) ?? {
      kind: 'nothing',
      text,
      say: 'Not understood.',
      guesses: guessesFor(phrase, (line) => {
        const other = read(shop, phraseOf(line, shop.settings.unit), place);
        return other !== undefined && other.kind !== 'nothing';
      }),
    }
  );
}

/** The first reading that takes the whole line. */
function read(shop: Shop, phrase: Phrase, place: Place): Understood | undefined {
  const { text } = phrase;
  return (
    asMove(shop, text) ??
    asEntry(shop, text) ??
    asDates(shop, text, place) ??
    asOwnStep(text, place) ??
    asNote(shop, text, place) ??
    asLead(text, shop) ??
    asPartFits(shop, phrase, place) ??
    asAboutPart(shop, phrase) ??
    asSet(shop, phrase) ??
    asAdd(phrase) ??
    asNewJob(text) ??
    asEnough(phrase, place) ??
    asNeeds(phrase, place) ??
    asFitsHere(phrase, place) ??
    asSum(text, shop) ??
    asPlaceAsked(shop, phrase) ??
    asPlugs(text) ??
    asFind(shop, phrase)
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
function asOption(shop: Shop, text: string, property: Property) {
  const { label, measure, options } = property;
  const plain = (words: string) => words.toLowerCase().replace(/\s+/g, ' ');
  const named = (measure === 'text' ? (options ?? []) : []).map((option) => ({
    option,
    name: plain(wordIn(shop, property, option)),
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
