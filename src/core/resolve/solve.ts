/**
 * The cheapest ways to choose one option for every variable so that no constraint says no.
 * Depth first with forward checking; a branch is cut when what is spent and the cheapest of what
 * is left open cannot beat the plans in hand, so the answer is proven when the search ends.
 */

/** 0: cannot be. 1: may be, on what is not measured. 2: surely. */
export type Level = 0 | 1 | 2;

export interface Constraint {
  /** Variables it is about, by index. */
  scope: readonly number[];
  /** A level for every combination of their options, the last variable running fastest. */
  levels: Levels;
}

/** Written out, or worked out when it is asked for: most combinations no search ever looks at. */
export interface Levels {
  readonly length: number;
  at: (index: number) => number | undefined;
}

export interface Problem {
  /** costs[v][o]: what option o of variable v costs, 0 or more, any one unit. */
  costs: readonly (readonly number[])[];
  constraints: readonly Constraint[];
  /** Sets of picks no plan may hold all of: what is already known to be enough. */
  nogoods?: readonly (readonly { v: number; o: number }[])[];
}

export interface SolveOptions {
  /** Plans must reach this level: 1 takes those that may fit, 2 only those that surely do. */
  least: 1 | 2;
  /** How many of the cheapest to keep. */
  most: number;
  /** Branches looked at before it gives up proving. */
  nodeLimit: number;
  /** A last word on a whole plan: false refuses it. */
  accept?: (picks: readonly number[]) => boolean;
}

export interface Found {
  picks: number[];
  cost: number;
}

export interface Answer {
  found: Found[];
  /** The search was finished: nothing cheaper exists. */
  proven: boolean;
  /** No plan that was not looked at costs less than this; Infinity when there is none. */
  bound: number;
  nodes: number;
}

export interface Progress {
  nodes: number;
  found: number;
  best: number | undefined;
}

/** How many combinations there are in all. */
export const combinations = (problem: Problem): number =>
  problem.costs.reduce((product, options) => product * options.length, 1);

/** Yields its progress now and then; returns the answer. Throws RangeError for a table of the wrong size. */
export function* solving(problem: Problem, options: SolveOptions): Generator<Progress, Answer> {
  const { costs, constraints } = problem;
  checkTables(problem);
  const touching = costs.map((_, v) => constraints.filter((each) => each.scope.includes(v)));
  const picks = new Array<number>(costs.length).fill(-1);
  const found: Found[] = [];
  let nodes = 0;
  let cut = Infinity;

  const worst = () => (found.length < options.most ? Infinity : found[found.length - 1]!.cost);

  /** What option o of v leaves of the domains; undefined when one is empty. */
  function narrowed(domains: number[][], v: number, o: number): number[][] | undefined {
    const next = [...domains];
    next[v] = [o];
    picks[v] = o;
    for (const nogood of problem.nogoods ?? [])
      if (nogood.every((pick) => picks[pick.v] === pick.o)) return undefined;
    for (const constraint of touching[v]!) {
      const open = constraint.scope.filter((u) => picks[u] === -1);
      if (open.length > 1) continue;
      const u = open[0];
      if (u === undefined) {
        if (levelAt(costs, constraint, picks) < options.least) return undefined;
        continue;
      }
      const kept = next[u]!.filter((option) => {
        picks[u] = option;
        const level = levelAt(costs, constraint, picks);
        picks[u] = -1;
        return level >= options.least;
      });
      if (kept.length === 0) return undefined;
      next[u] = kept;
    }
    return next;
  }

  const cheapest = (domain: readonly number[], v: number) =>
    domain.reduce((least, o) => Math.min(least, costs[v]![o]!), Infinity);

  function* descend(domains: number[][], spent: number, left: number): Generator<Progress, void> {
    if (left === 0) {
      if (options.accept && !options.accept(picks)) return;
      found.push({ picks: [...picks], cost: spent });
      found.sort((a, b) => a.cost - b.cost);
      if (found.length > options.most) found.pop();
      return;
    }
    const v = smallest(domains, picks);
    const ordered = [...domains[v]!].sort((a, b) => costs[v]![a]! - costs[v]![b]!);
    for (const o of ordered) {
      nodes += 1;
      if (nodes % 4096 === 0) yield { nodes, found: found.length, best: found[0]?.cost };
      const next = narrowed(domains, v, o);
      if (next) {
        const soFar = spent + costs[v]![o]!;
        let bound = soFar;
        for (let u = 0; u < next.length; u += 1)
          if (picks[u] === -1) bound += cheapest(next[u]!, u);
        if (bound < worst()) {
          if (nodes >= options.nodeLimit) cut = Math.min(cut, bound);
          else yield* descend(next, soFar, left - 1);
        }
      }
      picks[v] = -1;
    }
  }

  const domains = startingDomains(problem, options.least);
  if (domains) yield* descend(domains, 0, costs.length);
  return { found, proven: cut === Infinity, bound: cut, nodes };
}

/**
 * The cheapest plans none of which holds another: the first is the cheapest of all, each next
 * one the cheapest that does not contain the changes of one before it (option 0 is no change).
 * `most` plans, each proven by a search of its own.
 */
export function* ranking(problem: Problem, options: SolveOptions): Generator<Progress, Answer> {
  const found: Found[] = [];
  const nogoods = [...(problem.nogoods ?? [])];
  let [proven, bound, nodes] = [true, Infinity, 0];
  while (found.length < options.most) {
    const search = solving({ ...problem, nogoods }, { ...options, most: 1 });
    let step = search.next();
    while (!step.done) {
      yield { ...step.value, nodes: nodes + step.value.nodes, found: found.length };
      step = search.next();
    }
    const answer = step.value;
    nodes += answer.nodes;
    proven &&= answer.proven;
    bound = Math.min(bound, answer.bound);
    const next = answer.found[0];
    if (!next) break;
    found.push(next);
    const changes = next.picks.flatMap((o, v) => (o > 0 ? [{ v, o }] : []));
    if (changes.length === 0) break;
    nogoods.push(changes);
  }
  return { found, proven, bound, nodes };
}

/** The same, in one go. */
export function solve(problem: Problem, options: SolveOptions): Answer {
  const search = solving(problem, options);
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
}

/** The level of a constraint for whole picks. */
export function levelAt(
  costs: Problem['costs'],
  constraint: Constraint,
  picks: readonly number[],
): Level {
  let index = 0;
  for (const v of constraint.scope) index = index * costs[v]!.length + picks[v]!;
  return constraint.levels.at(index) as Level;
}

function startingDomains(problem: Problem, least: number): number[][] | undefined {
  const domains = problem.costs.map((options) => options.map((_, o) => o));
  for (const { scope, levels } of problem.constraints) {
    const [v, more] = scope;
    if (v === undefined || more !== undefined) continue;
    domains[v] = domains[v]!.filter((o) => levels.at(o)! >= least);
  }
  return domains.every((domain) => domain.length > 0) ? domains : undefined;
}

/** The open variable with the fewest options left. */
function smallest(domains: readonly number[][], picks: readonly number[]): number {
  let best = -1;
  for (let v = 0; v < domains.length; v += 1)
    if (picks[v] === -1 && (best < 0 || domains[v]!.length < domains[best]!.length)) best = v;
  return best;
}

function checkTables({ costs, constraints }: Problem): void {
  for (const { scope, levels } of constraints) {
    const size = scope.reduce((product, v) => product * (costs[v]?.length ?? NaN), 1);
    if (levels.length !== size)
      throw new RangeError(`a table of ${levels.length} for ${size} combinations`);
  }
}
