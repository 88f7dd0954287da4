/**
 * One net of an adapter: which giving contacts feed which taking contacts, at least cost.
 *
 * Contacts of a kind (one plug, one rail) are alike, so only their numbers matter. Whatever wires
 * are used form trees (a ring carries nothing a tree could not): a tree over n contacts has n - 1
 * wires, and each wire beyond the first at a contact is a splice, 2(n - 1) - n of them. So with N
 * contacts in C trees
 *
 *   cost = (N - C) wire + (N - 2C) splice
 *
 * and the search goes through (N, C) by rising cost until the contacts can be dealt into C trees
 * that carry what is needed. Within a tree any split of current is possible up to what its
 * contacts bear (north-west corner rule); real sharing is judged afterwards.
 */
export interface Kind {
  count: number;
  /** Amps one contact bears with its wire. */
  amps: number;
  /** Must be wired, and never as the only giving contact of a tree: a converter's return. */
  returnOnly?: boolean | undefined;
}

export interface Taking extends Kind {
  /** Amps needed over all contacts of this kind. */
  need: number;
  /** Every contact must have a wire. */
  all: boolean;
}

export interface Prices {
  wire: number;
  splice: number;
}

/** One tree: how many contacts of every kind it joins. */
export interface Tree {
  gives: number[];
  takes: number[];
}

export interface Carried {
  trees: Tree[];
  cost: number;
  /** Least cost that was not shut out; equals `cost` when the optimum is proven. */
  bound: number;
}

/** Steps of dealing looked at before a (N, C) is left unproven, and over all of them. */
const MOST_DEALS = 5000;
const MOST_IN_ALL = 30000;

/** Undefined when no wiring carries it. Needs and amps in A. */
export function route(
  gives: readonly Kind[],
  takes: readonly Taking[],
  prices: Prices,
): Carried | undefined {
  const tries = candidates(gives, takes, prices);
  const budget = { left: MOST_IN_ALL };
  let bound: number | undefined;
  for (const each of tries) {
    const dealt = deal(each, gives, takes, budget);
    if (dealt === 'gave up') bound ??= each.cost;
    else if (dealt) return { trees: dealt, cost: each.cost, bound: bound ?? each.cost };
  }
  return undefined;
}

interface Candidate {
  used: number[];
  filled: number[];
  trees: number;
  cost: number;
}

/** Every count of used contacts and trees that could carry it by sums alone, cheapest first. */
function candidates(gives: readonly Kind[], takes: readonly Taking[], prices: Prices): Candidate[] {
  const whole = takes.reduce((sum, each) => sum + each.need, 0);
  const list: Candidate[] = [];
  for (const filled of counts(takes.map((each) => [each.all ? each.count : 0, each.count]))) {
    if (takes.some((each, k) => (filled[k] ?? 0) * each.amps < each.need - EPS)) continue;
    const taking = sum(filled);
    if (taking === 0) continue;
    for (const used of counts(
      gives.map((each) => [each.returnOnly ? each.count : 0, each.count]),
    )) {
      const giving = sum(used);
      const standing = sum(used.filter((_, i) => !gives[i]?.returnOnly));
      if (standing === 0) continue;
      if (gives.reduce((s, each, i) => s + (used[i] ?? 0) * each.amps, 0) < whole - EPS) continue;
      for (let trees = Math.min(standing, taking); trees >= 1; trees -= 1) {
        const n = giving + taking;
        list.push({
          used,
          filled,
          trees,
          cost: (n - trees) * prices.wire + (n - 2 * trees) * prices.splice,
        });
      }
    }
  }
  return list.sort((a, b) => a.cost - b.cost || sum(a.used) - sum(b.used));
}

const EPS = 1e-9;
const sum = (list: readonly number[]) => list.reduce((total, each) => total + each, 0);

/** All vectors within bounds. */
function counts(bounds: readonly (readonly [number, number])[]): number[][] {
  return bounds.reduce<number[][]>(
    (rows, [lo, hi]) =>
      rows.flatMap((row) => Array.from({ length: hi - lo + 1 }, (_, i) => [...row, lo + i])),
    [[]],
  );
}

/** Deals the contacts into so many trees; undefined when none of the ways carries it. */
function deal(
  { used, filled, trees }: Candidate,
  gives: readonly Kind[],
  takes: readonly Taking[],
  budget: { left: number },
): Tree[] | undefined | 'gave up' {
  let looked = 0;
  const spent = () => looked > MOST_DEALS || budget.left < looked;
  const even = spread(used, filled, trees);
  if (even && carries(even, gives, takes)) return even;
  const made: Tree[] = [];
  const go = (left: number[], open: number[], more: number): Tree[] | undefined => {
    if (more === 0) {
      if (sum(left) + sum(open) > 0) return undefined;
      return carries(made, gives, takes) ? made.map((tree) => ({ ...tree })) : undefined;
    }
    if (sum(left) < more || sum(open) < more) return undefined;
    const last = more === 1;
    for (const tree of treesOf(left, open, last)) {
      looked += 1;
      if (spent()) return undefined;
      const before = made.at(-1);
      /* Trees are dealt in falling order: the same set is looked at once. */
      if (before && compare(tree, before) > 0) continue;
      made.push(tree);
      const found = go(minus(left, tree.gives), minus(open, tree.takes), more - 1);
      made.pop();
      if (found) return found;
    }
    return undefined;
  };
  const found = go([...used], [...filled], trees);
  const given = spent();
  budget.left -= looked;
  return found ?? (given ? 'gave up' : undefined);
}

const minus = (a: readonly number[], b: readonly number[]) =>
  a.map((each, i) => each - (b[i] ?? 0));

function compare(a: Tree, b: Tree): number {
  const [p, q] = [
    [...a.gives, ...a.takes],
    [...b.gives, ...b.takes],
  ];
  for (const [i, each] of p.entries()) if (each !== q[i]) return each - (q[i] ?? 0);
  return 0;
}

function* treesOf(left: number[], open: number[], last: boolean): Generator<Tree> {
  if (last) {
    yield { gives: left, takes: open };
    return;
  }
  for (const gives of counts(left.map((each) => [0, each]))) {
    if (sum(gives) === 0) continue;
    for (const takes of counts(open.map((each) => [0, each])))
      if (sum(takes) > 0) yield { gives, takes };
  }
}

/** A first guess: contacts handed round evenly, largest kinds first. */
function spread(
  used: readonly number[],
  filled: readonly number[],
  trees: number,
): Tree[] | undefined {
  const made: Tree[] = Array.from({ length: trees }, () => ({
    gives: used.map(() => 0),
    takes: filled.map(() => 0),
  }));
  const hand = (counts_: readonly number[], key: 'gives' | 'takes') => {
    let at = 0;
    counts_.forEach((count, kind) => {
      for (let i = 0; i < count; i += 1) {
        const tree = made[at % trees];
        if (tree) tree[key][kind] = (tree[key][kind] ?? 0) + 1;
        at += 1;
      }
    });
    return at >= trees;
  };
  return hand(used, 'gives') && hand(filled, 'takes') ? made : undefined;
}

/**
 * Can the needs flow? Most that goes from trees (each bounded by its giving contacts) to kinds
 * (each bounded by its need), through at most what the tree's contacts of the kind bear.
 */
function carries(
  trees: readonly Tree[],
  gives: readonly Kind[],
  takes: readonly Taking[],
): boolean {
  const stands = (tree: Tree) => tree.gives.some((n, i) => n > 0 && !gives[i]?.returnOnly);
  if (!trees.every(stands)) return false;
  const supply = trees.map((tree) =>
    tree.gives.reduce((s, n, i) => s + n * (gives[i]?.amps ?? 0), 0),
  );
  const room = trees.map((tree) => tree.takes.map((n, k) => n * (takes[k]?.amps ?? 0)));
  const needs = takes.map((each) => each.need);
  return flows(supply, room, needs);
}

/** Max flow on the two-sided graph by shortest augmenting paths; few nodes, real capacities. */
function flows(
  supply: readonly number[],
  room: readonly (readonly number[])[],
  needs: readonly number[],
): boolean {
  const left = [...supply];
  const want = [...needs];
  const through = room.map((row) => row.map(() => 0));
  for (;;) {
    const path = augment(left, want, room, through);
    if (!path) break;
  }
  return want.every((each) => each <= 1e-7);
}

function augment(
  left: number[],
  want: number[],
  room: readonly (readonly number[])[],
  through: number[][],
): boolean {
  /* Breadth first from trees with something left; kinds reached remember the tree, trees the kind. */
  const fromTree = want.map(() => -1);
  const fromKind = left.map(() => -2);
  const queue = left.flatMap((each, i) => (each > 1e-9 ? [i] : []));
  for (const i of queue) fromKind[i] = -1;
  let end = -1;
  for (let at = 0; at < queue.length && end < 0; at += 1) {
    const tree = queue[at] as number;
    for (let k = 0; k < want.length && end < 0; k += 1) {
      if (fromTree[k] !== -1) continue;
      if ((room[tree]?.[k] ?? 0) - (through[tree]?.[k] ?? 0) <= 1e-9) continue;
      fromTree[k] = tree;
      if ((want[k] ?? 0) > 1e-9) end = k;
      else
        left.forEach((_, other) => {
          if (fromKind[other] === -2 && (through[other]?.[k] ?? 0) > 1e-9) {
            fromKind[other] = k;
            queue.push(other);
          }
        });
    }
  }
  if (end < 0) return false;
  const steps: { tree: number; kind: number; back: number }[] = [];
  let kind = end;
  for (;;) {
    const tree = fromTree[kind] as number;
    const back = fromKind[tree] as number;
    steps.push({ tree, kind, back });
    if (back === -1) break;
    kind = back;
  }
  const first = steps.at(-1)?.tree ?? 0;
  const most = steps.reduce(
    (least, { tree, kind: k, back }) =>
      Math.min(
        least,
        (room[tree]?.[k] ?? 0) - (through[tree]?.[k] ?? 0),
        back >= 0 ? (through[tree]?.[back] ?? 0) : Infinity,
      ),
    Math.min(left[first] ?? 0, want[end] ?? 0),
  );
  for (const { tree, kind: k, back } of steps) {
    const row = through[tree] as number[];
    row[k] = (row[k] ?? 0) + most;
    if (back >= 0) row[back] = (row[back] ?? 0) - most;
  }
  left[first] = (left[first] ?? 0) - most;
  want[end] = (want[end] ?? 0) - most;
  return true;
}
