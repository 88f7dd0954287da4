import { range, type Range } from '../units/range.ts';
import type { Source } from './source.ts';

/** What supplies lose and what they ride through. */

export const efficiencyClasses = [
  'plain',
  'bronze',
  'silver',
  'gold',
  'platinum',
  'titanium',
] as const;
export type EfficiencyClass = (typeof efficiencyClasses)[number];

export const efficiencySource: Source = {
  title: 'generalized test protocol for internal power supplies and its programme of classes',
  memory: true,
};

/** Least efficiency at 20, 50 and 100 % load, in percent, by mains. */
const promised: Record<115 | 230, Record<EfficiencyClass, readonly [number, number, number]>> = {
  115: {
    plain: [80, 80, 80],
    bronze: [82, 85, 82],
    silver: [85, 88, 85],
    gold: [87, 90, 87],
    platinum: [90, 92, 89],
    titanium: [92, 94, 90],
  },
  /* 230 V, European Union. */
  230: {
    plain: [82, 85, 82],
    bronze: [85, 88, 85],
    silver: [87, 90, 87],
    gold: [90, 92, 89],
    platinum: [92, 94, 90],
    titanium: [94, 96, 94],
  },
};

/** What titanium promises at a tenth of the load (from memory). */
const TENTH = 0.1;
const TITANIUM_AT_TENTH = 0.9;
/** A class promises the least; most supplies do a little better (common practice, no source). */
const BETTER = 0.03;
/**
 * Without a class said: supplies from before about 2006, later ones, bricks, at 230 V (common practice, no source).
 * On 115 V two to four points less come out.
 */
const unsaid = {
  old: range(0.65, 0.75),
  later: range(0.78, 0.94),
  brick: range(0.86, 0.94),
} as const;
const LESS_AT_115 = range(0.02, 0.04);

/** What is known of a supply without a class. */
export interface Unclassed {
  brick?: boolean;
  years?: Range | undefined;
}
/** From so many years in use on it may be of the old sort, and from so many on it surely is. */
const MAY_BE_OLD = 18;
const SURELY_OLD = 24;

function withoutClass({ brick = false, years }: Unclassed, mains: 115 | 230): Range {
  const sorts = brick
    ? [unsaid.brick]
    : [
        ...(years && years.hi < MAY_BE_OLD ? [] : [unsaid.old]),
        ...(years && years.lo >= SURELY_OLD ? [] : [unsaid.later]),
      ];
  const less = mains === 115 ? LESS_AT_115 : range(0);
  return range(
    Math.min(...sorts.map((each) => each.lo)) - less.hi,
    Math.max(...sorts.map((each) => each.hi)) - less.lo,
  );
}

/**
 * Share of the wall's power that comes out, for a load as a share of the label. Nothing is promised
 * below 20 %: the range widens towards idle. Throws RangeError for a load below nothing.
 */
export function efficiency(
  name: EfficiencyClass | undefined,
  load: number,
  mains: 115 | 230 = 230,
  unclassed: Unclassed = {},
): Range {
  if (!(load >= 0)) throw new RangeError(`invalid load: ${load}`);
  const sag = load < 0.2 ? (0.2 - load) * 1.2 : 0;
  /* A class nobody promised anything for says as much as none. */
  if (!name || !efficiencyClasses.includes(name)) {
    const some = withoutClass(unclassed, mains);
    return range(Math.max(0.3, some.lo - sag), some.hi);
  }
  const [low, half, full] = promised[mains][name].map((each) => each / 100) as [
    number,
    number,
    number,
  ];
  const at =
    load <= 0.2
      ? low
      : load <= 0.5
        ? low + ((half - low) * (load - 0.2)) / 0.3
        : half + ((full - half) * (Math.min(load, 1) - 0.5)) / 0.5;
  /* The best class promises 90 % at a tenth of its load too. */
  const promisedLow =
    name === 'titanium' && load >= TENTH
      ? Math.min(at, TITANIUM_AT_TENTH)
      : Math.max(0.3, at - sag);
  return range(load < 0.2 ? promisedLow : at, Math.min(0.97, at + BETTER));
}

export const excursionSource: Source = {
  title: 'ATX version 3 design guide',
  clause: 'power excursions',
  memory: true,
};

/** Share of its rating a supply made to the newer guide must ride through, by milliseconds. */
export function ridesThrough(ratingW: number): readonly { ms: number; share: number }[] {
  return ratingW > 450
    ? [
        { ms: 0.1, share: 2 },
        { ms: 1, share: 1.8 },
        { ms: 10, share: 1.6 },
        { ms: 100, share: 1.2 },
      ]
    : [
        { ms: 0.1, share: 1.5 },
        { ms: 1, share: 1.45 },
        { ms: 10, share: 1.35 },
        { ms: 100, share: 1.1 },
      ];
}

/** What an older supply mostly rides through: its capacitors hold a moment, nobody promised more (common practice, no source). */
export const olderRidesThrough: readonly { ms: number; share: number }[] = [
  { ms: 0.1, share: 1.8 },
  { ms: 1, share: 1.5 },
  { ms: 10, share: 1.25 },
  { ms: 100, share: 1.1 },
];

/** How far a card jumps over its average, by milliseconds (the card specification allows about 3 for 0.1 ms; the rest common practice). */
export const cardJumps: readonly { ms: number; factor: Range }[] = [
  { ms: 0.1, factor: range(1.8, 3) },
  { ms: 1, factor: range(1.6, 2.5) },
  { ms: 10, factor: range(1.3, 1.8) },
  { ms: 100, factor: range(1.1, 1.3) },
];

/** Share of its label an aged supply lost, by years in use (common practice, no source). */
export function ageing(years: Range | undefined): Range {
  if (!years) return range(0, 0.2);
  return range(Math.min(0.1, years.lo * 0.01), Math.min(0.2, years.hi * 0.02));
}
