import type { Finding, Mark, Term } from '../findings/finding.ts';
import { figure, gap } from '../findings/gap.ts';
import { plain } from '../findings/terms.ts';
import { commonPractice, type Source } from '../standards/source.ts';
import {
  lengthPattern,
  lengthsIn,
  parseLength,
  parseNumber,
  trim,
  type LengthUnit,
} from '../units/length.ts';
import { range } from '../units/range.ts';
import { toCelsius, toFahrenheit } from '../units/temperature.ts';
import { leadLoss } from '../units/wire.ts';
import { fastenerSum } from './fasteners.ts';
import { wireSpan } from '../standards/wire.ts';
import { leadLimit } from './wireLimit.ts';

/** A sum of two or three numbers, worked out with no job. `say` is the answer in a few words. */
export interface QuickSum {
  say: string;
  finding: Finding;
}

type Reader = (text: string, unit: LengthUnit) => QuickSum | undefined;

/**
 * Reads the text as a sum; undefined when it is none. Lengths without a unit are in `unit`, which a kept
 * sum keeps; the answer is in `shown`.
 */
export function quickSum(
  text: string,
  unit: LengthUnit = 'mm',
  shown: LengthUnit = unit,
): QuickSum | undefined {
  const clean = text.trim().replace(/\s+/g, ' ');
  for (const read of readers) {
    const sum = read(clean, unit);
    if (sum) return { ...sum, say: lengthsIn(sum.say, shown) };
  }
  return undefined;
}

const n = String.raw`(\d+(?:[.,]\d+)?)`;
const num = (text: string | undefined) => parseNumber(text ?? '') ?? NaN;

/** `267 in 247`, `10.5 in in 247 mm`: a part in its room. */
const partInRoom: Reader = (text, unit) => {
  const match = new RegExp(`^${lengthPattern} in(?:to)? ${lengthPattern}$`, 'i').exec(text);
  const need = match && parseLength([match[1], match[2]].filter(Boolean).join(' '), unit)?.mm;
  const room = match && parseLength([match[3], match[4]].filter(Boolean).join(' '), unit)?.mm;
  if (need == null || room == null) return undefined;
  const finding = gap({
    ...quickBase('part in its room'),
    unit: 'mm',
    terms: [plain('room', range(room), 1), plain('part', range(need), -1)],
    minimumMargin: 2,
    say: (rest, mark) =>
      mark === 'stop'
        ? `${figure(range(-rest.lo))} mm too long. It does not go in as it is.`
        : mark === 'watch'
          ? 'It goes in, but less than 2 mm is left.'
          : `It goes in and leaves ${figure(rest)} mm.`,
  });
  const rest = room - need;
  return { say: rest < 0 ? `${trim(-rest, 1)} mm over` : `${trim(rest, 1)} mm spare`, finding };
};

/** `8 x 3.2 x 6.3 in`: litres. */
const volume: Reader = (text, unit) => {
  const match = new RegExp(`^${n} ?[x×*] ?${n} ?[x×*] ?${n} ?(mm|cm|in|")?$`, 'i').exec(text);
  if (!match) return undefined;
  const sides = [1, 2, 3].map(
    (i) => parseLength(`${match[i]} ${match[4] ?? ''}`.trim(), unit)?.mm ?? NaN,
  );
  const litres = sides.reduce((product, side) => product * side, 1) / 1e6;
  const small = litres < 15;
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
      small
        ? 'Under about 15 litres hot air leaves by itself if cooler and card draw straight through the panel.'
        : 'A case this size wants fans that move the air through.',
    ),
  };
};

/** `41.5 l to 10.2 l`: how much is left. */
const litresTo: Reader = (text) => {
  const match = new RegExp(`^${n} ?l(?:itres?)? to ${n} ?l(?:itres?)?$`, 'i').exec(text);
  if (!match) return undefined;
  const share = (num(match[2]) / num(match[1])) * 100;
  if (!Number.isFinite(share)) return undefined;
  return {
    say: `${trim(share, 0)} % of the room`,
    finding: note(
      'room left',
      [
        plain('from, litres', range(num(match[1])), 0),
        plain('to, litres', range(num(match[2])), 0),
      ],
      `${trim(share, 1)} %`,
      'clear',
      'Share of the room that is left.',
    ),
  };
};

/** `12 V 20 A`, `240 W at 12 V`: watts, or amps. */
const power: Reader = (text) => {
  const va = new RegExp(`^${n} ?V(?: at)? ${n} ?A$`, 'i').exec(text);
  if (va) {
    const [volts, amps] = [num(va[1]), num(va[2])];
    const watts = volts * amps;
    return {
      say: `${trim(watts, 1)} W`,
      finding: note(
        'volts times amps',
        [plain('volts', range(volts), 0), plain('amps', range(amps), 0)],
        `${trim(watts, 1)} W`,
        'clear',
        'What the label allows on this rail, whatever the total says.',
      ),
    };
  }
  const wv = new RegExp(`^${n} ?W(?: at)? ${n} ?V$`, 'i').exec(text);
  if (!wv || num(wv[2]) === 0) return undefined;
  const amps = num(wv[1]) / num(wv[2]);
  return {
    say: `${trim(amps, 2)} A`,
    finding: note(
      'watts over volts',
      [plain('watts', range(num(wv[1])), 0), plain('volts', range(num(wv[2])), 0)],
      `${trim(amps, 2)} A`,
      'clear',
      'Amps this load draws.',
    ),
  };
};

/** `awg 18 2 m 6 A`, `awg 14 6 m 8 A 12 V`: volts lost there and back, and heat. */
const wire: Reader = (text) => {
  const match = new RegExp(`^(?:awg ?${n}|${n} ?awg) ${n} ?m ${n} ?A(?: ${n} ?V)?$`, 'i').exec(
    text,
  );
  if (!match) return undefined;
  const awg = num(match[1] ?? match[2]);
  const [lengthM, amps] = [num(match[3]), num(match[4])];
  if (!(awg >= 0 && awg <= 40)) return undefined;
  const loss = leadLoss(awg, lengthM, amps);
  const volts = match[5] ? num(match[5]) : 12;
  const share = (loss.dropV / volts) * 100;
  const limit = leadLimit(awg);
  const most = limit?.amps ?? wireSpan(awg, 1).hi;
  const over = amps > most;
  const mark: Mark = over ? 'stop' : share > 5 || !limit ? 'watch' : 'clear';
  return {
    say: `${trim(loss.dropV, 2)} V lost there and back, ${trim(loss.heatW, 1)} W heat`,
    finding: note(
      `lead, AWG ${awg}`,
      [
        plain('metres, one way', range(lengthM), 0),
        plain('amps', range(amps), 0),
        plain('lost, V', range(loss.dropV), 0),
        plain('heat, W', range(loss.heatW), 0),
      ],
      `${trim(share, 1)} % of ${trim(volts, 1)} V`,
      mark,
      over
        ? limit?.of === 'contact'
          ? `${amps} A is more than a plain 4.2 mm contact on AWG ${awg} carries (${most} A in a 2-pin housing). Thicker wire, or more of them.`
          : `${amps} A is more than AWG ${awg} carries in open air (${most} A). Thicker wire.`
        : !limit
          ? `No table here has a figure for the amps of AWG ${awg}: look it up before it is loaded.`
          : mark === 'watch'
            ? 'More than 5 % is lost: thicker, shorter, or a higher voltage.'
            : 'The loss is within 5 %.',
      { title: 'ASTM B258 and IEC 60028' },
    ),
  };
};

/** `100 C`, `212 F`. */
const temperature: Reader = (text) => {
  const match = /^(-?\d+(?:[.,]\d+)?) ?°?(C|F)$/i.exec(text);
  if (!match) return undefined;
  const value = Number((match[1] ?? '').replace(',', '.'));
  const celsius = match[2]?.toUpperCase() === 'C';
  const other = celsius ? `${trim(toFahrenheit(value), 1)} °F` : `${trim(toCelsius(value), 1)} °C`;
  return {
    say: other,
    finding: note(
      'temperature',
      [plain(celsius ? '°C' : '°F', range(value), 0)],
      other,
      'clear',
      'The same warmth in the other scale.',
    ),
  };
};

const readers: readonly Reader[] = [
  partInRoom,
  volume,
  litresTo,
  wire,
  power,
  temperature,
  fastenerSum,
];

const quickBase = (title: string) => ({
  id: 'quick',
  station: 'fit' as const,
  title,
  seats: [],
  source: commonPractice,
  undoMinutes: 0,
});

/** An answer with no limit to hold it against. */
function note(
  title: string,
  terms: Term[],
  rest: string,
  mark: Mark,
  say: string,
  source: Source = commonPractice,
): Finding {
  return {
    ...quickBase(title),
    mark,
    unit: '',
    terms,
    marginLabel: rest,
    say,
    source,
    remedies: [],
  };
}
