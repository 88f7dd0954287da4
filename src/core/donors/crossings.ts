import { seededRandom } from '../units/seededRandom.ts';

/** Strands between two columns of things, laid so that few cross. */
export interface Ends {
  from: string;
  to: string;
}

export interface Laid {
  left: string[];
  right: string[];
  crossings: number;
}

/**
 * An order of both columns with few crossings: each thing goes to the middle of what it is joined to, column by
 * column in turn, then is tried at every place; the best of a few starts. Things
 * without a strand come last, in the order given. Two strands between the same two things do not
 * cross: those within one thing lie in the order of their other ends.
 */
export function laid(
  left: readonly string[],
  right: readonly string[],
  strands: readonly Ends[],
): Laid {
  const joined = (list: readonly string[], end: keyof Ends) =>
    list.filter((each) => strands.some((strand) => strand[end] === each));
  const l = joined(left, 'from');
  const r = joined(right, 'to');
  const bundles = bundled(strands);
  const random = seededRandom(1);
  const starts = [
    [l, r],
    [[...l].reverse(), r],
    ...Array.from({ length: Math.max(l.length, r.length) > MOST_TRIED ? 0 : STARTS }, () => [
      shuffled(l, random),
      shuffled(r, random),
    ]),
  ] as [string[], string[]][];
  const best = starts
    .map(([a, b]) => settled(a, b, bundles))
    .reduce((least, each) => (each.crossings < least.crossings ? each : least));
  return {
    left: [...best.left, ...left.filter((each) => !l.includes(each))],
    right: [...best.right, ...right.filter((each) => !r.includes(each))],
    crossings: best.crossings,
  };
}

const MOST_ROUNDS = 24;
/** Orders by chance to start from, always the same ones: the middle of things may lead into a corner. */
const STARTS = 10;

function shuffled(list: readonly string[], random: () => number): string[] {
  return list
    .map((each) => ({ each, at: random() }))
    .sort((a, b) => a.at - b.at)
    .map(({ each }) => each);
}

/** Up to so many things in a column each is tried at every place; beyond, the middle has to do. */
const MOST_TRIED = 30;

function settled(l: readonly string[], r: readonly string[], strands: readonly Bundle[]): Laid {
  let now: Laid = { left: [...l], right: [...r], crossings: crossed(l, r, strands) };
  let stale = 0;
  for (let round = 0; round < MOST_ROUNDS && now.crossings > 0 && stale < 2; round += 1) {
    /* The middle first; where it no longer helps, from the order as it is. */
    const start = (list: string[], others: string[], own: keyof Ends, other: keyof Ends) =>
      round % 2 === 0 ? middled(list, others, strands, own, other) : list;
    const right = tried(start(now.right, now.left, 'to', 'from'), (order) =>
      crossed(now.left, order, strands),
    );
    const left = tried(start(now.left, right, 'from', 'to'), (order) =>
      crossed(order, right, strands),
    );
    const next = { left, right, crossings: crossed(left, right, strands) };
    stale = next.crossings < now.crossings ? 0 : stale + 1;
    if (next.crossings <= now.crossings) now = next;
  }
  return now;
}

/** Each at the mean place of what it is joined to; the order given decides between equals. */
function middled(
  list: readonly string[],
  others: readonly string[],
  strands: readonly Bundle[],
  own: keyof Ends,
  other: keyof Ends,
): string[] {
  const place = new Map(others.map((each, i) => [each, i]));
  const mean = (each: string) => {
    const ends = strands.filter((strand) => strand[own] === each);
    const weight = ends.reduce((sum, { count }) => sum + count, 0);
    return (
      ends.reduce((sum, strand) => sum + strand.count * (place.get(strand[other]) ?? 0), 0) / weight
    );
  };
  const means = new Map(list.map((each) => [each, mean(each)]));
  return [...list].sort((a, b) => (means.get(a) ?? 0) - (means.get(b) ?? 0));
}

/** Each thing at the place where fewest cross, one after another, while that helps. */
function tried(list: string[], count: (order: readonly string[]) => number): string[] {
  if (list.length > MOST_TRIED) return list;
  let order = list;
  let least = count(order);
  for (let better = true; better && least > 0;) {
    better = false;
    for (const each of list) {
      const rest = order.filter((other) => other !== each);
      for (let i = 0; i < order.length; i += 1) {
        const next = rest.toSpliced(i, 0, each);
        const here = count(next);
        if (here < least) [order, least, better] = [next, here, true];
      }
    }
  }
  return order;
}

/** How many pairs of strands cross between two ordered columns. */
export const crossings = (
  left: readonly string[],
  right: readonly string[],
  strands: readonly Ends[],
): number => crossed(left, right, bundled(strands));

/** All strands between the same two things: they never cross each other. */
interface Bundle extends Ends {
  count: number;
}

function bundled(strands: readonly Ends[]): Bundle[] {
  const bundles = new Map<string, Bundle>();
  for (const { from, to } of strands) {
    const key = JSON.stringify([from, to]);
    const bundle = bundles.get(key);
    if (bundle) bundle.count += 1;
    else bundles.set(key, { from, to, count: 1 });
  }
  return [...bundles.values()];
}

function crossed(
  left: readonly string[],
  right: readonly string[],
  bundles: readonly Bundle[],
): number {
  const l = new Map(left.map((each, i) => [each, i]));
  const r = new Map(right.map((each, i) => [each, i]));
  const ends = bundles
    .map(({ from, to, count }) => ({ from: l.get(from) ?? 0, to: r.get(to) ?? 0, count }))
    .sort((a, b) => a.from - b.from || a.to - b.to);
  /* How many strands before this one end further down: counted in a tree of sums (Fenwick). */
  const sums = new Uint32Array(right.length + 1);
  let found = 0;
  let before = 0;
  for (const { to, count } of ends) {
    let upTo = 0;
    for (let i = to + 1; i > 0; i -= i & -i) upTo += sums[i] ?? 0;
    found += count * (before - upTo);
    for (let i = to + 1; i < sums.length; i += i & -i) sums[i] = (sums[i] ?? 0) + count;
    before += count;
  }
  return found;
}
