import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import { partsOfKind, numberAt, partOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import {
  ageing,
  cardJumps,
  excursionSource,
  olderRidesThrough,
  ridesThrough,
} from '../standards/supplies.ts';
import { commonPractice } from '../standards/source.ts';
import { range, scale, total, type Range } from '../units/range.ts';
import { cardsOwnSupply, drawsOf, isSingleFeed, treeOf } from './tree/index.ts';
import { kindOfSeat } from '../model/types/seats.ts';

/** Watts a supply rides through and watts a machine with cards jumps to, by milliseconds. */
export interface Peak {
  ms: number;
  rides: Range;
  jumps: Range;
}

/** Undefined without a label or a card. */
export function peaksOf(plan: Plan): Peak[] | undefined {
  const supply = partOfKind(plan, 'supply');
  const label = supply && numberAt(plan, supply, 'watts');
  const cards = partsOfKind(plan, 'card').flatMap(
    (placed) => numberAt(plan, placed, 'watts') ?? [],
  );
  if (!supply || !label || cards.length === 0 || cardsOwnSupply(plan)) return undefined;
  const tree = treeOf(plan, 'full');
  if (!tree || isSingleFeed(plan, supply)) return undefined;
  const card = total(cards);
  const rest = total(
    tree.draws.flatMap((draw) => (kindOfSeat(draw.seat) === 'card' ? [] : [draw.watts.full])),
  );
  const years = numberAt(plan, supply, 'years');
  const aged = ageing(years);
  return cardJumps.map(({ ms, factor }, i) => {
    const [least, most] = [label.lo, label.hi].map((each) => ridesThrough(each)[i]?.share ?? 1) as [
      number,
      number,
    ];
    const older = olderRidesThrough[i]?.share ?? 1;
    return {
      ms,
      /* Nobody says whether the supply was made to the newer guide: between both. */
      rides: range(
        label.lo * Math.min(older, least) * (1 - aged.hi),
        label.hi * Math.max(older, most) * (1 - aged.lo),
      ),
      jumps: range(rest.lo + card.lo * factor.lo, rest.hi + card.hi * factor.hi),
    };
  });
}

/** The tightest of the card's jumps against what the supply rides through. */
export function excursions(plan: Plan): Finding[] {
  const peaks = peaksOf(plan);
  const [worst] = [...(peaks ?? [])].sort(
    (a, b) => a.rides.lo - a.jumps.hi - (b.rides.lo - b.jumps.hi),
  );
  if (!worst) return [];
  const cards = partsOfKind(plan, 'card').map((placed) => placed.seat);
  return [
    gap({
      id: `excursions-${worst.ms}`,
      station: 'watts',
      title: `load spikes of ${worst.ms} ms`,
      seats: ['supply', ...cards],
      unit: 'W',
      terms: [
        { ...plain('PSU tolerates', worst.rides, 1), how: 'class' },
        { ...plain('load spikes to', worst.jumps, -1), how: 'class' },
      ],
      minimumMargin: 0,
      short: 'over',
      /* Jumps trip a supply, they do not burn it. */
      lack: 'mend',
      source: excursionSource,
      undoMinutes: 60,
      say: (rest, mark) =>
        mark === 'clear'
          ? 'It tolerates the load spikes of the card, aged as it may be.'
          : mark === 'mend'
            ? "The card's load spikes go over what the PSU tolerates: it shuts off under load."
            : "An older PSU may shut off at the card's load spikes: try it with the real load.",
    }),
  ];
}

/** Amps on 12 V while every drive spins up at once, where there are several. */
export function spinUp(plan: Plan): Finding[] {
  const supply = partOfKind(plan, 'supply');
  const label = supply && numberAt(plan, supply, 'amps12');
  const spinning = partsOfKind(plan, 'drive').filter(
    (drive) => textAt(plan, drive, 'form')?.text === '3.5',
  );
  if (!supply || !label || spinning.length < 2) return [];
  const seats = new Set(spinning.map((drive) => drive.seat));
  const others = total(
    drawsOf(plan).flatMap((draw) =>
      draw.rail === '12 V' && !seats.has(draw.seat) ? [draw.watts.start] : [],
    ),
  );
  const drives = scale(range(2), spinning.length);
  return [
    gap({
      id: 'spin-up',
      station: 'watts',
      title: '12 V while the drives spin up',
      seats: ['supply', ...spinning.map((drive) => drive.seat)],
      unit: 'A',
      terms: [
        termOf(supply, 'amps12', 'label, 12 V', 1, label),
        { ...plain(`${spinning.length} drives, 2 A each`, drives, -1), how: 'class' },
        { ...plain('everything else', scale(others, 1 / 12), -1), how: 'class' },
      ],
      minimumMargin: 0,
      short: 'short',
      source: commonPractice,
      undoMinutes: 30,
      say: (_, mark) =>
        mark === 'clear'
          ? 'All drives may start at once.'
          : 'All drives starting together ask more than 12 V gives: let them start one after the other.',
    }),
  ];
}
