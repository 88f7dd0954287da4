import type { Finding, Term } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import { listAt, numberAt, partOfKind, type Plan, partAt } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import { kindOfSeat } from '../model/types/seats.ts';
import type { Kind } from '../model/types/names.ts';
import { isFedApart, isSingleFeed, treeOf, type Draw } from './tree/index.ts';
import { range, scale, total, type Range } from '../units/range.ts';

/** What each kind of load is called on the rail's sum. */
const named: Partial<Record<Kind, string>> = {
  processor: 'CPU, through its converter',
  card: 'card',
  board: 'board',
  memory: 'RAM',
  drive: 'drives',
  fan: 'fans',
};

/** Amps on 12 V at full load as the supply tree has them, load by load, against the label. */
export function rail12(plan: Plan): Finding[] {
  const supply = partOfKind(plan, 'supply');
  const label = supply && numberAt(plan, supply, 'amps12');
  /* What supplies mostly have says nothing of a brick or a battery. */
  if (!supply || !label || (label.how === 'class' && isSingleFeed(plan, supply))) return [];
  const tree = treeOf(plan, 'full');
  const terms: Term[] = (Object.keys(named) as Kind[]).flatMap((kind) => {
    const own = (tree?.draws ?? []).filter(
      (draw) => draw.rail === '12 V' && kindOfSeat(draw.seat) === kind,
    );
    if (own.length === 0) return [];
    const amps = scale(total(own.map((draw) => wattsOf(plan, draw))), 1 / 12);
    const seats = [...new Set(own.map((draw) => draw.seat))];
    const placed = seats.length === 1 ? partAt(plan, seats[0]) : undefined;
    const watts = placed && kind !== 'fan' ? numberAt(plan, placed, 'watts') : undefined;
    const name = `${named[kind]}${seats.length > 1 ? `, ${seats.length}` : ''}`;
    return placed && watts
      ? { ...termOf(placed, 'watts', name, -1, watts), value: amps }
      : { ...plain(name, amps, -1), how: 'class' as const };
  });
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

/** Watts of a load at full load: of a card whose plugs nobody said, all of its own, by slot or plug. */
function wattsOf(plan: Plan, draw: Draw): Range {
  const card = kindOfSeat(draw.seat) === 'card' ? partAt(plan, draw.seat) : undefined;
  const whole = card && numberAt(plan, card, 'watts');
  const open = card && !listAt(plan, card, 'plugs') && !isFedApart(plan, card.seat);
  return open && whole ? range(whole.lo, whole.hi) : draw.watts.full;
}
