import {
  listAt,
  numberAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { plug, slotW } from '../standards/plugs/index.ts';
import { range, type Range } from '../units/range.ts';

/** Slots of makers' own slim boards often give no more, W (common practice, no source). */
const MAKERS_LEAST = 25;

/**
 * What a slot gives a card, W: as the board's maker says, else by the card's contacts and sort (PCI
 * Express CEM, unverified): x1 10, 25 once configured; x4, x8 and cards that are no graphics 25; x16
 * graphics 75, where the board is no maker's own.
 */
export function slotPower(plan: Plan, card: Placed): Range {
  const board = partOfKind(plan, 'board');
  const said = board && numberAt(plan, board, 'slotWatts');
  if (said) return { lo: said.lo, hi: said.hi };
  const may = possible(plan, card, board);
  return range(Math.min(...may.map((each) => each.lo)), Math.max(...may.map((each) => each.hi)));
}

/** Every slot this card may sit in, as far as its contacts and its sort are said. */
function possible(plan: Plan, card: Placed, board: Placed | undefined): Range[] {
  const lanes = numberAt(plan, card, 'lanes');
  const screens = numberAt(plan, card, 'screens');
  const plugged = (listAt(plan, card, 'plugs')?.items.length ?? 0) > 0;
  const main = board && plug(textAt(plan, board, 'mainPlug')?.text ?? '');
  const whole = !lanes || lanes.hi > 8;
  const graphics = !screens || screens.hi > 0 || plugged;
  const none = screens !== undefined && screens.lo <= 0 && !plugged;
  return [
    ...(lanes && lanes.lo <= 1 ? [range(slotW.x1, slotW.other)] : []),
    ...((lanes && lanes.lo <= 8 && lanes.hi > 1) || (whole && none) ? [range(slotW.other)] : []),
    ...(whole && graphics
      ? [range(main?.group === "maker's" ? MAKERS_LEAST : slotW.graphics, slotW.graphics)]
      : []),
  ];
}
