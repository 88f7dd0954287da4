import { mid } from '../units/range.ts';
import type { NumberKey } from '../model/properties/index.ts';
import type { Finding } from '../findings/finding.ts';
import { fitChecks } from '../fit/index.ts';
import { leads } from '../fit/leads.ts';
import { noInsertionPath } from '../fit/insertionPaths.ts';
import type { Facts } from '../model/types/fact.ts';
import { numberAt, type Placed, type Plan } from '../model/lookup/plan.ts';
import type { Kind, SeatId, Shop } from '../model/types/types.ts';
import { variablesOf } from './variables.ts';
import { planWithResolution } from './resolutions.ts';
import type { Job } from '../model/types/types.ts';

/** A measure of a part whose limit may hang on another. */
export interface Axis {
  id: string;
  label: string;
  seat: SeatId;
  kind: Kind;
  key: NumberKey;
  /** Figures tried, mm. */
  from: number;
  to: number;
  /** What a part of the kind is taken to be where the plan has none. */
  usual: Facts;
}

const text = (value: string): Facts[string] => ({ text: value, how: 'said' });
const mm = (value: number): Facts[string] => ({ lo: value, hi: value, how: 'said' });

export const tradeAxes: readonly Axis[] = [
  {
    id: 'card',
    label: 'card length',
    seat: 'card1',
    kind: 'card',
    key: 'length',
    from: 100,
    to: 360,
    usual: { height: mm(111), slotsWide: mm(2) },
  },
  {
    id: 'supply',
    label: 'PSU depth',
    seat: 'supply',
    kind: 'supply',
    key: 'depth',
    from: 80,
    to: 240,
    usual: { format: text('ATX') },
  },
  {
    id: 'cooler',
    label: 'cooler height',
    seat: 'cooler',
    kind: 'cooler',
    key: 'height',
    from: 20,
    to: 180,
    usual: { class: text('low') },
  },
  {
    id: 'width',
    label: 'cooler breadth',
    seat: 'cooler',
    kind: 'cooler',
    key: 'breadth',
    from: 60,
    to: 160,
    usual: { class: text('tower') },
  },
  {
    id: 'memory',
    label: 'RAM height',
    seat: 'memory1',
    kind: 'memory',
    key: 'height',
    from: 30,
    to: 60,
    usual: { memoryForm: text('DIMM') },
  },
];

/** How large B may be for every A: surely (no doubt left), and at most. */
export interface Frontier {
  /** What is different from the plan. */
  label: string;
  points: { a: number; sure: number | undefined; may: number | undefined }[];
}

export interface TradeOff {
  a: Axis;
  b: Axis;
  frontiers: Frontier[];
  /** The plan as it stands, where both are known. */
  here?: { a: number; b: number } | undefined;
  /** False: neither limits the other here. */
  excludes: boolean;
}

const STEPS = 40;
/** Sums two sizes may share; leads and ways in say nothing of sizes. */
const judged = fitChecks.filter((check) => check !== leads && check !== noInsertionPath);

/**
 * The map of what is left: for each size of A the largest B with which every sum of the two
 * holds, as planned and with each single change of places or shell. Limits found to half a mm by
 * halving: a larger part never fits where a smaller one does not.
 */
export function tradeOff(shop: Shop, job: Job, plan: Plan, aId: string, bId: string): TradeOff {
  const [a, b] = [axis(aId), axis(bId)];
  const whole = withSeat(withSeat(plan, a), b);
  const configs = [
    { label: 'as planned', plan: whole },
    ...variablesOf(shop, job, plan)
      .flatMap((variable) => variable.options.slice(1))
      .filter((option) => !option.put && option.applies.length > 0)
      .map((option) => ({
        label: option.label,
        plan: planWithResolution(whole, { puts: [], applies: option.applies }),
      })),
    ...radiators(whole, a, b),
  ];
  const all = configs.map((config): Frontier => ({
    label: config.label,
    points: frontier(config.plan, a, b),
  }));
  const first = all[0]!;
  const others = all.slice(1).filter((each) => differs(each, first));
  const known = (ax: Axis) => {
    const placed = plan.seats.find((each) => each.seat === ax.seat);
    const told = placed && numberAt(plan, placed, ax.key);
    return told ? mid(told) : undefined;
  };
  const [hereA, hereB] = [known(a), known(b)];
  const limits = new Set(first.points.map((point) => point.sure));
  return {
    a,
    b,
    frontiers: [first, ...unlike(others)].slice(0, 4),
    here: hereA !== undefined && hereB !== undefined ? { a: hereA, b: hereB } : undefined,
    excludes: [...limits].filter((limit) => limit !== undefined).length > 1,
  };
}

function axis(id: string): Axis {
  const found = tradeAxes.find((each) => each.id === id);
  if (!found) throw new RangeError(`no measure: ${id}`);
  return found;
}

/** A radiator at the front in place of the cooler, where the cooler is not one of the two. */
function radiators(plan: Plan, a: Axis, b: Axis): { label: string; plan: Plan }[] {
  if (a.seat === 'cooler' || b.seat === 'cooler') return [];
  const part = {
    id: 'a radiator',
    kind: 'cooler' as const,
    name: 'radiator',
    place: 'buy' as const,
    facts: { class: text('radiator'), radiator: text('240'), wall: text('front') },
  };
  const cooler: Placed = { seat: 'cooler', kind: 'cooler', state: 'comes', part };
  const seats = [...plan.seats.filter((placed) => placed.seat !== 'cooler'), cooler];
  return [{ label: 'radiator at the front', plan: { ...plan, seats } }];
}

/** A plan that surely has a part in the seat. */
function withSeat(plan: Plan, ax: Axis): Plan {
  if (plan.seats.some((placed) => placed.seat === ax.seat)) return plan;
  const part = {
    id: `a ${ax.kind}`,
    kind: ax.kind,
    name: ax.kind,
    place: 'buy' as const,
    facts: ax.usual,
  };
  return {
    ...plan,
    seats: [...plan.seats, { seat: ax.seat, kind: ax.kind, part, state: 'comes' }],
  };
}

function sized(plan: Plan, ax: Axis, value: number): Plan {
  return {
    ...plan,
    seats: plan.seats.map((placed) =>
      placed.seat === ax.seat
        ? {
            ...placed,
            state: 'comes',
            part: {
              ...placed.part,
              facts: { ...placed.part.facts, [ax.key]: { lo: value, hi: value, how: 'measured' } },
            },
          }
        : placed,
    ),
  };
}

function frontier(plan: Plan, a: Axis, b: Axis): Frontier['points'] {
  return Array.from({ length: STEPS }, (_, i) => {
    const value = a.from + ((a.to - a.from) * i) / (STEPS - 1);
    const at = sized(plan, a, value);
    return { a: value, sure: largest(at, a, b, 2), may: largest(at, a, b, 1) };
  });
}

/** The largest B that reaches the level; undefined when not even the smallest does. */
function largest(plan: Plan, a: Axis, b: Axis, least: 1 | 2): number | undefined {
  const holds = (value: number) => levelOf(sized(plan, b, value), a, b) >= least;
  if (!holds(b.from)) return undefined;
  if (holds(b.to)) return b.to;
  let [lo, hi] = [b.from, b.to];
  while (hi - lo > 0.5) {
    const mid = (lo + hi) / 2;
    if (holds(mid)) lo = mid;
    else hi = mid;
  }
  return lo;
}

/** 0 where a sum of either says Stop, 1 where a size of theirs may be too much, else 2. */
function levelOf(plan: Plan, a: Axis, b: Axis): number {
  let level = 2;
  for (const check of judged) {
    for (const finding of check(plan)) {
      if (finding.unit !== 'mm' || !concerns(finding, a, b)) continue;
      if (finding.mark === 'stop') return 0;
      if ((finding.margin?.lo ?? 0) < 0) level = 1;
    }
  }
  return level;
}

const concerns = (finding: Finding, a: Axis, b: Axis) =>
  finding.terms.some(
    (term) =>
      (term.input?.seat === a.seat && term.input.key === a.key) ||
      (term.input?.seat === b.seat && term.input.key === b.key),
  );

const differs = (a: Frontier, b: Frontier) =>
  a.points.some((point, i) => Math.abs((point.sure ?? -1) - (b.points[i]?.sure ?? -1)) > 1);

/** Changes that leave the same map count once. */
function unlike(list: readonly Frontier[]): Frontier[] {
  return list.filter((each, i) => !list.slice(0, i).some((before) => !differs(each, before)));
}
