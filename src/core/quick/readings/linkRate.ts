import { plain } from '../../findings/terms.ts';
import { laneGBs, linkSource, newestGeneration, sataMBs } from '../../standards/links.ts';
import { trim } from '../../units/length.ts';
import { range } from '../../units/range.ts';
import { onlyFigures, onlySays, wordSet, ofUnit, type SumReader } from '../line/phrase.ts';
import { note } from './note.ts';

const linkWords = wordSet(
  'pcie gen generation slot link speed fast bandwidth rate card in nvme ssd drive lanes lane',
);

/** `pcie 3.0 x4`, `gen 4 x16`, `sata 3`: gigabytes a second of a link. */
export const linkRate: SumReader = (phrase) => {
  const sata = /^sata([123]|i{1,3})$/.exec(phrase.words[0] ?? '')?.[1];
  if (sata && phrase.words.length === 1 && phrase.figures.length === 0) {
    const generation = /\d/.test(sata) ? Number(sata) : sata.length;
    const mbs = sataMBs[generation - 1];
    if (mbs === undefined) return undefined;
    return {
      say: `${mbs} MB/s`,
      finding: note(
        `SATA, generation ${generation}`,
        [plain('generation', range(generation), 0)],
        `${mbs} MB/s`,
        'clear',
        'At most, after coding: what the link carries, not what the drive does.',
        { title: 'Serial ATA specification', memory: true },
      ),
    };
  }
  if (!onlySays(phrase, linkWords) || !onlyFigures(phrase, ['gen', 'lanes'])) return undefined;
  const [gen, lanes] = [ofUnit(phrase, 'gen'), ofUnit(phrase, 'lanes')].map((found) =>
    found.length === 1 ? found[0]?.value : undefined,
  );
  if (gen === undefined || lanes === undefined) return undefined;
  const generation = Math.floor(gen);
  /* 1.1, 2.1 and so on are as fast as the first of their generation. */
  if (generation < 1 || generation > newestGeneration) return undefined;
  const rate = laneGBs(generation) * lanes;
  return {
    say: `${trim(rate, rate < 10 ? 2 : 1)} GB/s`,
    finding: note(
      `link, generation ${generation}, x${lanes}`,
      [
        plain('a lane, GB/s', range(Number(trim(laneGBs(generation), 3))), 0),
        plain('lanes', range(lanes), 0),
      ],
      `${trim(rate, rate < 10 ? 2 : 1)} GB/s`,
      'clear',
      'Each way, after coding: the slower of card and slot decides.',
      linkSource,
    ),
  };
};
