import { isSort, partOfKind, textAt, type Placed, type Plan } from '../model/lookup/plan.ts';
import { kindOfSeat } from '../model/types/seats.ts';
import type { Kind } from '../model/types/types.ts';
import { risers } from '../model/properties/smallSorts.ts';
import type { Blockage } from './blockages.ts';

/** Where the first picture comes from, as far as anybody said. */
export type PictureFrom = 'board' | 'card' | 'unknown';

export function pictureFrom(plan: Plan): PictureFrom {
  if (!partOfKind(plan, 'card')) return 'board';
  const processor = partOfKind(plan, 'processor');
  const own = processor && textAt(plan, processor, 'graphics')?.text;
  return own === 'yes' ? 'board' : own === 'no' ? 'card' : 'unknown';
}

/** What the gates wait with. */
const gatedKinds: readonly Kind[] = ['card', 'drive'];

/** What goes in only after a gate is passed, and which gate. */
export interface Gated {
  /** Seats fitted after the picture, in one go. */
  cards: ReadonlySet<string>;
  drives: ReadonlySet<string>;
  /** What the space wants in before something that is there at the first picture. */
  early: ReadonlySet<string>;
}

/**
 * Cards and drives go in after the first picture: a fault is in what was fitted last. Not the card the picture comes
 * from, and not what the space wants in earlier.
 */
export function gatedOf(
  plan: Plan,
  coming: readonly Placed[],
  blocked: readonly Blockage[],
): Gated {
  const early = new Set(
    blocked
      .filter((block) => block.sure && !gatedKinds.some((kind) => kind === kindOfSeat(block.later)))
      .map((block) => block.first),
  );
  const late = coming.filter((placed) => !early.has(placed.seat));
  const cards = pictureFrom(plan) === 'card' ? [] : late.filter((each) => each.kind === 'card');
  const withCards = cards.length > 0 ? late.filter((each) => isSort(plan, each, risers)) : [];
  return {
    early,
    cards: new Set([...withCards, ...cards].map((each) => each.seat)),
    drives: new Set(late.filter((each) => each.kind === 'drive').map((each) => each.seat)),
  };
}
