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
  partAt,
} from '../../model/lookup/plan.ts';
import { plug } from '../../standards/plugs/index.ts';
import { contactOhm } from '../../standards/wire.ts';
import { add, intersection, range, total, type Range, mid } from '../../units/range.ts';
import { wireOhmPerM } from '../../units/wire.ts';
import { solve, type Net, type Solved } from '../network/index.ts';
import { tapsOf } from './apart.ts';
import { apartDraws } from './draws.ts';
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
  /** Converters tapped beside the main board, each on a lead of its own. */
  taps: readonly Tap[];
}

/** A branch of its own from the source's terminals to one card or drive. */
export interface Tap extends Pick<Feed, 'leadOhm' | 'awg' | 'lengthMm' | 'fuseA'> {
  converter: FeedConverter;
  /** The seat it feeds. */
  seat: string;
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
  return {
    source,
    volts,
    insideOhm: inside
      ? range(Math.max(1e-4, inside.lo / 1000), Math.max(1e-4, inside.hi / 1000))
      : source === 'battery'
        ? range(0.005, 0.05)
        : range(0.01, 0.05),
    ...leadOf(plan, supply, source === 'brick'),
    converter: converterOf(plan),
    taps: tapsOf(plan).flatMap(({ placed, seat }): Tap[] => {
      const converter = converterAs(plan, placed);
      return converter ? [{ ...leadOf(plan, placed, false), converter, seat }] : [];
    }),
  };
}

/** A lead as said of the supply, or of the converter at its end: a brick's is of the usual gauge and length. */
function leadOf(
  plan: Plan,
  at: Placed,
  brick: boolean,
): Pick<Feed, 'leadOhm' | 'awg' | 'lengthMm' | 'fuseA'> {
  const thicker = at.kind === 'supply' ? appliedOf(plan, 'thickerLead').at(-1)?.awg : undefined;
  const awg = thicker === undefined ? numberAt(plan, at, 'feedAwg') : range(thicker);
  const length = numberAt(plan, at, 'feedLength') ?? (brick ? BRICK_LENGTH : undefined);
  const gauge = (awg && intersection(awg, range(0, 40))) ?? (brick ? range(18) : undefined);
  const pads = contactOhm(2).fresh;
  return {
    leadOhm:
      gauge !== undefined && length
        ? range(
            (2 * wireOhmPerM(gauge.lo, 20) * length.lo) / 1000 + pads,
            (2 * wireOhmPerM(gauge.hi, 50) * length.hi) / 1000 + 2 * pads,
          )
        : range(0.02, 0.3),
    awg: gauge && gauge.lo === gauge.hi ? gauge.lo : undefined,
    lengthMm: length,
    fuseA: numberAt(plan, at, 'fuse'),
  };
}

/** A small board that makes a supply's rails of one voltage. */
export const isDcBoard = (plan: Plan, placed: Placed): boolean =>
  sortOf(plan, placed) === 'DC-DC board';

/** The converter in line between the source and the board: one that feeds nothing else. */
function converterOf(plan: Plan): FeedConverter | undefined {
  const taps = new Set(tapsOf(plan).map((tap) => tap.placed.seat));
  const placed = partsOfKind(plan, 'small').find(
    (each) => isSort(plan, each, converters) && !taps.has(each.seat),
  );
  return placed && converterAs(plan, placed);
}

function converterAs(plan: Plan, placed: Placed): FeedConverter | undefined {
  const said = numberAt(plan, placed, 'outVolts');
  const outV = said ?? (isDcBoard(plan, placed) ? range(12) : undefined);
  if (!outV || outV.lo <= 0) return undefined;
  const outA = numberAt(plan, placed, 'outAmps');
  const known =
    listAt(plan, placed, 'curve') !== undefined ||
    numberAt(plan, placed, 'efficiency') !== undefined;
  const eta = efficiencyOf(plan, placed);
  const labelW = outA ? mid(outA) * mid(outV) : undefined;
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
export function feedAmps(
  feed: Feed,
  low: FeedCorner,
  high: FeedCorner,
  through: string = 'lead',
): Range {
  const at = ({ solved }: FeedCorner) => solved.amps[through] ?? 0;
  if (low.solved.ok && high.solved.ok) return range(at(low), at(high));
  const tap = feed.taps.findIndex((_, i) => tapLead(i) === through);
  const all = high.wantedW + high.tapsW.reduce((sum, watts) => sum + watts, 0);
  const wanted = through === 'inside' ? all : tap >= 0 ? (high.tapsW[tap] ?? 0) : high.wantedW;
  const most = (2 * wanted) / feed.volts.lo;
  return range(low.solved.ok ? at(low) : 0, Number.isFinite(most) ? most : NO_LINE_A);
}

export interface FeedCorner {
  net: Net;
  solved: Solved;
  /** Watts into the converter or, without one, the board. */
  wantedW: number;
  /** Watts into each tapped converter. */
  tapsW: number[];
}

export const tapLead = (i: number): string => `tap ${i + 1}`;

/** What goes into a converter for what comes out of it, at one end of the ranges. */
const into = (converter: FeedConverter, outW: number, end: 'lo' | 'hi'): number =>
  outW / converter.efficiency(outW)[end === 'lo' ? 'hi' : 'lo'] + converter.idleW[end];

/** The line at one end of all ranges: least watts over the best line, or most over the worst. */
export function feedCorner(
  feed: Feed,
  boardWatts: Range,
  end: 'lo' | 'hi',
  tapped: readonly Range[] = [],
): FeedCorner {
  const outW = boardWatts[end];
  const wantedW = feed.converter ? into(feed.converter, outW, end) : outW;
  const tapsW = feed.taps.map((tap, i) => into(tap.converter, tapped[i]?.[end] ?? 0, end));
  const net: Net = {
    held: { source: end === 'lo' ? feed.volts.hi : feed.volts.lo },
    resistors: [
      { id: 'inside', a: 'source', b: 'terminals', ohm: feed.insideOhm[end] },
      { id: 'lead', a: 'terminals', b: 'machine', ohm: feed.leadOhm[end] },
      ...feed.taps.map((tap, i) => ({
        id: tapLead(i),
        a: 'terminals',
        b: tapLead(i),
        ohm: tap.leadOhm[end],
      })),
    ],
    loads: [
      { id: 'machine', node: 'machine', watts: wantedW },
      ...tapsW.map((watts, i) => ({ id: tapLead(i), node: tapLead(i), watts })),
    ],
  };
  return { net, solved: solve(net), wantedW, tapsW };
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
  const tapped = tappedDraws(plan, feed);
  const tappedW = tapped.map((each) => total(each.map((draw) => draw.watts[state])));
  const low = feedCorner(feed, watts, 'lo', tappedW);
  const high = feedCorner(feed, watts, 'hi', tappedW);
  const both = (of: (corner: FeedCorner) => number | undefined) =>
    range(of(low) ?? 0, of(high) ?? 0);
  const givenW = both(({ solved }) => solved.givenW['source']);
  const amps = feedAmps(feed, low, high);
  const totalA = feedAmps(feed, low, high, 'inside');
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
      amps: totalA,
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
    ...feed.taps.flatMap((tap, i) =>
      tapBranches(tap, i, tapped[i] ?? [], state, both, feedAmps(feed, low, high, tapLead(i))),
    ),
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

/** What hangs on each tapped converter. */
export const tappedDraws = (plan: Plan, feed: Feed): Draw[][] =>
  feed.taps.map((tap) => {
    const placed = partAt(plan, tap.seat);
    return placed ? apartDraws(plan, placed) : [];
  });

/** The way of a tapped branch: its lead, its converter, what it feeds. */
function tapBranches(
  tap: Tap,
  i: number,
  draws: readonly Draw[],
  state: State,
  both: (of: (corner: FeedCorner) => number | undefined) => Range,
  amps: Range,
): Branch[] {
  const lead = tapLead(i);
  const arrived = both(({ solved }) => solved.drawnW[lead]);
  const lost = both(({ solved }) => solved.lossW[lead]);
  const fed = total(draws.map((draw) => draw.watts[state]));
  return [
    {
      id: lead,
      parent: 'supply',
      kind: 'lead',
      label: `lead of its own${tap.awg ? `, AWG ${tap.awg}` : ''}`,
      watts: add(arrived, lost),
      lossW: lost,
      amps,
      volts: both(({ solved }) => solved.volts[lead]),
    },
    {
      id: `${lead} converter`,
      parent: lead,
      kind: 'converter',
      label: tap.converter.placed.part.name,
      seat: tap.converter.placed.seat,
      watts: arrived,
      lossW: range(Math.max(0, arrived.lo - fed.lo), Math.max(0, arrived.hi - fed.hi)),
      amps,
      volts: tap.converter.outV,
    },
    ...draws.map((draw): Branch => ({
      id: draw.id,
      parent: `${lead} converter`,
      kind: 'load',
      label: draw.label,
      seat: draw.seat,
      watts: draw.watts[state],
      lossW: range(0),
    })),
  ];
}

/** Barrel of the feed, if its tip is known. */
export const tipOf = (plan: Plan, supply: Placed) => plug(textAt(plan, supply, 'tip')?.text ?? '');
