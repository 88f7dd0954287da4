import { editDistance, isFiller, kindSaid, kindWords, singular } from './line/lexicon.ts';
import type { Phrase } from './line/phrase.ts';
import { phraseOf } from './line/phrase.ts';

/** One line of each sort that is understood, to guess from: what was typed is nearest to one or two of them. */
const examples: readonly string[] = [
  '267 in 247',
  'cooler 158 in 160',
  '12 V 20 A',
  '65 W at 19 V',
  'awg 18 2 m 6 A',
  '18 awg',
  '10.5 in in mm',
  '8 x 3.2 x 6.3 in',
  '41.5 l to 10.2 l',
  '100 C',
  'pcie 3.0 x4',
  'm.2 2280 in 2242',
  '8 pin',
  'eps',
  'old drive plug to sata',
  'fan 92',
  'psu 450 W',
  '8 GB ddr4',
  'is 450 W enough',
  'does a 267 mm card fit',
  'where is F04',
  'how long is F04',
  'price F04',
  'edit F04',
  'label F04',
  'F04 to drawer 3',
  'add card 267 mm 2 slot 180 W',
  'note F04 damp smell',
  'paid 12.50 paint',
  'worked 90 min sanding',
  'step sand the lid 20 min',
  'new job',
  'job Name becomes goal',
  'thread 3.5 0.8',
  'screw 3.8 over 1.2',
  'print',
  'export',
  'help',
  'watts',
  'heat',
  'fit',
];

/** What a line is about: its kinds, its units, its other words. */
function features({ words, figures }: Phrase): Set<string> {
  return new Set([
    ...words.flatMap((word) => {
      if (isFiller(word)) return [];
      const kind = kindSaid(word);
      return [kind ? `kind ${kind}` : `word ${singular(word)}`];
    }),
    ...figures.map(({ unit }) => `unit ${unit === 'bare' ? 'mm' : unit}`),
    ...(figures.length > 1 ? ['figures'] : []),
  ]);
}

const isUnit = (feature: string) => feature.startsWith('unit ') || feature === 'figures';

const featured = examples.map((line) => ({ line, about: features(phraseOf(line, 'mm')) }));
const vocabulary = [
  ...new Set([
    ...kindWords.flatMap((word) => [word, `${word}s`]),
    ...examples.flatMap((line) => phraseOf(line, 'mm').words),
  ]),
].filter((word) => word.length >= 3);

/** A word one slip away from one that is known: `fnas` is `fans`. */
function mended(word: string): string | undefined {
  if (word.length < 4 || isFiller(word) || kindSaid(word)) return undefined;
  const most = word.length > 6 ? 2 : 1;
  let best: { word: string; edits: number } | undefined;
  for (const each of vocabulary) {
    const edits = editDistance(word, each, most);
    if (edits <= most && edits < (best?.edits ?? Infinity)) best = { word: each, edits };
  }
  return best && best.edits > 0 ? best.word : undefined;
}

/** The two lines nearest to what was typed: the same with its slips mended where that is understood, then by what it is about. */
export function guessesFor(phrase: Phrase, isUnderstood: (line: string) => boolean): string[] {
  const guesses: string[] = [];
  const slips = phrase.words
    .map((word) => [word, mended(word)] as const)
    .filter(([, other]) => other);
  if (slips.length > 0) {
    let line = phrase.text.toLowerCase();
    for (const [word, other] of slips) line = line.replace(word, other ?? word);
    if (isUnderstood(line)) guesses.push(line);
  }
  const about = features(phrase);
  const saysWords = [...about].some((each) => !isUnit(each));
  const near = featured
    .map(({ line, about: own }) => {
      const both = [...about].filter((each) => own.has(each));
      /* Words were typed and none is shared: a unit alone is no likeness. */
      const shared = saysWords && both.every(isUnit) ? 0 : both.length;
      return {
        line,
        score: shared === 0 ? 0 : shared / Math.sqrt(own.size * Math.max(1, about.size)),
      };
    })
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score);
  for (const { line } of near) if (!guesses.includes(line)) guesses.push(line);
  return guesses.slice(0, 2);
}
