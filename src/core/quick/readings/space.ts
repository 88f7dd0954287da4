import { figure, gap } from '../../findings/gap.ts';
import { plain } from '../../findings/terms.ts';
import { radiatorSizes } from '../../standards/room.ts';
import { boardFormats } from '../../standards/boards.ts';
import { m2Lengths, m2Source } from '../../standards/links.ts';
import { parseLength, trim } from '../../units/length.ts';
import { range } from '../../units/range.ts';
import { directions, isRoom, kindSaid, relations } from '../line/lexicon.ts';
import { onlyFigures, onlySays, wordSet, type Phrase } from '../line/phrase.ts';
import type { QuickSum, SumReader } from '../line/phrase.ts';
import { lengthOf, type Figure } from '../line/tokens.ts';
import { note, quickBase } from './note.ts';

/** Air under which a part that goes in is watched, mm (common practice, no source). */
const AIR_MM = 2;

const isPart = (word: string): boolean =>
  (kindSaid(word) !== undefined && !isRoom(word)) || /^(?:radiator|rad|part)$/.test(word);

const spoken = wordSet(
  'by mm cm inside long deep high side power for than more less least most x left enough remaining with clear',
);

/** `267 in 247`, `a 10.5" card in 24.7 cm`, `cooler 158 room 160`: a part in its room. */
export const partInRoom: SumReader = (phrase) => {
  const { figures } = phrase;
  if (figures.length !== 2 || !onlyFigures(phrase, ['bare', 'mm'])) return undefined;
  const known = (word: string) =>
    relations.has(word) || isRoom(word) || directions.has(word) || isPart(word) || spoken.has(word);
  if (!onlySays(phrase, known)) return undefined;
  const said = needAndRoom(phrase);
  if (!said) return undefined;
  const [need, room] = [lengthOf(said.need, phrase.unit), lengthOf(said.room, phrase.unit)];
  /* A radiator is called by its fans: its tanks come on top. */
  const radiator = /\b(?:radiator|rad|aio)\b/i.test(phrase.text)
    ? radiatorSizes[String(need)]
    : undefined;
  return inRoom(
    radiator?.lengthMm ?? need,
    room,
    radiator ? `radiator ${need}, with its tanks` : 'part',
  );
};

export function inRoom(need: number, room: number, label = 'part'): QuickSum {
  const finding = gap({
    ...quickBase('part in its room'),
    unit: 'mm',
    terms: [plain('room', range(room), 1), plain(label, range(need), -1)],
    minimumMargin: AIR_MM,
    say: (rest, mark) =>
      mark === 'stop'
        ? `${figure(range(-rest.lo))} mm too long. It does not go in as it is.`
        : mark === 'watch'
          ? 'It goes in, but less than 2 mm is left.'
          : `It goes in and leaves ${figure(rest)} mm.`,
  });
  const rest = room - need;
  return { say: rest < 0 ? `${trim(-rest, 1)} mm over` : `${trim(rest, 1)} mm spare`, finding };
}

/**
 * Which of two lengths is the part and which its room: by the way between them (`267 in 247`), else by what stands
 * beside each (`room 247, card 267`); undefined where nobody said.
 */
function needAndRoom({ tokens }: Phrase): { need: Figure; room: Figure } | undefined {
  const at = tokens.flatMap((token, i) => (token.is === 'figure' ? [i] : []));
  const [i = 0, k = 0] = at;
  const first = tokens[i] as Figure;
  const second = tokens[k] as Figure;
  const between = tokens
    .slice(i + 1, k)
    .flatMap((token) => (token.is === 'word' ? token.word : []));
  const before = tokens.slice(0, i).flatMap((token) => (token.is === 'word' ? token.word : []));
  const after = tokens.slice(k + 1).flatMap((token) => (token.is === 'word' ? token.word : []));
  if (between.some((word) => word === 'x' || word === 'by')) return undefined;
  const roomFirst = { need: second, room: first };
  const partFirst = { need: first, room: second };
  /* `room for a 267 card is 247`. */
  if (before.at(-1) === 'for' && before.some(isRoom)) return partFirst;
  /* `247 room for a 267 card`: what is for something is the room. */
  if (between.includes('for')) return roomFirst;
  const [rooms, parts] = [before, [...between, ...after]].map((words) => [
    words.some(isRoom),
    words.some(isPart),
  ]) as [boolean[], boolean[]];
  if (between.some((word) => relations.has(word))) {
    /* `room 247 against card 267`; whatever goes in, into or under is the part. */
    const held = between.some((word) => /^(?:vs|versus|against|past)$/.test(word));
    return held && rooms[0] && !rooms[1] && parts[1] ? roomFirst : partFirst;
  }
  /* `in 247 mm a 267 mm card`. */
  if (before.some((word) => relations.has(word))) return roomFirst;
  const nouns = [
    { room: before.some(isRoom), part: before.some(isPart) },
    { room: between.some(isRoom), part: between.some(isPart) },
    { room: after.some(isRoom), part: after.some(isPart) },
  ];
  const [lead, middle, end] = nouns as [Beside, Beside, Beside];
  /* Nouns stand before both (`card 267 room 247`) or after both (`267 card, 247 room`). */
  if (lead.part && (middle.room || end.room)) return partFirst;
  if (lead.room && (middle.part || end.part)) return roomFirst;
  /* `160 psu, bay 140`: of two between them the nearer one names each. */
  if (middle.part && middle.room)
    return between.findIndex(isPart) < between.findIndex(isRoom) ? partFirst : roomFirst;
  if (middle.part && end.room) return partFirst;
  if (middle.room && end.part) return roomFirst;
  return undefined;
}

interface Beside {
  room: boolean;
  part: boolean;
}

/** `m.2 2280 in 2242`: 22 mm wide and so long. */
export const m2InRoom: SumReader = (phrase) => {
  const { figures, words } = phrase;
  const lengths = figures.map(({ value }) => m2Lengths.find((each) => each === String(value)));
  const [drive, socket] = lengths;
  if (figures.length !== 2 || !drive || !socket) return undefined;
  if (!onlySays(phrase, (word) => m2Words.has(word) || relations.has(word) || word === 'for'))
    return undefined;
  if (!words.some((word) => relations.has(word) || /^(?:fits?|go|goes)$/.test(word)))
    return undefined;
  const [need, room] = [drive, socket].map((name) => Number(name.slice(2))) as [number, number];
  if (need === room)
    return {
      say: 'that is its length',
      finding: {
        ...note(
          'M.2 drive in its socket',
          [plain('standoff at', `${room} mm`, 0), plain('drive', `${need} mm`, 0)],
          'fits',
          'clear',
          'The standoff stands where its end is.',
          m2Source,
        ),
      },
    };
  return {
    say: need > room ? `${need - room} mm over` : `standoff ${room - need} mm too far`,
    finding: {
      ...note(
        'M.2 drive in its socket',
        [plain('standoff at', `${room} mm`, 0), plain('drive', `${need} mm`, 0)],
        need > room ? `${need - room} mm over` : `${room - need} mm short`,
        need > room ? 'stop' : 'mend',
        need > room
          ? 'It reaches past the last standoff: an adapter card, or a shorter drive.'
          : 'Its end hangs free: move the standoff, or put a lengthening bracket on the drive.',
        m2Source,
      ),
    },
  };
};
const m2Words = wordSet('m.2 m2 ssd nvme drive socket slot standoff at');

/** `8 x 3.2 x 6.3 in`, `95 by 290 by 310`: litres. */
export const volume: SumReader = (phrase) => {
  const { figures } = phrase;
  if (figures.length !== 3 || !onlyFigures(phrase, ['bare', 'mm'])) return undefined;
  if (!phrase.words.some((word) => /^(?:x|by|volume|lit(?:re|er)s?)$/.test(word))) return undefined;
  if (!onlySays(phrase, (word) => volumeWords.has(word) || isRoom(word) || directions.has(word)))
    return undefined;
  /* `8 x 3.2 x 6.3 in`: the unit at the end is that of all three. */
  const last = figures[2] as Figure;
  const per =
    last.unit === 'mm' && last.value > 0 ? last.value / Number(lastNumber(last)) : undefined;
  const sides = figures.map((each) =>
    each.unit === 'bare' && per ? each.value * per : lengthOf(each, phrase.unit),
  );
  const litres = sides.reduce((product, side) => product * side, 1) / 1e6;
  if (!Number.isFinite(litres)) return undefined;
  const terms = sides.map((side, i) =>
    plain(['width', 'height', 'depth'][i] ?? '', range(side), 0),
  );
  return {
    say: `${trim(litres, 2)} litres`,
    finding: note(
      'room inside',
      terms,
      `${trim(litres, 2)} litres`,
      'clear',
      litres < 15
        ? 'Under about 15 litres hot air leaves by itself if cooler and card draw straight through the panel.'
        : 'A case this size wants fans that move the air through.',
    ),
  };
};
const volumeWords = wordSet('x by litre litres liter liters volume l size outside mm');
const lastNumber = ({ text }: Figure) => /^[\d.,]+/.exec(text)?.[0].replace(',', '.') ?? NaN;

/** `41.5 l to 10.2 l`: how much is left. */
export const litresTo: SumReader = (phrase) => {
  const [from, to] = phrase.figures;
  if (phrase.figures.length !== 2 || !from || !to || to.unit !== 'l') return undefined;
  if (from.unit !== 'l' && from.unit !== 'bare') return undefined;
  if (!onlySays(phrase, wordSet('from down case into'))) return undefined;
  const share = (to.value / from.value) * 100;
  if (!Number.isFinite(share)) return undefined;
  return {
    say: `${trim(share, 0)} % of the room`,
    finding: note(
      'room left',
      [plain('from, litres', range(from.value), 0), plain('to, litres', range(to.value), 0)],
      `${trim(share, 1)} %`,
      'clear',
      'Share of the room that is left.',
    ),
  };
};

const operator = / ?([-+]|\bplus\b|\bminus\b|\bless\b) ?/;

/** `300 - 267`, `120 + 25 + 10`, `11 in minus 240 mm`: lengths added and taken off. */
export const plusAndMinus: SumReader = ({ text, unit }) => {
  const line = text.toLowerCase().replace(/[−–]/g, '-').replace(/=$/, '').trim();
  /* `6+2` is a plug. */
  if (/^\d\+\d$/.test(line)) return undefined;
  const pieces = line.split(operator);
  const lengths = pieces.filter((_, i) => i % 2 === 0).map((each) => parseLength(each, unit)?.mm);
  const signs = [
    1,
    ...pieces.filter((_, i) => i % 2 === 1).map((each) => (/^(?:\+|plus)$/.test(each) ? 1 : -1)),
  ];
  if (lengths.length < 2 || lengths.some((each) => each === undefined)) return undefined;
  const terms = lengths.map((each, i) =>
    plain(
      i === 0 ? 'first' : signs[i] === 1 ? 'and' : 'less',
      range(each ?? 0),
      signs[i] === 1 ? 1 : -1,
    ),
  );
  const sum = lengths.reduce<number>((all, each, i) => all + (each ?? 0) * (signs[i] ?? 1), 0);
  const answer = `${sum < 0 ? '−' : ''}${trim(Math.abs(sum), 2)} mm`;
  return {
    say: answer,
    finding: note('lengths together', terms, answer, 'clear', 'Added and taken off as typed.'),
  };
};

/** Drives and bays by the inches they are called by. */
const forms = [2.5, 3.5, 5.25];
const formWords = wordSet('drive bay hdd ssd disk in inch inches cage mount bracket slot');

/** `2.5 inch drive in 3.5 bay`: these inches are names, the parts measure otherwise. */
export const driveInBay: SumReader = (phrase) => {
  const { figures, words } = phrase;
  const [drive, bay] = figures.map((figure) => Number(lastNumber(figure)));
  if (figures.length !== 2 || drive === undefined || bay === undefined) return undefined;
  if (!forms.includes(drive) || !forms.includes(bay)) return undefined;
  if (!words.some((word) => /^(?:drive|bay|hdd|ssd|disk|cage)s?$/.test(word))) return undefined;
  if (!onlySays(phrase, (word) => formWords.has(word) || relations.has(word))) return undefined;
  const mark = drive === bay ? 'clear' : drive < bay ? 'mend' : 'stop';
  const answer = mark === 'clear' ? 'its own' : mark === 'mend' ? 'with a bracket' : 'too large';
  return {
    say: answer,
    finding: note(
      'drive in its bay',
      [plain('bay', `${bay} in`, 0), plain('drive', `${drive} in`, 0)],
      answer,
      mark,
      mark === 'clear'
        ? 'It is made for it.'
        : mark === 'mend'
          ? `A bracket from ${drive} to ${bay} in holds it.`
          : 'It does not go in; the leads would reach it elsewhere.',
    ),
  };
};

const CLOSE_BOARD_MM = 3;

/** `244 x 305`, `9.6 x 12 in board`: which board format has these sides. */
export const boardSize: SumReader = (phrase) => {
  const { figures, words } = phrase;
  const [one, two] = figures;
  if (figures.length !== 2 || !one || !two || !onlyFigures(phrase, ['bare', 'mm']))
    return undefined;
  if (!words.some((word) => word === 'x' || word === 'by')) return undefined;
  if (!onlySays(phrase, (word) => /^(?:x|by|board|motherboard|mobo|format|size|mm)$/.test(word)))
    return undefined;
  const per = two.unit === 'mm' ? two.value / Number(lastNumber(two)) : undefined;
  const sides = [
    one.unit === 'bare' && per ? one.value * per : lengthOf(one, phrase.unit),
    lengthOf(two, phrase.unit),
  ];
  const [least = 0, most = 0] = [...sides].sort((a, b) => a - b);
  const found = boardFormats.filter(({ widthMm, depthMm }) => {
    const [short, long] = [Math.min(widthMm, depthMm), Math.max(widthMm, depthMm)];
    return Math.abs(short - least) <= CLOSE_BOARD_MM && Math.abs(long - most) <= CLOSE_BOARD_MM;
  });
  if (found.length === 0) return undefined;
  const names = found.map(({ name }) => name).join(' or ');
  return {
    say: names,
    finding: note(
      'board by its sides',
      sides.map((side, i) => plain(i === 0 ? 'one side' : 'the other', range(side), 0)),
      names,
      'clear',
      'By its size; its holes tell for sure: Fit, Holes.',
    ),
  };
};
