import type { Finding, Term } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import { partsOfKind, numberAt, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import { cardsOwnSupply, isSingleFeed } from './tree/index.ts';
import { range, scale } from '../units/range.ts';

/** Loss of a processor's own converter on the board: the rail gives 10 to 20 % more than it draws (practice). */
const CONVERTER = { least: 1.1, most: 1.2 };

/** Amps on 12 V: processor through its converter, cards, spinning drives and fans against the label. */
export function rail12(plan: Plan): Finding[] {
  const supply = partOfKind(plan, 'supply');
  const label = supply && numberAt(plan, supply, 'amps12');
  /* What supplies mostly have says nothing of a brick or a battery. */
  if (!supply || !label || (label.how === 'class' && isSingleFeed(plan, supply))) return [];
  const terms: Term[] = [];
  const processor = partOfKind(plan, 'processor');
  const processorW = processor && numberAt(plan, processor, 'watts');
  if (processor && processorW) {
    terms.push({
      ...termOf(processor, 'watts', 'processor', -1, processorW),
      value: {
        lo: (processorW.lo * CONVERTER.least) / 12,
        hi: (processorW.hi * CONVERTER.most) / 12,
      },
    });
  }
  for (const placed of cardsOwnSupply(plan) ? [] : partsOfKind(plan, 'card')) {
    const watts = numberAt(plan, placed, 'watts');
    if (watts)
      terms.push({ ...termOf(placed, 'watts', 'card', -1, watts), value: scale(watts, 1 / 12) });
  }
  const fans = partsOfKind(plan, 'fan').flatMap((placed) => numberAt(plan, placed, 'amps') ?? []);
  if (fans.length > 0) {
    terms.push({
      ...plain(
        `fans, ${fans.length}`,
        range(
          fans.reduce((sum, fan) => sum + fan.lo, 0),
          fans.reduce((sum, fan) => sum + fan.hi, 0),
        ),
        -1,
      ),
      how: 'class',
    });
  }
  if (terms.length === 0) return [];
  return [
    gap({
      id: 'rail-12',
      about: { of: 'branch', branch: '12 V' },
      station: 'watts',
      title: '12 V rail',
      seats: ['supply', ...new Set(terms.flatMap((term) => (term.input ? [term.input.seat] : [])))],
      unit: 'A',
      terms: [termOf(supply, 'amps12', 'label, 12 V', 1, label), ...terms],
      minimumMargin: label.lo * 0.1,
      short: 'short',
      source: commonPractice,
      undoMinutes: 30,
      say: (rest, mark) =>
        mark === 'stop'
          ? `At least ${(-rest.hi).toFixed(1)} A more than the label allows on 12 V.`
          : mark === 'clear'
            ? 'The 12 V rail carries it.'
            : 'The 12 V rail is near its limit, or the draws are not known.',
    }),
  ];
}
