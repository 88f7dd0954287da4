import { gap } from '../findings/gap.ts';
import type { Finding } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import { isApplied, type Plan } from '../model/lookup/plan.ts';
import { keptByReads } from '../model/lookup/reads.ts';
import { seatName } from '../model/types/seats.ts';
import type { SeatId } from '../model/types/types.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';
import { airBetween, type Box } from './space/box.ts';
import { offset, type Coord } from './space/coord.ts';
import { spaceOf } from './space/space.ts';
import { offer } from '../remedies/offer.ts';
import { tilt } from '../remedies/tilt.ts';

/** `later` stands in the way `first` goes in by: surely, or on what is known so far. */
export interface Block {
  first: SeatId;
  later: SeatId;
  sure: boolean;
}

/** What the board needs toward the front to get its ports through the rear wall, mm (common practice, no source). */
const TILT_MM = 12;

/**
 * Which part blocks which on its straight way in, through the lid toward greater w:
 *
 *      lid ──────────────────────   Y lies nearer to the lid than X and over it:
 *             ▼ X's way in          X goes in before Y.
 *         ┌───┼───┐
 *         │ Y │   │
 *         └───┼───┘
 *        ┌────▼────┐
 *        │    X    │
 *        └─────────┘
 *
 * The board goes in a little to the front and is pushed to the rear, so what stands close before
 * it blocks it too. Parts that sit on the board travel with it.
 */
export const blocks = keptByReads((plan: Plan): Block[] => {
  const space = spaceOf(plan);
  if (!space) return [];
  const bodies = space.boxes.filter(
    (box) => box.what !== 'bend' && box.what !== 'guess' && box.kind !== 'case',
  );
  const found = new Map<string, Block>();
  for (const x of bodies) {
    for (const y of bodies) {
      if (x === y || farFrom(x, y)) continue;
      const firstSeat = carrier(x);
      const laterSeat = carrier(y);
      if (firstSeat === laterSeat) continue;
      const over = overlap(x, y);
      if (over === 'no') continue;
      const key = `${firstSeat} ${laterSeat}`;
      const before = found.get(key);
      if (!before || (over === 'sure' && !before.sure))
        found.set(key, { first: firstSeat, later: laterSeat, sure: over === 'sure' });
    }
  }
  return [...found.values()];
});

/** What stands on the board goes in with it. */
const carrier = (box: Box): SeatId =>
  (['board', 'cooler', 'memory'].includes(box.kind) && box.name !== 'radiator') ||
  box.name === 'storage heat sink'
    ? 'board'
    : box.seat;

/** Is y in the way x goes in by: nearer to the lid, and over x seen from the lid? */
function overlap(x: Box, y: Box): 'sure' | 'may' | 'no' {
  const tilt = x.kind === 'board' && x.what === 'body' ? TILT_MM : 0;
  /* y reaches nearer to the lid than x's far side. */
  const nearer = below(y.w[0].lo, y.w[0].hi, x.w[1].lo, x.w[1].hi);
  if (nearer === 'no') return 'no';
  const alongX = shared(x.x, y.x, tilt);
  if (alongX === 'no') return 'no';
  const alongY = shared(x.y, y.y, 0);
  if (alongY === 'no') return 'no';
  /* Two that want the same place are a clash, not a matter of order. */
  if (airBetween(x, y).hi < 0) return 'no';
  return nearer === 'sure' && alongX === 'sure' && alongY === 'sure' ? 'sure' : 'may';
}

/** Beside each other seen from the lid, whatever the ranges: neither is over the other. */
const farFrom = (x: Box, y: Box) =>
  y.x[0].lo > x.x[1].hi + TILT_MM ||
  x.x[0].lo > y.x[1].hi ||
  y.y[0].lo > x.y[1].hi ||
  x.y[0].lo > y.y[1].hi;

type Stretch = readonly [Coord, Coord];

/** Do two stretches share more than a hair? What both are measured from falls out. */
function shared(a: Stretch, b: Stretch, more: number): 'sure' | 'may' | 'no' {
  const [onA, onB] = [offset(b[0], a[1]), offset(a[0], b[1])];
  const most = Math.min(onA.hi + more, onB.hi);
  const least = Math.min(onA.lo + more, onB.lo);
  return most <= 1 ? 'no' : least > 1 ? 'sure' : 'may';
}

const below = (aLo: number, aHi: number, bLo: number, bHi: number): 'sure' | 'may' | 'no' =>
  aLo >= bHi ? 'no' : aHi < bLo ? 'sure' : 'may';

/** Two that block each other are a Watch until somebody tried. */
export const noInsertionPath = (plan: Plan): Finding[] => mutual(plan);

function mutual(plan: Plan): Finding[] {
  const sure = blocks(plan).filter((block) => block.sure);
  const pairs = sure.filter((block) =>
    sure.some(
      (other) =>
        other.first === block.later && other.later === block.first && block.first < block.later,
    ),
  );
  return pairs.map(({ first, later }) => {
    const tilted = tilt({ seats: [first, later] });
    const tried = isApplied(plan, tilted);
    return gap({
      id: `way-in:${first}:${later}`,
      station: 'fit',
      title: `way in past each other: ${seatName(first)}, ${seatName(later)}`,
      seats: [first, later],
      unit: '',
      terms: [
        plain(tried ? 'tilted in, tried' : 'straight ways in', range(tried ? 1 : 0), 1),
        plain('ways wanted', range(1), -1),
      ],
      minimumMargin: 0,
      short: 'short',
      lack: 'watch',
      source: commonPractice,
      undoMinutes: 25,
      say: (_rest, mark) =>
        mark === 'clear'
          ? 'Tilted in: tried, goes.'
          : `Neither goes in straight once the other is there. Try it tilted before anything is screwed down.`,
      remedies: () => (tried ? [] : [offer(plan, tilted, 'clear')]),
    });
  });
}

/** The order the space asks for, without the pairs that ask for both: later goes in after first. */
export function orderFromSpace(plan: Plan): Block[] {
  const all = blocks(plan);
  const rank = (block: Block) => (block.sure ? 1 : 0);
  const kept: Block[] = [];
  for (const block of [...all].sort((a, b) => rank(b) - rank(a))) {
    const mutual = all.some(
      (other) =>
        other.first === block.later && other.later === block.first && rank(other) >= rank(block),
    );
    if (!mutual && !reaches(kept, block.later, block.first)) kept.push(block);
  }
  return kept;
}

/** Is there a chain of blocks from one seat to another? Then the reverse would make a ring. */
function reaches(kept: readonly Block[], from: SeatId, to: SeatId): boolean {
  if (from === to) return true;
  return kept.some((block) => block.first === from && reaches(kept, block.later, to));
}
