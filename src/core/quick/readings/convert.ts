import { plain } from '../../findings/terms.ts';
import { formatLength, MM_PER_INCH, trim } from '../../units/length.ts';
import { toCelsius, toFahrenheit } from '../../units/degrees.ts';
import { wireDiameterMm } from '../../units/wire.ts';
import { isFiller } from '../line/lexicon.ts';
import type { Phrase } from '../line/phrase.ts';
import type { SumReader } from '../line/phrase.ts';
import { lengthOf, unitSaid, type Figure, type Unit } from '../line/tokens.ts';
import { note } from './note.ts';

/** `10.5 in in mm`, `30 cm to inches`, `100 C`, `2 kg in lb`, `1 tb in gb`, `awg 18 in mm2`: one figure in another unit. */
export const convert: SumReader = (phrase) => {
  const [figure] = phrase.figures;
  if (!figure || phrase.figures.length !== 1) return undefined;
  const wanted = unitWanted(phrase);
  if (wanted === false) return undefined;
  const found = wanted === undefined ? byItself(figure) : inUnit(figure, wanted, phrase);
  if (found === undefined) return undefined;
  /* Sentences turn lengths into the shop's unit, and this one was asked for: the space that does not break stops that. */
  const answer = found.replace(/ (?=(?:mm|in)$)/, '\u00a0');
  const said = figure.unit === 'bare' ? `${figure.text} ${phrase.unit}` : figure.text;
  const finding = note(
    figure.unit === 'C' || figure.unit === 'F' ? 'temperature' : 'the same in another unit',
    [plain('as typed', said, 0), plain('is', answer, 0)],
    answer,
    'clear',
    figure.unit === 'C' || figure.unit === 'F'
      ? 'The same warmth in the other scale.'
      : 'The same, in the unit you asked for.',
  );
  return { say: answer, finding };
};

/** The unit a line asks for: the last word, after `in`, `to`, `as` or nothing; false where other words stand. */
function unitWanted({ words }: Phrase): string | undefined | false {
  const left = words.filter((word) => !(isFiller(word) || linking.has(word)));
  const asked = words.at(-1);
  if (left.length === 0) return asked === 'in' ? 'in' : undefined;
  const [only] = left;
  if (left.length > 1 || only === undefined) return false;
  return unitSaid(only) || only === 'mm2' || only === 'mm²' ? only : false;
}
const linking = new Set(['in', 'to', 'into', 'as', 'convert', 'equals', '=', 'is']);

/** A temperature says the other scale, and an inch its millimetres, without being asked. */
function byItself({ unit, value, typed }: Figure): string | undefined {
  if (unit === 'C') return `${trim(toFahrenheit(value), 1)} °F`;
  if (unit === 'F') return `${trim(toCelsius(value), 1)} °C`;
  if (unit === 'GB' && typed !== 'gb' && value >= 1) return `${trim(value, 0)} GB`;
  if (unit !== 'mm') return undefined;
  return typed === 'mm' ? `${formatLength(value, 'in')} in` : `${formatLength(value)} mm`;
}

const names: Partial<Record<Unit, readonly (readonly [readonly string[], string])[]>> = {
  mm: [
    [['mm', 'millimeter', 'millimetre'], 'mm'],
    [['cm', 'centimeter', 'centimetre'], 'cm'],
    [['m', 'meter', 'metre'], 'm'],
    [['in', 'inch', 'inche', '"'], 'in'],
    [['ft', 'foot', 'feet'], 'ft'],
  ],
  kg: [
    [['kg', 'kilo'], 'kg'],
    [['lb', 'pound'], 'lb'],
  ],
  GB: [
    [['gb', 'gig', 'gigabyte'], 'GB'],
    [['tb', 'terabyte'], 'TB'],
    [['mb'], 'MB'],
  ],
};

function inUnit(figure: Figure, wanted: string, phrase: Phrase): string | undefined {
  if (figure.unit === 'awg')
    return /^mm[2²]$/.test(wanted)
      ? `${trim((Math.PI * wireDiameterMm(figure.value) ** 2) / 4, 3)} mm²`
      : undefined;
  const unit = unitSaid(wanted);
  if (!unit) return undefined;
  const [asked, per] = unit;
  if (figure.unit === 'C' && asked === 'F') return `${trim(toFahrenheit(figure.value), 1)} °F`;
  if (figure.unit === 'F' && asked === 'C') return `${trim(toCelsius(figure.value), 1)} °C`;
  const same = figure.unit === asked || (figure.unit === 'bare' && asked === 'mm');
  const name = names[asked]?.find(
    ([words]) => words.includes(wanted) || words.includes(wanted.replace(/s$/, '')),
  )?.[1];
  if (!same || !name) return undefined;
  const value = asked === 'mm' ? lengthOf(figure, otherUnit(figure, per, phrase)) : figure.value;
  return `${trim(value / per, 3)} ${name}`;
}

/** A bare figure asked for in inches was no inches. */
const otherUnit = (figure: Figure, per: number, phrase: Phrase) =>
  figure.unit === 'bare' ? (per === MM_PER_INCH ? 'mm' : phrase.unit) : 'mm';
