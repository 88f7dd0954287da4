import type { Term } from '../findings/finding.ts';
import { plain, termOf } from '../findings/terms.ts';
import { moduleW } from '../model/classes/classes.ts';
import { partsOfKind, numberAt, type Plan } from '../model/lookup/plan.ts';
import { kindOfSeat } from '../model/types/seats.ts';
import { scale, type Range } from '../units/range.ts';
import { cardsOwnSupply, drawsOf } from './tree/index.ts';

const named = [
  ['processor', 'CPU'],
  ['card', 'card'],
  ['board', 'board'],
] as const;

/** What every part on the first supply draws at full load, W, each as a line that takes from the room. */
export function loads(plan: Plan): (Term & { value: Range })[] {
  const lines: (Term & { value: Range })[] = [];
  for (const [kind, label] of named) {
    if (kind === 'card' && cardsOwnSupply(plan)) {
      for (const draw of drawsOf(plan))
        if (kindOfSeat(draw.seat) === 'card')
          lines.push({ ...plain('card, from its slot', draw.watts.full, -1), how: 'class' });
      continue;
    }
    for (const placed of partsOfKind(plan, kind)) {
      const watts = numberAt(plan, placed, 'watts');
      if (watts) lines.push(termOf(placed, 'watts', label, -1, watts));
    }
  }
  for (const placed of partsOfKind(plan, 'drive')) {
    const watts = numberAt(plan, placed, 'watts');
    if (watts) lines.push(termOf(placed, 'watts', 'drive', -1, watts));
  }
  const modules = partsOfKind(plan, 'memory').length;
  if (modules > 0) {
    lines.push({
      ...plain(`RAM, ${modules}`, scale(moduleW, modules), -1),
      how: 'class',
      source: 'modules',
    });
  }
  const fans = partsOfKind(plan, 'fan').flatMap((placed) => numberAt(plan, placed, 'amps') ?? []);
  if (fans.length > 0) {
    const lo = fans.reduce((sum, fan) => sum + fan.lo * 12, 0);
    const hi = fans.reduce((sum, fan) => sum + fan.hi * 12, 0);
    lines.push({ ...plain(`fans, ${fans.length}`, { lo, hi }, -1), how: 'class', source: 'fans' });
  }
  return lines;
}
