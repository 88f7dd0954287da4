import { carriedBy } from '../../model/lookup/stands.ts';
import { moduleW } from '../../model/classes/classes.ts';
import {
  partsOfKind,
  appliedOf,
  listAt,
  numberAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
  sortOf,
} from '../../model/lookup/plan.ts';
import { keptByReads, withApplied } from '../../model/lookup/reads.ts';
import { plug } from '../../standards/plugs/index.ts';
import { cardJumps } from '../../standards/supplies.ts';
import { range, scale, type Range } from '../../units/range.ts';
import { isFedApart, tapsOf } from './apart.ts';
import { type Draw, type Rail, type State, states } from './types.ts';

/** A card's jump of a millisecond over its full draw. */
const SPIKE = cardJumps.find((each) => each.ms === 1)?.factor ?? range(1);

/** Share of the full draw in each state (common practice, no source). */
const shares: Record<
  'processor' | 'card' | 'board' | 'memory' | 'drive' | 'fan',
  Record<State, Range>
> = {
  processor: {
    idle: range(0.06, 0.2),
    usual: range(0.3, 0.6),
    full: range(1),
    start: range(0.3, 0.8),
    spike: range(1),
  },
  card: {
    idle: range(0.05, 0.15),
    usual: range(0.4, 0.8),
    full: range(1),
    start: range(0.1, 0.4),
    spike: SPIKE,
  },
  board: {
    idle: range(0.5, 0.8),
    usual: range(0.7, 0.9),
    full: range(1),
    start: range(0.7, 1),
    spike: range(1),
  },
  memory: {
    idle: range(0.2, 0.5),
    usual: range(0.5, 0.8),
    full: range(1),
    start: range(0.3, 1),
    spike: range(1),
  },
  drive: {
    idle: range(0.4, 0.8),
    usual: range(0.6, 0.9),
    full: range(1),
    start: range(1),
    spike: range(1),
  },
  fan: {
    idle: range(0.2, 0.6),
    usual: range(0.4, 0.8),
    full: range(1),
    start: range(1),
    spike: range(1),
  },
};

/** A processor's and a module's converter on the board: what goes in for what comes out (common practice). */
const VRM = range(1.1, 1.2);
/** What of the board's own watts comes from each rail (common practice). */
const boardShares: Record<Rail, Range> = {
  '12 V': range(0.3, 0.38),
  '5 V': range(0.37, 0.43),
  '3.3 V': range(0.22, 0.28),
};
/** PCI Express CEM: 12 V of a slot, and what a card with plugs takes there (common practice). */
export const SLOT_12_W = 66;
const SLOT_SHARE = range(0.15, 0.4);

/** What a part draws of its own supply in a state for every watt of its figure. */
export function shareIn(kind: 'processor' | 'card' | 'board' | 'drive', state: State): Range {
  const share = shares[kind][state];
  return kind === 'processor' ? times(share, VRM) : share;
}

const times = (a: Range, b: Range): Range => ({ lo: a.lo * b.lo, hi: a.hi * b.hi });

const inStates = (kind: keyof typeof shares, full: Range): Record<State, Range> =>
  Object.fromEntries(states.map((state) => [state, times(full, shares[kind][state])])) as Record<
    State,
    Range
  >;

/** Watts of a part, held to what the plan limits it to. */
function heldTo(plan: Plan, seat: string, watts: Range): Range {
  const limit = appliedOf(plan, 'limitWatts').find((each) => each.seat === seat);
  if (!limit) return watts;
  return { lo: Math.min(watts.lo, limit.watts), hi: Math.min(watts.hi, limit.watts) };
}

/**
 * Every load of the plan on its first supply, rail by rail; parts whose watts nobody knows stand with
 * their class's range.
 */
export function drawsOf(plan: Plan): Draw[] {
  return appliedOf(plan, 'limitWatts').length > 0 ? everyDraw(plan) : drawsUnlimited(plan);
}

const drawsUnlimited = keptByReads((plan: Plan) => everyDraw(withApplied(plan, [])));

function everyDraw(plan: Plan): Draw[] {
  return [
    ...boardDraws(plan),
    ...partsOfKind(plan, 'processor').flatMap((placed) => processorDraw(plan, placed)),
    ...memoryDraw(plan),
    ...partsOfKind(plan, 'card').flatMap((placed) =>
      isFedApart(plan, placed.seat) ? slotShare(plan, placed) : cardDraws(plan, placed),
    ),
    ...partsOfKind(plan, 'drive').flatMap((placed) =>
      tapsOf(plan).some((tap) => tap.seat === placed.seat) ? [] : driveDraws(plan, placed),
    ),
    ...partsOfKind(plan, 'fan').flatMap((placed) => fanDraw(plan, placed)),
  ];
}

/**
 * A card on a supply of its own takes from it what its plugs bring: the slot's share stays with the board, and
 * with what feeds that, unless the card stands on a powered riser.
 */
function slotShare(plan: Plan, card: Placed): Draw[] {
  if (onPoweredRiser(plan, card)) return [];
  return cardDraws(plan, card)
    .filter((draw) => draw.over === 'main')
    .map((draw) => ({
      ...draw,
      watts: mapStates(draw.watts, (each) =>
        range(Math.min(each.lo, SLOT_12_W), Math.min(each.hi, SLOT_12_W)),
      ),
    }));
}

const onPoweredRiser = (plan: Plan, card: Placed): boolean =>
  partsOfKind(plan, 'small').some(
    (small) =>
      sortOf(plan, small) === 'powered riser' && (carriedBy(plan, small) ?? 'card1') === card.seat,
  );

/** What every card draws of the supply of its own: all of it less what the slot gives, at 12 V. */
export const cardsDraws = (plan: Plan): Draw[] =>
  partsOfKind(plan, 'card').flatMap((placed) => apartDraws(plan, placed));

/** What a card or drive draws of what feeds it apart. */
export function apartDraws(plan: Plan, placed: Placed): Draw[] {
  if (placed.kind === 'drive') return driveDraws(plan, placed);
  const [slot] = slotShare(plan, placed);
  const said = numberAt(plan, placed, 'watts');
  if (!said) return [];
  const all = inStates('card', heldTo(plan, placed.seat, said));
  const less = (state: State): Range => {
    const [whole, part] = [all[state], slot?.watts[state] ?? range(0)];
    return range(Math.max(0, whole.lo - part.hi), Math.max(0, whole.hi - part.lo));
  };
  return [
    {
      id: placed.seat,
      seat: placed.seat,
      label: 'card',
      rail: '12 V',
      watts: Object.fromEntries(states.map((state) => [state, less(state)])) as Draw['watts'],
      over: 'card',
    },
  ];
}

/** The watts of every state, each changed alike. */
export const mapStates = (watts: Draw['watts'], of: (each: Range) => Range): Draw['watts'] =>
  Object.fromEntries(states.map((state) => [state, of(watts[state])])) as Draw['watts'];

function boardDraws(plan: Plan): Draw[] {
  const placed = partOfKind(plan, 'board');
  const watts = placed && numberAt(plan, placed, 'watts');
  if (!placed || !watts) return [];
  return (Object.keys(boardShares) as Rail[]).map((rail) => ({
    id: `board ${rail}`,
    seat: placed.seat,
    label: 'board',
    rail,
    watts: inStates('board', times(watts, boardShares[rail])),
    over: 'main',
  }));
}

function processorDraw(plan: Plan, placed: Placed): Draw[] {
  const watts = numberAt(plan, placed, 'watts');
  const board = partOfKind(plan, 'board');
  if (!watts) return [];
  const own = board && textAt(plan, board, 'processorPlug')?.text;
  return [
    {
      id: placed.seat,
      seat: placed.seat,
      label: 'CPU',
      rail: '12 V',
      watts: inStates('processor', times(heldTo(plan, placed.seat, watts), VRM)),
      over: own === 'none' ? 'main' : 'processor',
    },
  ];
}

function memoryDraw(plan: Plan): Draw[] {
  const modules = partsOfKind(plan, 'memory');
  const [first] = modules;
  if (!first) return [];
  return [
    {
      id: 'memory',
      seat: first.seat,
      label: `RAM, ${modules.length}`,
      rail: '12 V',
      watts: inStates('memory', times(scale(moduleW, modules.length), VRM)),
      over: 'main',
    },
  ];
}

function cardDraws(plan: Plan, placed: Placed): Draw[] {
  const said = numberAt(plan, placed, 'watts');
  if (!said) return [];
  const watts = heldTo(plan, placed.seat, said);
  const told = listAt(plan, placed, 'plugs');
  const plugs = told?.items ?? [];
  const draw = (id: string, label: string, full: Range, more: Partial<Draw> = {}): Draw => ({
    id: `${placed.seat} ${id}`,
    seat: placed.seat,
    label,
    rail: '12 V',
    watts: inStates('card', full),
    over: 'main',
    ...more,
  });
  /* Whether it has plugs nobody said: from a part of its watts to all of them. */
  if (!told) return [draw('slot', 'card, slot', range(watts.lo * SLOT_SHARE.lo, watts.hi))];
  if (plugs.length === 0) return [draw('slot', 'card, slot', watts)];
  const slot = {
    lo: Math.min(SLOT_12_W, watts.lo * SLOT_SHARE.lo),
    hi: Math.min(SLOT_12_W, watts.hi * SLOT_SHARE.hi),
  };
  const limits = plugs.map((id) => plug(id)?.limitW ?? 75);
  const whole = limits.reduce((sum, each) => sum + each, 0);
  return [
    draw('slot', 'card, slot', slot),
    ...plugs.map((id, i) => {
      const share = (limits[i] ?? 0) / whole;
      return draw(
        `plug ${i + 1}`,
        `card, ${plug(id)?.name ?? id}`,
        range(Math.max(0, watts.lo - slot.hi) * share, (watts.hi - slot.lo) * share),
        { over: 'card', plugId: id },
      );
    }),
  ];
}

/** A 3.5 in drive spins up with 1.5 to 2.5 A on 12 V and 0.6 to 1 A on 5 V, a 2.5 in one with 1 A there, for some 10 s (common practice). */
const SPIN_UP = { '3.5': range(18, 30), '3.5 on 5 V': range(3, 5), '2.5': range(2, 6) };

function driveDraws(plan: Plan, placed: Placed): Draw[] {
  const watts = numberAt(plan, placed, 'watts');
  if (!watts) return [];
  const form = textAt(plan, placed, 'form')?.text;
  const draw = (rail: Rail, full: Range, start: Range, over: Draw['over']): Draw => ({
    id: `${placed.seat} ${rail}`,
    seat: placed.seat,
    label: 'drive',
    rail,
    watts: { ...inStates('drive', full), start },
    over,
  });
  if (form === 'M.2') return [draw('3.3 V', watts, watts, 'main')];
  if (form === '3.5')
    return [
      draw('12 V', scale(watts, 0.6), SPIN_UP['3.5'], 'drive'),
      draw('5 V', scale(watts, 0.4), SPIN_UP['3.5 on 5 V'], 'drive'),
    ];
  if (form === '2.5') return [draw('5 V', watts, SPIN_UP['2.5'], 'drive')];
  /* Which form nobody said: anything from nothing to all of it on any rail. */
  const some = range(0, watts.hi);
  return [
    draw('12 V', some, range(0, SPIN_UP['3.5'].hi), 'drive'),
    draw('5 V', some, some, 'drive'),
    draw('3.3 V', some, some, 'main'),
  ];
}

function fanDraw(plan: Plan, placed: Placed): Draw[] {
  const amps = numberAt(plan, placed, 'amps');
  if (!amps) return [];
  return [
    {
      id: placed.seat,
      seat: placed.seat,
      label: 'fan',
      rail: '12 V',
      watts: inStates('fan', scale(amps, 12)),
      over: 'main',
    },
  ];
}
