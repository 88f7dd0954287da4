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
 * column in turn, then neighbours change places while that helps; the best of a few starts. Things
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
  const starts = [
    [l, r],
    [[...l].reverse(), r],
    [l, [...r].reverse()],
  ] as const;
  const best = starts
    .map(([a, b]) => settled(a, b, strands))
    .reduce((least, each) => (each.crossings < least.crossings ? each : least));
  return {
    left: [...best.left, ...left.filter((each) => !l.includes(each))],
    right: [...best.right, ...right.filter((each) => !r.includes(each))],
    crossings: best.crossings,
  };
}

const MOST_ROUNDS = 24;

function settled(l: readonly string[], r: readonly string[], strands: readonly Ends[]): Laid {
  let now: Laid = { left: [...l], right: [...r], crossings: crossings(l, r, strands) };
  for (let round = 0; round < MOST_ROUNDS && now.crossings > 0; round += 1) {
    const right = swapped(middled(now.right, now.left, strands, 'to', 'from'), (order) =>
      crossings(now.left, order, strands),
    );
    const left = swapped(middled(now.left, right, strands, 'from', 'to'), (order) =>
      crossings(order, right, strands),
    );
    const next = { left, right, crossings: crossings(left, right, strands) };
    if (next.crossings >= now.crossings) break;
    now = next;
  }
  return now;
}

/** Each at the mean place of what it is joined to; the order given decides between equals. */
function middled(
  list: readonly string[],
  others: readonly string[],
  strands: readonly Ends[],
  own: keyof Ends,
  other: keyof Ends,
): string[] {
  const place = new Map(others.map((each, i) => [each, i]));
  const mean = (each: string) => {
    const ends = strands.filter((strand) => strand[own] === each);
    return ends.reduce((sum, strand) => sum + (place.get(strand[other]) ?? 0), 0) / ends.length;
  };
  const means = new Map(list.map((each) => [each, mean(each)]));
  return [...list].sort((a, b) => (means.get(a) ?? 0) - (means.get(b) ?? 0));
}

/** Neighbours change places while fewer cross. */
function swapped(list: string[], count: (order: readonly string[]) => number): string[] {
  let order = list;
  let least = count(order);
  for (let better = true; better;) {
    better = false;
    for (let i = 0; i + 1 < order.length; i += 1) {
      const next = [...order];
      [next[i], next[i + 1]] = [order[i + 1] as string, order[i] as string];
      const crossed = count(next);
      if (crossed < least) {
        [order, least, better] = [next, crossed, true];
      }
    }
  }
  return order;
}

/** How many pairs of strands cross between two ordered columns. */
export function crossings(
  left: readonly string[],
  right: readonly string[],
  strands: readonly Ends[],
): number {
  const l = new Map(left.map((each, i) => [each, i]));
  const r = new Map(right.map((each, i) => [each, i]));
  const ends = strands
    .map(({ from, to }) => [l.get(from) ?? 0, r.get(to) ?? 0] as const)
    .sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  let count = 0;
  for (let i = 0; i < ends.length; i += 1) {
    for (let j = i + 1; j < ends.length; j += 1) {
      const [a, b] = [ends[i], ends[j]];
      if (a && b && a[0] !== b[0] && a[1] > b[1]) count += 1;
    }
  }
  return count;
}
