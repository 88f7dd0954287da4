import { gap } from '../findings/gap.ts';
import type { Finding, Term } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import type { SeatId } from '../model/types/names.ts';
import { besideC, softensC } from '../standards/air.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';

/** A print beside what gets hot: the one sum, for what is printed already and for what is still to be. */
export function printHeat(of: {
  id: string;
  station: 'heat' | 'make';
  title: string;
  seats: SeatId[];
  material: { text?: string | undefined } & Partial<Pick<Term, 'how' | 'input'>>;
  beside: { text?: string | undefined } & Partial<Pick<Term, 'how' | 'input'>>;
}): Finding {
  const { id, station, title, seats, material, beside } = of;
  const from = ({ how, input }: Partial<Pick<Term, 'how' | 'input'>>) => ({
    how: how ?? ('class' as const),
    ...(input && { input }),
  });
  return gap({
    id,
    station,
    title,
    seats,
    unit: 'K',
    terms: [
      {
        ...plain('softens at, °C', softensC[material.text ?? ''] ?? range(55, 145), 1),
        ...from(material),
      },
      {
        ...plain(
          `beside ${beside.text ?? 'what'}, °C`,
          besideC[beside.text ?? ''] ?? range(25, 85),
          -1,
        ),
        ...from(beside),
      },
    ],
    minimumMargin: SPARE_K,
    short: 'softens',
    source: commonPractice,
    undoMinutes: 120,
    say: (_, mark) =>
      mark === 'clear'
        ? 'It stays hard there.'
        : mark === 'stop'
          ? `It sags there: ${another(beside.text)}.`
          : `It may sag there: ${another(beside.text)}.`,
  });
}

/** Left to where it softens, K (common practice, no source). */
const SPARE_K = 10;

/** What stays hard beside it, the least of them first; a place nobody said is every one. */
function another(beside: string | undefined): string {
  const hot = besideC[beside ?? '']?.hi ?? Math.max(...Object.values(besideC).map(({ hi }) => hi));
  const stand = Object.entries(softensC)
    .filter(([, { lo }]) => lo - hot >= SPARE_K)
    .sort(([, a], [, b]) => a.lo - b.lo)
    .map(([name]) => name);
  return stand.length === 0
    ? 'no usual print stays hard, metal does, or another place'
    : `${stand.slice(0, 2).join(' or ')} stays hard, or another place`;
}
