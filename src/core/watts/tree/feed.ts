import {
  partsOfKind,
  listAt,
  numberAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
  sortOf,
  isSort,
  fedByOneVoltage,
  appliedOf,
} from '../../model/lookup/plan.ts';
import { plug } from '../../standards/plugs/index.ts';
import { contactOhm } from '../../standards/wire.ts';
import { add, intersection, range, total, type Range } from '../../units/range.ts';
import { wireOhmPerM } from '../../units/wire.ts';
import { solve, type Net, type Solved } from '../network/index.ts';
import { efficiencyOf } from './efficiencyOf.ts';
import type { Branch, Draw, State, Tree } from './types.ts';
import { wallOf } from './efficiencyOf.ts';
import { converters } from '../../model/properties/smallSorts.ts';

/**
 * A machine fed by one voltage: a brick, a battery or a bench supply over a lead, perhaps through a
 * converter; the board makes its own rails.
 *
 *   wall -- brick --[lead, fuse]--[converter]-- board -- parts
 */
export interface Feed {
  source: 'brick' | 'battery' | 'bench supply';
  volts: Range;
  insideOhm: Range;
  leadOhm: Range;
  /** Gauge, where it is known exactly. */
  awg: number | undefined;
  lengthMm: Range | undefined;
  fuseA: Range | undefined;
  converter: FeedConverter | undefined;
}

export interface FeedConverter {
  placed: Placed;
  outV: Range;
  inV: Range | undefined;
  inA: Range | undefined;
  outA: Range | undefined;
  /** Share of the power that comes out, at the load it has. */
  efficiency: (outW: number) => Range;
  /** Watts it draws with nothing on it. */
  idleW: Range;
}

/** What the board's own converters pass on (common practice, no source). */
const BOARD = range(0.85, 0.93);
/** What a step-up or step-down passes on when nobody said (common practice, no source). */
const CONVERTER = range(0.85, 0.93);
const BRICK_LENGTH = range(1200, 1800);

export const isSingleFeed = fedByOneVoltage;

/** The feed as said of the supply and the converter among the small parts; undefined without its volts. */
export function feedOf(plan: Plan, supply: Placed): Feed | undefined {
  const volts = numberAt(plan, supply, 'volts');
  const source = textAt(plan, supply, 'feeds')?.text as Feed['source'] | undefined;
  if (!volts || !source || volts.lo <= 0) return undefined;
  const inside = numberAt(plan, supply, 'innerOhm');
  const thicker = appliedOf(plan, 'thickerLead').at(-1)?.awg;
  const awg = thicker === undefined ? numberAt(plan, supply, 'feedAwg') : range(thicker);
  const length =
    numberAt(plan, supply, 'feedLength') ?? (source === 'brick' ? BRICK_LENGTH : undefined);
  const gauge =
    (awg && intersection(awg, range(0, 40))) ?? (source === 'brick' ? range(18) : undefined);
  const pads = contactOhm(2).fresh;
  const leadOhm =
    gauge !== undefined && length
      ? range(
          (2 * wireOhmPerM(gauge.lo, 20) * length.lo) / 1000 + pads,
          (2 * wireOhmPerM(gauge.hi, 50) * length.hi) / 1000 + 2 * pads,
        )
      : range(0.02, 0.3);
  return {
    source,
    volts,
    insideOhm: inside
      ? range(Math.max(1e-4, inside.lo / 1000), Math.max(1e-4, inside.hi / 1000))
      : source === 'battery'
        ? range(0.005, 0.05)
        : range(0.01, 0.05),
    leadOhm,
    awg: gauge && gauge.lo === gauge.hi ? gauge.lo : undefined,
    lengthMm: length,
    fuseA: numberAt(plan, supply, 'fuse'),
    converter: converterOf(plan),
  };
}

/** A small board that makes a supply's rails of one voltage. */
export const isDcBoard = (plan: Plan, placed: Placed): boolean =>
  sortOf(plan, placed) === 'DC-DC board';

function converterOf(plan: Plan): FeedConverter | undefined {
  const placed = partsOfKind(plan, 'small').find((each) => isSort(plan, each, converters));
  const said = placed && numberAt(plan, placed, 'outVolts');
  const outV = said ?? (placed && isDcBoard(plan, placed) ? range(12) : undefined);
  if (!placed || !outV || outV.lo <= 0) return undefined;
  const outA = numberAt(plan, placed, 'outAmps');
  const known =
    listAt(plan, placed, 'curve') !== undefined ||
    numberAt(plan, placed, 'efficiency') !== undefined;
  const eta = efficiencyOf(plan, placed);
  const labelW = outA ? ((outA.lo + outA.hi) / 2) * ((outV.lo + outV.hi) / 2) : undefined;
  return {
    placed,
    outV,
    inV: numberAt(plan, placed, 'inVolts'),
    inA: numberAt(plan, placed, 'inAmps'),
    outA,
    efficiency: (outW) => (known ? eta(labelW ? outW / labelW : 0.5) : CONVERTER),
    idleW: numberAt(plan, placed, 'idleWatts') ?? IDLE_W,
  };
}

/** What a converter draws with nothing on it (common practice, no source). */
const IDLE_W = range(0, 1);

/** Watts that go into the board for what its parts draw. */
export function boardW(draws: readonly Draw[], state: State): Range {
  const drawn = total(draws.map((draw) => draw.watts[state]));
  return range(drawn.lo / BOARD.hi, drawn.hi / BOARD.lo);
}

/** More than any line carries: stands where a corner of the ranges (nothing comes out) has no bound, A. */
const NO_LINE_A = 1e6;

/**
 * Amps of the line over all ranges. On the branch a machine runs on, its volts are at least half of
 * the source's: that bounds the amps where a corner of the ranges cannot be carried.
 */
export function feedAmps(feed: Feed, low: FeedCorner, high: FeedCorner): Range {
  const at = ({ solved }: FeedCorner) => solved.amps['lead'] ?? 0;
  if (low.solved.ok && high.solved.ok) return range(at(low), at(high));
  const most = (2 * high.wantedW) / feed.volts.lo;
  return range(low.solved.ok ? at(low) : 0, Number.isFinite(most) ? most : NO_LINE_A);
}

export interface FeedCorner {
  net: Net;
  solved: Solved;
  /** Watts into the converter or, without one, the board. */
  wantedW: number;
}

/** The line at one end of all ranges: least watts over the best line, or most over the worst. */
export function feedCorner(feed: Feed, boardWatts: Range, end: 'lo' | 'hi'): FeedCorner {
  const outW = boardWatts[end];
  const wantedW = feed.converter
    ? outW / feed.converter.efficiency(outW)[end === 'lo' ? 'hi' : 'lo'] + feed.converter.idleW[end]
    : outW;
  const net: Net = {
    held: { source: end === 'lo' ? feed.volts.hi : feed.volts.lo },
    resistors: [
      { id: 'inside', a: 'source', b: 'terminals', ohm: feed.insideOhm[end] },
      { id: 'lead', a: 'terminals', b: 'machine', ohm: feed.leadOhm[end] },
    ],
    loads: [{ id: 'machine', node: 'machine', watts: wantedW }],
  };
  return { net, solved: solve(net), wantedW };
}

export function feedTree(
  plan: Plan,
  supply: Placed,
  draws: Draw[],
  state: State,
): Tree | undefined {
  const feed = feedOf(plan, supply);
  if (!feed) return undefined;
  const watts = boardW(draws, state);
  const [low, high] = [feedCorner(feed, watts, 'lo'), feedCorner(feed, watts, 'hi')];
  const both = (of: (corner: FeedCorner) => number | undefined) =>
    range(of(low) ?? 0, of(high) ?? 0);
  const givenW = both(({ solved }) => solved.givenW['source']);
  const amps = feedAmps(feed, low, high);
  const arrived = both(({ solved }) => solved.drawnW['machine']);
  const wallW = feed.source === 'brick' ? wallOf(plan, supply, givenW) : undefined;
  const board = partOfKind(plan, 'board');
  const branches: Branch[] = [
    ...(wallW
      ? [
          {
            id: 'wall',
            parent: undefined,
            kind: 'wall' as const,
            label: 'wall',
            watts: wallW,
            lossW: range(0),
          },
        ]
      : []),
    {
      id: 'supply',
      parent: wallW ? 'wall' : undefined,
      kind: wallW ? 'supply' : 'source',
      label: supply.part.name,
      seat: supply.seat,
      watts: wallW ?? givenW,
      lossW: wallW
        ? range(Math.max(0, wallW.lo - givenW.lo), Math.max(0, wallW.hi - givenW.hi))
        : both(({ solved }) => solved.lossW['inside']),
      amps,
      volts: both(({ solved }) => solved.volts['terminals']),
    },
    {
      id: 'lead',
      parent: 'supply',
      kind: 'lead',
      label: `lead${feed.awg ? `, AWG ${feed.awg}` : ''}`,
      watts: add(
        arrived,
        both(({ solved }) => solved.lossW['lead']),
      ),
      lossW: both(({ solved }) => solved.lossW['lead']),
      amps,
      volts: both(({ solved }) => solved.volts['machine']),
    },
    ...(feed.converter
      ? [
          {
            id: 'converter',
            parent: 'lead',
            kind: 'converter' as const,
            label: feed.converter.placed.part.name,
            seat: feed.converter.placed.seat,
            watts: arrived,
            lossW: range(Math.max(0, arrived.lo - watts.lo), Math.max(0, arrived.hi - watts.hi)),
            amps,
            volts: feed.converter.outV,
          },
        ]
      : []),
    {
      id: 'board',
      parent: feed.converter ? 'converter' : 'lead',
      kind: 'converter',
      label: 'board',
      seat: board?.seat,
      watts,
      lossW: range(watts.lo * (1 - BOARD.hi), watts.hi * (1 - BOARD.lo)),
    },
    ...draws.map((draw): Branch => ({
      id: draw.id,
      parent: 'board',
      kind: 'load',
      label: draw.label,
      seat: draw.seat,
      watts: draw.watts[state],
      lossW: range(0),
    })),
  ];
  return {
    state,
    branches,
    givenW,
    wallW,
    ok: low.solved.ok && high.solved.ok,
    carries: Math.min(low.solved.carries, high.solved.carries),
    leads: [],
    on: new Map(),
    draws,
    unfed: [],
    nets: [{ name: 'line', net: high.net }],
  };
}

/** Barrel of the feed, if its tip is known. */
export const tipOf = (plan: Plan, supply: Placed) => plug(textAt(plan, supply, 'tip')?.text ?? '');
