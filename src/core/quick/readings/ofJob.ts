import type { Finding, Mark } from '../../findings/finding.ts';
import { figure as figureOf, gap } from '../../findings/gap.ts';
import { plain, termOf } from '../../findings/terms.ts';
import { indexOf, numberOf } from '../../model/lookup/lookup.ts';
import { numberAt, partOfKind } from '../../model/lookup/plan.ts';
import { settingsOf } from '../../model/lookup/reads.ts';
import { kindName } from '../../model/types/seats.ts';
import type { NumberKey } from '../../model/properties/index.ts';
import type { Kind, Shop } from '../../model/types/types.ts';
import { commonPractice } from '../../standards/source.ts';
import { range, scale, total, type Range } from '../../units/range.ts';
import { loads } from '../../watts/loads.ts';
import { directions, isFiller, kindSaid } from '../line/lexicon.ts';
import { ofUnit, onlySays, wordSet, type Phrase, type Place } from '../line/phrase.ts';
import type { Understood } from '../line/understood.ts';
import { lengthOf } from '../line/tokens.ts';

const enoughWords = wordSet(
  'enough psu supply power watts watt sufficient suffice do run feed handle machine job label for',
);

/** `is 450w enough`: a label held against what the parts of the open job draw. */
export function asEnough(phrase: Phrase, { plan }: Place): Understood | undefined {
  const [watts] = ofUnit(phrase, 'W');
  if (!watts || phrase.figures.length !== 1 || !onlySays(phrase, enoughWords)) return undefined;
  if (
    !/\b(?:enough|suffic\w*|will|would|can|does|is|do|run|feed|handle)\b/.test(
      phrase.text.toLowerCase(),
    )
  )
    return undefined;
  const terms = plan?.job ? loads(plan) : [];
  if (!plan?.job || terms.length === 0)
    return {
      kind: 'nothing',
      text: phrase.text,
      say: plan?.job
        ? 'Nothing in this job draws anything yet: put CPU, card and board in first.'
        : 'Open a job first: then its parts are held against these watts.',
    };
  const sum = total(terms.map(({ value }) => value as Range));
  const { headroom } = settingsOf(plan);
  const finding = gap({
    id: 'enough',
    station: 'watts',
    title: `a PSU of ${watts.value} W`,
    seats: [],
    unit: 'W',
    terms: [
      plain('label', range(watts.value), 1),
      ...terms,
      plain(`headroom ${Math.round(headroom * 100)} %`, scale(sum, headroom), -1),
    ],
    minimumMargin: 0,
    short: 'short',
    lack: watts.value < sum.lo ? 'stop' : 'watch',
    source: commonPractice,
    undoMinutes: 0,
    say: (rest, mark) =>
      mark === 'clear'
        ? 'In all it is enough, with the headroom you keep. Amps on 12 V and plugs are looked at in Watts.'
        : mark === 'stop'
          ? `The parts draw at least ${Math.ceil(sum.lo)} W.`
          : rest.hi < 0
            ? 'It covers the sum, but not the headroom you keep.'
            : 'It may be: some draws are not known.',
  });
  return checked(phrase.text, finding, `${watts.value} W for job ${plan.job.id}`);
}

const needsWords = wordSet(
  'watts watt psu power supply wattage size draw draws job machine all total together full load for',
);

/** `what psu do I need`, `how many watts does this job draw`: what its parts draw at full load, with the headroom kept. */
export function asNeeds(phrase: Phrase, { plan }: Place): Understood | undefined {
  const lower = phrase.text.toLowerCase();
  if (phrase.figures.length > 0 || !onlySays(phrase, needsWords)) return undefined;
  const asksPsu = /\b(?:psu|power supply)\b/.test(lower) && /\bneed\b/.test(lower);
  const asksWatts =
    /\b(?:watts?|power|wattage)\b/.test(lower) &&
    /\b(?:need|draws?|job|machine|total)\b/.test(lower) &&
    /\b(?:how|what)\b/.test(lower);
  if (!asksPsu && !asksWatts) return undefined;
  const terms = plan?.job ? loads(plan) : [];
  if (!plan?.job || terms.length === 0)
    return {
      kind: 'nothing',
      text: phrase.text,
      say: plan?.job
        ? 'Nothing in this job draws anything yet.'
        : 'Open a job first: its parts say what they draw.',
    };
  const sum = total(terms.map(({ value }) => value as Range));
  const { headroom } = settingsOf(plan);
  const most = Math.ceil(sum.hi * (1 + headroom));
  const finding: Finding = {
    id: 'needs',
    station: 'watts',
    mark: 'clear',
    title: 'what the parts draw at full load',
    seats: [],
    unit: '',
    terms: terms.map((term) => ({ ...term, sign: 1 as const })),
    marginLabel: `${figureOf(sum, 0)} W; with ${Math.round(headroom * 100)} % headroom ${most} W`,
    say: `A PSU of ${most} W covers the most they may draw, with the headroom you keep.`,
    source: commonPractice,
    remedies: [],
    undoMinutes: 0,
  };
  return {
    kind: 'checked',
    text: phrase.text,
    say: `job ${plan.job.id}: ${most} W with headroom`,
    finding,
  };
}

/** What of a part meets which room of the case. */
const roomsOf: Partial<Record<Kind, readonly [NumberKey, string]>> = {
  card: ['cardRoom', 'long'],
  cooler: ['coolerRoom', 'high'],
  supply: ['supplyRoom', 'deep'],
};

/** What of a part meets that room, by its own measure. */
const needsOf: Partial<Record<Kind, NumberKey>> = {
  card: 'length',
  cooler: 'height',
  supply: 'depth',
};

/** `does F01 fit`, `F01 in A05`: a part of the shop held against the open job's case, or against another case. */
export function asPartFits(shop: Shop, phrase: Phrase, { plan }: Place): Understood | undefined {
  const index = indexOf(shop);
  const named = phrase.words.flatMap((word) => index.parts.get(word.toUpperCase()) ?? []);
  const others = phrase.words.filter((word) => !index.parts.has(word.toUpperCase()));
  if (
    phrase.figures.length > 0 ||
    !others.every((word) => isFiller(word) || fitWords.has(word) || kindSaid(word) !== undefined)
  )
    return undefined;
  const part = named.find(({ kind }) => needsOf[kind]);
  const asks = /\b(?:fits?|in|into|go|goes)\b/i.test(phrase.text);
  if (!part || !asks || named.length > 2) return undefined;
  const [roomKey] = roomsOf[part.kind] as readonly [NumberKey, string];
  const key = needsOf[part.kind] as NumberKey;
  const planned = plan?.job && partOfKind(plan, 'case')?.part;
  const shell = named.length === 2 ? named.find(({ kind }) => kind === 'case') : planned;
  const nothing = (say: string): Understood => ({ kind: 'nothing', text: phrase.text, say });
  if (!shell)
    return named.length === 2
      ? undefined
      : nothing('Open a job first, or name a case: F01 in A05.');
  const [need, room] = [numberOf(shop, part, key), numberOf(shop, shell, roomKey)];
  if (!need) return nothing(`${part.id}: nobody measured it yet.`);
  if (!room) return nothing(`${shell.name}: its room is not measured.`);
  const finding = gap({
    id: 'fits-here',
    station: 'fit',
    title: `${part.name} in ${shell.name}`,
    seats: [],
    unit: 'mm',
    terms: [
      { ...plain('room', range(room.lo, room.hi), 1), how: room.how },
      { ...plain(part.name, range(need.lo, need.hi), -1), how: need.how },
    ],
    minimumMargin: 2,
    short: 'over',
    source: commonPractice,
    undoMinutes: 0,
    say: (_, mark) => inWords(mark),
  });
  return checked(phrase.text, finding, `${part.id} in ${shell.name}`);
}

const inWords = (mark: Mark): string =>
  mark === 'clear'
    ? 'It goes in, by this measure.'
    : mark === 'stop'
      ? 'It does not go in as it is.'
      : 'It may: measure, or take what leaves more.';

const fitWords = wordSet(
  'fit fits fitting go goes in into inside here case the this job machine mm long',
);

/** `does a 267 mm card fit`: a length held against the open job's case. */
export function asFitsHere(phrase: Phrase, { plan }: Place): Understood | undefined {
  const [figure] = phrase.figures;
  const kind = phrase.words.map(kindSaid).find((each) => each && roomsOf[each]);
  if (!figure || phrase.figures.length !== 1 || !kind) return undefined;
  if (figure.unit !== 'mm' && figure.unit !== 'bare') return undefined;
  if (
    !/\b(?:fits?|go|goes|fitting|room for|space for|too (?:long|high|deep|tall|big))\b/.test(
      phrase.text.toLowerCase(),
    )
  )
    return undefined;
  if (
    !onlySays(
      phrase,
      (word) =>
        fitWords.has(word) ||
        directions.has(word) ||
        kindSaid(word) !== undefined ||
        /^(?:too|room|space|big)$/.test(word),
    )
  )
    return undefined;
  const shell = plan && partOfKind(plan, 'case');
  const [key] = roomsOf[kind] as readonly [NumberKey, string];
  const room = plan && shell && numberAt(plan, shell, key);
  if (!plan?.job || !shell || !room)
    return {
      kind: 'nothing',
      text: phrase.text,
      say: plan?.job ? 'This job has no case yet.' : 'Open a job first, or type its room too.',
      guesses: [`${figure.text} in 300`],
    };
  const need = lengthOf(figure, phrase.unit);
  const finding = gap({
    id: 'fits-here',
    station: 'fit',
    title: `${kindName(kind)} of ${Math.round(need * 10) / 10} mm in ${shell.part.name}`,
    seats: [],
    unit: 'mm',
    terms: [termOf(shell, key, 'room', 1, room), plain(kindName(kind), range(need), -1)],
    minimumMargin: 2,
    short: 'over',
    source: commonPractice,
    undoMinutes: 0,
    say: (_, mark) => inWords(mark),
  });
  return checked(phrase.text, finding, `job ${plan.job.id}`);
}

const checked = (text: string, finding: Finding, of: string): Understood => ({
  kind: 'checked',
  text,
  say: `${of}: ${finding.mark === 'clear' ? 'yes' : finding.mark === 'stop' ? 'no' : 'perhaps'}`,
  finding,
});
