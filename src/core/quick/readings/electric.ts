import type { Mark } from '../../findings/finding.ts';
import { plain } from '../../findings/terms.ts';
import { wireAlone, wireSpan } from '../../standards/wire.ts';
import { trim } from '../../units/length.ts';
import { range } from '../../units/range.ts';
import { leadLoss } from '../../units/wire.ts';
import { kindSaid } from '../line/lexicon.ts';
import { ofUnit, onlyFigures, onlySays, wordSet, type Phrase } from '../line/phrase.ts';
import type { QuickSum, SumReader } from '../line/phrase.ts';
import type { Unit } from '../line/tokens.ts';
import { leadLimit } from './wireLimit.ts';
import { note } from './note.ts';

const electricWords = wordSet(
  'x times max most awg gauge from current power voltage thick thickness size watt watts amp amps volt volts rail label laptop notebook charger adapter supply draw draws drawing pull pulls ' +
    'is in load loads wire wires lead cable carry carries through over run drop loss dc ac each equals = for',
);
const spoken = (word: string) => electricWords.has(word) || kindSaid(word) !== undefined;

const one = (phrase: Phrase, unit: Unit): number | undefined => {
  const found = ofUnit(phrase, unit);
  return found.length === 1 ? found[0]?.value : undefined;
};

/** `12 V 20 A`, `240 W at 12 V`, `3.34a 19v`, `12 V 4 ohm`: any two of them give the others. */
export const power: SumReader = (phrase) => {
  if (phrase.figures.length !== 2 || !onlyFigures(phrase, ['W', 'V', 'A', 'ohm'])) return undefined;
  if (!onlySays(phrase, spoken)) return undefined;
  const [watts, volts, amps, ohm] = (['W', 'V', 'A', 'ohm'] as const).map((unit) =>
    one(phrase, unit),
  );
  const w =
    watts ??
    (amps && volts
      ? amps * volts
      : ohm && volts
        ? volts ** 2 / ohm
        : ohm && amps
          ? amps ** 2 * ohm
          : undefined);
  const a =
    amps ??
    (w !== undefined && volts
      ? w / volts
      : w !== undefined && ohm
        ? Math.sqrt(w / ohm)
        : undefined);
  const v = volts ?? (w !== undefined && a ? w / a : undefined);
  if (w === undefined || a === undefined || v === undefined) return undefined;
  const figures: [string, number | undefined, string][] = [
    ['watts', watts, `${trim(w, 1)} W`],
    ['amps', amps, `${trim(a, 2)} A`],
    ['volts', volts, `${trim(v, 2)} V`],
  ];
  const answers = figures.filter(([, said]) => said === undefined).map(([, , text]) => text);
  const say = answers.join(', ');
  if (![w, a, v].every(Number.isFinite)) return undefined;
  return {
    say,
    finding: note(
      volts !== undefined && amps !== undefined
        ? 'volts times amps'
        : watts !== undefined && volts !== undefined
          ? 'watts over volts'
          : 'watts, volts, amps',
      [
        ...figures.flatMap(([label, said]) =>
          said === undefined ? [] : plain(label, range(said), 0),
        ),
        ...(ohm === undefined ? [] : [plain('ohms', range(ohm), 0)]),
      ],
      say,
      'clear',
      watts === undefined && ohm === undefined
        ? 'What the label allows on this rail, whatever the total says.'
        : ohm === undefined
          ? 'Amps this load draws.'
          : 'By the law of Ohm, at these volts and ohms.',
    ),
  };
};

/** `awg 18 2 m 6 A`, `5v 3a 22awg 30cm`: volts lost there and back, and heat; without a length, what the lead carries. */
export const wire: SumReader = (phrase) => {
  if (!onlyFigures(phrase, ['awg', 'mm', 'A', 'V', 'W']) || !onlySays(phrase, spoken))
    return undefined;
  if (
    phrase.figures.length === 1 &&
    phrase.words.some((word) => /^(?:awg|gauge|wire|cable|lead)s?$/.test(word))
  ) {
    const wanted = one(phrase, 'A');
    return wanted === undefined ? undefined : gaugeFor(wanted);
  }
  const awg = one(phrase, 'awg');
  if (awg === undefined || !(awg >= 0 && awg <= 40)) return undefined;
  const [volts, watts] = [one(phrase, 'V'), one(phrase, 'W')];
  const amps = one(phrase, 'A') ?? (watts !== undefined && volts ? watts / volts : undefined);
  const lengthMm = one(phrase, 'mm');
  const units = phrase.figures.map(({ unit }) => unit);
  if (new Set(units).size !== units.length) return undefined;
  /* Watts that no volts turn into amps were said for nothing. */
  if (watts !== undefined && (volts === undefined || units.includes('A'))) return undefined;
  if (amps === undefined)
    return lengthMm === undefined && volts === undefined ? carries(awg) : undefined;
  if (lengthMm === undefined)
    return volts === undefined || watts !== undefined ? carries(awg, amps) : carries(awg, amps);
  return lost(awg, lengthMm / 1000, amps, volts ?? 12);
};

function limitSaid(awg: number, amps: number): { over: boolean; say: string } {
  const limit = leadLimit(awg);
  const most = limit?.amps ?? wireSpan(awg, 1).hi;
  const over = amps > most;
  return {
    over,
    say: !over
      ? limit
        ? `AWG ${awg} carries ${limit.amps} A${limit.of === 'contact' ? ' through a plain 4.2 mm contact in a 2-pin housing' : ' in open air'}.`
        : `No table here has a figure for the amps of AWG ${awg}: look it up before it is loaded.`
      : limit?.of === 'contact'
        ? `${trim(amps, 2)} A is more than a plain 4.2 mm contact on AWG ${awg} carries (${most} A in a 2-pin housing). Thicker wire, or more of them.`
        : `${trim(amps, 2)} A is more than AWG ${awg} carries in open air (${most} A). Thicker wire.`,
  };
}

function lost(awg: number, lengthM: number, amps: number, volts: number): QuickSum | undefined {
  const loss = leadLoss(awg, lengthM, amps);
  const share = (loss.dropV / volts) * 100;
  if (!Number.isFinite(share)) return undefined;
  const { over, say } = limitSaid(awg, amps);
  const mark: Mark = over ? 'stop' : share > 5 || !leadLimit(awg) ? 'watch' : 'clear';
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
      over || !leadLimit(awg)
        ? say
        : mark === 'watch'
          ? 'More than 5 % is lost: thicker, shorter, or a higher voltage.'
          : 'The loss is within 5 %.',
      { title: 'ASTM B258 and IEC 60028' },
    ),
  };
}

/** `18 awg`, `22 awg 3 a`: what a lead of this gauge carries, with no length said. */
function carries(awg: number, amps?: number): QuickSum | undefined {
  const limit = leadLimit(awg);
  if (amps === undefined) {
    if (!limit) return undefined;
    return {
      say: `${limit.amps} A`,
      finding: note(
        `lead, AWG ${awg}`,
        [
          plain('one wire in open air, A', range(wireAlone[awg] ?? limit.amps), 0),
          plain('with its contact, A', range(limit.amps), 0),
        ],
        `${limit.amps} A`,
        'clear',
        limitSaid(awg, 0).say,
      ),
    };
  }
  const { over, say } = limitSaid(awg, amps);
  return {
    say: limit ? `${limit.amps} A at most` : 'no figure for it',
    finding: note(
      `lead, AWG ${awg}`,
      [
        plain('amps', range(amps), 0),
        ...(limit ? [plain('carries, A', range(limit.amps), 0)] : []),
      ],
      limit ? `${limit.amps} A at most` : 'not known',
      over ? 'stop' : limit ? 'clear' : 'watch',
      `${say}${over ? '' : ' With its length it also says what is lost.'}`,
    ),
  };
}

/** `which awg for 9 a`: the thinnest that carries it. */
function gaugeFor(amps: number): QuickSum | undefined {
  const gauges = Object.keys(wireAlone)
    .map(Number)
    .sort((a, b) => b - a);
  const found = gauges.find((awg) => (leadLimit(awg)?.amps ?? 0) >= amps);
  if (found === undefined) return undefined;
  return {
    say: `AWG ${found}`,
    finding: note(
      'gauge for the amps',
      [plain('amps', range(amps), 0)],
      `AWG ${found} or thicker`,
      'clear',
      `${limitSaid(found, 0).say} Type its length too, and it says what is lost.`,
    ),
  };
}
